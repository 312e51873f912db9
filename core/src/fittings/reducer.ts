import { clampTo, type ValidRange } from '../quantity/valid-range';

/** Included angle a reducer has unless stated otherwise, rad: common sheet-metal ones are near it. */
export const USUAL_REDUCER_ANGLE = Math.PI / 6;

/** Included angles the formula covers; from where it would lose more than an abrupt one, it is one. */
export const REDUCER_ANGLES: ValidRange = {
  what: 'included angle of the reducer',
  kind: 'angle',
  least: 0,
  most: Math.PI,
};

/**
 * Loss coefficient of a change of diameter, on the velocity pressure of its NARROW end.
 *
 * Abrupt: contraction 0.5·(1 − A₂/A₁), expansion (1 − A₁/A₂)² (Borda–Carnot). Tapered, included
 * angle θ up to 45°: contraction 0.8·sin(θ/2)·(1 − β²), expansion 2.6·sin(θ/2)·(1 − β²)², β the
 * ratio of diameters (Crane TP-410, from memory); never more than abrupt.
 *
 * @param from diameter the air comes from, m
 * @param to diameter it goes to, m
 * @param angle included angle, rad; π is abrupt
 * @example changeOfDiameterLoss(0.1, 0.2, Math.PI) // (1 − 1/4)² = 0.5625
 */
export function changeOfDiameterLoss(from: number, to: number, angle: number): number {
  const areaRatio = (Math.min(from, to) / Math.max(from, to)) ** 2;
  const sine = Math.sin(clampTo(REDUCER_ANGLES, angle) / 2);
  return from > to
    ? Math.min(0.5, 0.8 * sine) * (1 - areaRatio)
    : Math.min(1, 2.6 * sine) * (1 - areaRatio) ** 2;
}
