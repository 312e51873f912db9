import { describe, expect, it } from 'vitest';
import { LONE_DUCT, loneDuct } from '../../reference/lone-duct';
import type { Run, Shop } from '../design/schema';
import { deriveRuns } from './derive-runs';
import {
  addBend,
  drawRun,
  followDrawing,
  holdTyped,
  movePoint,
  raiseDucts,
  removeBend,
  removeBranch,
  setBendStyle,
  splitInHalf,
} from './edit-route';
import { distance, type Point3 } from './space';
import { splitAt } from './split-at';

const runOf = (shop: Shop, id: string): Run => {
  const run = shop.ducts.runs.find((each) => each.id === id);
  if (!run) throw new Error(`no ${id}`);
  return run;
};
const nodeOf = (shop: Shop, id: string) => {
  const node = shop.ducts.nodes.find((each) => each.id === id);
  if (!node) throw new Error(`no ${id}`);
  return node;
};
const bendsOf = (shop: Shop, id: string) => runOf(shop, id).route?.bends ?? [];
const lengthOf = (shop: Shop, id: string) => deriveRuns(shop).find((run) => run.id === id)?.length;
const isAt = (place: Point3 | null | undefined, wanted: Point3) =>
  place != null && distance(place, wanted) < 1e-6;

/** 3 m along −y, 5 m along the inlet's line. */
const bent = () =>
  loneDuct([
    [-5, 3],
    [-5, 0],
  ]);
const SMOOTH = { elbow: 'smooth', radiusRatio: 2, pair: null } as const;

describe('a point of a duct', () => {
  it('is moved by its id, joint or bend, and no other point is', () => {
    const { shop, run, off } = bent();
    const joint = runOf(shop, run).from;
    const [bend] = bendsOf(shop, run);
    movePoint(shop, bend?.id ?? '', off(-4, 0));
    expect(isAt(bendsOf(shop, run)[0]?.at, off(-4, 0))).toBe(true);
    expect(isAt(nodeOf(shop, joint).at, off(-5, 3))).toBe(true);
    movePoint(shop, joint, off(-4, 3));
    expect(isAt(nodeOf(shop, joint).at, off(-4, 3))).toBe(true);
    expect(lengthOf(shop, run)).toBeCloseTo(7, 9);
    // The inlet is where its collector is.
    const before = structuredClone(shop);
    movePoint(shop, 'inlet', off(1, 1));
    movePoint(shop, 'gone', off(1, 1));
    expect(shop).toEqual(before);
  });

  it('is made as asked: a bend, or the turn at a node', () => {
    const { shop, run } = bent();
    const [bend] = bendsOf(shop, run);
    setBendStyle(shop, bend?.id ?? '', SMOOTH);
    expect(bendsOf(shop, run)[0]?.style).toEqual(SMOOTH);
    setBendStyle(shop, 'inlet', SMOOTH);
    expect(nodeOf(shop, 'inlet').style).toEqual({ bend: SMOOTH });
    expect(nodeOf(shop, runOf(shop, run).from).style).toEqual({});
  });

  it('is added to a run where it passes nearest, between the right two others', () => {
    const { shop, run, off, newId } = bent();
    const [old] = bendsOf(shop, run);
    const first = addBend(shop, run, off(-5.2, 2), newId);
    const last = addBend(shop, run, off(-1, 0.3), newId);
    expect(bendsOf(shop, run).map(({ id }) => id)).toEqual([first, old?.id, last]);
    expect(isAt(bendsOf(shop, run)[0]?.at, off(-5.2, 2))).toBe(true);
    expect(bendsOf(shop, run)[2]?.style).toEqual({
      elbow: 'fivePiece',
      radiusRatio: 1.5,
      pair: null,
    });
    const middle = addBend(shop, run, off(-3, 0), newId);
    expect(bendsOf(shop, run).map(({ id }) => id)).toEqual([first, old?.id, middle, last]);
    // At an existing corner the new bend comes ahead of it.
    const corner = addBend(shop, run, off(-5, 0), newId);
    expect(bendsOf(shop, run).findIndex(({ id }) => id === corner)).toBe(1);
    removeBend(shop, run, corner ?? '');
    removeBend(shop, run, middle ?? '');
    expect(bendsOf(shop, run).map(({ id }) => id)).toEqual([first, old?.id, last]);
    expect(addBend(shop, 'gone', off(0, 0), newId)).toBeNull();
    runOf(shop, run).route = null;
    expect(addBend(shop, run, off(-3, 0), newId)).toBeNull();
    removeBend(shop, run, first ?? '');
  });

  it('is raised together with all others at its height, and no more', () => {
    const { shop, run, off, newId, inlet } = bent();
    const low = addBend(shop, run, off(-2, 0, -1), newId);
    raiseDucts(shop, inlet.z, 2.5);
    expect(nodeOf(shop, runOf(shop, run).from).at?.z).toBe(2.5);
    const heights = bendsOf(shop, run).map(({ id, at }) => [id === low, at.z] as const);
    for (const [isLow, z] of heights) expect(z).toBeCloseTo(isLow ? inlet.z - 1 : 2.5, 9);
    raiseDucts(shop, 2.5 + 2e-3, 1);
    expect(nodeOf(shop, runOf(shop, run).from).at?.z).toBe(2.5);
  });
});

