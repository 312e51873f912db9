import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { copyOf, counter } from '../../reference/sample-shops';
import { estimatedCurve } from '../collector/estimated-curve';
import { MACHINE_KIND_IDS } from '../design/machine-kinds';
import { newShop } from '../design/new-shop';
import type { Shop } from '../design/schema';
import { readShop } from '../file/shop-file';
import { allAir, solveShop } from '../network/solve-shop';
import { setRoomSize } from '../room/edit-floor';
import { arrangeDucts } from './arrange-ducts';
import { deriveRuns } from './derive-runs';
import { type DuctConflict, ductConflicts } from './duct-conflicts';
import { ductLines } from './duct-lines';
import { addMachine, copyMachine, removeMachine, routeUsual } from './edit-machines';
import {
  addBend,
  holdTyped,
  movePoint,
  raiseDucts,
  removeBend,
  removeBranch,
  splitInHalf,
} from './edit-route';
import { joinBy } from './join-style';
import { inletMouth } from './places';
import { routeDrawn } from './route-drawn';
import { type DuctEnd, rejoin, routeDuct, runFromPort } from './route-duct';
import { type Point3, plus } from './space';
import { splitAt } from './split-at';
import type { Goal } from './usual-route';

/** A room of 12 by 8 m, its collector's inlet looking toward −x, and a main 6 m long into it. */
function shopWithMain() {
  const shop = newShop('s', 'S', 'metric', estimatedCurve(0.35, 57, 0.5, 1.2));
  setRoomSize(shop, 12, 8);
  shop.room.ceilingHeight = 2.7;
  shop.collector.place = { x: 10, y: 4, z: 0 };
  shop.collector.inlet = { side: 'left', height: 2.3 };
  const inlet = inletMouth(shop)?.at ?? { x: 0, y: 0, z: 0 };
  const newId = counter();
  const off = (x: number, y: number, z = 0): Point3 => plus(inlet, { x, y, z });
  const routed = routeDuct(
    shop,
    { kind: 'inlet' },
    { kind: 'free', at: off(-6, 0) },
    { between: [], hasHose: false },
    newId,
  );
  if (!routed.ok) throw new Error(routed.why);
  return { shop, newId, off, main: routed.run };
}

function machineAt(set: ReturnType<typeof shopWithMain>, x: number, y: number): string {
  const id = addMachine(set.shop, 'bandSaw', set.newId);
  const machine = set.shop.machines.find((each) => each.id === id);
  if (machine) machine.place = { x, y };
  return id;
}

const portOf = (shop: Shop, machine: string) =>
  shop.machines.find(({ id }) => id === machine)?.ports[0]?.id ?? '';

function solved(shop: Shop, view: 'designed' | 'found' = 'designed') {
  const solution = solveShop(shop, { view });
  if (solution.kind !== 'solved') throw new Error(solution.reason.kind);
  return solution;
}

const to = (run: string | null): Goal => (run === null ? { kind: 'inlet' } : { kind: 'run', run });

const kindsOf = (shop: Shop) => new Set(ductConflicts(shop).map(({ kind }: DuctConflict) => kind));

