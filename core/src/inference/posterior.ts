import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { covarianceOf, Evidence } from './evidence';
import {
  asBelieved,
  type Fault,
  type FaultKind,
  keyOfFault,
  PRIOR_OF_NOTHING,
  possibleFaults,
  withFault,
} from './faults';
import { screenFault } from './first-order';
import { logSum } from './integrate-amount';
import { isTakenBefore, type Observation } from './observations';
import { byPlace, type Suspect, type SuspectedPlace } from './places';
import { derivativesOf, type Nuisances, nuisancesOf, Solutions } from './predictor';
import { type SuspectedPair, type WeighedPair, weighPairs } from './second-fault';
import { type Row, rowOfTime, SOLVED_AT, type SolvedAt, solveFault } from './solve-fault';

/** What readings say is wrong with a shop. */
export interface Verdict {
  /** Probability that nothing is, beyond what the model is unsure of anyway. */
  readonly nothing: number;
  /** Whether it is to be said that something is wrong. */
  readonly isWrong: boolean;
  /** By kind, the likeliest first; together they are what is left of 1. */
  readonly kinds: readonly { readonly kind: FaultKind; readonly probability: number }[];
  /** Every fault worth naming, the likeliest first; of two at once by how likely each is one of them. */
  readonly suspects: readonly Suspect[];
  /** The same by where they are. */
  readonly places: readonly SuspectedPlace[];
  /** The likeliest places that together make up 90 % of what is wrong: these readings cannot tell them apart. */
  readonly among: readonly SuspectedPlace[];
  /** Two faults at once, where none alone explains the readings; null: one is enough, or nothing is wrong. */
  readonly two: TwoAtOnce | null;
}

/** Two faults at once. */
export interface TwoAtOnce {
  /** That there are two, beside one and none; and whether that is likelier than not. */
  readonly probability: number;
  readonly isLikely: boolean;
  /** The likeliest pairs first; together they are that probability. */
  readonly pairs: readonly SuspectedPair[];
}

/** What the readings are weighed with: for a next reading to be chosen by. */
export interface Weighed {
  readonly verdict: Verdict;
  readonly nuisances: Nuisances;
  readonly base: Solutions;
  /** Hypotheses solved exactly, nothing among them, with their probabilities. */
  readonly leaders: readonly Leader[];
  /** When what is wrong began: readings before it were taken without it. Null: before all of them. */
  readonly began: string | null;
  /** ln of how likely the readings are, whatever is wrong. */
  readonly evidence: number;
}

/** A hypothesis as it was solved, at the amount nearest to its best. */
export interface Leader extends SolvedAt {
  /** Null: nothing is wrong. */
  readonly fault: Fault | null;
  readonly probability: number;
  /** Of two faults at once the first, which this one is on top of; null: it is alone. */
  readonly onTopOf: (SolvedAt & { readonly fault: Fault }) | null;
}

/**
 * Something is said to be wrong where nothing wrong is less likely than this. By readings of every drop with its own
 * gate, 3 of 100 sound shops were called wrong by it, of 400 drawn at random.
 */
const WRONG_BELOW = 0.2;
/** Share of what is wrong that the suspects named together make up. */
const AMONG = 0.9;
/** Suspects less likely than this are not worth naming. */
const WORTH_NAMING = 0.002;
/**
 * Faults that are solved exactly: as many as so many solved shops are enough for, and none that is so many nats behind
 * to first order. Of what takes half of the air the first order is off by a dozen nats and more.
 */
const SOLVES = 1300;
const SOLVED = { least: 6, most: 24 } as const;
const FAR_BEHIND = 30;

/**
 * What is wrong with a shop, by all its readings together: nothing, or a fault, its amount integrated out (log-uniform).
 * Every fault is screened to first order by the adjoint; those that lead are solved exactly, with the covariance taken
 * anew at their best amount. A shop that has no answer, or no readings, says nothing: then nothing is wrong as far as
 * anyone knows.
 * @param began when what is wrong began, a time: readings before it were taken without it, and say what the shop is
 *   like. Null: it was there in all of them.
 * @param solves about how many shops may be solved for it; 0: everything is screened and no more
 */
