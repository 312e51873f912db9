import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { frictionFactor, frictionInto } from './colebrook';
import { pipeFriction } from './pipe-friction';

const anyReynolds = fc.double({ min: 10, max: 1e7, noNaN: true });
const anyRoughness = fc.double({ min: 0, max: 0.05, noNaN: true });
const air = { density: 1.2, viscosity: 1.8e-5 };

const tabled = (reynolds: number, roughness: number) => {
  const out = new Float64Array(2);
  frictionInto(out, reynolds, roughness);
  return { factor: out[0] ?? 0, slope: out[1] ?? 0 };
};

describe('friction for the solver', () => {
  it('is the exact factor to 1e-7, laminar, turbulent and between', () => {
    fc.assert(
      fc.property(anyReynolds, anyRoughness, (reynolds, roughness) => {
        const exact = frictionFactor(reynolds, roughness);
        expect(Math.abs(tabled(reynolds, roughness).factor / exact - 1)).toBeLessThan(1e-7);
      }),
      { numRuns: 2000 },
    );
  });

  it('has the slope it says', () => {
    fc.assert(
      fc.property(anyReynolds, anyRoughness, (reynolds, roughness) => {
        const h = reynolds * 1e-5;
        fc.pre(Math.abs(reynolds - 2000) > 1 && Math.abs(reynolds - 4000) > 1);
        const { factor, slope } = tabled(reynolds, roughness);
        const rise =
          frictionFactor(reynolds + h, roughness) - frictionFactor(reynolds - h, roughness);
        expect(Math.abs(slope - rise / (2 * h)) / (factor / reynolds)).toBeLessThan(1e-3);
      }),
    );
  });
});

describe('the exact factor', () => {
  it('is 64/Re where flow is laminar, and infinite where there is none', () => {
    expect(frictionFactor(1000, 0.01)).toBe(0.064);
    expect(frictionFactor(2000, 0.01)).toBe(0.032);
    expect(frictionFactor(0, 0.01)).toBe(Number.POSITIVE_INFINITY);
    expect(frictionFactor(-5, 0.01)).toBe(Number.POSITIVE_INFINITY);
    expect(frictionFactor(Number.NaN, 0.01)).toBe(Number.POSITIVE_INFINITY);
  });

  it('goes from laminar to turbulent without a step or a bend at either end', () => {
    const slopeAt = (reynolds: number, h: number) =>
      (frictionFactor(reynolds + h, 0.003) - frictionFactor(reynolds, 0.003)) / h;
    for (const edge of [2000, 4000]) {
      const [left, right] = [slopeAt(edge, -0.01), slopeAt(edge, 0.01)];
      expect(frictionFactor(edge + 1e-6, 0.003)).toBeCloseTo(frictionFactor(edge, 0.003), 9);
      expect(right / left).toBeCloseTo(1, 3);
    }
    // The laminar slope, −64/Re².
    expect(slopeAt(2000, 0.01) / (-64 / 2000 ** 2)).toBeCloseTo(1, 3);
  });

  it('solves Colebrook’s equation', () => {
    const turbulent = fc.double({ min: 4000, max: 1e8, noNaN: true });
    fc.assert(
      fc.property(turbulent, anyRoughness, (reynolds, roughness) => {
        const x = 1 / Math.sqrt(frictionFactor(reynolds, roughness));
        const right = -2 * Math.log10(roughness / 3.7 + (2.51 * x) / reynolds);
        expect(Math.abs(x / right - 1)).toBeLessThan(1e-9);
      }),
    );
  });
});

describe('pipe friction', () => {
  const loss = (flow: number, diameter = 0.15) => pipeFriction(flow, 10, diameter, 9e-5, air);

  it('rises a little slower than flow squared, and falls with about the fifth power of diameter', () => {
    expect(loss(0.4) / loss(0.2)).toBeGreaterThan(3.5);
    expect(loss(0.4) / loss(0.2)).toBeLessThan(4);
    expect(loss(0.2, 0.1) / loss(0.2, 0.2)).toBeGreaterThan(2 ** 4.8);
    expect(loss(0.2, 0.1) / loss(0.2, 0.2)).toBeLessThan(2 ** 5.3);
  });

  it('is in proportion to length, and nothing without flow', () => {
    expect(pipeFriction(0.2, 20, 0.15, 9e-5, air)).toBeCloseTo(2 * loss(0.2), 9);
    expect(loss(0)).toBe(0);
    expect(loss(-1)).toBe(0);
    // A leak so small that its Reynolds number is hardly a number at all.
    expect(loss(3.26e-322)).toBe(0);
  });
});
