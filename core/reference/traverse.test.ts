// Reference: ISO 3966, log-linear method for round pipes (positions from memory), and the logarithmic law of
// turbulent pipe flow, u/u* = 2.5·ln(y·u*/ν) + 5.5 (Prandtl, von Kármán; textbook form), integrated numerically.
import { describe, expect, it } from 'vitest';
import { centreToMean } from '../src/measuring/centre-to-mean';
import { LOG_LINEAR, probeMarks, type TraversePoints } from '../src/measuring/traverse';

/** Air at 20 °C in a pipe of a diameter, m, by its friction velocity, m/s. */
const NU = 1.5e-5;
const velocityAt = (y: number, friction: number) =>
  friction * (2.5 * Math.log(Math.max(1, (y * friction) / NU)) + 5.5);

/** Mean across the pipe: ∫ u·2πr dr over its area, by Simpson's rule. */
function meanAcross(diameter: number, friction: number): number {
  const radius = diameter / 2;
  const steps = 20_000;
  const h = radius / steps;
  const ring = (r: number) => velocityAt(radius - r, friction) * r;
  let sum = ring(0) + ring(radius);
  for (let i = 1; i < steps; i++) sum += ring(i * h) * (i % 2 === 1 ? 4 : 2);
  return (2 * (sum * h)) / 3 / radius ** 2;
}

const POINTS: readonly TraversePoints[] = [6, 8, 10];

describe('a log-linear traverse', () => {
  it.each(POINTS)('of %i points is the mean of a log-law profile within 1 %%', (points) => {
    for (const diameter of [0.075, 0.1, 0.15, 0.2]) {
      for (const friction of [0.5, 0.9, 1.3]) {
        const read = LOG_LINEAR[points].map((share) =>
          velocityAt(Math.min(share, 1 - share) * diameter, friction),
        );
        const mean = read.reduce((sum, each) => sum + each, 0) / points;
        expect(mean / meanAcross(diameter, friction)).toBeGreaterThan(0.99);
        expect(mean / meanAcross(diameter, friction)).toBeLessThan(1.01);
      }
    }
  });

  it.each(POINTS)('of %i points stands the same from either wall', (points) => {
    const shares = LOG_LINEAR[points];
    shares.forEach((share, i) => {
      expect(share + (shares.at(-1 - i) ?? 0)).toBeCloseTo(1, 9);
    });
  });

  it('marks a probe by the inside diameter and what it passes before', () => {
    const marks = probeMarks(6, 0.1, 0.002);
    expect(marks[0]).toBeCloseTo(0.0052, 9);
    expect(marks.at(-1)).toBeCloseTo(0.0988, 9);
  });
});

describe('the center’s share', () => {
  it('is what the log law makes of it, within 4 %: it has a logarithm less', () => {
    for (const diameter of [0.1, 0.15]) {
      for (const friction of [0.7, 1.1]) {
        const mean = meanAcross(diameter, friction);
        const share = mean / velocityAt(diameter / 2, friction);
        // f = 8·(u*/V)².
        expect(centreToMean(8 * (friction / mean) ** 2) / share).toBeGreaterThan(0.96);
        expect(centreToMean(8 * (friction / mean) ** 2) / share).toBeLessThan(1.04);
      }
    }
  });
});
