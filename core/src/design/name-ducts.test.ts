import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShop } from '../../reference/any-shop';
import { counter } from '../../reference/sample-shops';
import { estimatedCurve } from '../collector/estimated-curve';
import { addDrop, addRun, removeRun, setJoins, splitRun } from './edit-ducts';
import type { MachineKindId } from './machine-kinds';
import { freeName, nameDucts } from './name-ducts';
import { newShop } from './new-shop';

describe('a name no other has', () => {
  it('is the one wanted, or that with the next number', () => {
    expect(freeName('Main', [])).toBe('Main');
    expect(freeName('Main', ['Main', 'Main 3'])).toBe('Main 2');
    expect(freeName('Main', ['Main', 'Main 2', 'Main 3'])).toBe('Main 4');
  });

  it('never has more letters than a name may have, however long the one wanted is', () => {
    const long = 'x'.repeat(250);
    const taken: string[] = [];
    for (let i = 0; i < 12; i++) taken.push(freeName(long, taken));
    expect(new Set(taken).size).toBe(12);
    expect(taken.map((name) => name.length)).toEqual(taken.map(() => 200));
    expect(taken.at(-1)).toMatch(/x 12$/);
    expect(freeName(`${'x'.repeat(197)} yz`, [`${'x'.repeat(197)} yz`])).toMatch(/x 2$/);
  });
});

/** A shop with a main from the collector on, and what adds to it. */
function shopWithMain() {
  const shop = newShop('s', 'S', 'us', estimatedCurve(0.3, 57, 0.5, 1.2));
  const newId = counter();
  const main = addRun(shop, 'inlet', newId);
  const run = (id: string) => {
    const found = shop.ducts.runs.find((each) => each.id === id);
    if (!found) throw new Error(`no run ${id}`);
    return found;
  };
  const drop = (joint: string, kind: MachineKindId) => addDrop(shop, joint, kind, newId);
  /** Names from the blower out, along what goes straight through. */
  const trunk = () => {
    const names: string[] = [];
    for (let at = 'inlet'; ; ) {
      const into = shop.ducts.runs.filter(({ to }) => to === at);
      const next = into.find(({ joins }) => joins.kind === 'straight');
      if (
        !next ||
        shop.ducts.nodes.some(({ id, kind }) => id === next.from && kind.kind === 'port')
      )
        return names;
      names.push(next.name);
      at = next.from;
    }
  };
  return { shop, newId, main, run, drop, trunk };
}

describe('the names of shared ducts', () => {
  it('number the trunk from the blower out, wherever it is cut', () => {
    const { shop, newId, main, trunk, run, drop } = shopWithMain();
    expect(trunk()).toEqual(['Main']);
    const middle = splitRun(shop, main, newId) ?? '';
    drop(middle, 'tableSaw');
    expect(trunk()).toEqual(['Main', 'Main 2']);
    // The part next to the blower is cut: what lies beyond moves up by one.
    const first = shop.ducts.runs.find(({ to }) => to === 'inlet')?.id ?? '';
    drop(splitRun(shop, first, newId) ?? '', 'bandSaw');
    expect(trunk()).toEqual(['Main', 'Main 2', 'Main 3']);
    expect(run(main).name).toBe('Main 3');
    drop(run(main).from, 'planer');
    expect(trunk()).toEqual(['Main', 'Main 2', 'Main 3']);
    drop(splitRun(shop, main, newId) ?? '', 'planer');
    expect(trunk()).toEqual(['Main', 'Main 2', 'Main 3', 'Main 4']);
    expect(run(main).name).toBe('Main 4');
  });

  it('say what a side of the tree serves, and follow it', () => {
    const { shop, newId, main, run, drop, trunk } = shopWithMain();
    const end = run(main).from;
    drop(end, 'planer');
    const side = addRun(shop, end, newId);
    expect(run(side).name).toBe('Branch');
    const saw = drop(run(side).from, 'tableSaw');
    expect(run(side).name).toBe('Branch to Table saw');
    drop(run(side).from, 'bandSaw');
    expect(run(side).name).toBe('Main to Table saw and Band saw');
    drop(run(side).from, 'drumSander');
    expect(run(side).name).toBe('Main to Table saw and 2 more');
    removeRun(shop, saw);
    expect(run(side).name).toBe('Main to Band saw and Drum sander');
    // Made to go straight through, it is the trunk.
    setJoins(shop, side, { kind: 'straight' });
    expect(run(side).name).toBe('Main 2');
    expect(trunk()).toEqual(['Main', 'Main 2']);
  });

  it('begin anew below a drop that another joins', () => {
    const { shop, newId, main, run, drop } = shopWithMain();
    const saw = drop(run(main).from, 'tableSaw');
    const joint = splitRun(shop, saw, newId) ?? '';
    const below = shop.ducts.runs.find(({ from }) => from === joint);
    expect([run(saw).name, below?.name]).toEqual(['Table saw drop', 'Main 2']);
  });

  it('that the user gave stay, and are not given twice', () => {
    const { shop, newId, main, run, drop } = shopWithMain();
    const end = run(main).from;
    run(main).name = 'Main to the yard';
    const next = addRun(shop, end, newId);
    expect([run(main).name, run(next).name]).toEqual(['Main to the yard', 'Main']);
    const saw = drop(run(next).from, 'tableSaw');
    run(saw).name = 'Main 2';
    const beyond = addRun(shop, run(next).from, newId);
    setJoins(shop, beyond, { kind: 'straight' });
    expect([run(saw).name, run(beyond).name]).toEqual(['Main 2', 'Main 3']);
  });

  it('of any shop are all different, and given again are the same', () => {
    fc.assert(
      fc.property(anyShop({ junctions: 'momentum' }), (shop) => {
        const names = () => shop.ducts.runs.map(({ name }) => name);
        nameDucts(shop);
        const once = names();
        expect(new Set(once).size).toBe(once.length);
        nameDucts(shop);
        expect(names()).toEqual(once);
      }),
      { numRuns: 100 },
    );
  });
});
