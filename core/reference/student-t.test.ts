// Reference: mathjs's gamma function, with which Student's distribution is written out, and
// integration by Simpson's rule.
import { gamma } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { studentT } from '../src/reading/repeats';

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
  it.each([2, 3, 4, 5, 6, 7, 8, 9, 10, 11])('of %i repeats', (count) => {
    expect(within(studentT(count), count - 1)).toBeCloseTo(0.95, 4);
  });

  it.each([12, 20, 50, 300])('of %i repeats, beyond the table', (count) => {
    expect(within(studentT(count), count - 1)).toBeCloseTo(0.95, 4);
  });

  it('of very many is the normal distribution’s', () => {
    expect(studentT(1e6)).toBeCloseTo(1.96, 4);
  });
});
