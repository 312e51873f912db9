import type { Origin } from '../quantity/origin';
import { toSI } from '../quantity/units';

/** Exponent of leakage through the seams of a duct (SMACNA leakage classes, from memory). */
export const SEAM_EXPONENT = 0.65;

/** Discharge coefficient of a sharp opening. */
export const ORIFICE = 0.61;

/**
 * Leakage classes in CFM per 100 ft² of duct at 1 in. w.g. Source: SMACNA HVAC Air Duct Leakage Test
 * Manual, which has 3, 6, 12, 24 and 48 (from memory). What stands between them is ours, an estimate.
 */
export const LEAKAGE_CLASSES = {
  sealed: { leakageClass: 3, origin: 'standard' },
  sealedSeams: { leakageClass: 6, origin: 'standard' },
  taped: { leakageClass: 9, origin: 'estimate' },
  screwed: { leakageClass: 12, origin: 'standard' },
  plain: { leakageClass: 24, origin: 'standard' },
  unsealed: { leakageClass: 30, origin: 'estimate' },
  poor: { leakageClass: 48, origin: 'standard' },
} as const satisfies Record<string, { leakageClass: number; origin: Origin }>;

/** As designed a duct is sealed as well as duct is. */
export const SEALED_CLASS = LEAKAGE_CLASSES.sealed.leakageClass;

/**
 * Gap all around each slip joint that is pushed together and neither taped nor sealed, m: an
 * estimate that agrees with an untaped shop's readings (`core/reference/trade-facts.test.ts`).
 */
export const SLIP_JOINT_GAP = 0.45e-3;

const ONE_INCH = toSI(1, 'inwg');

/**
 * Seam leakage of a duct surface as c in Q = c·P^exponent, m³/s and Pa. A class is stated at one
 * inch of water, so that a different exponent turns about that pressure.
 * @param leakageClass CFM per 100 ft² at 1 in. w.g., 3 (sealed) to 48
 * @param surface m²
 * @param exponent 0.5 for openings to 1 for pores
 * @example // 100 ft² of class 30 duct at one inch of water leak 30 CFM
 * seamLeakage(30, 9.290304) * 249.08891 ** 0.65 // 0.01416 m³/s
 */
export const seamLeakage = (
  leakageClass: number,
  surface: number,
  exponent: number = SEAM_EXPONENT,
): number => (toSI(leakageClass, 'cfm') * surface) / toSI(100, 'ft2') / ONE_INCH ** exponent;

/**
 * A single opening's leakage as c in Q = c·P^0.5: the orifice, Q = 0.61·A·√(2P/ρ).
 * @param area m²
 * @param density kg/m³
 */
export const holeLeakage = (area: number, density: number): number =>
  ORIFICE * area * Math.sqrt(2 / density);
