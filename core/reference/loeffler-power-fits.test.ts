// ACGIH Industrial Ventilation, duct friction after Loeffler 1980 (formulas from memory):
// loss in velocity pressures per foot, V in fpm, Q in CFM:
//   galvanised 0.0307·V^0.533/Q^0.612, plastic and aluminium 0.0425·V^0.465/Q^0.602,
//   flexible 0.0311·V^0.604/Q^0.639.
// Worked here in the trade's units, beside our own in SI; and against Darcy–Colebrook.
import { describe, expect, it } from 'vitest';
import { STANDARD_DENSITY } from '../src/air/air-at-site';
import { circleArea, velocityPressure } from '../src/air/velocity-pressure';
import { HOSES } from '../src/duct/hose';
import { pipeFriction } from '../src/duct/pipe-friction';
import { PIPES } from '../src/duct/pipes';
import { POWER_FITS, type PowerFitId, powerFitFriction } from '../src/duct/power-fit';
import { toSI } from '../src/quantity/units';

const air = { density: STANDARD_DENSITY, viscosity: 1.82e-5 };
const FOOT = toSI(1, 'ft');

/** Velocity pressures a foot, by our function, at a velocity in fpm in so many inches. */
function coefficientPerFoot(fit: PowerFitId, fpm: number, inches: number): number {
  const diameter = toSI(inches, 'in');
  const velocity = toSI(fpm, 'fpm');
  const flow = velocity * circleArea(diameter);
  const loss = powerFitFriction(POWER_FITS[fit], flow, FOOT, diameter, air.density);
  return loss / velocityPressure(velocity, air.density);
}

describe('the power fits', () => {
  // By hand: 4000^0.533 = 83.15; 349.1^0.612 = 36.0; 0.0307 × 83.15/36.0 = 0.0709.
  it.each([
    ['galvanised', 4000, 4, 0.0709],
    ['galvanised', 4000, 6, 0.0432],
    ['galvanised', 3500, 8, 0.0307],
    ['galvanised', 4500, 5, 0.0535],
    ['smooth', 4000, 4, 0.0592],
    ['smooth', 4000, 6, 0.0363],
    ['flexible', 4000, 4, 0.1105],
    ['flexible', 4000, 6, 0.0658],
  ] as const)(
    '%s at %i fpm in %i in.: %f velocity pressures a foot',
    (fit, fpm, inches, lossCoefficient) => {
      const { a, b, c } = POWER_FITS[fit];
      const cfm = fpm * (Math.PI / 4) * (inches / 12) ** 2;
      expect((a * fpm ** b) / cfm ** c).toBeCloseTo(lossCoefficient, 3);
      expect(coefficientPerFoot(fit, fpm, inches)).toBeCloseTo((a * fpm ** b) / cfm ** c, 9);
    },
  );

  it('meet Darcy–Colebrook at the roughness they were made for, over shop sizes', () => {
    for (const inches of [4, 5, 6, 7, 8]) {
      for (const fpm of [3000, 4000, 5000]) {
        const diameter = toSI(inches, 'in');
        const flow = toSI(fpm, 'fpm') * circleArea(diameter);
        const vp = velocityPressure(toSI(fpm, 'fpm'), air.density);
        const darcy = (roughness: number) =>
          pipeFriction(flow, FOOT, diameter, roughness, air) / vp;
        const galvanised = coefficientPerFoot('galvanised', fpm, inches);
        expect(Math.abs(darcy(PIPES.average.roughness) / galvanised - 1)).toBeLessThan(0.06);
        // The plastic fit stands for something rougher than ASHRAE's smooth, by up to a fifth.
        const smooth = coefficientPerFoot('smooth', fpm, inches);
        expect(darcy(PIPES.drain.roughness) / smooth).toBeGreaterThan(0.8);
        expect(darcy(PIPES.drain.roughness) / smooth).toBeLessThan(1.05);
        // Hose by the fit is kinder than by ASHRAE's 3 mm, a good deal so when narrow.
        expect(
          darcy(HOSES.ribbed.roughness) / coefficientPerFoot('flexible', fpm, inches),
        ).toBeGreaterThan(1);
      }
    }
  });
});