describe('typed figures of a drawn run', () => {
  it('begin as the drawing has them and hold wherever it lies, until the drawing is followed', () => {
    const { shop, run, off } = bent();
    holdTyped(shop, run);
    const held = runOf(shop, run);
    expect(held.route?.isFollowed).toBe(false);
    const radius = 1.5 * LONE_DUCT;
    expect(held.length).toBeCloseTo(8, 9);
    expect(held.fittings).toMatchObject([
      {
        kind: 'elbow',
        angle: expect.closeTo(Math.PI / 2, 9),
        after: expect.closeTo(5 - radius, 9),
      },
    ]);
    movePoint(shop, held.from, off(-5, 9));
    expect(lengthOf(shop, run)).toBeCloseTo(8, 9);
    const before = structuredClone(shop);
    // A run that is held already takes nothing from the drawing again.
    holdTyped(shop, run);
    holdTyped(shop, 'gone');
    expect(shop).toEqual(before);
    followDrawing(shop, run);
    expect(lengthOf(shop, run)).toBeCloseTo(14, 9);
    followDrawing(shop, 'gone');
  });

  it('keep the angles of what meets it at either end, which the drawing had', () => {
    const { shop, run, off, newId } = loneDuct([[-6, 0]]);
    const node = splitAt(shop, run, off(-3, 0), newId) ?? '';
    const lower = shop.ducts.runs.find(({ from }) => from === node);
    if (!lower) throw new Error('no lower');
    const start = newId();
    shop.ducts.nodes.push({ id: start, kind: { kind: 'joint' }, at: off(-5, 2), style: {} });
    const branch: Run = { ...structuredClone(lower), id: newId(), from: start, to: node };
    shop.ducts.runs.push(branch);
    // Elsewhere nothing is held: a run that meets neither end keeps what was typed of it.
    const apart: Run = { ...structuredClone(branch), id: newId(), from: newId(), to: start };
    apart.joins = { kind: 'branch', angle: 0.3 };
    shop.ducts.nodes.push({ id: apart.from, kind: { kind: 'joint' }, at: off(-5, 4), style: {} });
    shop.ducts.runs.push(apart);
    const held = structuredClone(shop);
    holdTyped(held, run);
    expect(runOf(held, apart.id).joins).toEqual({ kind: 'branch', angle: 0.3 });
    for (const own of [run, lower.id]) {
      const copy = structuredClone(shop);
      holdTyped(copy, own);
      expect(runOf(copy, branch.id).joins).toEqual({
        kind: 'branch',
        angle: expect.closeTo(Math.PI / 4, 9),
      });
      expect(runOf(copy, run).joins).toEqual({ kind: 'straight' });
    }
  });
});

