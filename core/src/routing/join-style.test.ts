import { describe, expect, it } from 'vitest';
import { LONE_DUCT, loneDuct } from '../../reference/lone-duct';
import type { Run, Shop } from '../design/schema';
import { joinBy } from './join-style';
import { distance, type Point3 } from './space';
import { splitAt } from './split-at';

/** So much a wye of one size, the elbow before it and a pipe between them take, at 30° to 60°: worked by hand. */
const REACH = 2.5 * LONE_DUCT;
const rad = (degrees: number) => (degrees * Math.PI) / 180;

/** A main cut half way, and a branch to the cut from −y, through points given from the inlet. */
function withBranch(
  points: readonly (readonly [x: number, y: number, z?: number])[],
  cut: readonly [x: number, y: number] = [-3, 0],
) {
  const set = loneDuct([[-6, 0]]);
  const { shop, run, off, newId } = set;
  const node = splitAt(shop, run, off(...cut), newId) ?? '';
  const lower = shop.ducts.runs.find(({ from }) => from === node);
  if (!lower) throw new Error('no lower');
  const [first, ...bends] = points.map((point) => off(...point));
  const start = newId();
  shop.ducts.nodes.push({ id: start, kind: { kind: 'joint' }, at: first ?? null, style: {} });
  const branch: Run = {
    ...structuredClone(lower),
    id: newId(),
    from: start,
    to: node,
    route: {
      bends: bends.map((at, i) => ({
        id: `b${i}`,
        at,
        style: { elbow: 'smooth', radiusRatio: 2, pair: null },
      })),
      slack: 0,
      isFollowed: true,
    },
  };
  shop.ducts.runs.push(branch);
  const bendsNow = () => shop.ducts.runs.find(({ id }) => id === branch.id)?.route?.bends ?? [];
  const jointNow = () => shop.ducts.nodes.find(({ id }) => id === node)?.at ?? null;
  const join = (degrees: number) => joinBy(shop, branch.id, rad(degrees), newId);
  return { ...set, node, branch: branch.id, join, bendsNow, jointNow };
}

const isAt = (place: Point3 | null | undefined, wanted: Point3) =>
  place != null && distance(place, wanted) < 1e-6;

describe('a branch that comes squarely', () => {
  it('leans by the angle asked for, from two and a half diameters beside the main', () => {
    for (const degrees of [30, 45, 60]) {
      const { join, bendsNow, jointNow, off } = withBranch([[-3, -2]]);
      expect(join(degrees)).toBeNull();
      expect(bendsNow()).toHaveLength(1);
      expect(isAt(bendsNow()[0]?.at, off(-3, -REACH))).toBe(true);
      expect(isAt(jointNow(), off(-3 + REACH / Math.tan(rad(degrees)), 0)), String(degrees)).toBe(
        true,
      );
    }
  });

  it('keeps its corner’s make when it is made to lean by another angle, and can be a tee again', () => {
    const { join, bendsNow, jointNow, off } = withBranch([
      [-3.3, -2],
      [-3.3, -0.3],
    ]);
    const id = bendsNow()[0]?.id;
    expect(join(60)).toBeNull();
    expect(isAt(jointNow(), off(-3.3 + REACH / Math.tan(rad(60)), 0))).toBe(true);
    expect(bendsNow()).toMatchObject([{ id, style: { elbow: 'smooth', radiusRatio: 2 } }]);
    expect(isAt(bendsNow()[0]?.at, off(-3.3, -REACH))).toBe(true);
    expect(join(90)).toBeNull();
    expect(bendsNow()).toEqual([]);
    expect(isAt(jointNow(), off(-3.3, 0))).toBe(true);
  });

  it('keeps a bend further off', () => {
    const { join, bendsNow, off } = withBranch([
      [-5, -2],
      [-3, -2],
    ]);
    expect(join(45)).toBeNull();
    expect(bendsNow().map(({ id }) => id)[0]).toBe('b0');
    expect(bendsNow()).toHaveLength(2);
    expect(isAt(bendsNow()[1]?.at, off(-3, -REACH))).toBe(true);
    expect(join(90)).toBeNull();
    expect(bendsNow().map(({ id }) => id)).toEqual(['b0']);
  });

  it('turns within eight tenths of a short last leg, and not at all on less than a radius', () => {
    const short = withBranch([[-3, -0.2]]);
    expect(short.join(45)).toBeNull();
    expect(isAt(short.bendsNow()[0]?.at, short.off(-3, -0.16))).toBe(true);
    const tiny = withBranch([[-3, -0.09]]);
    const before = structuredClone(tiny.shop);
    expect(tiny.join(45)).toBe('no room');
    expect(tiny.shop).toEqual(before);
    // A tee needs no turn.
    expect(tiny.join(90)).toBeNull();
  });
});

describe('what cannot be joined otherwise', () => {
  function expectRefused(set: ReturnType<typeof withBranch>, why: string, degrees = 45) {
    const before = structuredClone(set.shop);
    expect(set.join(degrees)).toBe(why);
    expect(set.shop).toEqual(before);
  }

  it('comes at a slant, or is not drawn', () => {
    expectRefused(withBranch([[-5, -2]]), 'not a plain branch');
    expectRefused(
      withBranch([
        [-5, -2],
        [-4, -1.5],
      ]),
      'not a plain branch',
    );
    const undrawn = withBranch([[-3, -2]]);
    const run = undrawn.shop.ducts.runs.find(({ id }) => id === undrawn.branch);
    if (run) run.route = null;
    expectRefused(undrawn, 'not a plain branch');
  });

  it('meets more than one other, or none', () => {
    const set = withBranch([[-3, -2]]);
    const { shop, branch, off, newId } = set;
    const own = shop.ducts.runs.find(({ id }) => id === branch);
    const start = newId();
    shop.ducts.nodes.push({ id: start, kind: { kind: 'joint' }, at: off(-3, 2), style: {} });
    if (own) shop.ducts.runs.push({ ...structuredClone(own), id: newId(), from: start });
    expectRefused(set, 'not a plain branch');
    const lone = withBranch([[-3, -2]]);
    remove(lone.shop, lone.run);
    expectRefused(lone, 'not a plain branch');
  });

  it('would stand past what follows on its main, or come before what is there', () => {
    // The joint of a wye of 30° moves 0.65 m down the main, which 0.65 m from the collector is too far.
    expectRefused(withBranch([[-0.65, -2]], [-0.65, 0]), 'no room', 30);
    expect(withBranch([[-0.72, -2]], [-0.72, 0]).join(30)).toBeNull();
    // It leans now; as a tee it would stand before the main begins.
    expectRefused(
      withBranch(
        [
          [-6.1, -2],
          [-6.1, -0.3],
        ],
        [-5.5, 0],
      ),
      'no room',
      90,
    );
  });
});

function remove(shop: Shop, run: string): void {
  shop.ducts.runs = shop.ducts.runs.filter(({ id }) => id !== run);
}
