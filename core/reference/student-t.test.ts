// References: mathjs's gamma function, with which Student's distribution is written out and integrated by
// Simpson's rule; jstat's own inverse of it.
import { jStat } from 'jstat';
import { gamma } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { studentT } from '../src/measuring/student-t';

/** Probability that Student's t with `freedom` degrees lies within ±`limit`. */
function within(limit: number, freedom: number): number {
  const scale = gamma((freedom + 1) / 2) / (Math.sqrt(freedom * Math.PI) * gamma(freedom / 2));
  const density = (t: number) => scale * (1 + (t * t) / freedom) ** (-(freedom + 1) / 2);
  const steps = 4000;
  const h = limit / steps;
  let sum = density(0) + density(limit);
  for (let i = 1; i < steps; i++) sum += density(i * h) * (i % 2 === 1 ? 4 : 2);
  return (2 * sum * h) / 3;
}

describe('Student’s t for 95 %', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8, 9, 10])('with %i degrees of freedom', (freedom) => {
    expect(within(studentT(freedom), freedom)).toBeCloseTo(0.95, 4);
  });

  it.each([11, 19, 49, 299])('with %i, beyond the table', (freedom) => {
    expect(within(studentT(freedom), freedom)).toBeCloseTo(0.95, 4);
  });

  it('with very many is the normal distribution’s', () => {
    expect(studentT(1e6)).toBeCloseTo(1.96, 4);
    expect(studentT(Number.POSITIVE_INFINITY)).toBeCloseTo(1.96, 4);
  });

  it('between whole numbers agrees with jstat, and is never narrower by more than rounding', () => {
    for (let freedom = 1; freedom < 40; freedom += 0.13) {
      const ratio = studentT(freedom) / jStat.studentt.inv(0.975, freedom);
      expect(ratio).toBeGreaterThan(0.9998);
      expect(ratio).toBeLessThan(freedom < 2 ? 1.03 : 1.005);
    }
  });

  it('with less than one counts as one', () => {
    expect(studentT(0.3)).toBe(studentT(1));
  });
});
