// How well the fault of a hidden shop is named, by readings of each drop with its own gate open and by three more that
// the program chose, with and without air speeds inside the ducts. Shops, faults and readings are drawn by seed; in
// every shop all that the model is unsure of is drawn too.
import {
  type DropsAtJoint,
  HIDDEN_KINDS,
  type HiddenShop,
  hiddenShop,
  ownGateRound,
} from '../../core/reference/hidden-shops';
import type { DuctTree } from '../../core/src/design/topology';
import type { FaultKind } from '../../core/src/inference/faults';
import { candidatesOf, nextReadings } from '../../core/src/inference/next-reading';
import type { Observation } from '../../core/src/inference/observations';
import { keyOfPlace, placeOfFault } from '../../core/src/inference/places';
import { type Verdict, type Weighed, weighFaults } from '../../core/src/inference/posterior';

const NEXT = 3;
const DECILES = 10;

/** Of twelve shops: five with an opening, one of each other kind of fault, and two where nothing is wrong. */
const OF_TWELVE = [
  ...Array.from({ length: 5 }, () => 'opening' as const),
  ...HIDDEN_KINDS.filter((kind) => kind !== 'opening'),
  ...Array.from({ length: 2 }, () => null),
];

/** Ways to measure. */
const WAYS = ['own', 'chosen3', 'chosen3NoDuct'] as const;
type Way = (typeof WAYS)[number];

/** A clog and a gate that does not open fully do the same to all air: no airflow tells them apart. */
const asRestriction = (kind: FaultKind | 'nothing') =>
  kind === 'clog' || kind === 'gate not open' ? 'restricted' : kind;

const isNear = ({ upstreamFirst }: DuctTree, one: string, other: string): boolean => {
  const [a, b] = [one, other].map((run) => upstreamFirst.find(({ id }) => id === run));
  return !!a && !!b && [a.from, a.to].some((node) => node === b.from || node === b.to);
};

/** What is counted of one way to measure; all of it adds up. */
const NO_COUNTS = {
  ...{ openings: 0, first: 0, next: 0, among: 0, size: 0, named: 0, areaError: 0 },
  ...{ sound: 0, alarms: 0, wrong: 0, kindRight: 0 },
};
interface Score {
  readonly counts: typeof NO_COUNTS;
  /** Places by what is said of them: the sum of it, how many were true, how many there were. */
  readonly said: { said: number; true: number; n: number }[];
}
export type Scores = Readonly<Record<Way, Score>> & {
  /** Time spent on choosing next readings, ms, and how often. */
  readonly spent: { next: number; nexts: number };
};

const newScore = (): Score => ({
  counts: { ...NO_COUNTS },
  said: Array.from({ length: DECILES }, () => ({ said: 0, true: 0, n: 0 })),
});
const newScores = (): Scores => ({
  own: newScore(),
  chosen3: newScore(),
  chosen3NoDuct: newScore(),
  spent: { next: 0, nexts: 0 },
});

function count(
  { counts, said }: Score,
  { fault, amount, tree }: HiddenShop,
  { isWrong, kinds, places, among }: Verdict,
): void {
  const truth = fault && keyOfPlace(placeOfFault(fault));
  for (const { place, probability } of places) {
    const decile = said[Math.min(DECILES - 1, Math.floor(DECILES * probability))];
    if (!decile) continue;
    decile.said += probability;
    decile.true += keyOfPlace(place) === truth ? 1 : 0;
    decile.n++;
  }
  if (!fault) {
    counts.sound++;
    counts.alarms += isWrong ? 1 : 0;
    return;
  }
  counts.wrong++;
  const kind = isWrong ? (kinds[0]?.kind ?? 'nothing') : 'nothing';
  counts.kindRight += asRestriction(kind) === asRestriction(fault.kind) ? 1 : 0;
  if (fault.kind !== 'opening') return;
  counts.openings++;
  const first = places.find(({ place }) => place.kind === 'run');
  const run = first?.place.kind === 'run' ? first.place.run : null;
  if (run !== null && (run === fault.run || isNear(tree, run, fault.run))) counts.next++;
  if (run === fault.run) {
    counts.first++;
    const opening = first?.suspects.find((suspect) => suspect.fault.kind === 'opening');
    if (opening) {
      counts.named++;
      counts.areaError += Math.abs(Math.log(opening.amount / amount));
    }
  }
  counts.among += among.some(({ place }) => keyOfPlace(place) === truth) ? 1 : 0;
  counts.size += among.length;
}

