import { covarianceOf, Evidence } from './evidence';
import {
  type Fault,
  type FaultKind,
  keyOfFault,
  type PossibleFault,
  PRIOR_OF_NOTHING,
  shownMore,
} from './faults';
import { type Left, screenFault } from './first-order';
import { amountSigma, movedBy } from './moved-amount';
import { keyOfPlace, placeOfFault, type Suspect } from './places';
import { derivativesOf, type Nuisances, type Solutions } from './predictor';
import type { Row } from './solve-fault';
import { solvePair } from './solve-pair';

/** Two faults at once, and how likely that is beside everything else. */
export interface SuspectedPair {
  readonly probability: number;
  /** The one that explains more first; amounts with the other there too. */
  readonly faults: readonly [Suspect, Suspect];
}

/** A fault by itself as it was weighed, ln, and the shop with it at its likeliest amount. */
export interface Single {
  readonly fault: Fault;
  readonly weight: number;
  readonly amount: number;
  readonly solutions: Solutions;
}

/** Of shops where something is wrong, so many have a second fault: a modelling estimate. */
const SECOND = 0.1;
/** One fault explains readings whose squared distance is no more than so many standard deviations above what it should be. */
const UNEXPLAINED = 2;
/** Faults that are tried as the first of two: the likeliest, and the likeliest of each kind, at most so many. */
const LIKELIEST = 3;
const MOST_FIRST = 9;
/** Pairs of places that are solved. */
const PAIRS_SOLVED = 5;
/** Pairs so many nats behind the best add nothing. */
const FAR_BEHIND = 10;

/** A shop with a first fault, as what is left for a second to explain. */
interface AfterFirst extends Single {
  readonly left: Left;
  readonly nuisances: Nuisances;
}

/** A pair before it is held against everything else: ln of its weight. */
export interface WeighedPair {
  readonly weight: number;
  /** The shop with the first of the two alone, and with both, at their likeliest amounts. */
  readonly first: Pick<Single, 'fault' | 'amount' | 'solutions'>;
  readonly both: Pick<Single, 'amount' | 'solutions'>;
  readonly faults: readonly [Omit<Suspect, 'probability'>, Omit<Suspect, 'probability'>];
}

/**
 * Two faults at once, where no fault alone explains the readings: weights in ln, beside those of the faults alone. Each
 * of the likeliest faults is taken for the first one, with its amount left open; all others are screened on top of it to
 * first order, and the best pairs are solved over a grid of both amounts. Nothing, where one fault is enough.
 */
export function weighPairs(
  { rows, covariance }: Pick<Left, 'rows' | 'covariance'>,
  possible: readonly PossibleFault[],
  singles: readonly Single[],
  nuisances: Nuisances,
  base: Solutions,
): WeighedPair[] {
  const priorOf = new Map(possible.map(({ fault, prior }) => [keyOfFault(fault), Math.log(prior)]));
  // Whichever of the two is taken for the first, it is the same pair.
  const priorOfBoth = (...both: readonly [Fault, Fault]) =>
    both.reduce((sum, fault) => sum + (priorOf.get(keyOfFault(fault)) ?? 0), 0) +
    Math.log((2 * SECOND) / (1 - PRIOR_OF_NOTHING));
  const tried = worthTrying(singles);
  // What is solved already tells most often that one fault is enough.
  const [likeliest] = tried;
  if (likeliest && isExplained({ rows, covariance, residuals: residualsOf(likeliest, rows) })) {
    return [];
  }
  const firsts: AfterFirst[] = [];
  for (const single of tried) {
    const after = afterFirst(single, rows, nuisances, base);
    if (isExplained(after.left)) return [];
    firsts.push(after);
  }
  const pairs = new Map<
    string,
    { first: AfterFirst; second: Fault; near: number; weight: number }
  >();
  for (const first of firsts) {
    const own = keyOfPlace(placeOfFault(first.fault));
    for (const { fault } of possible) {
      if (keyOfPlace(placeOfFault(fault)) === own) continue;
      const { marginal, best } = screenFault(
        fault,
        first.left,
        first.solutions.believed,
        first.nuisances,
      );
      const weight = marginal + priorOfBoth(first.fault, fault);
      // Of one place an opening and a gate, or a clog and a gate, are one thing to go and look at.
      const key = [own, keyOfPlace(placeOfFault(fault))].sort().join(' + ');
      if (weight > (pairs.get(key)?.weight ?? Number.NEGATIVE_INFINITY)) {
        pairs.set(key, { first, second: fault, near: best, weight });
      }
    }
  }
  const ranked = [...pairs.values()].sort((a, b) => b.weight - a.weight);
  return ranked
    .slice(0, PAIRS_SOLVED)
    .filter(({ weight }) => weight > (ranked[0]?.weight ?? 0) - FAR_BEHIND)
    .map(({ first, second, near }) => {
      const { marginal, faults, both } = solvePair(first, second, near, rows, nuisances, base);
      const { fault, amount, solutions } = first;
      return {
        ...{ faults, both, first: { fault, amount, solutions } },
        weight: marginal + priorOfBoth(fault, second),
      };
    });
}

