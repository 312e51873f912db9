import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { loneDuct } from '../../reference/lone-duct';
import { copyOf, counter, drawnShop } from '../../reference/sample-shops';
import { estimatedCurve } from '../collector/estimated-curve';
import { newShop } from '../design/new-shop';
import type { Shop } from '../design/schema';
import { readShop } from '../file/shop-file';
import { solveShop } from '../network/solve-shop';
import { setRoomSize } from '../room/edit-floor';
import type { Spot } from '../room/plane';
import { arrangeDucts } from './arrange-ducts';
import { ductLines } from './duct-lines';
import { addMachine } from './edit-machines';
import { beginMove, moveBy, type SelectedTogether } from './move-together';
import { inletMouth } from './places';
import { type DuctEnd, routeDuct } from './route-duct';
import { type Point3, plus } from './space';

/**
 * A room of 12 by 8 m; the inlet looks toward −x and a main of 8 m leads into it along x. Two saws
 * south of it, their risers beside their ports; the branches go north and lean 45° into the main.
 */
function shopWithTwoDrops() {
  const shop = newShop('s', 'S', 'metric', estimatedCurve(0.35, 57, 0.5, 1.2));
  setRoomSize(shop, 12, 8);
  shop.room.ceilingHeight = 2.7;
  shop.collector.place = { x: 10.5, y: 6, z: 0 };
  shop.collector.inlet = { side: 'left', height: 2.3 };
  const newId = counter();
  const inlet = inletMouth(shop)?.at ?? { x: 0, y: 0, z: 0 };
  const off = (x: number, y: number, z = 0): Point3 => plus(inlet, { x, y, z });
  const free: DuctEnd = { kind: 'free', at: off(-8, 0) };
  const main = routeDuct(shop, { kind: 'inlet' }, free, { between: [], hasHose: false }, newId);
  if (!main.ok) throw new Error(main.why);
  // Farthest from the inlet first: what meets a run splits it, and its upstream part keeps the id.
  const drops = [-3, -6].map((x) => {
    const machine = addMachine(shop, 'bandSaw', newId);
    const own = shop.machines.find(({ id }) => id === machine);
    if (!own) throw new Error('no machine');
    own.place = { x: off(x, 0).x - 1, y: 1.5 };
    const port = own.ports[0]?.id ?? '';
    const foot = { x: off(x, 0).x - 0.6, y: 2.4 };
    const run = routeDuct(
      shop,
      { kind: 'port', machine, port },
      { kind: 'run', run: main.run, at: off(x, 0) },
      {
        between: [
          { ...foot, z: 1 },
          { ...foot, z: inlet.z },
          { x: foot.x, y: inlet.y - 0.6, z: inlet.z },
        ],
        hasHose: true,
      },
      newId,
    );
    if (!run.ok) throw new Error(run.why);
    return { machine, run: run.run };
  });
  return { shop, inlet, drops };
}

const taking = (
  machines: readonly string[],
  others: Partial<SelectedTogether> = {},
): SelectedTogether => ({
  machines: new Set(machines),
  isCollector: false,
  runs: new Set(),
  ...others,
});

function moved(shop: Shop, selected: SelectedTogether, by: Spot): Shop {
  const after = copyOf(shop);
  moveBy(after, beginMove(shop, selected), by);
  return after;
}

const lineOf = (shop: Shop, run: string) => {
  const line = ductLines(shop).lines.get(run);
  if (!line) throw new Error(`no line of ${run}`);
  return line.points;
};

/** How far every point of a run went, as 'x,y' in mm. */
const shiftsOf = (before: Shop, after: Shop, run: string) =>
  lineOf(before, run).map(({ x, y, z }, i) => {
    const to = lineOf(after, run)[i] ?? { x: 0, y: 0, z: 0 };
    expect(to.z).toBe(z);
    return `${Math.round((to.x - x) * 1000)},${Math.round((to.y - y) * 1000)}`;
  });