describe('leading ducts', () => {
  it('the usual way of a drop: hose, riser, elbow up, and a 45° wye turned with the flow', () => {
    const set = shopWithMain();
    const { shop, main, newId } = set;
    const saw = machineAt(set, 6, 2);
    const routed = routeUsual(shop, saw, portOf(shop, saw), to(main), newId);
    if (!routed.ok) throw new Error(routed.why);
    const run = deriveRuns(shop).find(({ id }) => id === routed.run);
    expect(run?.joins).toEqual({ kind: 'branch', angle: expect.closeTo(Math.PI / 4, 6) });
    const angles = run?.fittings.flatMap((fitting) =>
      fitting.kind === 'elbow' ? [Math.round((fitting.angle * 180) / Math.PI)] : [],
    );
    // Up to level, and half a right angle into the wye.
    expect(angles).toEqual([90, 45]);
    expect(run?.hose?.length).toBeGreaterThan(0.3);
    expect(run?.gate).not.toBeNull();
    expect(kindsOf(shop)).not.toContain('against the flow');
    expect(kindsOf(shop)).not.toContain('no room to bend');
  });

  it('a wye is made a tee and a tee a wye, by any angle, and back as it was', () => {
    const set = shopWithMain();
    const { shop, main, newId } = set;
    const saw = machineAt(set, 6, 2);
    const routed = routeUsual(shop, saw, portOf(shop, saw), to(main), newId);
    if (!routed.ok) throw new Error(routed.why);
    const angleOf = () => {
      const joins = deriveRuns(shop).find(({ id }) => id === routed.run)?.joins;
      return joins?.kind === 'branch' ? Math.round((joins.angle * 180) / Math.PI) : null;
    };
    const before = ductLines(shop).lines.get(routed.run)?.points;
    expect(angleOf()).toBe(45);
    expect(joinBy(shop, routed.run, Math.PI / 2, newId)).toBeNull();
    expect(angleOf()).toBe(90);
    for (const degrees of [30, 60, 45]) {
      expect(joinBy(shop, routed.run, (degrees * Math.PI) / 180, newId)).toBeNull();
      expect(angleOf()).toBe(degrees);
      expect(kindsOf(shop)).not.toContain('against the flow');
    }
    ductLines(shop)
      .lines.get(routed.run)
      ?.points.forEach(({ x, y, z }, i) => {
        expect(x).toBeCloseTo(before?.[i]?.x ?? 0, 9);
        expect(y).toBeCloseTo(before?.[i]?.y ?? 0, 9);
        expect(z).toBeCloseTo(before?.[i]?.z ?? 0, 9);
      });
    expect(readShop(shop).ok).toBe(true);
    // A tee takes more of the branch's air than a wye: that is why it is asked.
    const flow = () => solved(shop).airIn.get(routed.run)?.[0]?.flowIn ?? 0;
    for (const run of shop.ducts.runs) if (run.gate) run.gate.open = true;
    const wye = flow();
    joinBy(shop, routed.run, Math.PI / 2, newId);
    expect(flow()).toBeLessThan(wye);
  });

  it('what cannot join otherwise is left as it is', () => {
    const { shop, main, newId } = shopWithMain();
    const before = copyOf(shop);
    expect(joinBy(shop, main, Math.PI / 4, newId)).toBe('not a plain branch');
    expect(joinBy(shop, 'gone', Math.PI / 4, newId)).toBe('not a plain branch');
    expect(shop).toEqual(before);
  });

  it('to a joint that is there it leans with the flow of what leaves it', () => {
    const { shop, main, newId, off } = shopWithMain();
    const node = splitAt(shop, main, off(-3, 0), newId) ?? '';
    const saw = machineAt({ shop, newId, off, main }, 6, 2);
    const routed = routeUsual(shop, saw, portOf(shop, saw), { kind: 'node', node }, newId);
    const run = deriveRuns(shop).find(({ id }) => routed.ok && id === routed.run);
    expect(run?.to).toBe(node);
    expect(run?.joins).toEqual({ kind: 'branch', angle: expect.closeTo(Math.PI / 4, 6) });
  });

  it('a main drawn at another height comes down to the inlet ahead of it, not at its far end', () => {
    const { shop, main, newId, off } = shopWithMain();
    removeBranch(shop, main);
    const free: DuctEnd = { kind: 'free', at: off(-5, 0, 0.4) };
    const routed = routeDrawn(shop, { kind: 'inlet' }, free, [], newId);
    const run = deriveRuns(shop).find(({ id }) => routed.ok && id === routed.run);
    expect(run?.length).toBeCloseTo(5.4, 9);
    const [first] = run?.route?.bends ?? [];
    expect(first?.at.z).toBeCloseTo(off(0, 0, 0.4).z, 9);
    expect(kindsOf(shop)).not.toContain('elbow at the collector');
  });

  it('drawn from a port or towards it, a drop is the same', () => {
    const lengths = [true, false].map((isForward) => {
      const set = shopWithMain();
      const { shop, main, newId, off } = set;
      const saw = machineAt(set, 6, 2);
      const port: DuctEnd = { kind: 'port', machine: saw, port: portOf(shop, saw) };
      const end: DuctEnd = { kind: 'run', run: main, at: off(-3, 0) };
      const corners = [off(-4.5, -1.2), off(-3, -1.2)];
      const routed = isForward
        ? routeDrawn(shop, port, end, corners, newId)
        : routeDrawn(shop, end, port, corners.toReversed(), newId);
      const run = deriveRuns(shop).find(({ id }) => routed.ok && id === routed.run);
      expect(run?.joins).toEqual({ kind: 'branch', angle: expect.closeTo(Math.PI / 4, 6) });
      return [run?.length, run?.hose?.length, run?.fittings.length];
    });
    expect(lengths[0]).toEqual(lengths[1]?.map((value) => expect.closeTo(value ?? 0, 9)));
  });

  it('right under the main it rises into it, and still joins by 45°', () => {
    const set = shopWithMain();
    const { shop, main, newId, off } = set;
    const saw = machineAt(set, off(-3, 0).x, off(0, 0).y);
    // Its port is on the left; the foot of the riser stands left of it, under the main.
    const routed = routeUsual(shop, saw, portOf(shop, saw), to(main), newId);
    const run = deriveRuns(shop).find(({ id }) => routed.ok && id === routed.run);
    expect(run?.joins).toEqual({ kind: 'branch', angle: expect.closeTo(Math.PI / 4, 6) });
  });

  it('to the collector with nothing else there: it arrives straight, its elbow well ahead', () => {
    const { shop, newId, main } = shopWithMain();
    removeBranch(shop, main);
    for (const [x, y] of [
      [3, 6],
      [9, 7],
      [11, 1],
    ] as const) {
      const copy = copyOf(shop);
      const saw = addMachine(copy, 'tableSaw', newId);
      const machine = copy.machines.find(({ id }) => id === saw);
      if (machine) machine.place = { x, y };
      expect(routeUsual(copy, saw, portOf(copy, saw), to(null), newId).ok).toBe(true);
      expect(kindsOf(copy)).not.toContain('elbow at the collector');
      expect(solved(copy).blower.flow).toBeGreaterThan(0.05);
    }
  });

  it('what cannot be routed says why and changes nothing', () => {
    const set = shopWithMain();
    const { shop, main, newId, off } = set;
    const saw = machineAt(set, 6, 2);
    const port: DuctEnd = { kind: 'port', machine: saw, port: portOf(shop, saw) };
    routeUsual(shop, saw, portOf(shop, saw), to(main), newId);
    const before = copyOf(shop);
    const free: DuctEnd = { kind: 'free', at: off(-2, 3) };
    const straight = { between: [], hasHose: false };
    const tried = [
      routeDuct(shop, port, { kind: 'inlet' }, straight, newId),
      routeDuct(shop, free, { kind: 'free', at: off(-3, 3) }, straight, newId),
      routeDuct(
        shop,
        { kind: 'inlet' },
        { kind: 'run', run: main, at: off(-3, 0) },
        straight,
        newId,
      ),
      routeDuct(shop, { kind: 'free', at: off(0, 0) }, { kind: 'inlet' }, straight, newId),
      rejoin(shop, main, { kind: 'run', run: main, at: off(-3, 0) }, [], newId),
    ];
    expect(tried.map((routed) => (routed.ok ? 'led' : routed.why))).toEqual([
      'port has its duct',
      'no way to the blower',
      'no way to the blower',
      'no length',
      'into itself',
    ]);
    expect(shop).toEqual(before);
    shop.collector.place = null;
    expect(routeDuct(shop, free, { kind: 'inlet' }, straight, newId)).toEqual({
      ok: false,
      why: 'not placed',
    });
  });

  it('a run led elsewhere: what cannot be says why and changes nothing', () => {
    const set = shopWithMain();
    const { shop, main, newId, off } = set;
    const joint = shop.ducts.runs.find(({ id }) => id === main)?.from ?? '';
    const branch = routeDuct(
      shop,
      { kind: 'free', at: off(-7, 2) },
      { kind: 'node', node: joint },
      { between: [], hasHose: false },
      newId,
    );
    if (!branch.ok) throw new Error(branch.why);
    shop.ducts.nodes.push({ id: 'lost', kind: { kind: 'joint' }, at: null, style: {} });
    const before = copyOf(shop);
    const why = (run: string, target: DuctEnd, between: Point3[] = []) => {
      const routed = rejoin(shop, run, target, between, newId);
      return routed.ok ? 'led' : routed.why;
    };
    expect(why('gone', { kind: 'inlet' })).toBe('no way to the blower');
    expect(why(branch.run, { kind: 'free', at: off(-1, 1) })).toBe('no way to the blower');
    expect(why(branch.run, { kind: 'port', machine: 'm', port: 'p' })).toBe('no way to the blower');
    // The branch lies behind the main: the main cannot lead into it, nor to where it begins.
    expect(why(main, { kind: 'run', run: branch.run, at: off(-6.5, 1) })).toBe('into itself');
    expect(why(main, { kind: 'node', node: joint })).toBe('into itself');
    expect(why(branch.run, { kind: 'node', node: 'lost' })).toBe('not placed');
    expect(why(branch.run, { kind: 'node', node: 'gone' })).toBe('not placed');
    expect(why(branch.run, { kind: 'run', run: 'gone', at: off(-3, 0) })).toBe('not placed');
    expect(why(branch.run, { kind: 'run', run: main, at: off(-7, 2) })).toBe('no length');
    expect(shop).toEqual(before);
    expect(why(branch.run, { kind: 'inlet' })).toBe('led');
  });

  it('a run led elsewhere keeps its slack, or hangs as usual where it was not drawn, and follows its drawing', () => {
    const slackOf = (change: (run: Shop['ducts']['runs'][number]) => void) => {
      const set = shopWithMain();
      const { shop, main, newId, off } = set;
      const saw = machineAt(set, 6, 2);
      const drop = routeUsual(shop, saw, portOf(shop, saw), to(main), newId);
      const own = shop.ducts.runs.find(({ id }) => drop.ok && id === drop.run);
      if (!own) throw new Error('no drop');
      change(own);
      const routed = rejoin(shop, own.id, { kind: 'inlet' }, [off(-2, -1)], newId);
      expect(routed).toEqual({ ok: true, run: own.id });
      expect(own.to).toBe('inlet');
      expect(own.route?.bends.map(({ at }) => at)).toEqual([off(-2, -1)]);
      return own.route;
    };
    const held = slackOf((run) =>
      Object.assign(run.route ?? {}, { slack: 0.3, isFollowed: false }),
    );
    expect(held).toMatchObject({ slack: 0.3, isFollowed: true });
    expect(slackOf((run) => Object.assign(run, { route: null }))?.slack).toBe(0.1);
    expect(slackOf((run) => Object.assign(run, { route: null, hose: null }))?.slack).toBe(0);
  });

  it('of machines with several ports each port has its own run, hose and place', () => {
    const set = shopWithMain();
    const { shop, main, newId, off } = set;
    const saws = [machineAt(set, 4, 2), machineAt(set, 7, 2)];
    for (const id of saws) {
      const machine = shop.machines.find((each) => each.id === id);
      const [port] = machine?.ports ?? [];
      if (machine && port)
        machine.ports.push({ ...port, id: `${id} low`, diameter: 0.08, at: null });
    }
    const drops = saws.flatMap((machine) =>
      (shop.machines.find(({ id }) => id === machine)?.ports ?? []).map(({ id: port }) => {
        const from = { kind: 'port', machine, port } as const;
        const routed = routeDuct(
          shop,
          from,
          { kind: 'run', run: main, at: off(-3, 0) },
          { between: [off(-3, -1)], hasHose: true },
          newId,
        );
        if (!routed.ok) throw new Error(routed.why);
        return { machine, port, run: routed.run };
      }),
    );
    expect(new Set(drops.map(({ run }) => run)).size).toBe(4);
    for (const { machine, port, run } of drops) {
      expect(runFromPort(shop, machine, port)?.id).toBe(run);
      const own = shop.ducts.runs.find(({ id }) => id === run);
      const isLow = port.endsWith('low');
      expect(own?.diameter === 0.08).toBe(isLow);
      expect(own?.hose?.diameter).toBe(own?.diameter);
      expect(own?.route?.slack).toBe(0.1);
      expect(own?.name).toMatch(/^Band saw( 2)? drop/);
    }
    expect(runFromPort(shop, saws[0] ?? '', `${saws[1]} low`)).toBeUndefined();
    // Only the first gate of a shop stands open.
    const open = drops.map(({ run }) => shop.ducts.runs.find(({ id }) => id === run)?.gate?.open);
    expect(open).toEqual([true, false, false, false]);
  });

  it('a hose is for a port that has a way to lie along; what leads on is named by where it leads', () => {
    const set = shopWithMain();
    const { shop, newId, off } = set;
    const saw = machineAt(set, 6, 2);
    const port = { kind: 'port', machine: saw, port: portOf(shop, saw) } as const;
    const routed = (from: DuctEnd, target: DuctEnd, between: Point3[], hasHose: boolean) => {
      const copy = copyOf(shop);
      const routed = routeDuct(copy, from, target, { between, hasHose }, newId);
      if (!routed.ok) throw new Error(routed.why);
      const run = copy.ducts.runs.find(({ id }) => id === routed.run);
      return { run, copy };
    };
    const free = { kind: 'free', at: off(-8, 2) } as const;
    const inlet = { kind: 'inlet' } as const;
    expect(routed(port, inlet, [off(-2, -1)], true).run?.hose).not.toBeNull();
    for (const [from, between, hasHose] of [
      [port, [], true],
      [port, [off(-2, -1)], false],
      [free, [off(-2, -1)], true],
    ] as const) {
      const { run } = routed(from, inlet, [...between], hasHose);
      expect([run?.hose, run?.route?.slack]).toEqual([null, 0]);
    }
    const first = shop.ducts.runs[0];
    const joint = { kind: 'node', node: first?.from ?? '' } as const;
    expect(routed(free, joint, [], false).run?.name).toBe('Main 2');
    expect(routed(free, inlet, [], false).run?.name).toBe('Main 2');
    // Where it leads into something it is made of the same pipe.
    if (first) first.pipe = 'spiralMetric';
    const { run, copy } = routed(free, joint, [], false);
    expect(run).toMatchObject({ pipe: 'spiralMetric', to: joint.node, gate: null });
    expect(copy.ducts.nodes.find(({ id }) => id === run?.from)).toMatchObject({
      kind: { kind: 'joint' },
      at: free.at,
    });
  });

  it('a machine copied has a drop of the same make to the same main', () => {
    const set = shopWithMain();
    const { shop, main, newId } = set;
    const saw = machineAt(set, 6, 2);
    const routed = routeUsual(shop, saw, portOf(shop, saw), to(main), newId);
    const own = shop.ducts.runs.find(({ id }) => routed.ok && id === routed.run);
    if (own?.hose) Object.assign(own, { pipe: 'drain', hose: { ...own.hose, kind: 'smooth' } });
    const copy = copyMachine(shop, saw, newId);
    const { tree } = solved(shop);
    expect(tree.drops.map(({ machine }) => machine.id)).toEqual([saw, copy]);
    const made = tree.drops[1]?.path[0];
    expect([made?.pipe, made?.hose?.kind, made?.diameter]).toEqual([
      'drain',
      'smooth',
      own?.diameter,
    ]);
    expect(shop.machines[1]?.name).toBe('Band saw 2');
  });
});

