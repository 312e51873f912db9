import type { TRAVERSE_POINTS } from '../journal/reading';

export type TraversePoints = (typeof TRAVERSE_POINTS)[number];

/**
 * Where on a diameter of round pipe the velocity is read, as shares of it from one wall, by the log-linear
 * rule: the plain mean of the velocities at these points is the mean across the pipe. Source: ISO 3966,
 * log-linear method (from memory; the mean is checked in `core/reference/traverse.test.ts`).
 */
export const LOG_LINEAR: Readonly<Record<TraversePoints, readonly number[]>> = {
  6: [0.032, 0.135, 0.321, 0.679, 0.865, 0.968],
  8: [0.021, 0.117, 0.184, 0.345, 0.655, 0.816, 0.883, 0.979],
  10: [0.019, 0.077, 0.153, 0.217, 0.361, 0.639, 0.783, 0.847, 0.923, 0.981],
};

/** How far a traverse's mean may be off, as a share, 95 %, by diameters traversed: estimates. */
export const TRAVERSE_UNCERTAINTY = { 1: 0.03, 2: 0.01 } as const;
/** The same for what is added with no straight pipe ahead: an estimate. */
export const SWIRL_UNCERTAINTY = 0.03;

/**
 * Depths to mark on a probe, m, from its tip: at each the tip is at a point of the traverse while the mark is
 * at the outside of the pipe. The least first.
 * @param inside true inside diameter, m
 * @param wall what the probe passes before it is inside: the pipe's wall, and a stop if there is one, m
 * @example probeMarks(6, 0.1)[0] // 0.0032
 */
export const probeMarks = (points: TraversePoints, inside: number, wall = 0): number[] =>
  LOG_LINEAR[points].map((share) => wall + share * inside);
