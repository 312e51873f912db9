import { type Fault, type FaultKind, keyOfFault, shownMore } from '../inference/faults';
import {
  type Candidate,
  candidatesOf,
  METER_SIGMA,
  type NextReading,
  nextReadings,
  OWN_SIGMA,
} from '../inference/next-reading';
import { type Observation, weighReadings } from '../inference/observations';
import { keyOfPlace, placeOfFault } from '../inference/places';
import { type TwoAtOnce, type Weighed, weighFaults } from '../inference/posterior';
import { circumstancesOf } from '../reading/circumstances';
import {
  type Hunt,
  isNotedRightly,
  keyOfSpot,
  minutesFor,
  minutesSoFar,
  type NotedReading,
  type Standing,
} from './hunt';
import { GAUGE, VANE } from './practice-meters';
import type { PracticeShop } from './practice-shop';
import { metersOf } from './take-reading';

/** How near a named cause comes to the true one. */
const GRADES = ['right', 'other kind', 'next to it', 'wrong'] as const;
export type Grade = (typeof GRADES)[number];

/** A reading of the hunt, and what it told. */
export interface ToldBy {
  readonly reading: string;
  /** How likely the readings before it, and with it, make what is really wrong. */
  readonly before: number;
  readonly after: number;
  /** By how much it narrowed what may be wrong, bits; below 0 it widened it. */
  readonly bits: number;
  /** What was not noted as the meter showed it; null: it was noted rightly. */
  readonly slip: 'unit' | 'hold' | null;
}

/** A reading of the shortest way, as the program would go it knowing no more than the learner. */
export interface StepOfWay {
  readonly candidate: Candidate;
  readonly minutes: number;
  /** How likely what is really wrong is after it. */
  readonly after: number;
}

/** What is said to a learner who has named a cause. */
export interface Debrief {
  readonly truth: PracticeShop['faults'];
  /** Grade of every cause named, in their order; where something was overlooked, one `wrong` more. */
  readonly grades: readonly Grade[];
  /** Of 100; 0 where nothing was read. */
  readonly score: number;
  readonly minutes: number;
  readonly told: readonly ToldBy[];
  readonly way: readonly StepOfWay[];
  /** Minutes of that way, and whether it led there. */
  readonly wayMinutes: number;
  readonly isWayFound: boolean;
  /** What all readings of the hunt say of two faults at once, and how likely nothing is wrong. */
  readonly two: TwoAtOnce | null;
  readonly nothing: number;
}

/** What each grade is worth. */
const WORTH: Readonly<Record<Grade, number>> = {
  right: 1,
  'other kind': 0.6,
  'next to it': 0.4,
  wrong: 0,
};
/** Share of the score that time has no say in. */
const WITHOUT_TIME = 0.5;
/** About how many shops are solved for what one reading told. */
const SOLVES = 250;
/** The way ends when what is wrong is as likely as this, or after so many readings. */
const FOUND = 0.8;
const MOST_STEPS = 8;
/** A clog and a gate that does not open fully do the same to all air: naming one for the other is right. */
const asTrouble = (kind: FaultKind) =>
  kind === 'clog' || kind === 'gate not open' ? 'restricted' : kind;

/** How near a named cause comes to a true one. */
export function gradeOf(named: Fault, truth: Fault, { tree }: Pick<PracticeShop, 'tree'>): Grade {
  const isSameKind = asTrouble(named.kind) === asTrouble(truth.kind);
  if (isSameKind && keyOfPlace(placeOfFault(named)) === keyOfPlace(placeOfFault(truth))) {
    return named.kind === 'meter' && keyOfFault(named) !== keyOfFault(truth)
      ? 'other kind'
      : 'right';
  }
  if (!('run' in named) || !('run' in truth)) return 'wrong';
  if (named.run === truth.run) return 'other kind';
  const [a, b] = [named.run, truth.run].map((id) =>
    tree.upstreamFirst.find((run) => run.id === id),
  );
  const isNext = !!a && !!b && [a.from, a.to].some((node) => node === b.from || node === b.to);
  return isNext && isSameKind ? 'next to it' : 'wrong';
}

