import { gatesOfDrop } from '../analysis/gate-sets';
import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { holeLeakage } from '../duct/leakage';
import type { Reading } from '../journal/reading';
import { circumstancesOf, type Meters } from '../reading/circumstances';
import { measuredIn } from '../reading/measured-in';
import { type AllShut, allShutOf } from './all-shut';
import {
  type EstimateByReadings,
  estimatesByReadings,
  withoutEstimates,
} from './estimates-by-readings';
import { covarianceOf } from './evidence';
import { keyOfFault, shownMore, withFault } from './faults';
import { cholesky, whiten } from './least-squares';
import { leaveOneOut } from './leave-one-out';
import { MOST_WEIGHED } from './most-weighed';
import { type NearFar, nearFarOf } from './near-far';
import { candidatesOf, type Means, type NextReading, nextReadings } from './next-reading';
import {
  gatesKeyOf,
  isTakenBefore,
  type Observation,
  type SetAside,
  weighReadings,
} from './observations';
import { weighOverTimes } from './over-times';
import type { Suspect } from './places';
import type { Leader, Verdict, Weighed } from './posterior';
import { expectedBy, Solutions } from './predictor';

/** A drop that loses less than this share of its air is not named. */
const WORTH_NAMING = 0.005;

/** What a drop loses by a suspect, with only its own gate open. m³/s. */
export interface DropLoss {
  readonly drop: string;
  readonly without: number;
  readonly with: number;
}

/** What a reading says of the suspect that is named first. */
export interface ReadingVoice {
  readonly reading: string;
  /**
   * How much likelier it is, given all the others, if the suspect is at fault than if nothing is, nats: above 0 it speaks
   * for the suspect. Null: it is a bound.
   */
  readonly weight: number | null;
}

/** A suspect as it is shown: with what it takes. */
export interface ReportedSuspect extends Suspect {
  /** Air an opening draws in, m³/s, at its median and the ends of its 90 % interval; null: it is no opening. */
  readonly air: { readonly median: number; readonly low: number; readonly high: number } | null;
  /** What the drops that lose by it lose, most first; of a meter none. */
  readonly losses: readonly DropLoss[];
}

/** What all readings say of a shop, as plain data. */
export interface LeakReport {
  readonly verdict: Verdict;
  /** When what is wrong began: the first reading after it. Null: it was there in all of them, or nothing is wrong. */
  readonly began: string | null;
  /** The suspects of the places named, with what they take. */
  readonly suspects: readonly ReportedSuspect[];
  readonly voices: readonly ReadingVoice[];
  readonly setAside: readonly { readonly reading: string; readonly why: SetAside }[];
  /** Readings that were weighed, and at how many places. */
  readonly weighed: number;
  readonly places: number;
  /** The smallest shortfall common to all of them that they could have shown, as a share; null: nothing was measured. */
  readonly couldShow: number | null;
  /** What leaks in all over the shop; null: nobody read it. */
  readonly allShut: AllShut | null;
  /** The nearest drop against the farthest; null: they were not both read. */
  readonly nearFar: NearFar | null;
  /** What they say the model's estimates are out by. */
  readonly estimates: readonly EstimateByReadings[];
}

/** A report, and what it was made of: for the next reading to be chosen by. */
export interface MadeReport {
  readonly report: LeakReport;
  readonly weighed: Weighed;
  readonly observations: readonly Observation[];
}

/** What readings of one state of a shop say is wrong with it. Of very many only the latest are weighed. */
export function reportLeaks(
  believed: Shop,
  tree: DuctTree,
  readings: readonly Reading[],
  meters: Meters,
): MadeReport {
  const shop = withoutEstimates(believed);
  const points = new Map(meters.testPoints.map(({ id, at }) => [id, at]));
  const { observations, setAside } = weighReadings(
    shop,
    tree,
    readings.toSorted((a, b) => Date.parse(b.at) - Date.parse(a.at)).slice(0, MOST_WEIGHED),
    ({ testPoint }) => points.get(testPoint) ?? null,
    (reading) => circumstancesOf(reading, shop, tree, meters),
  );
  const weighed = weighOverTimes(shop, tree, observations);
  const { verdict } = weighed;
  const named = new Set(
    verdict.among.flatMap(({ suspects }) => suspects.map(({ fault }) => keyOfFault(fault))),
  );
  return {
    report: {
      verdict,
      began: verdict.isWrong ? weighed.began : null,
      suspects: verdict.suspects
        .filter(({ fault }) => named.has(keyOfFault(fault)))
        .map((suspect) => reported(suspect, weighed, tree)),
      voices: voicesOf(weighed, observations),
      setAside: setAside.map(({ reading, why }) => ({ reading: reading.id, why })),
      weighed: observations.length,
      places: new Set(observations.map(({ reading }) => reading.testPoint)).size,
      couldShow: couldShowOf(weighed, observations),
      allShut: allShutOf(shop, tree, observations),
      nearFar: nearFarOf(weighed.base, tree, observations, weighed.nuisances),
      estimates: estimatesByReadings(shop, tree, weighed, observations),
    },
    weighed,
    observations,
  };
}

/** The readings worth taking next, of those that certain means allow: of each place the one that tells most. */
export function reportNext(
  { weighed, observations }: MadeReport,
  tree: DuctTree,
  means: Means,
  most: number,
): NextReading[] {
  const candidates = candidatesOf(tree, means);
  const ofPlaces = new Map<string, NextReading>();
  for (const next of nextReadings(weighed, observations, candidates, candidates.length)) {
    const place = JSON.stringify(next.candidate.measurand);
    if (!ofPlaces.has(place)) ofPlaces.set(place, next);
  }
  return [...ofPlaces.values()].slice(0, most);
}

