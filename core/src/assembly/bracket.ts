import type { Assembly } from '../design/schema';
import { lookUp, type Table } from '../quantity/look-up';
import { toSI } from '../quantity/units';

/** m/s² */
export const GRAVITY = 9.80665;

/** Specific gravity of a softwood stud, spruce-pine-fir (NDS, from memory). */
export const STUD_GRAVITY = 0.42;
/** A running blower shakes, and people lean on it: its weight counts twice. Common practice, no source. */
export const SHAKE = 2;
/** What one ¼-in. lag screw bears across its thread in a stud, N: an estimate. */
export const SHEAR_OF_QUARTER_INCH = 500;
const QUARTER_INCH = toSI(0.25, 'in');
/** A stud gives a cleat this much on either side of its centre to end on. */
const STUD_EDGE = toSI(1.5, 'in');

/**
 * What a lag screw bears along its thread before it draws out of a softwood stud, N: NDS reference
 * withdrawal, 1800·G^1.5·D^0.75 lb for each inch of thread (from memory).
 * @param diameter m
 * @param depth of thread in the stud, m
 * @example withdrawal(0.00635, 0.0508) // 1542 N: 173 lb an inch, two inches
 */
export function withdrawal(diameter: number, depth: number): number {
  const perInch = 1800 * STUD_GRAVITY ** 1.5 * (diameter / toSI(1, 'in')) ** 0.75;
  return perInch * toSI(1, 'lb') * GRAVITY * (depth / toSI(1, 'in'));
}

/**
 * How a thicker lag screw bears more: by NDS yield mode IV it would be D²·√(F_e·F_yb), but a stud
 * bears less on a thick screw across its grain (F_e ∝ D^−0.5), and screws are of softer steel the
 * thicker they are (from memory: 70 ksi at ¼ in., 60 at 5/16, 45 from ⅜ on).
 */
const BEARING_EXPONENT = 1.75;
const YIELD_OF_STEEL: Table = [
  [0.25, 70],
  [0.3125, 60],
  [0.375, 45],
];

/**
 * What one screw bears across its thread, N: what a ¼-in. one bears, an estimate, times
 * (D/¼ in.)^1.75·√(F_yb/70 ksi).
 * @param diameter m
 * @example lateral(0.009525) // 815 N: a ⅜-in. screw bears 1.63 times a ¼-in. one, not 2.25 times
 */
export function lateral(diameter: number): number {
  const steel = lookUp(YIELD_OF_STEEL, diameter / toSI(1, 'in')) / lookUp(YIELD_OF_STEEL, 0.25);
  return SHEAR_OF_QUARTER_INCH * (diameter / QUARTER_INCH) ** BEARING_EXPONENT * Math.sqrt(steel);
}

/** How a bracket's screws bear what hangs on it, N. */
export interface BracketLoad {
  /** Drawn out of the studs, of all screws of the upper row. */
  readonly pull: number;
  readonly pullBorne: number;
  /** Across all screws. */
  readonly weight: number;
  readonly weightBorne: number;
  /** Length of cleat that meets two studs, m. */
  readonly lengthWanted: number;
}

/**
 * A weight on a wall bracket: it pulls on the upper half of the screws by weight × reach ÷ rise, and
 * hangs on all of them.
 * @param mass kg
 * @param reach of its middle from the wall, m
 */
export function bracketLoad(cleat: Assembly['cleat'], mass: number, reach: number): BracketLoad {
  const weight = SHAKE * mass * GRAVITY;
  const upper = Math.max(1, Math.floor(cleat.screws / 2));
  return {
    pull: (weight * reach) / cleat.rise,
    pullBorne: upper * withdrawal(cleat.screwDiameter, cleat.screwDepth),
    weight,
    weightBorne: cleat.screws * lateral(cleat.screwDiameter),
    lengthWanted: cleat.studSpacing + STUD_EDGE,
  };
}
