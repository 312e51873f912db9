import { circleArea } from '../air/velocity-pressure';
import { gatesOfDrop, machineGates } from '../analysis/gate-sets';
import { runLength } from '../design/length';
import type { DuctTree } from '../design/topology';
import { diameterAt } from '../reading/diameter-at';
import type { Measurand } from '../reading/measurand';
import { conditionedBy } from './conditioned-leader';
import type { BelievedShop } from './faults';
import { gatesKeyOf, type Observation, USUAL_SCATTER } from './observations';
import { keyOfPlace, type Place, placeOfFault } from './places';
import type { Leader, Weighed } from './posterior';
import type { Asked } from './predictor';

/** What the user can take a reading with, and whether they would drill a hole for it. */
export interface Means {
  /** Ids of meters: one that shows the air, one that shows pressure; null: they have none. */
  readonly air: string | null;
  readonly pressure: string | null;
  /** Air speed inside a duct, through a test hole or where it can be opened. */
  readonly mayOpenDucts: boolean;
}

/** A reading that could be taken next. */
export interface Candidate extends Asked {
  readonly kind:
    | 'drop, own gate'
    | 'drop, another gate open too'
    | 'duct, all gates shut'
    | 'duct, a drop open'
    | 'blower, all gates shut'
    | 'tap';
  /** Id of the meter it would be read with. */
  readonly meter: string;
  /** Trouble of taking it, as a multiple of reading a drop again: a hole to drill, a ladder. */
  readonly cost: number;
}

