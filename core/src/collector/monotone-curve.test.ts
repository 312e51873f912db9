import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type CurveValue, curveInto, type MonotoneCurve, monotoneCurve } from './monotone-curve';

const valueAt = (curve: MonotoneCurve, x: number): CurveValue => {
  const out = { value: 0, slope: 0 };
  curveInto(out, curve, x);
  return out;
};

/** Falling points, as a blower's: steps right and steps down. */
const falling = fc
  .array(
    fc.tuple(
      fc.double({ min: 0.01, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 500, noNaN: true }),
    ),
    { minLength: 2, maxLength: 12 },
  )
  .map((steps) => {
    let x = 0;
    let y = 6000;
    return steps.map(([right, down]): readonly [number, number] => {
      x += right;
      y -= down;
      return [x, y];
    });
  });

describe('a monotone curve', () => {
  it('through falling points never rises and never leaves the points’ range', () => {
    fc.assert(
      fc.property(falling, (points) => {
        const curve = monotoneCurve(points);
        const first = points[0] ?? [0, 0];
        const last = points.at(-1) ?? [0, 0];
        let before = Number.POSITIVE_INFINITY;
        for (let i = 0; i <= 200; i++) {
          const { value } = valueAt(curve, first[0] + ((last[0] - first[0]) * i) / 200);
          expect(value).toBeLessThanOrEqual(before + 1e-6);
          before = value;
        }
        for (const [x, y] of points) expect(valueAt(curve, x).value).toBeCloseTo(y, 6);
      }),
    );
  });

  it('through any points, stalls included, stays between its two neighbours', () => {
    const any = fc
      .array(
        fc.tuple(
          fc.double({ min: 0.01, max: 1, noNaN: true }),
          fc.double({ min: -500, max: 500, noNaN: true }),
        ),
        { minLength: 3, maxLength: 8 },
      )
      .map((steps) => {
        let x = 0;
        return steps.map(([right, y]): readonly [number, number] => {
          x += right;
          return [x, y];
        });
      });
    fc.assert(
      fc.property(any, (points) => {
        const curve = monotoneCurve(points);
        for (const [i, [x1, y1]] of points.slice(1).entries()) {
          const [x0, y0] = points[i] ?? [0, 0];
          for (let part = 0; part <= 1; part += 0.05) {
            const { value } = valueAt(curve, x0 + (x1 - x0) * part);
            expect(value).toBeGreaterThanOrEqual(Math.min(y0, y1) - 1e-6);
            expect(value).toBeLessThanOrEqual(Math.max(y0, y1) + 1e-6);
          }
        }
      }),
    );
  });

  it('ends with the slope of a parabola through its last three points, where that keeps its shape', () => {
    // y = 1 − x² at 0, 1, 2: slopes 0 and −4.
    const parabola = monotoneCurve([
      [0, 1],
      [1, 0],
      [2, -3],
    ]);
    expect(valueAt(parabola, 1e-9).slope).toBeCloseTo(0, 6);
    expect(valueAt(parabola, 2 - 1e-9).slope).toBeCloseTo(-4, 6);
    // A peak: the end is no steeper than three times its first step.
    const peak = monotoneCurve([
      [0, 0],
      [1, 1],
      [1.1, -9],
    ]);
    expect(valueAt(peak, 1e-9).slope).toBeCloseTo(3, 6);
  });

  it('has the slope it says', () => {
    const curve = monotoneCurve([
      [0, 2500],
      [0.1, 2450],
      [0.3, 2000],
      [0.5, 400],
    ]);
    for (const x of [0.02, 0.07, 0.15, 0.28, 0.35, 0.49]) {
      const h = 1e-6;
      const rise = valueAt(curve, x + h).value - valueAt(curve, x - h).value;
      expect(valueAt(curve, x).slope).toBeCloseTo(rise / (2 * h), 2);
    }
  });

  it('of two points is their line; a straight row of points too', () => {
    const line = monotoneCurve([
      [0, 10],
      [2, 0],
    ]);
    expect(valueAt(line, 0.5).value).toBeCloseTo(7.5, 12);
    const row = monotoneCurve([
      [0, 10],
      [1, 5],
      [2, 0],
    ]);
    expect(valueAt(row, 1.3).value).toBeCloseTo(3.5, 12);
  });

  it('is held before its first point and falls on beyond its last', () => {
    const curve = monotoneCurve([
      [0.1, 10],
      [0.2, 8],
    ]);
    expect(valueAt(curve, 0)).toEqual({ value: 10, slope: 0 });
    expect(valueAt(curve, 0.3).value).toBeCloseTo(6, 9);
    expect(valueAt(curve, 0.3).slope).toBeLessThan(0);
    // A flat end falls a little too, so that a solver beyond it finds its way back.
    const flat = monotoneCurve([
      [0, 10],
      [1, 10],
    ]);
    expect(valueAt(flat, 3).value).toBe(8);
  });
});