describe('moving with the ducts attached', () => {
  it('along the main: hose, riser and wye slide as they are', () => {
    const { shop, drops } = shopWithTwoDrops();
    const [one, other] = drops;
    if (!one || !other) throw new Error('no drops');
    const after = moved(shop, taking([one.machine]), { x: 0.8, y: 0 });
    expect(shiftsOf(shop, after, one.run)).toEqual(['800,0', '800,0', '800,0', '800,0', '800,0']);
    expect(shiftsOf(shop, after, other.run)).toEqual(['0,0', '0,0', '0,0', '0,0', '0,0']);
  });

  it('toward the main: only the level leg behind the riser is shorter', () => {
    const { shop, drops } = shopWithTwoDrops();
    const [one] = drops;
    if (!one) throw new Error('no drops');
    const after = moved(shop, taking([one.machine]), { x: 0, y: 0.5 });
    expect(shiftsOf(shop, after, one.run)).toEqual(['0,500', '0,500', '0,500', '0,0', '0,0']);
  });

  it('both at once, and back again, ends where it began', () => {
    const { shop, drops } = shopWithTwoDrops();
    const [one] = drops;
    if (!one) throw new Error('no drops');
    const after = copyOf(shop);
    const move = beginMove(shop, taking([one.machine]));
    for (const by of [
      { x: 0.4, y: -0.3 },
      { x: 99, y: 3 },
      { x: -0.7, y: 0.2 },
    ]) {
      moveBy(after, move, by);
    }
    expect(shiftsOf(shop, after, one.run)[1]).toBe('-700,200');
    moveBy(after, move, { x: 0, y: 0 });
    expect(after).toEqual(shop);
  });

  it('past the next wye it cannot slide: the riser stays and the hose stretches', () => {
    const { shop, drops } = shopWithTwoDrops();
    const far = drops[1];
    if (!far) throw new Error('no drops');
    const after = moved(shop, taking([far.machine]), { x: 3.2, y: 0 });
    expect(shiftsOf(shop, after, far.run)).toEqual(['3200,0', '0,0', '0,0', '0,0', '0,0']);
  });

  it('all machines and the collector take every duct along, whichever way', () => {
    const { shop, drops } = shopWithTwoDrops();
    const selected = taking(
      drops.map(({ machine }) => machine),
      { isCollector: true },
    );
    const after = moved(shop, selected, { x: -0.4, y: -0.6 });
    for (const { id } of shop.ducts.runs) {
      expect(new Set(shiftsOf(shop, after, id))).toEqual(new Set(['-400,-600']));
    }
  });

  it('moved whole, the air is what it was; a drop moved farther off gets less', () => {
    const { shop, drops } = shopWithTwoDrops();
    const flowsOf = (each: Shop) => {
      const solved = solveShop(each, { view: 'designed' });
      if (solved.kind !== 'solved') throw new Error('no answer');
      return drops.map(({ run }) => solved.airIn.get(run)?.[0]?.flowIn ?? 0);
    };
    for (const run of shop.ducts.runs) if (run.gate) run.gate.open = true;
    const machines = drops.map(({ machine }) => machine);
    const [one = 0, other = 0] = flowsOf(shop);
    const whole = moved(shop, taking(machines, { isCollector: true }), { x: 0.3, y: -0.2 });
    expect(flowsOf(whole)[0]).toBeCloseTo(one, 9);
    expect(flowsOf(whole)[1]).toBeCloseTo(other, 9);
    const [near = '', far = ''] = machines;
    expect(flowsOf(moved(shop, taking([far]), { x: -1, y: 0 }))[1]).toBeLessThan(other);
    expect(flowsOf(moved(shop, taking([near]), { x: 0, y: -0.5 }))[0]).toBeLessThan(one);
  });

  it('a run that is taken goes with its joints; what else meets there follows as it can', () => {
    const { shop, drops } = shopWithTwoDrops();
    const [one] = drops;
    if (!one) throw new Error('no drops');
    const after = moved(shop, taking([], { runs: new Set([one.run]) }), { x: 0.5, y: 0 });
    expect(shiftsOf(shop, after, one.run)).toEqual(['0,0', '500,0', '500,0', '500,0', '500,0']);
  });

  it('the collector alone, along its main: the last run grows; across it, it cannot', () => {
    const { shop, inlet } = shopWithTwoDrops();
    const last = shop.ducts.runs.find(({ to }) => to === 'inlet' || to.includes('inlet'));
    const id = last?.id ?? shop.ducts.runs.at(-1)?.id ?? '';
    const collector = taking([], { isCollector: true });
    const along = moved(shop, collector, { x: 0.5, y: 0 });
    expect(inletMouth(along)?.at.x).toBeCloseTo(inlet.x + 0.5, 9);
    expect(shiftsOf(shop, along, id)).toEqual(['0,0', '500,0']);
    // Across it the last leg slants, and that is said.
    const across = moved(shop, collector, { x: 0, y: 0.5 });
    expect(shiftsOf(shop, across, id)).toEqual(['0,0', '0,500']);
  });

  it('the collector alone draws on the bends of its last run from behind', () => {
    // From a saw's port to 3 m beside the inlet's line, 3 m to it, and 5 m along it.
    const bent = loneDuct([
      [-9, 3],
      [-5, 3],
      [-5, 0],
    ]);
    const { shop, run, newId } = bent;
    const machine = addMachine(shop, 'bandSaw', newId);
    const port = shop.machines[0]?.ports[0]?.id ?? '';
    const from = shop.ducts.runs.find(({ id }) => id === run)?.from;
    const start = shop.ducts.nodes.find(({ id }) => id === from);
    if (!start) throw new Error('no start');
    Object.assign(start, { kind: { kind: 'port', machine, port }, at: null });
    const collector = taking([], { isCollector: true });
    const shifts = (by: Spot) => shiftsOf(shop, moved(shop, collector, by), run);
    expect(shifts({ x: 0.5, y: 0 })).toEqual(['0,0', '0,0', '0,0', '500,0']);
    // Across its line the bend goes along, and the leg before it takes that up.
    expect(shifts({ x: 0, y: 0.5 })).toEqual(['0,0', '0,0', '0,500', '0,500']);
    expect(shifts({ x: 0.4, y: -0.3 })).toEqual(['0,0', '0,0', '0,-300', '400,-300']);
    // That leg is 3 m long and cannot take up more: then only the last leg follows.
    expect(shifts({ x: 0, y: 3.2 })).toEqual(['0,0', '0,0', '0,0', '0,3200']);
  });

  it('askew: what lies along the main slides, what lies across it the level leg takes up', () => {
    const { shop, drops } = shopWithTwoDrops();
    const [one, far] = drops;
    if (!one || !far) throw new Error('no drops');
    const askew = moved(shop, taking([one.machine]), { x: 0.4, y: -0.3 });
    const slid = ['400,-300', '400,-300', '400,-300', '400,0', '400,0'];
    expect(shiftsOf(shop, askew, one.run)).toEqual(slid);
    // Both at once go as each would alone.
    const both = moved(shop, taking([one.machine, far.machine]), { x: 0.4, y: -0.3 });
    for (const { run } of drops) expect(shiftsOf(shop, both, run)).toEqual(slid);
  });

  it('left alone, its ducts stay where they are and its hose stretches', () => {
    const { shop, drops } = shopWithTwoDrops();
    const [one] = drops;
    if (!one) throw new Error('no drops');
    const after = copyOf(shop);
    const move = beginMove(shop, taking([one.machine]));
    moveBy(after, move, { x: 0.8, y: 0 });
    moveBy(after, move, { x: 0.8, y: 0.1 }, true);
    expect(shiftsOf(shop, after, one.run)).toEqual(['800,100', '0,0', '0,0', '0,0', '0,0']);
  });

  it('against the main’s beginning, and toward the saw, it goes as far as each leg keeps its way', () => {
    const { shop, drops } = shopWithTwoDrops();
    const [one, far] = drops;
    if (!one || !far) throw new Error('no drops');
    const first = (run: string, by: Spot, machine: string) =>
      shiftsOf(shop, moved(shop, taking([machine]), by), run);
    // The main begins 2 m before the far wye.
    expect(first(far.run, { x: -1.9, y: 0 }, far.machine)[4]).toBe('-1900,0');
    expect(first(far.run, { x: -2, y: 0 }, far.machine)).toEqual([
      '-2000,0',
      ...['0,0', '0,0', '0,0', '0,0'],
    ]);
    // 3 m lie between the two wyes, 3 m between the near one and the inlet.
    expect(first(one.run, { x: -2.9, y: 0 }, one.machine)[4]).toBe('-2900,0');
    expect(first(one.run, { x: -3, y: 0 }, one.machine)[4]).toBe('0,0');
    expect(first(one.run, { x: 2.9, y: 0 }, one.machine)[4]).toBe('2900,0');
    expect(first(one.run, { x: 3, y: 0 }, one.machine)[4]).toBe('0,0');
    // The level leg is as long as from the riser to 0.6 m before the main.
    const [, , top, corner] = lineOf(shop, one.run);
    const length = (corner?.y ?? 0) - (top?.y ?? 0);
    expect(length).toBeGreaterThan(1);
    expect(first(one.run, { x: 0, y: length - 0.1 }, one.machine)[2]).toBe(
      `0,${Math.round((length - 0.1) * 1000)}`,
    );
    expect(first(one.run, { x: 0, y: length }, one.machine)[2]).toBe('0,0');
    expect(first(one.run, { x: 0, y: -1 }, one.machine)[2]).toBe('0,-1000');
  });

  it('a tee slides along its main as a wye does; what leans otherwise is left to the hose', () => {
    const { shop, drops } = shopWithTwoDrops();
    const [one] = drops;
    const run = shop.ducts.runs.find(({ id }) => id === one?.run);
    if (!one || !run?.route) throw new Error('no drop');
    // Straight north into the main, with no lean.
    run.route.bends.splice(2);
    const joint = shop.ducts.nodes.find(({ id }) => id === run.to);
    const top = run.route.bends[1]?.at;
    if (!joint?.at || !top) throw new Error('no joint');
    joint.at = { ...joint.at, x: top.x };
    const after = moved(shop, taking([one.machine]), { x: 0.5, y: 0.2 });
    expect(shiftsOf(shop, after, run.id)).toEqual(['500,200', '500,200', '500,200', '500,0']);
  });

  it('a joint that only one run leads to goes along where what follows can take it up', () => {
    // A saw’s hose and riser into a joint; from there 4 m along the inlet’s line.
    const lone = loneDuct([
      [-4, 0],
      [-4, 0],
    ]);
    const { shop, run, off, newId } = lone;
    const last = shop.ducts.runs.find(({ id }) => id === run);
    if (!last?.route) throw new Error('no run');
    last.route.bends = [];
    const machine = addMachine(shop, 'bandSaw', newId);
    const own = shop.machines.find(({ id }) => id === machine);
    const port = own?.ports[0]?.id ?? '';
    if (!own) throw new Error('no machine');
    own.place = { x: off(-4, 0).x, y: 1 };
    const routed = routeDuct(
      shop,
      { kind: 'port', machine, port },
      { kind: 'node', node: last.from },
      { between: [off(-4, -1, -1), off(-4, -1)], hasHose: true },
      newId,
    );
    if (!routed.ok) throw new Error(routed.why);
    const shifts = (by: Spot) => {
      const after = moved(shop, taking([machine]), by);
      return [shiftsOf(shop, after, routed.run), shiftsOf(shop, after, run)];
    };
    expect(shifts({ x: 0.5, y: 0 })).toEqual([
      ['500,0', '500,0', '500,0', '500,0'],
      ['500,0', '0,0'],
    ]);
    expect(shifts({ x: 0, y: 0.5 })).toEqual([
      ['0,500', '0,500', '0,500', '0,0'],
      ['0,0', '0,0'],
    ]);
    // Beyond the inlet there is nothing to take it up.
    expect(shifts({ x: 4, y: 0 })).toEqual([
      ['4000,0', '0,0', '0,0', '0,0'],
      ['0,0', '0,0'],
    ]);
  });

  it('ducts that are no tree are left where they are', () => {
    const { shop, drops } = shopWithTwoDrops();
    const [one] = drops;
    if (!one) throw new Error('no drops');
    const lost = copyOf(shop);
    const main = lost.ducts.runs.find(({ to }) => to === 'inlet') ?? lost.ducts.runs[0];
    if (!main) throw new Error('no main');
    // It leads back to where it comes from.
    main.to = main.from;
    expect(arrangeDucts(lost).ok).toBe(false);
    const after = moved(lost, taking([one.machine], { isCollector: true }), { x: 0.5, y: 0 });
    expect(after.ducts).toEqual(lost.ducts);
    const place = (each: Shop) => each.machines.find(({ id }) => id === one.machine)?.place;
    expect((place(after)?.x ?? 0) - (place(lost)?.x ?? 0)).toBeCloseTo(0.5, 9);
  });

  it('whatever is moved however far, the shop stays one that can be read and arranged', () => {
    const shop = drawnShop(8);
    const ids = shop.machines.map(({ id }) => id);
    const runs = shop.ducts.runs.map(({ id }) => id);
    const metres = fc.double({ min: -4, max: 4, noNaN: true });
    fc.assert(
      fc.property(
        fc.subarray(ids),
        fc.subarray(runs),
        fc.boolean(),
        fc.array(fc.record({ x: metres, y: metres }), { minLength: 1, maxLength: 4 }),
        (machines, selected, isCollector, directions) => {
          const after = copyOf(shop);
          const all = taking(machines, { isCollector, runs: new Set(selected) });
          const move = beginMove(shop, all);
          for (const by of directions) moveBy(after, move, by);
          expect(readShop(after).ok).toBe(true);
          expect(arrangeDucts(after).ok).toBe(true);
          moveBy(after, move, { x: 0, y: 0 });
          expect(after).toEqual(shop);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('a machine that goes with its duct leaves every level leg square or at 45°', () => {
    const shop = drawnShop(8);
    const level = (each: Shop) =>
      [...ductLines(each).lines.values()].flatMap(({ legs }) =>
        legs
          .filter(({ direction }) => Math.abs(direction.z) < 0.01)
          .map(({ direction }) => Math.atan2(direction.y, direction.x)),
      );
    const eighth = Math.PI / 4;
    const isSquare = (angle: number) => {
      const turns = angle / eighth;
      return Math.abs(turns - Math.round(turns)) < 1e-6;
    };
    expect(level(shop).every(isSquare)).toBe(true);
    const metres = fc.double({ min: -3, max: 3, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...shop.machines), metres, metres, ({ id }, x, y) => {
        expect(level(moved(shop, taking([id]), { x, y })).every(isSquare)).toBe(true);
      }),
      { numRuns: 100 },
    );
  });
});