/** The likeliest faults, and the likeliest of each kind. */
function worthTrying(singles: readonly Single[]): Single[] {
  const ranked = singles.toSorted((a, b) => b.weight - a.weight);
  const kinds = new Set<FaultKind>();
  return ranked
    .filter(({ fault }, rank) => {
      const isNew = !kinds.has(fault.kind);
      kinds.add(fault.kind);
      return isNew || rank < LIKELIEST;
    })
    .slice(0, MOST_FIRST);
}

/** What a first fault leaves of the readings, its amount one more thing the model is unsure of. */
function afterFirst(
  single: Single,
  rows: readonly Row[],
  nuisances: Nuisances,
  base: Solutions,
): AfterFirst {
  const { fault, amount, solutions } = single;
  const moved = fault.kind === 'meter' ? null : movedBy(fault, amount, base);
  const own = rows.map((row): Row => {
    const { observation, isBefore } = row;
    if (isBefore) return withColumn(row, 0);
    const solution = solutions.of(observation);
    const ln = solutions.lnOf(observation);
    if (!solution || ln === null) return withColumn(row, 0);
    const derivatives = derivativesOf(solutions, solution, observation, nuisances);
    const other = moved?.solutions.lnOf(observation) ?? null;
    const byAmount =
      fault.kind === 'meter'
        ? shownMore(fault, Math.E, observation.reading.instrument)
        : moved && other !== null
          ? (other - ln) / moved.by
          : 0;
    return withColumn({ observation, isBefore, ln, derivatives }, byAmount);
  });
  const wider: Nuisances = { ...nuisances, sigmas: [...nuisances.sigmas, amountSigma(fault)] };
  const observations = own.map(({ observation }) => observation);
  return {
    ...single,
    nuisances: wider,
    left: {
      rows: own,
      residuals: residualsOf(single, rows),
      covariance: covarianceOf(
        observations,
        own.map(({ derivatives }) => derivatives.byNuisance),
        wider.sigmas,
      ),
    },
  };
}

/** What a fault leaves of the readings, ln. */
const residualsOf = ({ fault, amount, solutions }: Single, rows: readonly Row[]): number[] =>
  rows.map(({ observation, ln, isBefore }) =>
    isBefore
      ? observation.ln - ln
      : observation.ln -
        (solutions.lnOf(observation) ?? ln) -
        shownMore(fault, amount, observation.reading.instrument),
  );

const withColumn = (row: Row, byAmount: number): Row => ({
  ...row,
  derivatives: { ...row.derivatives, byNuisance: [...row.derivatives.byNuisance, byAmount] },
});

/** Whether what is left lies as near to what is expected as chance has it. */
function isExplained({ rows, residuals, covariance }: Left): boolean {
  const observations = rows.map(({ observation }) => observation);
  const { square, count } = new Evidence(observations, covariance).distanceOf(residuals);
  return square < count + UNEXPLAINED * Math.sqrt(2 * count);
}
