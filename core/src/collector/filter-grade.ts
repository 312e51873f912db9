import type { GradeId } from '../catalogue/ids';

/** Sizes a grade is stated for. */
export const GRADE_BANDS = ['0.3–1 µm', '1–3 µm', '3–10 µm'] as const;

/** Least share caught in each band; null where the standard asks nothing. */
export type Grade = readonly [number | null, number | null, number];

/**
 * Least efficiencies by grade. Source: ASHRAE 52.2-2017, minimum efficiency reporting values (from
 * memory).
 */
export const GRADES = {
  8: [null, 0.2, 0.7],
  11: [0.2, 0.65, 0.85],
  13: [0.5, 0.85, 0.9],
  14: [0.75, 0.9, 0.95],
  15: [0.85, 0.9, 0.95],
  16: [0.95, 0.95, 0.95],
} as const satisfies Record<GradeId, Grade>;

/**
 * The most of each band's dust a filter of this grade may let by, as shares; 1 where the standard
 * asks nothing.
 * @example finesLetBy(13) // [0.5, 0.15, 0.1]
 */
export const finesLetBy = (grade: GradeId): [number, number, number] => {
  const [fine, middle, coarse]: Grade = GRADES[grade];
  return [1 - (fine ?? 0), 1 - (middle ?? 0), 1 - coarse];
};