describe('a run', () => {
  it('is drawn between its ends, and its upstream end is put somewhere if it has no place', () => {
    const { shop, run, off, newId } = bent();
    runOf(shop, run).route = null;
    const joint = runOf(shop, run).from;
    nodeOf(shop, joint).at = null;
    drawRun(shop, run, [off(-4, 0)], off(-4, 2), newId);
    expect(isAt(nodeOf(shop, joint).at, off(-4, 2))).toBe(true);
    expect(lengthOf(shop, run)).toBeCloseTo(6, 9);
    expect(runOf(shop, run).route).toMatchObject({ slack: 0, isFollowed: true });
    drawRun(shop, run, [], null, newId);
    expect(isAt(nodeOf(shop, joint).at, off(-4, 2))).toBe(true);
    expect(lengthOf(shop, run)).toBeCloseTo(Math.hypot(4, 2), 9);
    const hosed = runOf(shop, run);
    hosed.route = null;
    hosed.hose = { kind: 'smooth', length: 1, diameter: LONE_DUCT, compression: 0 };
    drawRun(shop, run, [off(-3, 2)], null, newId);
    // A hose hangs a tenth longer than straight.
    expect(hosed.route).toMatchObject({ slack: 0.1 });
    drawRun(shop, 'gone', [], null, newId);
  });

  it('is cut in the middle of its pipe, on whichever leg that lies', () => {
    const { shop, run, off, newId } = bent();
    const node = splitInHalf(shop, run, newId);
    expect(isAt(nodeOf(shop, node ?? '').at, off(-4, 0))).toBe(true);
    const short = loneDuct([
      [-1, 5],
      [-1, 0],
    ]);
    const other = splitInHalf(short.shop, short.run, short.newId);
    expect(isAt(nodeOf(short.shop, other ?? '').at, short.off(-1, 2))).toBe(true);
    const undrawn = bent();
    runOf(undrawn.shop, undrawn.run).route = null;
    runOf(undrawn.shop, undrawn.run).length = 6;
    const half = splitInHalf(undrawn.shop, undrawn.run, undrawn.newId);
    expect(nodeOf(undrawn.shop, half ?? '').at).toBeNull();
    expect(undrawn.shop.ducts.runs.map(({ length }) => length)).toEqual([3, 3]);
  });
});