describe('changing ducts', () => {
  it('cut anywhere, a run has the same air', () => {
    const share = fc.double({ min: 0.02, max: 0.98, noNaN: true });
    fc.assert(
      fc.property(share, fc.boolean(), (at, isDrop) => {
        const set = shopWithMain();
        const { shop, main, newId } = set;
        const saw = machineAt(set, 5, 1);
        const routed = routeUsual(shop, saw, portOf(shop, saw), to(main), newId);
        const run = isDrop && routed.ok ? routed.run : main;
        // A leak in the middle of a run moves with its middle.
        shop.condition.sealing.usual = 0;
        const before = solved(shop, 'found');
        const line = ductLines(shop).lines.get(run);
        const leg = line?.legs[Math.floor(at * line.legs.length)];
        if (!leg) throw new Error('no leg');
        const spot = plus(leg.from, {
          x: leg.direction.x * at * leg.length,
          y: leg.direction.y * at * leg.length,
          z: leg.direction.z * at * leg.length,
        });
        splitAt(shop, run, spot, newId);
        const after = solved(shop, 'found');
        expect(after.blower.flow).toBeCloseTo(before.blower.flow, 6);
        expect(readShop(copyOf(shop)).ok).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  it('a drop taken out leaves the main as it was', () => {
    const set = shopWithMain();
    const { shop, main, newId } = set;
    const saw = machineAt(set, 6, 2);
    const before = copyOf(shop);
    const routed = routeUsual(shop, saw, portOf(shop, saw), to(main), newId);
    expect(shop.ducts.runs.length).toBe(3);
    removeBranch(shop, routed.ok ? routed.run : '');
    expect(shop.machines).toEqual(before.machines);
    expect(shop.ducts.runs.length).toBe(1);
    const [lengths, was] = [shop, before].map((each) =>
      deriveRuns(each).map(({ length }) => length),
    );
    expect(lengths?.[0]).toBeCloseTo(was?.[0] ?? 0, 9);
    removeMachine(shop, saw);
    expect(shop.machines).toEqual([]);
    expect(ductConflicts(shop)).toEqual([]);
  });

  it('a joint moved takes along what is attached; bends come and go; a level rises', () => {
    const set = shopWithMain();
    const { shop, main, newId, off } = set;
    const length = (id: string) => deriveRuns(shop).find((run) => run.id === id)?.length;
    const node = shop.ducts.runs.find(({ id }) => id === main)?.from ?? '';
    movePoint(shop, node, off(-8, 0));
    expect(length(main)).toBeCloseTo(8, 9);
    const bend = addBend(shop, main, off(-4, 3), newId);
    expect(length(main)).toBeCloseTo(10, 9);
    movePoint(shop, bend ?? '', off(-4, 0, 3));
    expect(length(main)).toBeCloseTo(10, 9);
    removeBend(shop, main, bend ?? '');
    expect(length(main)).toBeCloseTo(8, 9);
    const end = shop.ducts.nodes.find(({ id }) => id === node)?.at;
    raiseDucts(shop, end?.z ?? 0, 2.5);
    expect(shop.ducts.nodes.find(({ id }) => id === node)?.at?.z).toBe(2.5);
  });

  it('made into typed figures, a run keeps its air wherever it goes', () => {
    const set = shopWithMain();
    const { shop, main, newId, off } = set;
    addBend(shop, main, off(-3, 2), newId);
    const saw = machineAt(set, 6, 2);
    routeUsual(shop, saw, portOf(shop, saw), to(null), newId);
    const before = solved(shop).blower.flow;
    holdTyped(shop, main);
    expect(solved(shop).blower.flow).toBeCloseTo(before, 6);
    movePoint(shop, shop.ducts.runs.find(({ id }) => id === main)?.from ?? '', off(-9, 0));
    expect(solved(shop).blower.flow).toBeCloseTo(before, 6);
    splitInHalf(shop, main, newId);
    expect(solved(shop).blower.flow).toBeCloseTo(before, 6);
  });

  it('in any order edits leave a valid document that solves', () => {
    const step = fc.record({
      what: fc.constantFrom(
        'machine',
        'lead',
        'free',
        'split',
        'out',
        'move',
        'bend',
        'copy',
        'gone',
        'hold',
      ),
      pick: fc.nat(100),
      x: fc.double({ min: 0, max: 12, noNaN: true }),
      y: fc.double({ min: 0, max: 8, noNaN: true }),
      kind: fc.constantFrom(...MACHINE_KIND_IDS),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 25 }), (steps) => {
        const { shop, newId } = shopWithMain();
        for (const { what, pick, x, y, kind } of steps) {
          const run = shop.ducts.runs[pick % Math.max(1, shop.ducts.runs.length)]?.id;
          const machine = shop.machines[pick % Math.max(1, shop.machines.length)];
          const at = { x, y, z: 2.3 };
          const end: DuctEnd = run ? { kind: 'run', run, at } : { kind: 'inlet' };
          if (what === 'machine') addMachine(shop, kind, newId);
          else if (what === 'free') {
            routeDuct(shop, { kind: 'free', at }, end, { between: [], hasHose: false }, newId);
          } else if (what === 'lead' && machine) {
            routeUsual(shop, machine.id, machine.ports[0]?.id ?? '', to(run ?? null), newId);
          } else if (what === 'split' && run) splitInHalf(shop, run, newId);
          else if (what === 'out' && run) removeBranch(shop, run);
          else if (what === 'bend' && run) addBend(shop, run, at, newId);
          else if (what === 'copy' && machine) copyMachine(shop, machine.id, newId);
          else if (what === 'gone' && machine) removeMachine(shop, machine.id);
          else if (what === 'hold' && run) holdTyped(shop, run);
          else if (what === 'move') {
            const node = shop.ducts.nodes[pick % shop.ducts.nodes.length];
            movePoint(shop, node?.id ?? '', at);
          }
        }
        const read = readShop(copyOf(shop));
        expect(read.ok ? [] : read.faults).toEqual([]);
        expect(arrangeDucts(shop).ok).toBe(true);
        const solution = solveShop(shop, { view: 'found' });
        expect(solution.kind).toBe('solved');
        if (solution.kind === 'solved') {
          expect(JSON.stringify(allAir(solution))).not.toContain('null');
        }
        expect(() => ductConflicts(shop)).not.toThrow();
      }),
      { numRuns: 150 },
    );
  });
});

describe('what is wrong with where ducts lie', () => {
  it.each([
    [
      'through a post',
      (set) => set.shop.room.posts.push({ id: 'post', at: set.off(-3, 0.05), width: 0.1 }),
    ],
    ['above the ceiling', (set) => raiseDucts(set.shop, set.off(0, 0).z, 2.65)],
    ['into the floor', (set) => raiseDucts(set.shop, set.off(0, 0).z, 0.01)],
    ['below head height', (set) => raiseDucts(set.shop, set.off(0, 0).z, 1.7)],
    ['through a wall', (set) => movePoint(set.shop, set.free, set.off(-20, 0))],
    ['through the collector', (set) => movePoint(set.shop, set.free, set.off(1.5, 0))],
    ['no length', (set) => movePoint(set.shop, set.free, set.off(0, 0))],
    ['elbow at the collector', (set) => movePoint(set.shop, set.free, set.off(0, 3))],
    ['one spot', (set) => void addBend(set.shop, set.main, set.off(-6, 0), set.newId)],
    [
      'no room to bend',
      (set) => {
        addBend(set.shop, set.main, set.off(-3, 0.1), set.newId);
        addBend(set.shop, set.main, set.off(-2.95, 0), set.newId);
      },
    ],
    [
      'wider than what follows',
      (set) => {
        const run = set.shop.ducts.runs[0];
        if (run) run.diameter = 0.2;
      },
    ],
    ['port without a duct', (set) => void addMachine(set.shop, 'jointer', set.newId)],
    [
      'long hose',
      (set) => {
        const saw = machineAt(set, 6, 2);
        const routed = routeUsual(set.shop, saw, portOf(set.shop, saw), to(set.main), set.newId);
        const run = set.shop.ducts.runs.find(({ id }) => routed.ok && id === routed.run);
        for (const bend of run?.route?.bends.slice(0, 1) ?? []) bend.at.y += 3;
      },
    ],
    [
      'against the flow',
      (set) => {
        const end: DuctEnd = { kind: 'run', run: set.main, at: set.off(-4, 0) };
        const free: DuctEnd = { kind: 'free', at: set.off(-2, 2) };
        routeDuct(set.shop, free, end, { between: [], hasHose: false }, set.newId);
      },
    ],
  ] as readonly [
    DuctConflict['kind'],
    (set: ReturnType<typeof shopWithMain> & { free: string }) => unknown,
  ][])('%s', (kind, spoil) => {
    const set = shopWithMain();
    const free = set.shop.ducts.runs[0]?.from ?? '';
    expect(kindsOf(set.shop)).not.toContain(kind);
    spoil({ ...set, free });
    expect(kindsOf(set.shop)).toContain(kind);
  });
});
