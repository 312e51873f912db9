import { lusolve, matrix, multiply, transpose } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { circleArea } from '../air/velocity-pressure';
import { estimatedCurve } from '../collector/estimated-curve';
import { curveInto, monotoneCurve } from '../collector/monotone-curve';
import type { FieldTest } from '../journal/field-test';
import { curvePoints, fanStatic, fitFieldTest, loadingOf } from './field-test';
import { type FittedCurve, fitCurve, type TestPoint } from './fit-curve';

/** Mulberry32 and Box–Muller: the same scatter whenever it runs. */
function normals(seed: number): () => number {
  let state = seed;
  const uniform = () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return (((mixed ^ (mixed >>> 14)) >>> 0) + 0.5) / 2 ** 32;
  };
  return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
}

function ok(curve: FittedCurve): Extract<FittedCurve, { ok: true }> {
  if (!curve.ok) throw new Error(curve.reason);
  return curve;
}

/** Blower of 2500 Pa and 0.5 m³/s behind gates drawn from shut to open. */
const TRUE = { shutOff: 2500, freeFlow: 0.5 };
const truth = (flow: number, exponent: number) =>
  TRUE.shutOff * (1 - (flow / TRUE.freeFlow) ** exponent);
const OPENINGS = [0, 0.06, 0.12, 0.18, 0.24, 0.3, 0.35, 0.4];

const pointsOf = (exponent: number, flows = OPENINGS): TestPoint[] =>
  flows.map((flow) => ({ flow, pressure: truth(flow, exponent) }));

