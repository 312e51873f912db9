import fc from 'fast-check';
import { determinant, inverse, Matrix } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { leaveOneOut } from './leave-one-out';

/** ln of a Gaussian's density about 0, by a matrix library. */
function logDensity(covariance: number[][], residuals: number[]): number {
  const c = new Matrix(covariance);
  const r = Matrix.columnVector(residuals);
  const square = r.transpose().mmul(inverse(c)).mmul(r).get(0, 0);
  return -(square + Math.log(determinant(c)) + residuals.length * Math.log(2 * Math.PI)) / 2;
}

const value = fc.double({ min: -1, max: 1, noNaN: true });
const row = fc.array(value, { minLength: 3, maxLength: 3 });

describe('a value given all the others', () => {
  it('is as likely as all of them over the others alone (densities by a matrix library)', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(row, value), { minLength: 2, maxLength: 6 }), (list) => {
        const rows = list.map(([each]) => each);
        const residuals = list.map(([, each]) => each);
        const covariance = rows.map((a, i) =>
          rows.map((b, j) =>
            a.reduce((sum, each, k) => sum + each * (b[k] ?? 0), i === j ? 0.3 : 0),
          ),
        );
        const whole = logDensity(covariance, residuals);
        leaveOneOut(covariance, residuals).forEach((log, left) => {
          const others = residuals.flatMap((_, i) => (i === left ? [] : [i]));
          const rest = logDensity(
            others.map((i) => others.map((j) => covariance[i]?.[j] ?? 0)),
            others.map((i) => residuals[i] ?? 0),
          );
          expect(log).toBeCloseTo(whole - rest, 8);
        });
      }),
      { numRuns: 60 },
    );
  });
});
