import { circleArea } from '../air/velocity-pressure';
import { toSI } from '../quantity/units';
import type { ValidRange } from '../quantity/valid-range';

/**
 * Friction by the handbook's power fits: loss in velocity pressures per foot = a·V^b/Q^c, V in fpm,
 * Q in CFM.
 *
 * Source: ACGIH Industrial Ventilation, after Loeffler 1980 (from memory).
 */
export interface PowerFit {
  readonly name: string;
  readonly a: number;
  readonly b: number;
  readonly c: number;
}

export const POWER_FITS = {
  galvanised: { name: 'Galvanized', a: 0.0307, b: 0.533, c: 0.612 },
  smooth: { name: 'Plastic, aluminum, black iron', a: 0.0425, b: 0.465, c: 0.602 },
  flexible: { name: 'Flexible hose', a: 0.0311, b: 0.604, c: 0.639 },
} as const satisfies Record<string, PowerFit>;

export type PowerFitId = keyof typeof POWER_FITS;

/** Velocities the fits were made for, m/s: 2000 to 6000 fpm; outside they go on as powers do. */
export const POWER_FIT_VELOCITIES: ValidRange = {
  what: 'velocity for the power fit',
  kind: 'velocity',
  least: toSI(2000, 'fpm'),
  most: toSI(6000, 'fpm'),
};

const FPM = toSI(1, 'fpm');
const CFM = toSI(1, 'cfm');
const FOOT = toSI(1, 'ft');

/** The flow's exponent in loss = coefficient·Q^exponent: 1.92, 1.86 or 1.97. */
export const powerFitExponent = ({ b, c }: PowerFit): number => 2 + b - c;

/**
 * Pa per metre at one m³/s of a fit in duct of `diameter` m and air of `density` kg/m³; times
 * Q^exponent it is the loss at Q m³/s.
 */
export function powerFitCoefficient(fit: PowerFit, diameter: number, density: number): number {
  const area = circleArea(diameter);
  const coefficientPerFoot = (fit.a * (1 / area / FPM) ** fit.b) / (1 / CFM) ** fit.c;
  return (coefficientPerFoot / FOOT) * (density / (2 * area * area));
}

/**
 * Pressure in Pa that friction takes from `flow` (m³/s, ≥ 0) in `length` m of round duct, by a fit.
 * @example // 4000 fpm, 785 CFM in 6-in. galvanised: 0.0432 velocity pressures a foot
 * powerFitFriction(POWER_FITS.galvanised, 0.3705, 0.3048, 0.1524, 1.2014) // 10.7 Pa
 */
export const powerFitFriction = (
  fit: PowerFit,
  flow: number,
  length: number,
  diameter: number,
  density: number,
): number =>
  powerFitCoefficient(fit, diameter, density) * length * Math.max(0, flow) ** powerFitExponent(fit);
