import { describe, expect, it } from 'vitest';
import { copyOf, counter } from '../../reference/sample-shops';
import { circleArea } from '../air/velocity-pressure';
import { gatesOfDrop } from '../analysis/gate-sets';
import { estimatedCurve } from '../collector/estimated-curve';
import { addDrop, addRun } from '../design/edit-ducts';
import { newShop } from '../design/new-shop';
import type { Shop } from '../design/schema';
import { recordWith } from '../journal/journal';
import type { Reading } from '../journal/reading';
import { solveTree } from '../network/solve-shop';
import { toSI } from '../quantity/units';
import { type Compared, type ComparedReading, compareReadings } from '../reading/compare-reading';
import { pointOfDrop } from '../reading/point-of-drop';
import { arrangeDucts } from '../routing/arrange-ducts';
import { cholesky, fitPattern, whiten } from './least-squares';
import { sharedShortfall } from './shared-shortfall';

/** A main with two drops near, and a gated branch with two drops far: runs 'near' and 'branch'. */
function branchedShop(): Shop {
  const shop = newShop('s', 'Branched', 'us', estimatedCurve(0.32, 57.5, 0.55, 1.2));
  const newId = counter();
  const nodeOf = (id: string) => shop.ducts.runs.find((run) => run.id === id)?.from ?? '';
  const main = addRun(shop, 'inlet', newId);
  for (const kind of ['tableSaw', 'bandSaw'] as const) addDrop(shop, nodeOf(main), kind, newId);
  const branch = addRun(shop, nodeOf(main), newId);
  const far = shop.ducts.runs.find(({ id }) => id === branch);
  if (!far) throw new Error('no branch');
  far.id = 'branch';
  far.diameter = toSI(5, 'in');
  far.gate = { opening: 1, open: false, closedGap: 0, end: 'downstream' };
  for (const kind of ['planer', 'drumSander'] as const) addDrop(shop, far.from, kind, newId);
  return shop;
}

/** What a vane meter with no scatter would read at every drop of a shop as it really is. */
function readEverywhere(shop: Shop, reality: Shop) {
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error('no tree');
  const { tree } = arranged;
  const readings = tree.drops.map((drop, i): Reading => {
    const openGates = gatesOfDrop(drop);
    const solved = solveTree(reality, tree, { view: 'found', openGates });
    if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
    const flow = solved.airIn.get(drop.path[0]?.id ?? '')?.[0]?.flowIn ?? 0;
    const value = flow / circleArea(drop.port.diameter);
    return recordWith('readings', {
      id: `r${i}`,
      at: `2026-01-0${i + 1}T10:00:00Z`,
      testPoint: drop.id,
      instrument: 'vane',
      quantity: 'velocity',
      spot: 'average',
      diameter: drop.port.diameter,
      taken: [value * 0.995, value, value * 1.005].map((v) => ({ kind: 'value', value: v })),
      unit: 'm/s',
      openGates: [...openGates],
      note: '',
    });
  });
  const meters = { instruments: [], testPoints: tree.drops.map(pointOfDrop) };
  return { tree, compared: compareReadings(shop, tree, readings, meters) };
}

