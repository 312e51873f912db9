// Moody, "Friction factors for pipe flow", Trans. ASME 66 (1944): values read off the chart, as in
// the project's handbook (from memory). The residual check is Colebrook's own equation (1939).
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { frictionFactor } from '../src/duct/colebrook';

describe('friction factor', () => {
  it.each([
    [1e5, 0.001, 0.0222],
    [1e6, 1e-4, 0.0134],
    [1e4, 0, 0.0309],
  ])('Re %f, ε/D %f → %f', (reynolds, roughness, factor) => {
    expect(frictionFactor(reynolds, roughness)).toBeCloseTo(factor, 4);
  });

  it('satisfies Colebrook’s equation everywhere', () => {
    const anyReynolds = fc.double({ min: 4000, max: 1e8, noNaN: true });
    const anyRoughness = fc.double({ min: 0, max: 0.05, noNaN: true });
    fc.assert(
      fc.property(anyReynolds, anyRoughness, (reynolds, roughness) => {
        const x = 1 / Math.sqrt(frictionFactor(reynolds, roughness));
        const right = -2 * Math.log10(roughness / 3.7 + (2.51 * x) / reynolds);
        expect(Math.abs(x - right)).toBeLessThan(1e-10);
      }),
    );
  });

  it('is 64/Re when laminar and has no step up to turbulence', () => {
    expect(frictionFactor(1000, 0.01)).toBe(0.064);
    for (const edge of [2000, 4000]) {
      const below = frictionFactor(edge * (1 - 1e-9), 0.002);
      expect(Math.abs(frictionFactor(edge * (1 + 1e-9), 0.002) - below)).toBeLessThan(1e-9);
    }
    expect(frictionFactor(0, 0)).toBe(Number.POSITIVE_INFINITY);
  });
});