export function weighFaults(
  shop: Shop,
  tree: DuctTree,
  observations: readonly Observation[],
  began: string | null = null,
  solves = SOLVES,
): Weighed {
  const believed = asBelieved(shop, tree);
  const nuisances = nuisancesOf(believed);
  const base = new Solutions(believed);
  const rows = observations.flatMap((observation): Row[] => {
    const ln = base.lnOf(observation);
    const solution = base.of(observation);
    if (ln === null || !solution) return [];
    const derivatives = derivativesOf(base, solution, observation, nuisances);
    return [
      rowOfTime({ observation, ln, derivatives }, isTakenBefore(observation, began), nuisances),
    ];
  });
  const used = rows.map(({ observation }) => observation);
  const covariance = covarianceOf(
    used,
    rows.map(({ derivatives }) => derivatives.byNuisance),
    nuisances.sigmas,
  );
  const residuals = rows.map(({ observation, ln }) => observation.ln - ln);
  const left = { rows, residuals, covariance };
  const meters = [...new Set(used.map(({ reading }) => reading.instrument))];

  const evidence = new Evidence(used, covariance);
  const ofNothing = Math.log(PRIOR_OF_NOTHING) + evidence.of(residuals);
  const possible = possibleFaults(shop, tree, meters);
  const screened = possible
    .map(({ fault, prior }) => ({
      ...{ fault, prior: Math.log(prior) },
      ...screenFault(fault, left, believed, nuisances),
    }))
    .map((each) => ({ ...each, weight: each.prior + each.marginal }))
    .sort((a, b) => b.weight - a.weight);
  const best = Math.max(ofNothing, screened[0]?.weight ?? Number.NEGATIVE_INFINITY);
  const sets = new Set(used.map(({ gatesKey }) => gatesKey)).size;
  const affordable = Math.floor(solves / (SOLVED_AT * Math.max(1, sets)));
  const most = solves > 0 ? Math.min(SOLVED.most, Math.max(SOLVED.least, affordable)) : 0;
  const solved = screened.map((each, rank) => {
    const isLeading = rank < most && each.weight > best - FAR_BEHIND;
    if (each.fault.kind === 'meter') return { ...each, at: { amount: each.best, solutions: base } };
    if (!isLeading) return { ...each, at: null };
    const exact = solveFault(each.fault, each.best, base, rows, nuisances, evidence);
    return { ...each, ...exact, weight: each.prior + exact.marginal };
  });
  const whole = logSum([ofNothing, ...solved.map(({ weight }) => weight)]);
  const probability = (weight: number) => Math.exp(weight - whole);
  const nothing = probability(ofNothing);
  const singles = solved.flatMap(({ fault, weight, at }) => (at ? [{ fault, weight, ...at }] : []));
  const isWrong = nothing < WRONG_BELOW;
  // Those that were not solved too: beside a second fault they may be what is wrong.
  const alone = solved.map(({ fault, weight, at, best: amount }) => ({
    ...{ fault, weight, amount },
    solutions: new Solutions(withFault(believed, fault, amount), base),
    ...at,
  }));
  const pairs = isWrong && solves > 0 ? weighPairs(left, possible, alone, nuisances, base) : [];
  const two = twoAtOnce(pairs, whole);
  // Which two they are is then what is still to be found out.
  const areTwo = two?.isLikely === true;
  const wholeOfPairs = logSum(pairs.map(({ weight }) => weight));
  const suspects = (
    two && areTwo
      ? ofPairs(two)
      : solved.map(({ fault, weight, median, low, high }) => ({
          fault,
          probability: probability(weight),
          ...{ amount: median, low, high },
        }))
  )
    .filter((suspect) => suspect.probability > WORTH_NAMING)
    .sort((a, b) => b.probability - a.probability);
  const places = byPlace(suspects);
  return {
    verdict: {
      nothing,
      isWrong,
      two,
      kinds: kindsOf(solved.map(({ fault, weight }) => [fault, probability(weight)])),
      suspects,
      places,
      among: amongOf(places, areTwo ? 2 * (two?.probability ?? 0) : 1 - nothing),
    },
    nuisances,
    base,
    began,
    evidence: whole,
    leaders: [
      { fault: null, amount: 0, probability: nothing, solutions: base, onTopOf: null },
      ...(areTwo
        ? pairs.map(({ weight, first, both, faults: [, { fault }] }) => ({
            ...{ fault, onTopOf: first, ...both },
            probability: Math.exp(weight - wholeOfPairs),
          }))
        : singles.map(({ weight, ...own }) => ({
            ...own,
            ...{ probability: probability(weight), onTopOf: null },
          }))
      ).sort((a, b) => b.probability - a.probability),
    ],
  };
}

/** Every fault of some pairs, by how likely it is one of the two. */
function ofPairs({ pairs }: TwoAtOnce): Suspect[] {
  const known = new Map<string, Suspect>();
  for (const suspect of pairs.flatMap(({ faults }) => faults)) {
    const key = keyOfFault(suspect.fault);
    const before = known.get(key);
    // Its amount is that of the likeliest pair.
    known.set(
      key,
      before ? { ...before, probability: before.probability + suspect.probability } : suspect,
    );
  }
  return [...known.values()];
}

/** @param alone ln of how likely the readings are with one fault or none */
function twoAtOnce(pairs: readonly WeighedPair[], alone: number): TwoAtOnce | null {
  if (pairs.length === 0) return null;
  const whole = logSum([alone, ...pairs.map(({ weight }) => weight)]);
  const own = pairs
    .map(({ weight, faults: [one, other] }): SuspectedPair => {
      const probability = Math.exp(weight - whole);
      return {
        probability,
        faults: [
          { ...one, probability },
          { ...other, probability },
        ],
      };
    })
    .sort((a, b) => b.probability - a.probability);
  const probability = own.reduce((sum, each) => sum + each.probability, 0);
  return { probability, isLikely: probability > 0.5, pairs: own };
}

function kindsOf(weighed: readonly (readonly [Fault, number])[]): Verdict['kinds'] {
  const sums = new Map<FaultKind, number>();
  for (const [{ kind }, probability] of weighed) {
    sums.set(kind, (sums.get(kind) ?? 0) + probability);
  }
  return [...sums]
    .map(([kind, probability]) => ({ kind, probability }))
    .sort((a, b) => b.probability - a.probability);
}

/** The likeliest places that make up 90 % of what is wrong. */
function amongOf(places: readonly SuspectedPlace[], whole: number): SuspectedPlace[] {
  let sum = 0;
  const among: SuspectedPlace[] = [];
  for (const place of places) {
    if (sum >= AMONG * whole) break;
    among.push(place);
    sum += place.probability;
  }
  return among;
}
