import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type ExhaustPressure, exhaustInto } from './exhaust-law';
import type { Exhaust } from './network';

const air = { density: 1.2, viscosity: 1.8e-5 };
const measure = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** From a wide duct to a filter as good as blocked, with a pinhole or a torn seam ahead of it. */
const anyExhaust: fc.Arbitrary<Exhaust> = fc.record({
  kind: fc.constant('filter' as const),
  linear: measure(0, 1e5),
  quadratic: measure(0, 1e4),
  separator: fc.constant(0),
  isAhead: fc.constant(false),
  duct: fc.constant(null),
  hole: measure(1e-6, 0.05),
});

function at(exhaust: Exhaust, flow: number): ExhaustPressure {
  const out = { pressure: 0, slope: 0, leak: 0 };
  exhaustInto(out, exhaust, flow, air);
  return out;
}

describe('what lies behind the blower, leaking', () => {
  it('what leaks and what passes are what the blower moves', () => {
    fc.assert(
      fc.property(anyExhaust, measure(-0.2, 3), (exhaust, flow) => {
        const { pressure, leak } = at(exhaust, flow);
        const through = flow - leak;
        // The solver stops within 1e-14 of the flow; a filter as good as blocked makes that 1e-9 Pa.
        const asked = (exhaust.linear + exhaust.quadratic * Math.abs(through)) * through;
        expect(Math.abs(asked - pressure)).toBeLessThan(1e-8 * (1 + Math.abs(pressure)));
      }),
      { numRuns: 2000 },
    );
  });

  it('has the slope it says', () => {
    fc.assert(
      fc.property(anyExhaust, measure(0.05, 3), (exhaust, flow) => {
        fc.pre(at(exhaust, flow).pressure > 1);
        const h = 1e-5 * flow;
        const rise = at(exhaust, flow + h).pressure - at(exhaust, flow - h).pressure;
        const { slope } = at(exhaust, flow);
        expect(Math.abs(slope - rise / (2 * h)) / slope).toBeLessThan(1e-3);
      }),
      { numRuns: 500 },
    );
  });
});
