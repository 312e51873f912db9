import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Friction, frictionFactor, frictionInto } from './colebrook';
import { pipeFriction } from './pipe-friction';

const anyReynolds = fc.double({ min: 10, max: 1e7, noNaN: true });
const anyRoughness = fc.double({ min: 0, max: 0.05, noNaN: true });
const air = { density: 1.2, viscosity: 1.8e-5 };

describe('friction for the solver', () => {
  it('has the slope it says, laminar, turbulent and between', () => {
    fc.assert(
      fc.property(anyReynolds, anyRoughness, (reynolds, roughness) => {
        const h = reynolds * 1e-5;
        fc.pre(Math.abs(reynolds - 2000) > 1 && Math.abs(reynolds - 4000) > 1);
        const out: Friction = { factor: 0, slope: 0, inverseRoot: 7 };
        frictionInto(out, reynolds, roughness);
        const rise =
          frictionFactor(reynolds + h, roughness) - frictionFactor(reynolds - h, roughness);
        const scale = out.factor / reynolds;
        expect(Math.abs(out.slope - rise / (2 * h)) / scale).toBeLessThan(1e-3);
      }),
    );
  });

  it('gives the same from any start', () => {
    fc.assert(
      fc.property(
        anyReynolds,
        anyRoughness,
        fc.double({ min: 2, max: 15, noNaN: true }),
        (re, rough, start) => {
          const out: Friction = { factor: 0, slope: 0, inverseRoot: start };
          frictionInto(out, re, rough);
          expect(out.factor).toBeCloseTo(frictionFactor(re, rough), 9);
        },
      ),
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