describe('a blower’s curve from a field test', () => {
  it.each([1.4, 1.9, 2.4])('without scatter is found again, exponent %f', (exponent) => {
    const curve = ok(fitCurve(pointsOf(exponent), { flow: 0.03, pressure: 0.02 }));
    expect(curve.shutOff).toBeCloseTo(2500, 2);
    expect(curve.freeFlow).toBeCloseTo(0.5, 5);
    expect(curve.exponent).toBeCloseTo(exponent, 4);
    // What is left is the meters' own uncertainty: at the blocked inlet, the manometer's alone.
    expect(curve.at(0).uncertainty).toBeCloseTo(0.02 * 2500, 1);
  });

  it('of five openings takes the usual exponent, and says so', () => {
    const curve = ok(
      fitCurve(pointsOf(1.9, [0, 0.1, 0.2, 0.3, 0.4]), { flow: 0.03, pressure: 0.02 }),
    );
    expect(curve.isExponentAssumed).toBe(true);
    expect(curve.freeFlow).toBeCloseTo(0.5, 5);
  });

  /** Readings that are off by a few per cent each, the same ones every time. */
  const scattered = (exponent: number, flows = OPENINGS): TestPoint[] => {
    const normal = normals(4711);
    return flows.map((flow) => ({
      flow: flow * (1 + 0.02 * normal()),
      pressure: truth(flow, exponent) * (1 + 0.02 * normal()),
    }));
  };
  type Curve = readonly [shutOff: number, freeFlow: number, exponent: number];
  const pressureBy = ([shutOff, freeFlow, exponent]: Curve, flow: number) =>
    shutOff * (1 - (flow / freeFlow) ** exponent);
  const uncertainties = { flow: 0.04, pressure: 0.02 };
  /** A point's variance about a curve: its flow's error times the slope, its pressure's error, and a division. */
  const variance = (curve: Curve, flow: number, most: number) => {
    const h = 1e-6;
    const slope =
      flow === 0 ? 0 : (pressureBy(curve, flow + h) - pressureBy(curve, flow - h)) / (2 * h);
    return (
      (uncertainties.pressure * pressureBy(curve, flow)) ** 2 +
      (uncertainties.flow * flow * slope) ** 2 +
      (0.005 * most) ** 2
    );
  };

  it.each([
    [1.9, OPENINGS, true],
    [1.5, OPENINGS, true],
    [1.9, [0, 0.12, 0.24, 0.35, 0.4], false],
  ] as const)(
    'is the best by its weights: none near it fits better (%f, %j)',
    (n, flows, isFree) => {
      const points = scattered(n, [...flows]);
      const most = Math.max(...points.map(({ pressure }) => pressure));
      const curve = ok(fitCurve(points, uncertainties));
      const fitted: Curve = [curve.shutOff, curve.freeFlow, curve.exponent];
      expect(curve.isExponentAssumed).toBe(!isFree);
      const weights = points.map(({ flow }) => 1 / variance(fitted, flow, most));
      const chiSquare = (own: Curve) =>
        points.reduce(
          (sum, { flow, pressure }, i) =>
            sum + (weights[i] ?? 0) * (pressure - pressureBy(own, flow)) ** 2,
          0,
        );
      const best = chiSquare(fitted);
      expect(best).toBeGreaterThan(0.05);
      for (let k = 0; k < (isFree ? 3 : 2); k++) {
        const off = (share: number) =>
          chiSquare(
            fitted.map((value, i) => (i === k ? value * (1 + share) : value)) as [
              number,
              number,
              number,
            ],
          );
        // It lies in the middle of a valley: both sides are worse by the same amount.
        expect(off(1e-3)).toBeGreaterThan(best);
        expect(off(-1e-3)).toBeGreaterThan(best);
        expect((off(1e-3) - best) / (off(-1e-3) - best)).toBeCloseTo(1, 1);
      }
    },
  );

  it('has for its interval the scatter about it, by Student’s t, and the meters’ own errors', () => {
    for (const flows of [OPENINGS, [0, 0.12, 0.24, 0.35, 0.4]]) {
      const points = scattered(1.9, flows);
      const most = Math.max(...points.map(({ pressure }) => pressure));
      const curve = ok(fitCurve(points, uncertainties));
      const fitted: Curve = [curve.shutOff, curve.freeFlow, curve.exponent];
      const count = curve.isExponentAssumed ? 2 : 3;
      const gradient = (flow: number) =>
        fitted.slice(0, count).map((value, k) => {
          const h = 1e-6 * value;
          const by = (step: number) =>
            pressureBy(
              fitted.map((own, i) => (i === k ? own + step : own)) as [number, number, number],
              flow,
            );
          return (by(h) - by(-h)) / (2 * h);
        });
      const weights = points.map(({ flow }) => 1 / variance(fitted, flow, most));
      const rows = points.map(({ flow }) => gradient(flow));
      // s²·(JᵀWJ)⁻¹, by another library than the one the fit uses.
      const weighted = rows.map((row, i) => row.map((value) => value * (weights[i] ?? 0)));
      const normal = multiply(transpose(matrix(rows)), matrix(weighted));
      const chiSquare = points.reduce(
        (sum, { flow, pressure }, i) =>
          sum + (weights[i] ?? 0) * (pressure - pressureBy(fitted, flow)) ** 2,
        0,
      );
      const freedom = points.length - count;
      const t = { 5: 2.571, 3: 3.182 }[freedom] ?? Number.NaN;
      for (const flow of [0.02, 0.2, 0.38]) {
        const direction = gradient(flow);
        const solved = lusolve(normal, matrix(direction.map((value) => [value])));
        const form = direction.reduce((sum, value, k) => sum + value * solved.get([k, 0]), 0);
        const scatter = t * Math.sqrt((form * chiSquare) / freedom);
        const h = 1e-6;
        const slope = (pressureBy(fitted, flow + h) - pressureBy(fitted, flow - h)) / (2 * h);
        const { pressure, uncertainty } = curve.at(flow);
        expect(pressure).toBeCloseTo(pressureBy(fitted, flow), 6);
        const meters = Math.hypot(0.04 * flow * slope, 0.02 * pressure);
        expect(uncertainty / Math.hypot(scatter, meters)).toBeCloseTo(1, 3);
      }
    }
  });

  it('takes its points in any order, and needs flows 30 % apart and a fall of 3 %', () => {
    const points = pointsOf(1.9);
    const there = ok(fitCurve(points, uncertainties));
    const back = ok(fitCurve(points.toReversed(), uncertainties));
    expect(back.freeFlow).toBeCloseTo(there.freeFlow, 9);
    expect(there.tested).toBe(0.4);
    const between = (least: number) =>
      [least, 0.28, 0.29, 0.3].map((flow) => ({ flow, pressure: truth(flow, 1.9) }));
    expect(fitCurve(between(0.2), uncertainties).ok).toBe(true);
    expect(fitCurve(between(0.22), uncertainties).ok).toBe(false);
    const flat = (share: number) =>
      [0, 0.1, 0.2, 0.3].map((flow) => ({ flow, pressure: 1000 * (1 - (share * flow) / 0.3) }));
    expect(fitCurve(flat(0.04), uncertainties).ok).toBe(true);
    expect(fitCurve(flat(0.02), uncertainties).ok).toBe(false);
  });

  /**
   * Each point scatters by itself, and each meter is off as a whole by a normal error whose 95 % is its
   * stated uncertainty.
   */
  function covered(exponent: number, flow: number, runs: number): number {
    const uncertainties = { flow: 0.04, pressure: 0.02 };
    let inside = 0;
    for (let seed = 1; seed <= runs; seed++) {
      const normal = normals(seed * 7919);
      const flowScale = 1 + (uncertainties.flow / 1.96) * normal();
      const pressureScale = 1 + (uncertainties.pressure / 1.96) * normal();
      const points = OPENINGS.map((at): TestPoint => {
        const read = { flow: at * flowScale, pressure: truth(at, exponent) * pressureScale };
        return {
          flow: Math.max(0, read.flow * (1 + 0.02 * normal())),
          pressure: read.pressure * (1 + 0.01 * normal()),
        };
      });
      const { pressure, uncertainty } = ok(fitCurve(points, uncertainties)).at(flow);
      if (Math.abs(pressure - truth(flow, exponent)) <= uncertainty) inside++;
    }
    return inside / runs;
  }

  it.each([
    [1.6, 0.1],
    [1.9, 0.2],
    [1.9, 0.3],
    [1.9, 0.38],
    [2.3, 0.3],
  ])('holds the true curve in its interval 95 times in 100 (exponent %f, %f m³/s)', (n, flow) => {
    // 500 seeded runs: three deviations of the count itself are 2.9 %.
    const share = covered(n, flow, 500);
    expect(share).toBeGreaterThan(0.921);
    expect(share).toBeLessThan(0.985);
  });

  it.each([
    ['three openings', pointsOf(1.9, [0, 0.2, 0.4]), /at least 4/],
    ['flows that hardly differ', pointsOf(1.9, [0.3, 0.31, 0.32, 0.33]), /hardly differ/],
    [
      'a pressure that rises',
      [0, 0.1, 0.2, 0.3].map((flow) => ({ flow, pressure: 1000 + flow * 1000 })),
      /does not fall/,
    ],
    ['a step without pressure', pointsOf(1.9, [0, 0.2, 0.4, 0.5]), /no pressure/],
  ] as [string, TestPoint[], RegExp][])('%s is refused in a sentence', (_, points, reason) => {
    const curve = fitCurve(points, { flow: 0.03, pressure: 0.02 });
    expect(curve.ok ? '' : curve.reason).toMatch(reason);
  });
});

