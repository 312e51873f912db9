import { describe, expect, it } from 'vitest';
import { LONE_DUCT, loneDuct } from '../../reference/lone-duct';
import type { Run, Shop } from '../design/schema';
import { deriveRuns } from './derive-runs';
import { addMachine } from './edit-machines';
import { portMouth } from './places';
import { distance, type Point3 } from './space';
import { splitAt } from './split-at';

/** 3 m along −y, then 5 m along the inlet's line; typed as 10 m, two joints, a gate and a hose as asked. */
function bent(change: (run: Run) => void = () => {}) {
  return loneDuct(
    [
      [-5, 3],
      [-5, 0],
    ],
    (_, run) => {
      Object.assign(run, { length: 10, joints: 4 });
      change(run);
    },
  );
}

const runOf = (shop: Shop, id: string) => {
  const run = shop.ducts.runs.find((each) => each.id === id);
  if (!run) throw new Error(`no ${id}`);
  return run;
};
const placeOf = (shop: Shop, node: string | null) =>
  shop.ducts.nodes.find(({ id }) => id === node)?.at ?? null;
const isAt = (place: Point3 | null, wanted: Point3) =>
  place !== null && distance(place, wanted) < 1e-6;

describe('a run that is cut', () => {
  it('after its bend keeps the bend upstream, and both share its typed length in proportion', () => {
    const { shop, run, off, newId } = bent();
    const node = splitAt(shop, run, off(-2, 0.5), newId);
    expect(isAt(placeOf(shop, node), off(-2, 0))).toBe(true);
    const upper = runOf(shop, run);
    const lower = shop.ducts.runs.find(({ from }) => from === node);
    expect(upper.to).toBe(node);
    expect(lower?.to).toBe('inlet');
    expect(upper.route?.bends).toHaveLength(1);
    expect(lower?.route?.bends).toEqual([]);
    // 6 of the 8 m lie upstream of the cut.
    expect(upper.length).toBeCloseTo(7.5, 9);
    expect(lower?.length).toBeCloseTo(2.5, 9);
    expect([upper.joints, lower?.joints]).toEqual([null, null]);
    expect(upper.joins).toEqual({ kind: 'straight' });
    expect(lower).toMatchObject({ diameter: LONE_DUCT, hose: null, gate: null, fittings: [] });
    expect(lower?.name).not.toBe(upper.name);
    expect(new Set(shop.ducts.runs.map(({ id }) => id)).size).toBe(2);
  });

  it('before its bend keeps the bend downstream', () => {
    const { shop, run, off, newId } = bent();
    const node = splitAt(shop, run, off(-5, 2), newId);
    expect(isAt(placeOf(shop, node), off(-5, 2))).toBe(true);
    const lower = shop.ducts.runs.find(({ from }) => from === node);
    expect(runOf(shop, run).route?.bends).toEqual([]);
    expect(lower?.route?.bends).toHaveLength(1);
    expect(runOf(shop, run).length).toBeCloseTo(10 / 8, 9);
    const derived = deriveRuns(shop).map(({ length }) => length ?? 0);
    expect(derived.reduce((sum, length) => sum + length, 0)).toBeCloseTo(8, 9);
  });

  it('at its bend makes the corner a joint that bends as it did', () => {
    const { shop, run, off, newId } = bent((own) => {
      const [bend] = own.route?.bends ?? [];
      if (bend) bend.style = { elbow: 'smooth', radiusRatio: 2, pair: null };
    });
    const node = splitAt(shop, run, off(-5, 0), newId);
    expect(isAt(placeOf(shop, node), off(-5, 0))).toBe(true);
    const lower = shop.ducts.runs.find(({ from }) => from === node);
    expect(runOf(shop, run).route?.bends).toEqual([]);
    expect(lower?.route?.bends).toEqual([]);
    const style = shop.ducts.nodes.find(({ id }) => id === node)?.style;
    expect(style).toEqual({ bend: { elbow: 'smooth', radiusRatio: 2, pair: null } });
    const between = splitAt(shop, lower?.id ?? '', off(-2, 0), newId);
    expect(shop.ducts.nodes.find(({ id }) => id === between)?.style).toEqual({});
  });

  it('close to an end is not cut: what joins does so at that end', () => {
    const { shop, run, off, newId } = bent();
    const { from, to } = runOf(shop, run);
    expect(splitAt(shop, run, off(-0.02, 0), newId)).toBe(to);
    expect(splitAt(shop, run, off(5, 0), newId)).toBe(to);
    expect(splitAt(shop, run, off(-5, 2.98), newId)).toBe(from);
    expect(shop.ducts.runs).toHaveLength(1);
    expect(splitAt(shop, run, off(-5, 2.96), newId)).not.toBe(from);
    expect(shop.ducts.runs).toHaveLength(2);
    expect(splitAt(shop, 'gone', off(0, 0), newId)).toBeNull();
  });

  it('is not cut in its hose: the hose’s end is the nearest place, and stays upstream', () => {
    const { shop, run, off, newId } = bent((own) => {
      own.hose = { kind: 'smooth', length: 3, diameter: LONE_DUCT, compression: 0 };
    });
    const node = splitAt(shop, run, off(-5, 1.5), newId);
    expect(isAt(placeOf(shop, node), off(-5 + 0.03, 0))).toBe(true);
    expect(runOf(shop, run).hose).not.toBeNull();
    const lower = shop.ducts.runs.find(({ from }) => from === node);
    expect(lower?.hose).toBeNull();
    // Of the 5 m of pipe 3 cm stay upstream.
    expect(runOf(shop, run).length).toBeCloseTo((10 * 0.03) / 5, 9);
  });

  it('close to a port is cut a little behind it, since nothing else can join at a port', () => {
    const { shop, run, off, newId } = bent();
    const machine = addMachine(shop, 'bandSaw', newId);
    const port = shop.machines[0]?.ports[0]?.id ?? '';
    const start = shop.ducts.nodes.find(({ id }) => id === runOf(shop, run).from);
    if (!start) throw new Error('no start');
    start.kind = { kind: 'port', machine, port };
    start.at = null;
    const mouth =
      shop.machines[0]?.ports[0] && portMouth(shop.machines[0], shop.machines[0].ports[0]);
    if (!mouth) throw new Error('no mouth');
    const node = splitAt(shop, run, mouth.at, newId);
    expect(node).not.toBe(start.id);
    expect(shop.ducts.runs).toHaveLength(2);
    expect(distance(placeOf(shop, node) ?? off(99, 99), mouth.at)).toBeCloseTo(0.03, 6);
  });

  it('keeps its gate at the end it is at', () => {
    for (const end of ['upstream', 'downstream'] as const) {
      const { shop, run, off, newId } = bent((own) => {
        own.gate = { opening: 1, open: true, closedGap: 0, end };
      });
      const node = splitAt(shop, run, off(-2, 0), newId);
      const lower = shop.ducts.runs.find(({ from }) => from === node);
      const [upperGate, lowerGate] = [runOf(shop, run).gate, lower?.gate];
      expect(end === 'upstream' ? upperGate : lowerGate).toMatchObject({ end, open: true });
      expect(end === 'upstream' ? lowerGate : upperGate).toBeNull();
    }
  });

  it('without a typed length has none afterwards, and both keep its slack and whether its drawing is followed', () => {
    const { shop, run, off, newId } = bent((own) => {
      own.length = null;
      if (own.route) Object.assign(own.route, { slack: 0.1, isFollowed: false });
    });
    const node = splitAt(shop, run, off(-2, 0), newId);
    const lower = shop.ducts.runs.find(({ from }) => from === node);
    for (const half of [runOf(shop, run), lower]) {
      expect(half?.length).toBeNull();
      expect(half?.route).toMatchObject({ slack: 0.1, isFollowed: false });
    }
  });
});
