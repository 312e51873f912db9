/** Plywood across its weaker way, Pa: an estimate, on the low side. */
export const STIFFNESS = 5e9;
const POISSON = 0.3;
/** What a wood screw draws out of plywood at, N; a third of it is counted: an estimate. */
export const WOOD_SCREW = 300;

/**
 * How far a round board bends in the middle under suction, simply supported at its edge, m:
 * y = p·a⁴·(5 + ν) ÷ (64·D·(1 + ν)), D = E·t³ ÷ (12·(1 − ν²)) (Roark's Formulas for Stress and Strain, table for flat
 * circular plates, from memory).
 * @param radius m
 * @param thickness m
 * @param pressure Pa
 * @example bendOf(0.3, 0.018, 3000) // 0.0007 m
 */
export function bendOf(radius: number, thickness: number, pressure: number): number {
  const rigidity = (STIFFNESS * thickness ** 3) / (12 * (1 - POISSON ** 2));
  return (pressure * radius ** 4 * (5 + POISSON)) / (64 * rigidity * (1 + POISSON));
}
