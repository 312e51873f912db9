import { covarianceOf, Evidence } from './evidence';
import {
  type Fault,
  type FaultKind,
  keyOfFault,
  type PossibleFault,
  PRIOR_OF_NOTHING,
  shownMore,
  withFault,
} from './faults';
import { type Left, screenFault } from './first-order';
import { amountsOf, logSum } from './integrate-amount';
import { amountSigma, movedBy } from './moved-amount';
import { keyOfPlace, placeOfFault, type Suspect } from './places';
import { derivativesOf, type Nuisances, Solutions } from './predictor';
import { type Row, SOLVED_AT } from './solve-fault';

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
/** Pairs of places that are solved, and amounts each fault of a pair is integrated over. */
const PAIRS_SOLVED = 5;
const INTEGRATED = 25;
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
      residuals: own.map(({ observation, ln, isBefore }) => {
        const more = isBefore ? 0 : shownMore(fault, amount, observation.reading.instrument);
        return observation.ln - ln - more;
      }),
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

/** A pair solved over both amounts, those between interpolated in ln, and both integrated out. */
function solvePair(
  first: AfterFirst,
  second: Fault,
  near: number,
  rows: readonly Row[],
  nuisances: Nuisances,
  base: Solutions,
) {
  const known = new Map<string, readonly number[]>();
  const nodes = [amountsOf(first.fault, SOLVED_AT), amountsOf(second, SOLVED_AT)] as const;
  const believedWith = (a: number, b: number) =>
    withFault(withFault(base.believed, first.fault, a), second, b);
  const solvedAt = (i: number, j: number): readonly number[] => {
    const key = `${first.fault.kind === 'meter' ? 0 : i} ${second.kind === 'meter' ? 0 : j}`;
    const before = known.get(key);
    if (before) return before;
    const solutions = new Solutions(
      believedWith(nodes[0][i] ?? 0, nodes[1][j] ?? 0),
      first.solutions,
    );
    const lns = rows.map(({ observation, isBefore, ln }) =>
      isBefore ? ln : (solutions.lnOf(observation) ?? 0),
    );
    known.set(key, lns);
    return lns;
  };
  const best = new Solutions(believedWith(first.amount, near), first.solutions);
  const anew = rows.map(({ observation, isBefore, derivatives }) => {
    if (isBefore) return derivatives.byNuisance;
    const solution = best.of(observation);
    return solution
      ? derivativesOf(best, solution, observation, nuisances).byNuisance
      : nuisances.names.map(() => 0);
  });
  const observations = rows.map(({ observation }) => observation);
  const evidence = new Evidence(observations, covarianceOf(observations, anew, nuisances.sigmas));
  const [as, bs] = [amountsOf(first.fault, INTEGRATED), amountsOf(second, INTEGRATED)];
  const place = (index: number) => {
    const at = (index / (INTEGRATED - 1)) * (SOLVED_AT - 1);
    const node = Math.min(SOLVED_AT - 2, Math.floor(at));
    return { node, share: at - node };
  };
  const logs = as.map((a, p) => {
    const { node: i, share: u } = place(p);
    return bs.map((b, q) => {
      const { node: j, share: v } = place(q);
      const corners = [
        solvedAt(i, j),
        solvedAt(i + 1, j),
        solvedAt(i, j + 1),
        solvedAt(i + 1, j + 1),
      ];
      const weights = [(1 - u) * (1 - v), u * (1 - v), (1 - u) * v, u * v];
      return evidence.of(
        rows.map(({ observation, isBefore }, row) => {
          const predicted = corners.reduce(
            (sum, lns, k) => sum + (weights[k] ?? 0) * (lns[row] ?? 0),
            0,
          );
          const meter = observation.reading.instrument;
          const more = isBefore
            ? 0
            : shownMore(first.fault, a, meter) + shownMore(second, b, meter);
          return observation.ln - predicted - more;
        }),
      );
    });
  });
  const whole = logSum(logs.flat());
  const sharesOf = (lines: readonly (readonly number[])[]) =>
    lines.map((line) => Math.exp(logSum(line) - whole));
  const transposed = bs.map((_, q) => logs.map((line) => line[q] ?? Number.NEGATIVE_INFINITY));
  return {
    marginal: whole - 2 * Math.log(INTEGRATED),
    both: { amount: near, solutions: best },
    faults: [
      { fault: first.fault, ...quantilesOf(as, sharesOf(logs)) },
      { fault: second, ...quantilesOf(bs, sharesOf(transposed)) },
    ] as const,
  };
}

/** The median of an amount and the ends of its 90 % interval, by the shares of its values. */
function quantilesOf(amounts: readonly number[], shares: readonly number[]) {
  const at = (wanted: number) => {
    let sum = 0;
    for (const [i, share] of shares.entries()) {
      sum += share;
      if (sum >= wanted) return amounts[i] ?? 0;
    }
    return amounts.at(-1) ?? 0;
  };
  const [low, amount, high] = [at(0.05), at(0.5), at(0.95)];
  return { amount, low: Math.min(low, high), high: Math.max(low, high) };
}