describe('ducts taken out', () => {
  /** A main that is cut where a branch joins it; the branch is the one to be taken out. */
  function withBranch(change: (upper: Run, lower: Run, shop: Shop) => void = () => {}) {
    const set = bent();
    const { shop, run, off, newId } = set;
    const node = splitAt(shop, run, off(-3, 0), newId) ?? '';
    const lower = shop.ducts.runs.find(({ from }) => from === node);
    if (!lower) throw new Error('no lower');
    const start = newId();
    shop.ducts.nodes.push({ id: start, kind: { kind: 'joint' }, at: off(-4, 1), style: {} });
    const id = newId();
    shop.ducts.runs.push({ ...structuredClone(lower), id, from: start, to: node });
    change(runOf(shop, run), lower, shop);
    return { ...set, node, lower: lower.id, branch: id };
  }

  it('leave their main in one piece, as it was before it was cut for them', () => {
    const { shop, run, branch, node, lower } = withBranch();
    removeBranch(shop, branch);
    expect(shop.ducts.runs.map(({ id }) => id)).toEqual([run]);
    expect(shop.ducts.nodes.map(({ id }) => id)).not.toContain(node);
    expect(runOf(shop, run).to).toBe('inlet');
    expect(lengthOf(shop, run)).toBeCloseTo(8, 9);
    expect(shop.ducts.runs.some(({ id }) => id === lower)).toBe(false);
  });

  it('leave a corner where the main turns at their joint, made as the joint was', () => {
    const { shop, run, branch, node, off } = withBranch((_, __, own) => {
      const joint = own.ducts.nodes.at(-2);
      if (joint?.at) joint.style.bend = { ...SMOOTH };
    });
    movePoint(shop, node, off(-3, 1));
    removeBranch(shop, branch);
    const corner = bendsOf(shop, run).find(({ id }) => id === node);
    expect(isAt(corner?.at, off(-3, 1))).toBe(true);
    expect(corner?.style).toEqual(SMOOTH);
  });

  it('leave no corner where the main goes straight on between two bends, and one where it turns', () => {
    const straight = (turned: boolean) => {
      // Two bends on the inlet's line, the joint between them.
      const set = loneDuct([
        [-6, 3],
        [-6, 0],
        [-2, 0],
        [-2, 2],
        [0, 0],
      ]);
      const { shop, run, off, newId } = set;
      runOf(shop, run).route?.bends.pop();
      const node = splitAt(shop, run, off(-4, 0), newId) ?? '';
      const start = newId();
      shop.ducts.nodes.push({ id: start, kind: { kind: 'joint' }, at: off(-5, 1), style: {} });
      const lower = shop.ducts.runs.find(({ from }) => from === node);
      if (!lower) throw new Error('no lower');
      const branch = { ...structuredClone(lower), id: newId(), from: start, to: node };
      if (branch.route) branch.route.bends = [];
      shop.ducts.runs.push(branch);
      if (turned) movePoint(shop, node, off(-4, 0.5));
      removeBranch(shop, branch.id);
      expect(shop.ducts.runs.map(({ id }) => id)).toEqual([run]);
      return bendsOf(shop, run).map(({ id, at, style }) => ({ isNode: id === node, at, style }));
    };
    expect(straight(false).map(({ isNode }) => isNode)).toEqual([false, false, false]);
    const bends = straight(true);
    expect(bends.map(({ isNode }) => isNode)).toEqual([false, true, false, false]);
    expect(bends[1]?.style).toEqual({ elbow: 'fivePiece', radiusRatio: 1.5, pair: null });
  });

  const fitted = { kind: 'other', id: 'o', name: 'Trap', lossCoefficient: 0.5, count: 1 } as const;
  it('keep what the two halves had on them', () => {
    const { shop, run, branch } = withBranch((upper, lower) => {
      upper.fittings = [fitted];
      lower.fittings = [{ ...fitted, id: 'p' }];
    });
    removeBranch(shop, branch);
    expect(runOf(shop, run).fittings.map(({ id }) => id)).toEqual(['o', 'p']);
  });

  const gate = { opening: 1, open: true, closedGap: 0 } as const;
  it.each([
    ['of another pipe', (_, lower) => Object.assign(lower, { pipe: 'drain' })],
    ['of another diameter', (_, lower) => Object.assign(lower, { diameter: 0.16 })],
    [
      'with a gate at the joint',
      (upper) => Object.assign(upper, { gate: { ...gate, end: 'downstream' } }),
    ],
    [
      'with a gate below',
      (_, lower) => Object.assign(lower, { gate: { ...gate, end: 'upstream' } }),
    ],
    [
      'whose lower half has typed figures',
      (_, lower) => Object.assign(lower.route ?? {}, { isFollowed: false }),
    ],
    [
      'whose upper half has typed figures',
      (upper) => Object.assign(upper.route ?? {}, { isFollowed: false }),
    ],
    [
      'whose lower half is believed to have a hole',
      (_, lower, shop) =>
        shop.condition.holes.push({ run: lower.id, area: 1e-4, origin: { kind: 'assumed' } }),
    ],
    [
      'whose lower half is sealed otherwise',
      (_, lower, shop) =>
        shop.condition.sealing.runs.push({
          run: lower.id,
          leakageClass: 3,
          origin: { kind: 'assumed' },
        }),
    ],
    [
      'whose lower half has joints of its own',
      (_, lower, shop) =>
        shop.condition.joints.runs.push({ run: lower.id, gap: 1e-3, origin: { kind: 'assumed' } }),
    ],
    ['whose lower half is not drawn', (_, lower) => Object.assign(lower, { route: null })],
  ] as [string, (upper: Run, lower: Run, shop: Shop) => void][])(
    'leave a main %s in two',
    (_, change) => {
      const { shop, run, lower, branch } = withBranch(change);
      removeBranch(shop, branch);
      expect(shop.ducts.runs.map(({ id }) => id)).toEqual([run, lower]);
    },
  );

  it('leave a main in two where something else still joins it', () => {
    const { shop, run, lower, branch } = withBranch((upper, _, own) => {
      const last = own.ducts.runs.at(-1);
      const start = own.ducts.nodes.at(-1);
      if (!last || !start) return;
      own.ducts.nodes.push({ ...start, id: 'second' });
      own.ducts.runs.push({ ...structuredClone(last), id: 'other', from: 'second' });
      upper.gate = null;
    });
    removeBranch(shop, branch);
    expect(shop.ducts.runs.map(({ id }) => id).sort()).toEqual([run, lower, 'other'].sort());
    removeBranch(shop, 'other');
    expect(shop.ducts.runs.map(({ id }) => id)).toEqual([run]);
    const gated = withBranch((upper) => {
      upper.gate = { ...gate, end: 'upstream' };
    });
    removeBranch(gated.shop, gated.branch);
    expect(gated.shop.ducts.runs).toMatchObject([{ gate: { end: 'upstream' } }]);
  });
});
