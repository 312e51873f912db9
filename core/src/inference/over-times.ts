import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import type { Observation } from './observations';
import { type Weighed, weighFaults } from './posterior';

/** Readings further apart than this belong to different visits, ms. */
const VISIT_GAP = 6 * 3_600_000;
/** Beginnings that are tried: those before the latest visits. */
const MOST_BEGINNINGS = 3;

/** The first reading of every visit, in order of time. */
export function visitsOf(readings: readonly { readonly at: string }[]): string[] {
  const times = readings.map(({ at }) => at).sort((a, b) => Date.parse(a) - Date.parse(b));
  return times.filter((at, i) => {
    const before = times[i - 1];
    return before === undefined || Date.parse(at) - Date.parse(before) > VISIT_GAP;
  });
}

/**
 * What is wrong by readings of several visits, and since when: it was there in all of them, or began between two of
 * the latest. Readings from before it began tell what the shop is like without it, and what the model has wrong about
 * hoods, elbows and leakage cancels between the two times. The beginning is the one that makes the readings likeliest.
 * Readings must be of one state of the shop: of a change that was made on purpose the model would have to know.
 */
export function weighOverTimes(
  shop: Shop,
  tree: DuctTree,
  observations: readonly Observation[],
): Weighed {
  const [, ...later] = visitsOf(observations.map(({ reading }) => reading));
  if (later.length === 0) return weighFaults(shop, tree, observations);
  // To first order that is enough to choose by; only what is chosen is solved.
  const [best] = [null, ...later.slice(-MOST_BEGINNINGS)]
    .map((began) => weighFaults(shop, tree, observations, began, 0))
    .toSorted((a, b) => b.evidence - a.evidence);
  return weighFaults(shop, tree, observations, best?.began ?? null);
}