describe('what shortfalls share', () => {
  it('is nothing where the shop is as believed', () => {
    const shop = branchedShop();
    const { tree, compared } = readEverywhere(shop, shop);
    const result = sharedShortfall(shop, tree, compared);
    expect(result).toMatchObject({ kind: 'no difference', drops: 4 });
    expect(result.kind === 'no difference' && result.couldShow).toBeGreaterThan(0.03);
  });

  it('is nothing where only the separator is a little worse than believed', () => {
    const shop = branchedShop();
    const reality = copyOf(shop);
    reality.collector.separator.lossCoefficient *= 1.15;
    const { tree, compared } = readEverywhere(shop, reality);
    expect(sharedShortfall(shop, tree, compared).kind).toBe('no difference');
  });

  it('is the branch with the hole, and about its size', () => {
    const shop = branchedShop();
    const reality = copyOf(shop);
    reality.condition.holes.push({ run: 'branch', area: 3e-3, origin: { kind: 'assumed' } });
    const { tree, compared } = readEverywhere(shop, reality);
    const result = sharedShortfall(shop, tree, compared);
    if (result.kind !== 'shared') throw new Error(result.kind);
    const runs = result.suspects.map((suspect) =>
      suspect.kind === 'run' ? suspect.run : 'collector',
    );
    expect(runs).toContain('branch');
    // Nothing that every drop shares could leave the near ones unharmed.
    expect(runs).not.toContain('collector');
    const main = tree.upstreamFirst.at(-1)?.id ?? '';
    expect(runs).not.toContain(main);
    const found = result.suspects.find(({ kind }) => kind === 'run');
    // The readings have no scatter, so the size is found to a few per cent.
    expect((found?.kind === 'run' ? found.area : 0) / 3e-3).toBeCloseTo(1, 1);
    expect(result.drops[0]?.shortfall).toBeGreaterThan(0.1);
  });

  it('is nothing where every drop gets more than believed, which no opening explains', () => {
    const reality = branchedShop();
    const shop = copyOf(reality);
    // The run into the collector: every drop lacks what is lost there.
    const main = shop.ducts.runs.find(({ to }) => to === 'inlet')?.id ?? '';
    shop.condition.holes.push({ run: main, area: 5e-3, origin: { kind: 'assumed' } });
    const { tree, compared } = readEverywhere(shop, reality);
    for (const { result } of compared) {
      expect(result.kind === 'compared' && (result.difference ?? 0)).toBeGreaterThan(0);
    }
    expect(sharedShortfall(shop, tree, compared)).toMatchObject({
      kind: 'no difference',
      drops: 4,
    });
  });

  it('needs two drops', () => {
    const shop = branchedShop();
    const { tree, compared } = readEverywhere(shop, shop);
    expect(sharedShortfall(shop, tree, compared.slice(0, 1))).toEqual({
      kind: 'too few',
      drops: 1,
    });
    expect(sharedShortfall(shop, tree, [])).toEqual({ kind: 'too few', drops: 0 });
  });
});

describe('which readings count', () => {
  const shop = branchedShop();
  const reality = copyOf(shop);
  reality.condition.holes.push({ run: 'branch', area: 3e-3, origin: { kind: 'assumed' } });
  const { tree, compared: leaking } = readEverywhere(shop, reality);
  const { compared: sound } = readEverywhere(shop, shop);
  const result = sharedShortfall(shop, tree, leaking);

  const at = (time: string, list: readonly ComparedReading[]) =>
    list.map((one) => ({ ...one, reading: { ...one.reading, at: time } }));

  it('are the latest of every drop, in whatever order they stand', () => {
    const before = at('2025-06-01T10:00:00Z', sound);
    expect(sharedShortfall(shop, tree, [...before, ...leaking])).toEqual(result);
    expect(sharedShortfall(shop, tree, [...leaking, ...before])).toEqual(result);
    const after = at('2026-06-01T10:00:00Z', sound);
    expect(sharedShortfall(shop, tree, [...leaking, ...after]).kind).toBe('no difference');
    expect(sharedShortfall(shop, tree, [...after, ...leaking]).kind).toBe('no difference');
  });

  it('give each drop’s shortfall as a share of its flow, the worst first', () => {
    if (result.kind !== 'shared') throw new Error(result.kind);
    const shortfalls = result.drops.map(({ shortfall }) => shortfall);
    expect(shortfalls).toEqual(shortfalls.toSorted((a, b) => b - a));
    for (const { drop, shortfall } of result.drops) {
      const one = leaking.find(({ reading }) => reading.testPoint === drop);
      if (one?.result.kind !== 'compared') throw new Error('not compared');
      const { measured, predicted } = one.result;
      expect(shortfall).toBeCloseTo(1 - measured.flow / predicted, 9);
    }
  });

  it('are not those over range, without flow, or without a prediction', () => {
    const [one, ...others] = sound;
    if (one?.result.kind !== 'compared') throw new Error('not compared');
    const { result, reading } = one;
    const { measured } = result;
    const changed = (result: Compared) => [{ reading, result }, ...others];
    const counted = (result: Compared) => sharedShortfall(shop, tree, changed(result));
    expect(counted(result)).toMatchObject({ drops: 4 });
    const over = { kind: 'at least', flow: measured.flow } as const;
    expect(counted({ ...result, measured: over })).toMatchObject({ drops: 3 });
    const none = { kind: 'value', flow: 0, uncertainty: 0.01 } as const;
    expect(counted({ ...result, measured: none })).toMatchObject({ drops: 3 });
    expect(counted({ ...result, predicted: 0 })).toMatchObject({ drops: 3 });
    expect(counted({ kind: 'no prediction', measured })).toMatchObject({ drops: 3 });
    // Two drops are enough to say something.
    expect(sharedShortfall(shop, tree, sound.slice(0, 2))).toMatchObject({
      kind: 'no difference',
      drops: 2,
    });
  });
});

