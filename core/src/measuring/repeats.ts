import type { Taken } from '../journal/reading';
import { studentT } from './student-t';

/** Spread of a hand-held reading that nobody repeated, as a share, 95 %: an estimate. */
export const UNREPEATED = 0.05;

export type Mean =
  | {
      readonly kind: 'value';
      readonly mean: number;
      /** Half-width of the 95 % interval of the mean, from the repeats' own scatter. */
      readonly spread: number;
      readonly count: number;
    }
  /** At least one repeat went over the meter's range: the mean of all is a lower bound. */
  | { readonly kind: 'at least'; readonly mean: number; readonly count: number }
  /** At least one repeat stayed under it: the mean of all is an upper bound. */
  | { readonly kind: 'at most'; readonly mean: number; readonly count: number }
  /** Over it at one repeat and under it at another: they say nothing together. */
  | { readonly kind: 'nothing'; readonly count: number };

interface RepeatOptions {
  /** Last digit of the meter, in the unit of the repeats: their scatter cannot be less than its rounding. */
  readonly resolution?: number | null;
  /** Values that each repeat is the mean of: a traverse averages the hand's own scatter. */
  readonly points?: number;
}

/** The number a repeat says, or the end of the range it says it is beyond. */
export const numberOf = (one: Taken): number => (one.kind === 'value' ? one.value : one.limit);

/**
 * The standard deviation of one repeat about the mean of all, with n − 1; no less than the rounding of the
 * meter's last digit, resolution/√12.
 */
export function deviationOf(values: readonly number[], resolution: number | null = null): number {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  return Math.max(Math.sqrt(squares / (values.length - 1)), (resolution ?? 0) / Math.sqrt(12));
}

/**
 * The mean of a reading's repeats with the interval their scatter gives: t·s/√n. A single value
 * takes a usual scatter of 5 %, an estimate. A repeat beyond the range counts as its limit.
 * @example // 3500, 3600, 3550 → 3550 ± 124
 */
export function meanOfRepeats(
  taken: readonly Taken[],
  { resolution = null, points = 1 }: RepeatOptions = {},
): Mean {
  const values = taken.map(numberOf);
  const count = values.length;
  const mean = values.reduce((sum, value) => sum + value, 0) / count;
  const isOver = taken.some(({ kind }) => kind === 'over');
  const isUnder = taken.some(({ kind }) => kind === 'under');
  if (isOver && isUnder) return { kind: 'nothing', count };
  if (isOver) return { kind: 'at least', mean, count };
  if (isUnder) return { kind: 'at most', mean, count };
  if (count < 2) {
    return { kind: 'value', mean, spread: (UNREPEATED * mean) / Math.sqrt(points), count };
  }
  const spread = studentT(count - 1) * (deviationOf(values, resolution) / Math.sqrt(count));
  return { kind: 'value', mean, spread, count };
}
