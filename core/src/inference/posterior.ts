import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { gateLoss } from '../fittings/gate';
import { covarianceOf, Evidence } from './evidence';
import {
  asBelieved,
  type BelievedShop,
  type Fault,
  type FaultKind,
  PRIOR_OF_NOTHING,
  possibleFaults,
  shownMore,
} from './faults';
import { integrate, logSum } from './integrate-amount';
import { isTakenBefore, type Observation } from './observations';
import { byPlace, type Suspect, type SuspectedPlace } from './places';
import { derivativesOf, type Nuisances, nuisancesOf, Solutions } from './predictor';
import {
  INTEGRATED_AT,
  type Row,
  rowOfTime,
  SOLVED_AT,
  type SolvedAt,
  solveFault,
} from './solve-fault';

/** What readings say is wrong with a shop. */
export interface Verdict {
  /** Probability that nothing is, beyond what the model is unsure of anyway. */
  readonly nothing: number;
  /** Whether it is to be said that something is wrong. */
  readonly isWrong: boolean;
  /** By kind, the likeliest first; together they are what is left of 1. */
  readonly kinds: readonly { readonly kind: FaultKind; readonly probability: number }[];
  /** Every fault worth naming, the likeliest first. */
  readonly suspects: readonly Suspect[];
  /** The same by where they are. */
  readonly places: readonly SuspectedPlace[];
  /** The likeliest places that together make up 90 % of what is wrong: these readings cannot tell them apart. */
  readonly among: readonly SuspectedPlace[];
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
/** Amounts a fault is screened at to first order. */
const SCREENED_AT = 6;
/** How far a first-order change of ln may be off, as a share of it, one standard deviation. */
const SCREENING_ERROR = 0.2;
/** Faults that are solved exactly: as many as so many solved shops are enough for, and none that is so many nats behind. */
const SOLVES = 1300;
const SOLVED = { least: 6, most: 24 } as const;
const FAR_BEHIND = 8;

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
  const meters = [...new Set(used.map(({ reading }) => reading.instrument))];

  const ofNothing = Math.log(PRIOR_OF_NOTHING) + new Evidence(used, covariance).of(residuals);
  const screened = possibleFaults(shop, tree, meters)
    .map(({ fault, prior }) => {
      // What a meter does wrong is known without solving anything.
      const isExact = fault.kind === 'meter';
      const integrated = integrate(fault, isExact ? INTEGRATED_AT : SCREENED_AT, (amount) => {
        const shifts = screenedShifts(rows, fault, amount, believed, nuisances).map((shift, i) =>
          rows[i]?.isBefore ? 0 : shift,
        );
        const error = isExact ? 0 : SCREENING_ERROR;
        const more = shifts.map((shift) => (error * shift) ** 2);
        const own = new Evidence(used, covariance, more);
        return own.of(residuals.map((residual, i) => residual - (shifts[i] ?? 0)));
      });
      return { fault, prior: Math.log(prior), ...integrated };
    })
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
    const exact = solveFault(each.fault, each.best, base, rows, nuisances);
    return { ...each, ...exact, weight: each.prior + exact.marginal };
  });
  const whole = logSum([ofNothing, ...solved.map(({ weight }) => weight)]);
  const probability = (weight: number) => Math.exp(weight - whole);
  const nothing = probability(ofNothing);
  const suspects = solved
    .map(({ fault, weight, median, low, high }) => ({
      fault,
      probability: probability(weight),
      ...{ amount: median, low, high },
    }))
    .filter((suspect) => suspect.probability > WORTH_NAMING)
    .sort((a, b) => b.probability - a.probability);
  const places = byPlace(suspects);
  return {
    verdict: {
      nothing,
      isWrong: nothing < WRONG_BELOW,
      kinds: kindsOf(solved.map(({ fault, weight }) => [fault, probability(weight)])),
      suspects,
      places,
      among: amongOf(places, 1 - nothing),
    },
    nuisances,
    base,
    began,
    evidence: whole,
    leaders: [
      { fault: null, amount: 0, probability: nothing, solutions: base },
      ...solved
        .flatMap(({ fault, weight, at }) =>
          at ? [{ fault, probability: probability(weight), ...at }] : [],
        )
        .sort((a, b) => b.probability - a.probability),
    ],
  };
}

/** What a fault does to ln of each prediction, to first order, bent so that it cannot take more than there is. */
function screenedShifts(
  rows: readonly Row[],
  fault: Fault,
  amount: number,
  { tree: { upstreamFirst } }: BelievedShop,
  { indexOf }: Nuisances,
): number[] {
  const inProportion = (nuisance: string) => {
    const index = indexOf.get(nuisance) ?? -1;
    const more = Math.log(amount);
    return rows.map(({ derivatives }) => (derivatives.byNuisance[index] ?? 0) * more);
  };
  switch (fault.kind) {
    case 'opening':
      return rows.map(({ derivatives }) => bent(derivatives.byOpening(fault.run) * amount));
    case 'clog':
      return rows.map(({ derivatives }) => choked(derivatives.byLoss(fault.run) * amount));
    case 'gate not open': {
      const gate = upstreamFirst.find(({ id }) => id === fault.run)?.gate;
      const more = gateLoss(amount, 0) - gateLoss(gate?.opening ?? 1, 0);
      return rows.map(({ observation, derivatives }) =>
        observation.gates.has(fault.run) ? choked(derivatives.byLoss(fault.run) * more) : 0,
      );
    }
    case 'gate not shut': {
      const run = upstreamFirst.find(({ id }) => id === fault.run);
      const area = amount * Math.PI * ((run?.diameter ?? 0) / 2) ** 2;
      return rows.map(({ observation, derivatives }) =>
        observation.gates.has(fault.run) ? 0 : bent(derivatives.byOpening(fault.run) * area),
      );
    }
    case 'meter':
      return rows.map(({ observation }) =>
        shownMore(fault, amount, observation.reading.instrument),
      );
    case 'leakage':
      return inProportion('leaks');
    default:
      return inProportion(fault.kind);
  }
}

/** A first-order change of ln that air flowing in adds to a flow, or takes from it. */
const bent = (change: number): number => Math.sign(change) * Math.log1p(Math.abs(change));
/** One that a loss takes: a flow goes with the root of what is left of the pressure. */
const choked = (change: number): number =>
  (Math.sign(change) * Math.log1p(2 * Math.abs(change))) / 2;

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