describe('what a loaded filter or a worse separator does', () => {
  it('is found at the collector, not in a run', () => {
    const shop = branchedShop();
    const reality = copyOf(shop);
    reality.condition.filterLoading.value *= 12;
    const { tree, compared } = readEverywhere(shop, reality);
    const result = sharedShortfall(shop, tree, compared);
    if (result.kind !== 'shared') throw new Error(result.kind);
    expect(result.suspects).toContainEqual({ kind: 'collector' });
    for (const suspect of result.suspects) {
      if (suspect.kind === 'run') expect(suspect.run).not.toBe('branch');
    }
  });
});

describe('how small a shortfall could be shown', () => {
  it('is three standard deviations of a common shortfall, so better meters make it smaller', () => {
    const shop = branchedShop();
    const { tree, compared } = readEverywhere(shop, shop);
    const couldShow = (accuracy: number) => {
      const surer = compared.map(({ reading, result }) => {
        if (result.kind !== 'compared') throw new Error(result.kind);
        const { flow } = result.measured;
        const measured = { kind: 'value', flow, uncertainty: accuracy * flow } as const;
        const none = Object.fromEntries(
          Object.keys(result.sensitivities.changes).map((kind) => [kind, 0]),
        ) as typeof result.sensitivities.changes;
        const sensitivities = { ...result.sensitivities, changes: none };
        return { reading, result: { ...result, measured, sensitivities } };
      });
      const result = sharedShortfall(shop, tree, surer);
      return result.kind === 'no difference' ? result.couldShow : Number.NaN;
    };
    // By hand, with no shared uncertainty: 3 · (accuracy / 1.96) / √4, as a share of the flow.
    expect(couldShow(0.04)).toBeCloseTo(1 - Math.exp((-3 * 0.04) / 1.96 / 2), 6);
    expect(couldShow(0.01)).toBeCloseTo(1 - Math.exp((-3 * 0.01) / 1.96 / 2), 6);
  });
});

describe('generalised least squares', () => {
  it('whitening turns the covariance into the unit matrix', () => {
    const c = [
      [4, 2, 0.4],
      [2, 5, 1],
      [0.4, 1, 3],
    ];
    const lower = cholesky(c);
    lower.forEach((row, i) => {
      lower.forEach((other, j) => {
        const product = row.reduce((sum, value, k) => sum + value * (other[k] ?? 0), 0);
        expect(product).toBeCloseTo(c[i]?.[j] ?? 0, 12);
      });
    });
    expect(whiten(lower, [2, 0, 0])[0]).toBeCloseTo(1, 12);
  });

  it('finds the amount of a pattern', () => {
    const fit = fitPattern([2, 4, 6], [1, 2, 3]);
    expect(fit.amount).toBeCloseTo(2, 12);
    expect(fit.explains).toBeCloseTo(56, 12);
    // One standard deviation of the amount: 1/√(1 + 4 + 9).
    expect(fit.sigma).toBeCloseTo(1 / Math.sqrt(14), 12);
    // A pattern at right angles to r explains none of it.
    expect(fitPattern([2, -1], [1, 2])).toMatchObject({ amount: 0, explains: 0 });
    expect(fitPattern([1], [0])).toEqual({
      amount: 0,
      sigma: Number.POSITIVE_INFINITY,
      explains: 0,
    });
  });
});