/** The best grades that named causes get together, each true one counted once. */
export function gradesOf(
  named: readonly Fault[],
  truth: readonly Fault[],
  practice: Pick<PracticeShop, 'tree'>,
): Grade[] {
  if (named.length === 0 && truth.length === 0) return ['right'];
  const left = [...truth];
  const grades = named.map((each): Grade => {
    const ranked = left
      .map((other) => ({ other, grade: gradeOf(each, other, practice) }))
      .sort((a, b) => GRADES.indexOf(a.grade) - GRADES.indexOf(b.grade));
    const [best] = ranked;
    if (!best || best.grade === 'wrong') return 'wrong';
    left.splice(left.indexOf(best.other), 1);
    return best.grade;
  });
  const overlooked = Math.max(0, truth.length - named.length);
  return [...grades, ...Array.from({ length: overlooked }, (): Grade => 'wrong')];
}

/**
 * Score of 100: how near the causes named are, and up to half of it less the longer the hunt took than the shortest way.
 * @param wayMinutes null: no shorter way is known
 */
export function scoreOf(
  grades: readonly Grade[],
  minutes: number,
  wayMinutes: number | null,
): number {
  const right = grades.reduce((sum, grade) => sum + WORTH[grade], 0) / Math.max(1, grades.length);
  const quick = wayMinutes === null || minutes <= wayMinutes ? 1 : wayMinutes / minutes;
  return Math.round(100 * right * (WITHOUT_TIME + (1 - WITHOUT_TIME) * quick));
}

/**
 * What a hunt comes to once causes are named: how near they are, what every reading could tell, and the shortest way
 * there, each of whose readings is the one the program would have taken next.
 * @param named what the learner says is wrong; none: nothing is
 * @param onProgress how much of it is done, of how much
 */
export function debriefOf(
  practice: PracticeShop,
  hunt: Hunt,
  named: readonly Fault[],
  onProgress: (done: number, of: number) => void = () => {},
): Debrief {
  const truth = practice.faults.map(({ fault }) => fault);
  const counted = hunt.readings.filter(({ reading }) => !reading.struckOut);
  const steps = counted.length + MOST_STEPS;
  const weighings = [weigh(practice, hunt, [])];
  for (const [i] of counted.entries()) {
    weighings.push(weigh(practice, hunt, counted.slice(0, i + 1).filter(isNotedRightly)));
    onProgress(i + 1, steps);
  }
  const way = shortestWay(practice, (done) => onProgress(counted.length + done, steps));
  const minutes = minutesSoFar(hunt);
  const wayMinutes = way.reduce((sum, step) => sum + step.minutes, 0);
  const isWayFound = (way.at(-1)?.after ?? 0) >= FOUND;
  const grades = gradesOf(named, truth, practice);
  const last = weighings.at(-1)?.verdict;
  return {
    truth: practice.faults,
    grades,
    // Without a reading it is a guess.
    score: counted.length === 0 ? 0 : scoreOf(grades, minutes, isWayFound ? wayMinutes : null),
    minutes,
    told: counted.map((each, i): ToldBy => {
      const [before, after] = [weighings[i], weighings[i + 1]];
      return {
        reading: each.reading.id,
        before: before ? likelihoodOf(before, truth) : 0,
        after: after ? likelihoodOf(after, truth) : 0,
        bits: (before ? bitsOf(before) : 0) - (after ? bitsOf(after) : 0),
        slip: slipOf(each),
      };
    }),
    way,
    wayMinutes,
    isWayFound,
    two: last?.two ?? null,
    nothing: last?.nothing ?? 1,
  };
}

function slipOf({ reading, unit, hold }: NotedReading): ToldBy['slip'] {
  if (reading.unit !== unit) return 'unit';
  return hold === 'maximum' ? 'hold' : null;
}

function weigh(practice: PracticeShop, hunt: Hunt, noted: readonly NotedReading[]): Weighed {
  const { shop, tree } = practice;
  const meters = metersOf(practice, hunt);
  const points = new Map(meters.testPoints.map(({ id, at }) => [id, at]));
  const { observations } = weighReadings(
    shop,
    tree,
    noted.map(({ reading }) => reading),
    ({ testPoint }) => points.get(testPoint) ?? null,
    (reading) => circumstancesOf(reading, shop, tree, meters),
  );
  return weighFaults(shop, tree, observations, null, SOLVES);
}

