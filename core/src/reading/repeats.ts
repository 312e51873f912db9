import type { Taken } from '../journal/reading';

/**
 * Student's t, two-sided 95 %, by degrees of freedom (standard statistical tables, from memory;
 * checked against mathjs's gamma in `core/reference`).
 */
const T_95 = [12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228] as const;
const NORMAL = 1.959964;

/** Spread of a hand-held reading that nobody repeated, as a share: an estimate. */
const UNREPEATED = 0.05;

export type Mean =
  | {
      readonly kind: 'value';
      readonly mean: number;
      /** Half-width of the 95 % interval of the mean, from the repeats' own scatter. */
      readonly spread: number;
      readonly count: number;
    }
  /** At least one repeat went over the meter's range: the mean of all is a lower bound. */
  | { readonly kind: 'at least'; readonly mean: number; readonly count: number };

/**
 * Student's t for a 95 % interval of `count` repeats; at least two. Beyond the table by its expansion
 * in one over the degrees of freedom (Abramowitz and Stegun 26.7.5, from memory).
 */
export function studentT(count: number): number {
  const known = T_95[count - 2];
  if (known !== undefined) return known;
  const z = NORMAL;
  const freedom = count - 1;
  return (
    z +
    (z ** 3 + z) / (4 * freedom) +
    (5 * z ** 5 + 16 * z ** 3 + 3 * z) / (96 * freedom ** 2) +
    (3 * z ** 7 + 19 * z ** 5 + 17 * z ** 3 - 15 * z) / (384 * freedom ** 3)
  );
}

/**
 * The mean of a reading's repeats with the interval their scatter gives: t·s/√n. A single value
 * takes a usual scatter of 5 %, an estimate. A repeat that went over range counts as its limit.
 * @example // 3500, 3600, 3550 → 3550 ± 124
 */
export function meanOfRepeats(taken: readonly Taken[]): Mean {
  const values = taken.map((one) => (one.kind === 'value' ? one.value : one.limit));
  const count = values.length;
  const mean = values.reduce((sum, value) => sum + value, 0) / count;
  if (taken.some((one) => one.kind === 'over')) return { kind: 'at least', mean, count };
  if (count < 2) return { kind: 'value', mean, spread: UNREPEATED * mean, count };
  const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (count - 1);
  return { kind: 'value', mean, spread: studentT(count) * Math.sqrt(variance / count), count };
}