describe('a field test', () => {
  const density = 1.2;
  const tapDiameter = 0.15;
  const filter = 900;
  const coefficient = 4.2;
  const velocityPressure = (flow: number) => (density / 2) * (flow / circleArea(tapDiameter)) ** 2;

  /** Read without error: a blower, a filter of 900 Pa per m³/s, a separator of 4.2 heads. */
  const test: FieldTest = {
    id: 't',
    at: '2026-10-01T10:00:00Z',
    density,
    speed: 57.5,
    wheelDiameter: 0.3,
    tapDiameter,
    flowUncertainty: 0.03,
    pressureUncertainty: 0.02,
    steps: OPENINGS.map((flow, i) => {
      const outlet = filter * flow;
      const inlet = truth(flow, 1.9) - outlet + velocityPressure(flow);
      return {
        id: String(i),
        flow,
        inlet,
        outlet,
        ahead: inlet - coefficient * velocityPressure(flow),
      };
    }),
  };

  it('gives fan static pressure, the filter and the separator back', () => {
    const { curve, exhaust, separator } = fitFieldTest(test);
    expect(ok(curve).shutOff).toBeCloseTo(2500, 2);
    expect(exhaust?.value).toBeCloseTo(filter, 6);
    expect(separator?.value).toBeCloseTo(coefficient, 6);
    expect(
      fanStatic({ id: '', flow: 0.2, inlet: 900, outlet: 100, ahead: null }, test),
    ).toBeCloseTo(1000 - velocityPressure(0.2), 9);
    expect(exhaust?.uncertainty).toBeCloseTo(Math.hypot(0.03, 0.02) * filter, 6);
  });

  it('without tubes at the outlet or ahead of the separator says nothing of them', () => {
    const steps = test.steps.map((step) => ({ ...step, outlet: null, ahead: null }));
    expect(fitFieldTest({ ...test, steps })).toMatchObject({ exhaust: null, separator: null });
  });

  it('becomes points a shop can run on, and a loading of its filter', () => {
    const points = curvePoints(ok(fitFieldTest(test).curve));
    expect(points[0]?.flow).toBe(0);
    expect(points.at(-1)?.pressure).toBeCloseTo(0, 6);
    const out = { value: 0, slope: 0 };
    curveInto(
      out,
      monotoneCurve(points.map(({ flow, pressure }) => [flow, pressure] as const)),
      0.3,
    );
    expect(out.value).toBeCloseTo(truth(0.3, 1.9), -1);
    const media = { name: '', area: 10, permeability: 0.1, seasoned: 1, grade: null };
    // Clean, this media takes 125 Pa per m³/s.
    expect(loadingOf(media, 900)).toBeCloseTo(7.2, 9);
    expect(loadingOf(media, 50)).toBe(1);
  });

  it('an estimated curve is of the very form that is fitted', () => {
    const points = estimatedCurve(0.3, 57.5, 0.5, 1.2).slice(0, 7);
    const curve = ok(fitCurve(points, { flow: 0.03, pressure: 0.02 }));
    expect(curve.exponent).toBeCloseTo(1.9, 4);
    expect(curve.freeFlow).toBeCloseTo(0.5, 5);
  });
});