/** How likely what is really wrong is, by its place; of two at once the mean of both. */
function likelihoodOf({ verdict: { nothing, places } }: Weighed, truth: readonly Fault[]): number {
  if (truth.length === 0) return nothing;
  const likelihoods = truth.map((fault) => {
    const wanted = keyOfPlace(placeOfFault(fault));
    return places.find(({ place }) => keyOfPlace(place) === wanted)?.probability ?? 0;
  });
  return likelihoods.reduce((sum, each) => sum + each, 0) / likelihoods.length;
}

/** Bits that are wanting to know where it is, if anything is wrong. */
function bitsOf({ verdict: { nothing, places } }: Weighed): number {
  const weights = [nothing, ...places.map(({ probability }) => probability)];
  // Of two at once every place counts as one of two, so that together they are more than one.
  const whole = weights.reduce((sum, weight) => sum + weight, 0);
  return weights
    .map((weight) => weight / whole)
    .filter((share) => share > 0)
    .reduce((sum, share) => sum - share * Math.log2(share), 0);
}

/**
 * The way the program would have gone from the first reading on, by readings without chance: each time the one that
 * promises most for every minute it takes, until what is wrong is likely enough.
 */
function shortestWay(practice: PracticeShop, onStep: (done: number) => void): StepOfWay[] {
  const { shop, tree, real } = practice;
  const truth = practice.faults.map(({ fault }) => fault);
  const candidates = candidatesOf(tree, { air: VANE, pressure: GAUGE, mayOpenDucts: true });
  const observations: Observation[] = [];
  const way: StepOfWay[] = [];
  let standing: Standing = { made: new Set(), at: null, gates: new Set() };
  let weighed = weighFaults(shop, tree, observations, null, SOLVES);
  const left = () => candidates.filter((each) => !way.some(({ candidate }) => candidate === each));
  for (let step = 0; step < MOST_STEPS; step++) {
    const best = quickest(nextReadings(weighed, observations, left(), candidates.length), standing);
    const observation = best && observed(practice, best.candidate, real(best.candidate), step);
    if (!best || !observation) break;
    observations.push(observation);
    weighed = weighFaults(shop, tree, observations, null, SOLVES);
    const { candidate, minutes } = best;
    const { at } = candidate.measurand;
    const after = likelihoodOf(weighed, truth);
    way.push({ candidate, minutes, after });
    standing = {
      made: new Set([...standing.made, keyOfSpot(at)]),
      at: keyOfSpot(at),
      gates: candidate.gates,
    };
    onStep(step + 1);
    if (after >= FOUND) break;
  }
  return way;
}

/** The reading that promises most for every minute it takes from here; null: none promises anything. */
function quickest(
  readings: readonly NextReading[],
  standing: Standing,
): { readonly candidate: Candidate; readonly minutes: number } | null {
  const [best] = readings
    .map(({ candidate, gain }) => {
      const { at, shows } = candidate.measurand;
      const asked = { at, shows: shows === 'pressure' ? ('pressure' as const) : ('flow' as const) };
      return { candidate, gain, minutes: minutesFor(standing, asked, candidate.gates) };
    })
    .sort((a, b) => b.gain / b.minutes - a.gain / a.minutes);
  return best ?? null;
}

/** A reading without chance, of a sound meter unless the meter is what is wrong. */
function observed(
  { faults }: PracticeShop,
  candidate: Candidate,
  truth: number | null,
  step: number,
): Observation | null {
  if (truth === null) return null;
  const { meter } = candidate;
  const off = faults.reduce((sum, { fault, amount }) => sum + shownMore(fault, amount, meter), 0);
  return {
    reading: { id: `${step}`, at: '2026-01-10T09:00:00Z', testPoint: '', instrument: meter },
    measurand: candidate.measurand,
    gates: candidate.gates,
    gatesKey: candidate.gatesKey,
    ln: Math.log(Math.max(truth, 1e-6)) + off,
    bound: null,
    sigma: OWN_SIGMA,
    meter,
    meterSigma: METER_SIGMA,
  };
}
