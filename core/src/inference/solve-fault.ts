import { covarianceOf, Evidence } from './evidence';
import { type Fault, withFault } from './faults';
import { amountsOf, INTEGRATED_AT, type Integrated, integrate } from './integrate-amount';
import type { Observation } from './observations';
import {
  type Derivatives,
  derivativesOf,
  type Nuisances,
  ofEarlierFilter,
  Solutions,
} from './predictor';

/** Amounts a fault is solved at. */
export const SOLVED_AT = 5;
/** An amount so many nats behind the best adds nothing. */
const UNLIKELY = 12;

/** An amount of a fault, and the shop solved with it. */
export interface SolvedAt {
  readonly amount: number;
  readonly solutions: Solutions;
}

export interface Row {
  readonly observation: Observation;
  readonly ln: number;
  readonly derivatives: Derivatives;
  /** Taken before what is wrong began. */
  readonly isBefore: boolean;
}

/** A reading's row at its time: what the filter was like before is no longer known after. */
export const rowOfTime = (
  { observation, ln, derivatives }: Omit<Row, 'isBefore'>,
  isBefore: boolean,
  nuisances: Nuisances,
): Row => ({
  ...{ observation, ln, isBefore },
  derivatives: isBefore
    ? { ...derivatives, byNuisance: ofEarlierFilter(derivatives.byNuisance, nuisances) }
    : derivatives,
});

/**
 * A fault's predictions solved exactly at a few amounts, with everything between interpolated in ln. From the amount
 * that is likeliest to first order on, amounts are solved as far as they are any likely.
 * @param without the readings' evidence without the fault: good enough to find the best amount by
 */
export function solveFault(
  fault: Exclude<Fault, { kind: 'meter' }>,
  near: number,
  base: Solutions,
  rows: readonly Row[],
  nuisances: Nuisances,
  without: Evidence,
): Integrated & { readonly at: SolvedAt } {
  const amounts = amountsOf(fault, SOLVED_AT);
  const observations = rows.map(({ observation }) => observation);
  const known = new Map<number, SolvedAt & { readonly lns: readonly number[] }>();
  const solvedAt = (node: number) => {
    const own = known.get(node);
    if (own) return own;
    const amount = amounts[node] ?? 0;
    // An amount next to it that is solved already is the nearest there is to start from.
    const beside = known.get(node - 1) ?? known.get(node + 1);
    const solutions = new Solutions(
      withFault(base.believed, fault, amount),
      beside?.solutions ?? base,
    );
    const lns = rows.map(({ observation, isBefore, ln }) =>
      isBefore ? ln : (solutions.lnOf(observation) ?? 0),
    );
    const solved = { amount, solutions, lns };
    known.set(node, solved);
    return solved;
  };
  const [first = 0, last = 0] = [amounts[0], amounts.at(-1)].map((each) => Math.log(each ?? 1));
  /** Where an amount lies among those that are solved. */
  const placeOf = (amount: number) =>
    ((Math.log(amount) - first) / (last - first)) * (SOLVED_AT - 1);
  const residualsAt = (place: number) => {
    const node = Math.min(SOLVED_AT - 2, Math.floor(place));
    const share = place - node;
    const [before, after] = [solvedAt(node).lns, solvedAt(node + 1).lns];
    return observations.map(
      ({ ln }, i) => ln - (1 - share) * (before[i] ?? 0) - share * (after[i] ?? 0),
    );
  };
  const nearestTo = (amount: number) =>
    Math.min(SOLVED_AT - 1, Math.max(0, Math.round(placeOf(amount))));
  const integrateFrom = (node: number, evidence: Evidence) => {
    const [low, high] = likelyAbout(node, (each) => {
      const { lns } = solvedAt(each);
      return evidence.of(observations.map(({ ln }, i) => ln - (lns[i] ?? 0)));
    });
    return integrate(fault, INTEGRATED_AT, (amount) => {
      const place = Math.min(SOLVED_AT - 1, Math.max(0, placeOf(amount)));
      return place < low || place > high
        ? Number.NEGATIVE_INFINITY
        : evidence.of(residualsAt(place));
    });
  };
  const found = nearestTo(integrateFrom(nearestTo(near), without).best);
  // The covariance is that of the best amount, wherever that turned out to be.
  const evidence = evidenceIn(solvedAt(found).solutions, rows, nuisances);
  const integrated = integrateFrom(found, evidence);
  const { amount, solutions } = solvedAt(nearestTo(integrated.best));
  return { ...integrated, at: { amount, solutions } };
}

/** The evidence of readings with their covariance taken anew in a solved shop; of earlier ones as it was. */
export function evidenceIn(
  solutions: Solutions,
  rows: readonly Row[],
  nuisances: Nuisances,
): Evidence {
  const observations = rows.map(({ observation }) => observation);
  const anew = rows.map(({ observation, isBefore, derivatives }) => {
    if (isBefore) return derivatives.byNuisance;
    const solution = solutions.of(observation);
    return solution
      ? derivativesOf(solutions, solution, observation, nuisances).byNuisance
      : nuisances.names.map(() => 0);
  });
  return new Evidence(observations, covarianceOf(observations, anew, nuisances.sigmas));
}

/** From a node to either side, as far as nodes are likely beside the best so far; one more on each side is solved. */
function likelyAbout(node: number, likelihoodAt: (node: number) => number): [number, number] {
  let best = likelihoodAt(node);
  const walk = (step: 1 | -1) => {
    let at = node;
    while (at + step >= 0 && at + step < SOLVED_AT) {
      at += step;
      const own = likelihoodAt(at);
      if (own < best - UNLIKELY) break;
      best = Math.max(best, own);
    }
    return at;
  };
  const low = walk(-1);
  return [low, Math.max(low + 1, walk(1))];
}
