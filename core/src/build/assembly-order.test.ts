import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { treeOf } from '../../reference/plain-readings';
import { threeBranchShop } from '../../reference/sample-shops';
import { jointsOfRun } from '../design/joints-of-run';
import type { Shop } from '../design/schema';
import { readShop } from '../file/shop-file';
import { assemblyOrder } from './assembly-order';
import { cutList, jointsInPieces } from './cuts/cut-list';
import { cutPieces } from './cuts/cut-pieces';

function demo(name = 'heron-slip'): Shop {
  const read = readShop(JSON.parse(readFileSync(`demo/${name}.json`, 'utf8')));
  if (!read.ok) throw new Error('no demo');
  return structuredClone(read.shop);
}

const orderOf = (shop: Shop) => assemblyOrder(shop, treeOf(shop));
const stepsOf = (shop: Shop, name: string) => {
  const run = shop.ducts.runs.find((each) => each.name === name)?.id;
  const steps = orderOf(shop).find((group) => group.run === run)?.steps;
  if (!steps) throw new Error(`no steps of ${name}`);
  return steps;
};

describe('the order ducts are put together in', () => {
  it('goes from the collector outward: no run before the one it flows into', () => {
    for (const shop of [demo(), threeBranchShop()]) {
      const tree = treeOf(shop);
      const order = orderOf(shop).map(({ run }) => run);
      expect(order[0]).toBeNull();
      expect(new Set(order).size).toBe(order.length);
      expect(order.length).toBe(tree.upstreamFirst.length + 1);
      for (const run of tree.upstreamFirst) {
        const next = tree.outOf.get(run.to);
        if (next) expect(order.indexOf(next.id)).toBeLessThan(order.indexOf(run.id));
      }
    }
  });

  it('has every joint that leaks are looked for at, each once, by the same name', () => {
    const shop = demo();
    const tree = treeOf(shop);
    const ids = orderOf(shop).flatMap(({ steps }) => steps.map(({ id }) => id));
    expect(new Set(ids).size).toBe(ids.length);
    for (const run of tree.upstreamFirst) {
      const joints = jointsOfRun(run, tree, jointsInPieces(shop, tree).get(run.id));
      // The lock seam around spiral pipe is tight: no tape goes along it.
      for (const { id, at } of joints) if (at.kind !== 'seam') expect(ids).toContain(id);
    }
  });

  it('has a joint in the pipe only where the cut list makes one', () => {
    const shop = demo();
    const joints = () =>
      orderOf(shop).flatMap(({ steps }) =>
        steps.filter(({ place }) => place.kind === 'run' && place.at.kind === 'pipe'),
      );
    // No straight of the demo is as long as the pipe it is cut from: every joint is at a fitting.
    expect(joints()).toEqual([]);
    shop.build.stockLength = 1;
    const { groups } = cutList(shop, treeOf(shop));
    const cuts = groups.flatMap(({ sticks }) => sticks.flatMap((stick) => stick.cuts));
    expect(joints()).toHaveLength(cuts.filter(({ key }) => key.includes(' + ')).length);
    expect(joints().length).toBeGreaterThan(5);
  });

  it('puts a coupling where one length ends and the next begins', () => {
    const shop = demo();
    shop.build.stockLength = 1;
    const tree = treeOf(shop);
    const joints = jointsInPieces(shop, tree);
    const { pieces } = cutPieces(shop, tree);
    for (const { run, from, length } of pieces) {
      const own = (joints.get(run)?.along ?? []).filter(
        (along) => from !== null && along > from && along < from + length,
      );
      own.forEach((along, i) => {
        expect(along - (from ?? 0)).toBeCloseTo(i + 1, 9);
      });
      expect(own).toHaveLength(Math.max(0, Math.ceil(length) - 1));
    }
  });

  it('names the joint at the collector once, and those at wyes for what they are', () => {
    const steps = orderOf(demo()).flatMap((group) => group.steps);
    expect(steps.filter(({ ends }) => ends?.id === 'collector inlet')).toHaveLength(1);
    const meets = steps.flatMap(({ place }) =>
      place.kind === 'run' && place.at.kind === 'end' ? [place.at.meets] : [],
    );
    expect(meets.filter((what) => what === 'collector')).toHaveLength(1);
    expect(meets.filter((what) => what === 'wye')).toHaveLength(7);
  });

  it('takes the elbow that meets the next run for the end of its pipe', () => {
    const cellar = demo('wren-cellar');
    const drop = stepsOf(cellar, 'Thickness sander drop');
    const kinds = drop.map(({ place }) => (place.kind === 'run' ? place.at.kind : place.kind));
    expect(kinds).not.toContain('end');
    expect(kinds.filter((kind) => kind === 'fitting')).toHaveLength(4);
    // A reducer between elbow and next run is a joint of its own.
    const wider = demo('wren-cellar');
    const main = wider.ducts.runs.find(({ name }) => name === 'Main 3');
    if (main) main.diameter = 0.125;
    expect(stepsOf(wider, 'Thickness sander drop')[0]).toMatchObject({
      place: { at: { kind: 'end', meets: 'run' } },
      sealedWith: { closing: { kind: 'reducer' } },
    });
    // The others end in a wye, with pipe behind their last elbow.
    expect(stepsOf(cellar, 'Band saw drop')[0]?.place).toMatchObject({ at: { meets: 'wye' } });
  });

  it('comes to a gate before the hose that is clamped onto it', () => {
    const steps = stepsOf(demo(), 'Table saw drop');
    const kinds = steps.map(({ place }) => (place.kind === 'run' ? place.at.kind : place.kind));
    expect(kinds.indexOf('gate')).toBeLessThan(kinds.indexOf('hose'));
    expect(steps[kinds.indexOf('hose')]?.ends?.downstream.what).toBe('gate');
  });

  it('ends a run at its machine, with its hose and then its port', () => {
    const kinds = stepsOf(demo(), 'Table saw drop').map(({ place }) =>
      place.kind === 'run' ? place.at.kind : place.kind,
    );
    expect(kinds.indexOf('hose')).toBeGreaterThan(kinds.indexOf('fitting'));
    expect(kinds.at(-1)).toBe('port');
    expect(kinds.filter((kind) => kind === 'fitting')).toHaveLength(2);
  });

  it('goes down a drop from its wye: the elbow under the ceiling before the one at the floor', () => {
    const nths = stepsOf(demo(), 'Floor sweep drop').flatMap(({ place }) =>
      place.kind === 'run' && place.at.kind === 'fitting' ? [place.at.nth] : [],
    );
    expect(nths).toEqual(nths.toSorted((a, b) => b - a));
    expect(nths.length).toBeGreaterThan(1);
  });

  // Handbook section 11: common practice, no source.
  it('closes what has to open again with a gasket, a clamp or tape, never for good', () => {
    for (const shop of [demo(), threeBranchShop()]) {
      const opening = orderOf(shop).flatMap(({ steps }) => steps.filter((each) => each.opensAgain));
      expect(opening.length).toBeGreaterThan(3);
      expect(opening.some(({ place }) => place.kind === 'bin')).toBe(true);
      for (const { hasSeams, place, sealedWith } of opening) {
        expect(hasSeams).toBe(false);
        if (place.kind === 'bin') expect(sealedWith.kind).toBe('gasket');
      }
    }
  });

  it('screws sheet metal, leaves plastic unglued, and asks for no seam where there is none', () => {
    const seamed = demo();
    for (const run of seamed.ducts.runs) run.pipe = 'snapLock';
    const metal = stepsOf(seamed, 'Back main');
    expect(metal.map(({ sealedWith }) => sealedWith.kind)).toContain('screws and tape');
    expect(metal.some(({ place }) => place.kind === 'run' && place.at.kind === 'seam')).toBe(true);
    const plastic = demo();
    for (const run of plastic.ducts.runs) run.pipe = 'sewer';
    const isSeam = ({ place }: (typeof metal)[number]) =>
      place.kind === 'run' && place.at.kind === 'seam';
    expect(stepsOf(demo(), 'Back main').some(isSeam)).toBe(false);
    const steps = stepsOf(plastic, 'Back main');
    expect(steps.map(({ sealedWith }) => sealedWith.kind)).toContain('screw and tape');
    expect(steps.some(({ place }) => place.kind === 'run' && place.at.kind === 'seam')).toBe(false);
    expect(steps.find(({ joint }) => joint)?.joint).toBe('socket');
  });

  it('names the seams of an elbow that turns, and only of that', () => {
    const shop = threeBranchShop();
    const [run] = shop.ducts.runs;
    if (!run) throw new Error('no run');
    const elbow = (id: string, style: 'adjustable' | 'smooth') => ({
      ...{ kind: 'elbow' as const, id, style, angle: Math.PI / 2 },
      ...{ radiusRatio: 1.5, count: 1, after: null },
    });
    run.fittings = [elbow('a', 'adjustable'), elbow('b', 'smooth')];
    run.joints = null;
    const seams = stepsOf(shop, run.name).filter(({ hasSeams }) => hasSeams);
    expect(seams.map(({ place }) => place.kind === 'run' && place.at)).toEqual([
      { kind: 'fitting', fitting: 'elbow', nth: 1, of: 2 },
    ]);
  });

  it('has no bin where there is no separator', () => {
    const shop = demo();
    shop.collector.separator.kind = 'none';
    const [collector] = orderOf(shop);
    expect(collector?.steps.some(({ place }) => place.kind === 'bin')).toBe(false);
  });
});