/** What a suspected place makes of a reading before it is taken: its likeliest suspect there. */
export interface Outcome {
  /** Null: nothing is wrong. */
  readonly place: Place | null;
  /** Of two faults at once where the other one is; null: it is alone. */
  readonly also: Place | null;
  /** That of all its suspects together. */
  readonly probability: number;
  /** Of a flow the mean air speed in the duct there, m/s; null: it is none. */
  readonly speed: number | null;
  /** The value expected, SI, and the ends of its 90 % interval. */
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

export interface NextReading {
  readonly candidate: Candidate;
  /** Information it is expected to give of what is wrong, nats. */
  readonly gain: number;
  /** What each leading place expects, the likeliest first. */
  readonly outcomes: readonly Outcome[];
}

/** Suspects that candidates are judged by: at most so many, and none that is less of what may be wrong. */
const MOST_JUDGED = 24;
const LEAST_LIKELY = 0.004;
/** Information that has to be gained for twice the trouble of reading a drop again, nats. */
const TROUBLE = 0.05;
/** That nothing is wrong counts for at most so much. */
const NOTHING_COUNTS = 0.2;
/** One standard deviation of a meter's error on one visit, in ln, where nothing else is known: 3 %, 95 times in 100. */
export const METER_SIGMA = 0.03 / 1.96;
export const OWN_SIGMA = Math.hypot(USUAL_SCATTER / Math.sqrt(3), 0.01);
/** Points a mixture's entropy is summed at. */
const POINTS = 160;
/** 90 % of a normal distribution lie within so many standard deviations. */
const NINETY = 1.645;

/** Gates of whole branches: those that shut off no machine by themselves. */
function branchGates(tree: DuctTree): ReadonlySet<string> {
  const ofMachines = machineGates(tree);
  return new Set(
    tree.upstreamFirst.flatMap(({ id, gate }) => (gate && !ofMachines.has(id) ? [id] : [])),
  );
}

/** Every reading that could be taken with certain means. */
export function candidatesOf(tree: DuctTree, means: Means): Candidate[] {
  const none: ReadonlySet<string> = new Set();
  // With every machine shut off, but with the gates of whole branches open, or nothing draws on those branches.
  const shut = branchGates(tree);
  const readBy =
    (meter: string) =>
    (
      kind: Candidate['kind'],
      measurand: Measurand,
      gates: ReadonlySet<string>,
      cost: number,
    ): Candidate => ({ kind, measurand, meter, gates, gatesKey: gatesKeyOf(gates), cost });
  const candidates: Candidate[] = [];
  if (means.air !== null) {
    const make = readBy(means.air);
    for (const drop of tree.drops) {
      const own = gatesOfDrop(drop);
      const at = { kind: 'port', node: drop.id } as const;
      candidates.push(make('drop, own gate', { at, shows: 'flow' }, own, 1));
      for (const other of tree.drops) {
        const gates = new Set([...own, ...gatesOfDrop(other)]);
        if (other === drop || gates.size === own.size) continue;
        candidates.push(make('drop, another gate open too', { at, shows: 'flow' }, gates, 1));
      }
    }
    if (means.mayOpenDucts) {
      for (const run of tree.upstreamFirst) {
        const length = runLength(run, tree);
        // At its end, with all that leaks into it; where two runs join, at its beginning too, with what comes of both.
        const joins = (tree.into.get(run.from) ?? []).length > 1;
        for (const along of joins ? [0, length] : [length]) {
          const measurand = {
            at: { kind: 'run', run: run.id, along },
            shows: 'flow',
          } as const;
          candidates.push(make('duct, all gates shut', measurand, shut, 1.5));
          // With a drop open the pressure falls along its way: how much leaks in then tells where from as well.
          for (const drop of tree.drops)
            candidates.push(make('duct, a drop open', measurand, gatesOfDrop(drop), 1.5));
        }
      }
    }
    const inlet = { kind: 'collector', tap: 'separator inlet' } as const;
    candidates.push(make('blower, all gates shut', { at: inlet, shows: 'flow' }, shut, 1.2));
    if (shut.size > 0)
      candidates.push(make('blower, all gates shut', { at: inlet, shows: 'flow' }, none, 1.2));
  }
  if (means.pressure !== null) {
    const make = readBy(means.pressure);
    const [first] = tree.drops;
    for (const tap of ['separator inlet', 'filter'] as const) {
      const measurand = { at: { kind: 'collector', tap }, shows: 'pressure' } as const;
      candidates.push(make('tap', measurand, shut, 1.2));
      if (first) candidates.push(make('tap', measurand, gatesOfDrop(first), 1.2));
    }
  }
  return candidates;
}

/**
 * The readings that tell most of what is wrong, the best first: by the information each is expected to give of which
 * suspect it is, for the trouble of taking it. Each suspect predicts a reading with what the readings so far leave
 * open; how far those predictions lie apart is what the reading can tell (mutual information, Lindley 1956, from
 * memory).
 * @param most how many are wanted
 */
export function nextReadings(
  weighed: Weighed,
  observations: readonly Observation[],
  candidates: readonly Candidate[],
  most: number,
): NextReading[] {
  const views = judgedOf(weighed).map(({ leader, share }) => ({
    ...{ leader, share },
    view: viewOf(weighed, leader, observations),
  }));
  return candidates
    .flatMap((candidate): NextReading[] => {
      const outcomes = views.flatMap(({ leader, share, view }) => {
        const expected = view.expected(candidate);
        const of = placesOf(leader);
        return expected ? [{ leader, of, share, ...expected }] : [];
      });
      if (outcomes.length < views.length) return [];
      return [
        {
          candidate,
          gain: information(outcomes),
          outcomes: outcomesByPlace(outcomes, areaAt(weighed.base.believed, candidate)),
        },
      ];
    })
    .sort((a, b) => worthOf(b) - worthOf(a))
    .slice(0, most);
}

/** Names the place of what a hypothesis has wrong, or both places. */
const placesOf = ({ fault, onTopOf }: Leader): string =>
  [fault, onTopOf?.fault ?? null]
    .flatMap((each) => (each ? [keyOfPlace(placeOfFault(each))] : []))
    .sort()
    .join(' + ') || 'nothing';

interface LeaderExpects extends Expectation {
  readonly leader: Leader;
}

/** What suspects expect, by where they are. */
function outcomesByPlace(expected: readonly LeaderExpects[], area: number | null): Outcome[] {
  const places = new Map<string, Outcome>();
  for (const { of, leader, mean, sigma } of expected) {
    const value = Math.exp(mean);
    const first = places.get(of) ?? {
      place: leader.fault && placeOfFault(leader.fault),
      also: leader.onTopOf && placeOfFault(leader.onTopOf.fault),
      ...{ probability: 0, value, speed: area === null ? null : value / area },
      low: Math.exp(mean - NINETY * sigma),
      high: Math.exp(mean + NINETY * sigma),
    };
    places.set(of, { ...first, probability: first.probability + leader.probability });
  }
  return [...places.values()].sort((a, b) => b.probability - a.probability);
}

/** What a reading tells, less the trouble of taking it. */
const worthOf = ({ gain, candidate: { cost } }: NextReading) => gain - TROUBLE * (cost - 1);

/**
 * The suspects that a reading is to tell apart, with their shares. Who looks for a leak believes that there is one:
 * that nothing is wrong counts for no more than so much, or what is rather unlikely would never be looked for.
 */
function judgedOf({ leaders, verdict: { nothing } }: Weighed) {
  const wrong = 1 - nothing;
  const suspects = leaders
    .filter(({ fault, probability }) => fault && probability >= LEAST_LIKELY * wrong)
    .toSorted((a, b) => b.probability - a.probability)
    .slice(0, MOST_JUDGED);
  const whole = suspects.reduce((sum, { probability }) => sum + probability, 0);
  const ofNothing = whole > 0 ? Math.min(nothing, NOTHING_COUNTS) : 1;
  return [
    ...leaders.flatMap((leader) => (leader.fault ? [] : [{ leader, share: ofNothing }])),
    ...suspects.map((leader) => ({
      leader,
      share: ((1 - ofNothing) * leader.probability) / whole,
    })),
  ].filter(({ share }) => share > 0);
}

/** What a suspect expects of further readings, by what the readings so far say of everything it leaves open. */
function viewOf(weighed: Weighed, leader: Leader, observations: readonly Observation[]) {
  const { conditioned, rowOf } = conditionedBy(weighed, leader, observations);
  return {
    expected: (candidate: Candidate) => {
      const own = rowOf(candidate, candidate.meter);
      if (!own) return null;
      const { mean, variance } = conditioned.of(own.row);
      const floor = leastShown(weighed.base.believed, candidate) / Math.exp(own.ln);
      const sigma = Math.hypot(Math.sqrt(variance), METER_SIGMA, OWN_SIGMA, floor);
      return { mean: own.ln + mean, sigma };
    },
  };
}

/** What a meter cannot tell from nothing, one standard deviation: m/s of air, Pa. */
const STILL = { air: 0.15, pressure: 2 };

function leastShown(believed: BelievedShop, asked: Asked): number {
  const area = areaAt(believed, asked);
  return area === null ? STILL.pressure : STILL.air * area;
}

/** Area of the duct that air is asked of, m²; null: something else is asked. */
const areaAt = (
  { shop, tree }: BelievedShop,
  { measurand: { at, shows } }: Asked,
): number | null => (shows === 'flow' ? circleArea(diameterAt(shop, tree, at) ?? 0) : null);

interface Expectation {
  /** What is to be told apart from others: a place. */
  readonly of: string;
  readonly share: number;
  readonly mean: number;
  readonly sigma: number;
}

/**
 * What a reading tells of which place is the true one, nats: entropy of everything expected, less that of what each
 * place expects, by its share. Two expectations of one place need not be told apart.
 */
export function information(parts: readonly Expectation[]): number {
  const low = Math.min(...parts.map(({ mean, sigma }) => mean - 5 * sigma));
  const high = Math.max(...parts.map(({ mean, sigma }) => mean + 5 * sigma));
  const finest = Math.min(...parts.map(({ sigma }) => sigma));
  const points = Math.min(2000, Math.max(POINTS, Math.ceil((3 * (high - low)) / finest)));
  const step = (high - low) / points;
  const places = [...new Set(parts.map(({ of }) => of))].map((place) => {
    const own = parts.filter(({ of }) => of === place);
    return { own, share: own.reduce((sum, { share }) => sum + share, 0) };
  });
  let told = 0;
  for (let i = 0; i < points; i++) {
    const x = low + (i + 0.5) * step;
    let whole = 0;
    for (const { own, share } of places) {
      let density = 0;
      for (const part of own) {
        const z = (x - part.mean) / part.sigma;
        if (z * z < 60)
          density += (part.share * Math.exp((-z * z) / 2)) / (part.sigma * Math.sqrt(2 * Math.PI));
      }
      if (density > 0) told += density * Math.log(density / share) * step;
      whole += density;
    }
    if (whole > 0) told -= whole * Math.log(whole) * step;
  }
  return Math.max(0, told);
}
