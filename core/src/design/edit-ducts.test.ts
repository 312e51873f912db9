import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { copyOf, counter, threeBranchShop } from '../../reference/sample-shops';
import { estimatedCurve } from '../collector/estimated-curve';
import { readShop } from '../file/shop-file';
import { arrangeDucts } from '../routing/arrange-ducts';
import { addDrop, addRun, removeRun, runsBehind, setJoins, splitRun } from './edit-ducts';
import { MACHINE_KIND_IDS } from './machine-kinds';
import { newShop } from './new-shop';

const emptyShop = () => newShop('s', 'S', 'us', estimatedCurve(0.3, 57, 0.5, 1.2));

describe('edits of the ducts', () => {
  it('in any order leave a valid document', () => {
    const step = fc.record({
      what: fc.constantFrom('run', 'drop', 'split', 'remove', 'straight', 'branch', 'Y'),
      at: fc.nat(100),
      kind: fc.constantFrom(...MACHINE_KIND_IDS),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 30 }), (steps) => {
        const shop = emptyShop();
        const newId = counter();
        for (const { what, at, kind } of steps) {
          const joints = shop.ducts.nodes.filter((node) => node.kind.kind !== 'port');
          const joint = joints[at % joints.length]?.id ?? 'inlet';
          const run = shop.ducts.runs[at % Math.max(1, shop.ducts.runs.length)]?.id ?? '';
          if (what === 'run') addRun(shop, joint, newId);
          else if (what === 'drop') addDrop(shop, joint, kind, newId);
          else if (what === 'split') splitRun(shop, run, newId);
          else if (what === 'remove') removeRun(shop, run);
          else if (what === 'straight') setJoins(shop, run, { kind: 'straight' });
          else if (what === 'Y') setJoins(shop, run, { kind: 'symmetric', angle: 1 });
          else setJoins(shop, run, { kind: 'branch', angle: 1 });
        }
        const read = readShop(copyOf(shop));
        expect(read.ok ? [] : read.faults).toEqual([]);
      }),
      { numRuns: 100 },
    );
  });

  it('a drop comes with machine, gate, hose and elbow, and branches where one goes straight', () => {
    const shop = emptyShop();
    const newId = counter();
    const first = addDrop(shop, 'inlet', 'planer', newId);
    const second = addDrop(shop, 'inlet', 'planer', newId);
    const [a, b] = [first, second].map((id) => shop.ducts.runs.find((run) => run.id === id));
    expect(a?.joins.kind).toBe('straight');
    expect(b?.joins).toEqual({ kind: 'branch', angle: Math.PI / 4 });
    expect(a?.hose && a.gate && a.fittings.length).toBe(1);
    expect(shop.machines.map(({ name }) => name)).toEqual([
      'Thickness planer',
      'Thickness planer 2',
    ]);
  });

  it('beside one leg of a Y a run becomes its second, and beside both a branch', () => {
    const shop = emptyShop();
    const newId = counter();
    const added = () => addDrop(shop, 'inlet', 'planer', newId);
    const [first, second] = [added(), added()];
    setJoins(shop, first, { kind: 'symmetric', angle: 0.5 });
    const joinsOf = (id: string) => shop.ducts.runs.find((run) => run.id === id)?.joins;
    removeRun(shop, second);
    expect(joinsOf(added())).toEqual({ kind: 'symmetric', angle: 0.5 });
    expect(joinsOf(first)).toEqual({ kind: 'symmetric', angle: 0.5 });
    expect(joinsOf(added())).toEqual({ kind: 'branch', angle: Math.PI / 4 });
  });

  it('splitting keeps the length together and the gate and hose on the machine’s side', () => {
    const shop = threeBranchShop();
    const before = shop.ducts.runs.find(({ id }) => id === 'saw')?.length ?? 0;
    let next = 0;
    const node = splitRun(shop, 'saw', () => `new${next++}`);
    const upper = shop.ducts.runs.find(({ id }) => id === 'saw');
    const lower = shop.ducts.runs.find(({ from }) => from === node);
    expect((upper?.length ?? 0) + (lower?.length ?? 0)).toBeCloseTo(before, 12);
    expect(upper?.gate).not.toBeNull();
    expect(lower?.gate).toBeNull();
    expect(splitRun(shop, 'no such run', counter())).toBeNull();
  });

  it('removing a main takes what hangs on it, machines too', () => {
    const shop = threeBranchShop();
    const main = shop.ducts.runs[0]?.id ?? '';
    shop.condition.holes.push({ run: 'saw', area: 1e-4, origin: { kind: 'assumed' } });
    expect(runsBehind(shop, main)).toHaveLength(4);
    removeRun(shop, main);
    expect(shop.ducts.runs).toEqual([]);
    expect(shop.machines).toEqual([]);
    expect(shop.condition.holes).toEqual([]);
    const arranged = arrangeDucts(shop);
    expect(arranged.ok && arranged.tree.drops).toEqual([]);
  });
});

describe('a metric shop', () => {
  it('starts with round metric sizes and flows', () => {
    const shop = newShop('s', 'S', 'metric', estimatedCurve(0.3, 57, 0.5, 1.2));
    addDrop(shop, 'inlet', 'planer', counter());
    const [port] = shop.machines[0]?.ports ?? [];
    expect(port?.diameter).toBeCloseTo(0.125, 12);
    expect(port?.need.kind === 'flow' && port.need.flow * 3600).toBeCloseTo(930, 6);
    expect(shop.collector.separator.inletDiameter).toBe(0.15);
  });
});