function reported(suspect: Suspect, { base }: Weighed, tree: DuctTree): ReportedSuspect {
  const { fault, amount, low, high } = suspect;
  if (fault.kind === 'meter') return { ...suspect, air: null, losses: [] };
  const solutions = new Solutions(withFault(base.believed, fault, amount), base);
  const losses = tree.drops
    .flatMap((drop): DropLoss[] => {
      const [without, after] = [flowOfDrop(base, tree, drop), flowOfDrop(solutions, tree, drop)];
      if (without === null || after === null) return [];
      const isLess = without - after > WORTH_NAMING * without;
      return isLess ? [{ drop: drop.id, without, with: after }] : [];
    })
    .sort((a, b) => b.without - b.with - (a.without - a.with));
  const worst = losses[0]?.drop;
  const perArea = fault.kind === 'opening' ? airPerArea(solutions, fault.run, tree, worst) : null;
  return {
    ...suspect,
    air:
      perArea === null
        ? null
        : { median: perArea * amount, low: perArea * low, high: perArea * high },
    losses,
  };
}

const askedOf = (tree: DuctTree, id: string) => {
  const drop = tree.drops.find((each) => each.id === id);
  const gates = drop ? gatesOfDrop(drop) : new Set<string>();
  return { gates, gatesKey: gatesKeyOf(gates) };
};

const flowOfDrop = (solutions: Solutions, tree: DuctTree, { id }: { readonly id: string }) => {
  const ln = solutions.lnOf({
    ...askedOf(tree, id),
    measurand: { at: { kind: 'port', node: id }, shows: 'flow' },
  });
  return ln === null ? null : Math.exp(ln);
};

/** What each m² of an opening in a run draws in, m³/s, with the gate of a drop open. */
function airPerArea(
  solutions: Solutions,
  run: string,
  tree: DuctTree,
  drop: string | undefined,
): number | null {
  const solution = drop === undefined ? null : solutions.of(askedOf(tree, drop));
  const pressure =
    solution &&
    measuredIn(solutions.believed.shop, solution, {
      at: { kind: 'run', run, along: 0 },
      shows: 'pressure',
    });
  return solution && pressure !== null
    ? holeLeakage(1, solution.network.air.density) * Math.sqrt(Math.abs(pressure))
    : null;
}

/** What each reading says of the first suspect beside nothing, given all the others. */
function voicesOf(weighed: Weighed, observations: readonly Observation[]): ReadingVoice[] {
  const [first] = weighed.verdict.suspects;
  const key = first && keyOfFault(first.fault);
  const leader = weighed.leaders.find(({ fault, onTopOf }) =>
    [fault, onTopOf?.fault].some((each) => each && keyOfFault(each) === key),
  );
  const nothing = weighed.leaders.find(({ fault }) => fault === null);
  if (!leader || !nothing)
    return observations.map(({ reading }) => ({ reading: reading.id, weight: null }));
  const [ofFirst, ofNothing] = [leader, nothing].map((each) => alone(weighed, each, observations));
  return observations.map(({ reading }) => {
    const [a, b] = [ofFirst?.get(reading.id), ofNothing?.get(reading.id)];
    return { reading: reading.id, weight: a === undefined || b === undefined ? null : a - b };
  });
}

/** Standard deviations a shortfall has to differ from nothing by. */
const SHOWN = 3;

/** The smallest factor common to all values that they could have shown, by generalised least squares. */
function couldShowOf(
  { base, nuisances }: Weighed,
  observations: readonly Observation[],
): number | null {
  const rows = observations.flatMap((observation) => {
    const own = observation.bound === null ? expectedBy(base, observation, nuisances) : null;
    return own ? [{ observation, row: own.byNuisance }] : [];
  });
  if (rows.length === 0) return null;
  const covariance = covarianceOf(
    rows.map(({ observation }) => observation),
    rows.map(({ row }) => row),
    nuisances.sigmas,
  );
  const z = whiten(
    cholesky(covariance),
    rows.map(() => 1),
  );
  return SHOWN / Math.sqrt(z.reduce((sum, each) => sum + each * each, 0));
}

/** ln of how likely each value is by a hypothesis and all other values. */
function alone(
  { base, nuisances, began }: Weighed,
  { fault, amount, solutions, onTopOf }: Leader,
  observations: readonly Observation[],
): ReadonlyMap<string, number> {
  const shown = (meter: string) =>
    shownMore(fault, amount, meter) +
    shownMore(onTopOf?.fault ?? null, onTopOf?.amount ?? 1, meter);
  const rows = observations.flatMap((observation) => {
    if (observation.bound !== null) return [];
    const isBefore = isTakenBefore(observation, began);
    const own = expectedBy(isBefore ? base : solutions, observation, nuisances, isBefore);
    if (!own) return [];
    const more = isBefore ? 0 : shown(observation.reading.instrument);
    return [{ observation, residual: observation.ln - own.ln - more, row: own.byNuisance }];
  });
  const values = rows.map(({ observation }) => observation);
  const covariance = covarianceOf(
    values,
    rows.map(({ row }) => row),
    nuisances.sigmas,
  );
  const logs = leaveOneOut(
    covariance,
    rows.map(({ residual }) => residual),
  );
  return new Map(values.map(({ reading }, i) => [reading.id, logs[i] ?? 0]));
}