function chosen(
  hidden: HiddenShop,
  own: readonly Observation[],
  first: Weighed,
  mayOpenDucts: boolean,
  spent: Scores['spent'],
) {
  const candidates = candidatesOf(hidden.tree, { air: 'vane', pressure: 'gauge', mayOpenDucts });
  const observations = [...own];
  let weighed = first;
  for (let taken = 0; taken < NEXT; taken++) {
    const start = performance.now();
    const [best] = nextReadings(weighed, observations, candidates, 1);
    spent.next += performance.now() - start;
    spent.nexts++;
    const read = best && hidden.read(best.candidate);
    if (!read) break;
    observations.push(read);
    weighed = weighFaults(hidden.shop, hidden.tree, observations);
  }
  return weighed.verdict;
}

/** Every so many-th hidden shop, from one of them on. */
export function scoreShops(
  from: number,
  below: number,
  step: number,
  atJoint: DropsAtJoint,
): Scores {
  const scores = newScores();
  for (let i = from; i < below; i += step) {
    const kind = OF_TWELVE[i % OF_TWELVE.length] ?? null;
    const hidden = hiddenShop(7919 * (i + 1), kind, null, atJoint);
    const own = ownGateRound(hidden).flatMap((asked) => hidden.read(asked) ?? []);
    const weighed = weighFaults(hidden.shop, hidden.tree, own);
    count(scores.own, hidden, weighed.verdict);
    count(scores.chosen3, hidden, chosen(hidden, own, weighed, true, scores.spent));
    count(scores.chosen3NoDuct, hidden, chosen(hidden, own, weighed, false, scores.spent));
  }
  return scores;
}

/** Forty readings of a shop of fourteen drops, weighed a few times: the middle one, ms. */
export function posteriorTime(atJoint: DropsAtJoint): number {
  const large = hiddenShop(1, 'opening', 14, atJoint);
  const means = { air: 'vane', pressure: 'gauge', mayOpenDucts: true };
  const asked = [...ownGateRound(large), ...candidatesOf(large.tree, means)].slice(0, 40);
  const observations = asked.flatMap((each) => large.read(each) ?? []);
  const times = Array.from({ length: 5 }, () => {
    const start = performance.now();
    weighFaults(large.shop, large.tree, observations);
    return performance.now() - start;
  });
  return times.toSorted((a, b) => a - b)[2] ?? Number.NaN;
}

/** What all scores come to together, shares between 0 and 1. */
export function figuresOf(all: readonly Scores[]) {
  const whole = newScores();
  for (const scores of all) {
    for (const way of WAYS) {
      const { counts, said } = whole[way];
      for (const key of Object.keys(counts) as (keyof typeof counts)[])
        counts[key] += scores[way].counts[key];
      said.forEach((decile, i) => {
        const more = scores[way].said[i];
        for (const key of ['said', 'true', 'n'] as const) decile[key] += more?.[key] ?? 0;
      });
    }
    whole.spent.next += scores.spent.next;
    whole.spent.nexts += scores.spent.nexts;
  }
  const figures = ({ counts }: Score) => ({
    first: counts.first / counts.openings,
    next: counts.next / counts.openings,
    among: counts.among / counts.openings,
    size: counts.size / counts.openings,
    areaError: Math.exp(counts.areaError / counts.named) - 1,
    falseAlarms: counts.alarms / counts.sound,
  });
  return {
    own: figures(whole.own),
    chosen3: figures(whole.chosen3),
    chosen3NoDuct: figures(whole.chosen3NoDuct),
    kindRight: whole.chosen3.counts.kindRight / whole.chosen3.counts.wrong,
    calibration: whole.chosen3.said.map(({ said, true: right, n }) => ({
      said: said / n,
      true: right / n,
      n,
    })),
    nextReadingMs: whole.spent.next / whole.spent.nexts,
  };
}

/** Standard deviations that 95 % of a normal distribution lie within. */
const NINETY_FIVE = 1.96;

/**
 * Whether so many of n places were true as was said of them: within what chance alone does 95 times in 100 (binomial by
 * its normal approximation, with half a place for continuity).
 */
export const holdsWhatItSays = (decile: {
  readonly said: number;
  readonly true: number;
  readonly n: number;
}): boolean => {
  const { said, n } = decile;
  const sigma = Math.sqrt((said * (1 - said)) / n);
  return Math.abs(decile.true - said) <= NINETY_FIVE * sigma + 0.5 / n;
};

/** Where a share lies that was counted among n, 95 times in 100 (Wilson 1927, from memory). */
export function chanceInterval(share: number, n: number): readonly [number, number] {
  const square = NINETY_FIVE ** 2 / n;
  const middle = (share + square / 2) / (1 + square);
  const half =
    (NINETY_FIVE / (1 + square)) * Math.sqrt((share * (1 - share)) / n + square / (4 * n));
  return [middle - half, middle + half];
}
