import fc from 'fast-check';
import { jStat } from 'jstat';
import { CholeskyDecomposition, determinant, inverse, Matrix } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { Conditioned } from './conditioned';
import { covarianceOf, Evidence, logNormalCdf, normalCdf } from './evidence';
import type { Observation } from './observations';

const observation = (
  sigma: number,
  meter = 'm',
  bound: Observation['bound'] = null,
): Observation => ({
  reading: { id: 'r', at: '2026-01-10T10:00:00Z', testPoint: 'p', instrument: meter },
  measurand: { at: { kind: 'port', node: 'n' }, shows: 'flow' },
  gates: new Set(),
  gatesKey: '',
  ln: 0,
  bound,
  sigma,
  meter,
  meterSigma: 0.015,
});

const number = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });
/** A few observations by a model of three nuisances, and their residuals. */
const anyData = fc.array(
  fc.record({
    sigma: number(0.01, 0.1),
    meter: fc.constantFrom('a', 'b'),
    row: fc.array(number(-1, 1), { minLength: 3, maxLength: 3 }),
    residual: number(-0.4, 0.4),
  }),
  { minLength: 1, maxLength: 6 },
);
const SIGMAS = [0.1, 0.2, 0.05];

describe('the likelihood of readings', () => {
  it('is the multivariate normal density (by a matrix library)', () => {
    fc.assert(
      fc.property(anyData, (data) => {
        const observations = data.map(({ sigma, meter }) => observation(sigma, meter));
        const covariance = covarianceOf(
          observations,
          data.map(({ row }) => row),
          SIGMAS,
        );
        const own = new Evidence(observations, covariance).of(data.map(({ residual }) => residual));
        const c = new Matrix(covariance.map((line) => [...line]));
        const r = Matrix.columnVector(data.map(({ residual }) => residual));
        const square = r.transpose().mmul(inverse(c)).mmul(r).get(0, 0);
        const expected =
          -square / 2 - Math.log(determinant(c)) / 2 - (data.length / 2) * Math.log(2 * Math.PI);
        expect(own).toBeCloseTo(expected, 6);
        expect(new CholeskyDecomposition(c).isPositiveDefinite()).toBe(true);
      }),
    );
  });

  it.each(['at least', 'at most'] as const)(
    'of a bound is the share of the density beyond it: %s (summed over a fine grid)',
    (bound) => {
      const observations = [observation(0.03), observation(0.04, 'm', bound)];
      const rows = [
        [0.5, 0.3, 0.1],
        [0.6, -0.2, 0.4],
      ];
      const covariance = covarianceOf(observations, rows, SIGMAS);
      const c = new Matrix(covariance.map((line) => [...line]));
      const [inverted, scale] = [inverse(c), 2 * Math.PI * Math.sqrt(determinant(c))];
      const density = (x: number, y: number) => {
        const v = Matrix.columnVector([x, y]);
        return Math.exp(-v.transpose().mmul(inverted).mmul(v).get(0, 0) / 2) / scale;
      };
      const [value, limit, step] = [0.05, 0.02, 0.0005];
      let sum = 0;
      for (let y = -0.8; y < 0.8; y += step) {
        const isBeyond = bound === 'at least' ? y > limit : y < limit;
        if (isBeyond) sum += density(value, y + step / 2) * step;
      }
      const own = new Evidence(observations, covariance).of([value, limit]);
      expect(Math.exp(own) / sum).toBeCloseTo(1, 1);
    },
  );
});

describe('the share of a normal distribution below a value', () => {
  it('is a statistics package’s, far out in ln as well', () => {
    for (let x = -5; x <= 5; x += 0.25) {
      expect(normalCdf(x)).toBeCloseTo(jStat.normal.cdf(x, 0, 1), 6);
    }
    // Mills' ratio far out: Φ(−8) = 6.22e-16, Φ(−20) = 2.75e-89 (tables, from memory).
    expect(logNormalCdf(-8)).toBeCloseTo(Math.log(6.22e-16), 2);
    expect(logNormalCdf(-20)).toBeCloseTo(Math.log(2.75e-89), 1);
  });
});

describe('what readings leave open of another', () => {
  it('is the conditional normal distribution (by a matrix library)', () => {
    fc.assert(
      fc.property(
        anyData,
        fc.array(number(-1, 1), { minLength: 3, maxLength: 3 }),
        (data, asked) => {
          const known = data.map(({ sigma, meter, row, residual }) => ({
            ...{ observation: observation(sigma, meter), row, residual },
          }));
          const { mean, variance } = new Conditioned(known, SIGMAS).of(asked);
          const scaled = (row: readonly number[]) => row.map((each, p) => each * (SIGMAS[p] ?? 0));
          const j = new Matrix(data.map(({ row }) => scaled(row)));
          const a = Matrix.rowVector(scaled(asked));
          const rows = data.map(({ row }) => row);
          const c = covarianceOf(
            known.map((each) => each.observation),
            rows,
            SIGMAS,
          );
          const inverted = inverse(new Matrix(c.map((line) => [...line])));
          const shared = a.mmul(j.transpose());
          const r = Matrix.columnVector(data.map(({ residual }) => residual));
          expect(mean).toBeCloseTo(shared.mmul(inverted).mmul(r).get(0, 0), 6);
          const left = a.mmul(a.transpose()).get(0, 0);
          const told = shared.mmul(inverted).mmul(shared.transpose()).get(0, 0);
          expect(variance).toBeCloseTo(Math.max(0, left - told), 6);
        },
      ),
    );
  });
});
