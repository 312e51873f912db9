import { deviationOf, UNREPEATED } from '../measuring/repeats';
import { NORMAL_95, studentT } from '../measuring/student-t';

/**
 * One side of a comparison: what was read there, brought to one quantity, and what its meter and the way it
 * was held may make of all of it alike.
 */
export interface Side {
  /** Repeats after every correction, all in one unit, above zero. */
  readonly values: readonly number[];
  /** Last digit of the meter in that unit; null: not known. */
  readonly resolution: number | null;
  /** Values that each repeat is the mean of: of a traverse its points, else 1. */
  readonly points: number;
  /** Uncertainty that all its repeats share, as a share, 95 %. */
  readonly systematic: number;
  /** What holding the meter there anew makes of it, as a share, 95 %: no two visits are quite alike. */
  readonly placing: number;
}

/** How one side stands to the other. */
export interface Change {
  /** After over before. */
  readonly ratio: number;
  /** Its 95 % interval. */
  readonly low: number;
  readonly high: number;
  /** The interval leaves out 1. */
  readonly isSignificant: boolean;
  /** Where it is not: what would settle it; null: no number of repeats that anyone would take. */
  readonly settling: Settling | null;
}

/** So many repeats on either side would show a change of such a share. */
export interface Settling {
  readonly repeats: number;
  readonly share: number;
  /** So many were taken: it would have been seen. */
  readonly isTaken: boolean;
}

/** How well the usual scatter of a reading nobody repeated is known, in degrees of freedom: an estimate. */
const UNREPEATED_FREEDOM = 10;
/** Repeats beyond this nobody takes. */
const MOST_REPEATS = 60;
/** A change this small is asked about only as one of `WORTHWHILE`. */
const SMALL = 0.02;
/** A change people would want to know of, as a share. */
const WORTHWHILE = 0.05;

/** Relative variance of a side's mean and its degrees of freedom. */
function scatterOf({ values, resolution, points }: Side): { variance: number; freedom: number } {
  const n = values.length;
  if (n < 2) {
    return { variance: (UNREPEATED / NORMAL_95) ** 2 / points, freedom: UNREPEATED_FREEDOM };
  }
  const deviation = deviationOf(values, resolution) / meanOf(values);
  return { variance: deviation ** 2 / n, freedom: n - 1 };
}

const meanOf = (values: readonly number[]) =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/**
 * What became of the air: after over before, with the interval that the scatter of the repeats and, where it
 * does not cancel, the uncertainty of the meters leave. Scatter by Welch's rule (Welch 1947, from memory), so
 * the two sides need not scatter alike nor be repeated as often; the systematic parts, and what holding the meter
 * there anew makes of it, at right angles to it.
 * @param isShared the same meter, held the same way at the same place: what it does wrong it does to both, and
 *   cancels
 * @example // 42.9 before, 29.5 after: ratio 0.688, −31.2 %
 */
export function changeBetween(before: Side, after: Side, isShared: boolean): Change {
  const [a, b] = [scatterOf(before), scatterOf(after)];
  const variance = a.variance + b.variance;
  const freedom =
    variance === 0
      ? Number.POSITIVE_INFINITY
      : variance ** 2 / (a.variance ** 2 / a.freedom + b.variance ** 2 / b.freedom);
  const systematic = Math.hypot(
    before.placing,
    after.placing,
    ...(isShared ? [] : [before.systematic, after.systematic]),
  );
  const half = Math.hypot(studentT(freedom) * Math.sqrt(variance), systematic);
  const ratio = meanOf(after.values) / meanOf(before.values);
  const [low, high] = [ratio * Math.exp(-half), ratio * Math.exp(half)];
  const isSignificant = low > 1 || high < 1;
  const taken = Math.min(before.values.length, after.values.length);
  const perRepeat = (a.variance * before.values.length + b.variance * after.values.length) / 2;
  return {
    ratio,
    low,
    high,
    isSignificant,
    settling: isSignificant
      ? null
      : settlingOf(Math.abs(Math.log(ratio)), Math.sqrt(perRepeat), systematic, taken),
  };
}

/** How many repeats on either side would show a change of the size that was seen, or one worth knowing of. */
function settlingOf(
  seen: number,
  deviation: number,
  systematic: number,
  taken: number,
): Settling | null {
  const share = seen < SMALL ? WORTHWHILE : seen;
  for (let repeats = 2; repeats <= MOST_REPEATS; repeats++) {
    const scatter = studentT(2 * repeats - 2) * deviation * Math.sqrt(2 / repeats);
    if (Math.hypot(scatter, systematic) < share)
      return { repeats, share, isTaken: repeats <= taken };
  }
  return null;
}

/**
 * Changes one after another as one: ratios multiply, percentages do not add. −50 % and then +50 % is −25 %.
 * The steps' intervals are taken as independent of each other.
 * @example chainOf([{ ratio: 0.5 }, { ratio: 1.5 }]).ratio // 0.75
 */
export function chainOf(
  changes: readonly Pick<Change, 'ratio' | 'low' | 'high'>[],
): Pick<Change, 'ratio' | 'low' | 'high'> {
  const ratio = changes.reduce((product, each) => product * each.ratio, 1);
  const half = Math.hypot(...changes.map(({ low, high }) => Math.log(high / low) / 2));
  return { ratio, low: ratio * Math.exp(-half), high: ratio * Math.exp(half) };
}
