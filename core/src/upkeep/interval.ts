/** Time between two of a kind, of which no two are alike: lognormal. */
export interface Interval {
  /** As many are shorter as longer, s. */
  readonly typical: number;
  /** Standard deviation of ln of the next one: how they scatter, and how well `typical` is known. */
  readonly spread: number;
}

/** How far two intervals in one shop differ, standard deviation of ln, before any are known: an estimate. */
export const SCATTER = 0.35;
/** That estimate counts as so many intervals. */
const SCATTER_COUNTS = 4;
const TO_RANGE = 1.96;

/**
 * What the next interval is like, by what was expected and by those there were: normal in ln, the expectation and the
 * scatter conjugate priors. Null where nothing was expected and there was none.
 * @param expected by a model, with the standard deviation of ln that it is off by
 * @param observed intervals there were, s
 */
export function nextInterval(
  expected: Interval | null,
  observed: readonly number[],
): Interval | null {
  const logs = observed.filter((each) => each > 0).map(Math.log);
  const count = logs.length;
  if (!expected && count === 0) return null;
  const mean = count > 0 ? logs.reduce((sum, log) => sum + log, 0) / count : 0;
  const squares = logs.reduce((sum, log) => sum + (log - mean) ** 2, 0);
  const scatter =
    (SCATTER_COUNTS * SCATTER ** 2 + squares) / (SCATTER_COUNTS + Math.max(0, count - 1));
  const weight = count / scatter;
  const before = expected ? 1 / expected.spread ** 2 : 0;
  const at = (weight * mean + before * Math.log(expected?.typical ?? 1)) / (weight + before);
  return { typical: Math.exp(at), spread: Math.sqrt(scatter + 1 / (weight + before)) };
}

/** Between what the next one lies, 95 times in 100, s. */
export const rangeOf = ({
  typical,
  spread,
}: Interval): { readonly low: number; readonly high: number } => ({
  low: typical * Math.exp(-TO_RANGE * spread),
  high: typical * Math.exp(TO_RANGE * spread),
});
