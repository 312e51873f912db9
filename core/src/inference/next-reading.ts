import { gatesOfDrop } from '../analysis/gate-sets';
import { runLength } from '../design/length';
import type { DuctTree } from '../design/topology';
import type { Measurand } from '../reading/measurand';
import { Conditioned } from './conditioned';
import { AMOUNTS, type Fault, withFault } from './faults';
import { gatesKeyOf, type Observation, USUAL_SCATTER } from './observations';
import type { Leader, Weighed } from './posterior';
import { type Asked, derivativesOf, Solutions } from './predictor';

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
    | 'drop, another gate open too'
    | 'duct, all gates shut'
    | 'blower, all gates shut'
    | 'tap';
  /** Trouble of taking it, as a multiple of reading a drop again: a hole to drill, a ladder. */
  readonly cost: number;
}

/** What a suspect makes of a reading before it is taken. */
export interface Outcome {
  /** Null: nothing is wrong. */
  readonly fault: Fault | null;
  readonly probability: number;
  /** The value expected, SI, and the ends of its 90 % interval. */
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

export interface NextReading {
  readonly candidate: Candidate;
  /** Information it is expected to give of what is wrong, nats. */
  readonly gain: number;
  /** What each leading suspect expects, the likeliest first. */
  readonly outcomes: readonly Outcome[];
}

/** Suspects that candidates are judged by: at most so many, and none less likely. */
const MOST_JUDGED = 24;
const LEAST_LIKELY = 0.004;
/** One standard deviation of a meter's error on one visit, in ln, where nothing else is known: 3 %, 95 times in 100. */
const METER_SIGMA = 0.03 / 1.96;
const OWN_SIGMA = Math.hypot(USUAL_SCATTER / Math.sqrt(3), 0.01);
/** Points a mixture's entropy is summed at. */
const POINTS = 160;
/** 90 % of a normal distribution lie within so many standard deviations. */
const NINETY = 1.645;

/** Every reading that could be taken with certain means. */
export function candidatesOf(tree: DuctTree, means: Means): Candidate[] {
  const none: ReadonlySet<string> = new Set();
  const make = (
    kind: Candidate['kind'],
    measurand: Measurand,
    gates: ReadonlySet<string>,
    cost: number,
  ): Candidate => ({ kind, measurand, gates, gatesKey: gatesKeyOf(gates), cost });
  const candidates: Candidate[] = [];
  if (means.air !== null) {
    for (const drop of tree.drops) {
      const own = gatesOfDrop(drop);
      for (const other of tree.drops) {
        const gates = new Set([...own, ...gatesOfDrop(other)]);
        if (other === drop || gates.size === own.size) continue;
        const at = { kind: 'port', node: drop.id } as const;
        candidates.push(make('drop, another gate open too', { at, shows: 'flow' }, gates, 1));
      }
    }
    if (means.mayOpenDucts) {
      for (const run of tree.upstreamFirst) {
        const at = { kind: 'run', run: run.id, along: runLength(run, tree) } as const;
        candidates.push(make('duct, all gates shut', { at, shows: 'flow' }, none, 1.5));
      }
    }
    const inlet = { kind: 'collector', tap: 'separator inlet' } as const;
    candidates.push(make('blower, all gates shut', { at: inlet, shows: 'flow' }, none, 1.2));
  }
  if (means.pressure !== null) {
    const [first] = tree.drops;
    for (const tap of ['separator inlet', 'filter'] as const) {
      const measurand = { at: { kind: 'collector', tap }, shows: 'pressure' } as const;
      candidates.push(make('tap', measurand, none, 1.2));
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
  const judged = weighed.leaders
    .toSorted((a, b) => b.probability - a.probability)
    .filter(({ probability }, rank) => rank < MOST_JUDGED && probability >= LEAST_LIKELY);
  const whole = judged.reduce((sum, { probability }) => sum + probability, 0);
  const views = judged.map((leader) => ({ leader, view: viewOf(weighed, leader, observations) }));
  return candidates
    .flatMap((candidate): NextReading[] => {
      const outcomes = views.flatMap(({ leader, view }) => {
        const expected = view.expected(candidate);
        return expected ? [{ leader, share: leader.probability / whole, ...expected }] : [];
      });
      if (outcomes.length < views.length) return [];
      return [
        {
          candidate,
          gain: information(outcomes),
          outcomes: outcomes.map(({ leader, mean, sigma }) => ({
            fault: leader.fault,
            probability: leader.probability,
            value: Math.exp(mean),
            low: Math.exp(mean - NINETY * sigma),
            high: Math.exp(mean + NINETY * sigma),
          })),
        },
      ];
    })
    .sort((a, b) => b.gain / b.candidate.cost - a.gain / a.candidate.cost)
    .slice(0, most);
}

/** What a suspect expects of further readings, by what the readings so far say of everything it leaves open. */
function viewOf(
  weighed: Weighed,
  { fault, amount, solutions }: Leader,
  observations: readonly Observation[],
) {
  const { base, nuisances } = weighed;
  const moved = fault && fault.kind !== 'meter' ? movedBy(fault, amount, base) : null;
  const rowOf = (asked: Asked): { ln: number; row: number[] } | null => {
    const solution = solutions.of(asked);
    const ln = solutions.lnOf(asked);
    if (!solution || ln === null) return null;
    const { byNuisance } = derivativesOf(solutions, solution, asked, nuisances);
    const other = moved?.solutions.lnOf(asked) ?? null;
    const byAmount = moved && other !== null ? (other - ln) / moved.by : 0;
    return { ln, row: [...byNuisance, byAmount] };
  };
  const amountSigma = fault ? spanOf(fault) / Math.sqrt(12) : 0;
  const sigmas = [...nuisances.sigmas, amountSigma];
  const rows = observations.flatMap((observation) => {
    const own = rowOf(observation);
    return own ? [{ observation, ...own }] : [];
  });
  const shift = (instrument: string) =>
    fault?.kind === 'meter' && fault.meter === instrument
      ? Math.log(amount) * (fault.way === 'more' ? 1 : -1)
      : 0;
  const conditioned = new Conditioned(
    rows.map(({ observation, ln, row }) => ({
      observation,
      residual: observation.ln - ln - shift(observation.reading.instrument),
      row,
    })),
    sigmas,
  );
  return {
    expected: (candidate: Candidate) => {
      const own = rowOf(candidate);
      if (!own) return null;
      const { mean, variance } = conditioned.of(own.row);
      const sigma = Math.sqrt(variance + METER_SIGMA ** 2 + OWN_SIGMA ** 2);
      return { mean: own.ln + mean, sigma };
    },
  };
}

const spanOf = ({ kind }: Fault) => Math.abs(Math.log(AMOUNTS[kind].to / AMOUNTS[kind].from));

/** A fault at a little another amount, for derivatives by it. */
function movedBy(fault: Fault, amount: number, base: Solutions) {
  const by = 0.15 * Math.sign(Math.log(AMOUNTS[fault.kind].to / AMOUNTS[fault.kind].from));
  const solutions = new Solutions(withFault(base.believed, fault, amount * Math.exp(by)), base);
  return { by, solutions };
}

interface Expectation {
  readonly share: number;
  readonly mean: number;
  readonly sigma: number;
}

/** What a reading tells of which expectation is the true one: entropy of the mixture less that of its parts, nats. */
export function information(parts: readonly Expectation[]): number {
  const low = Math.min(...parts.map(({ mean, sigma }) => mean - 5 * sigma));
  const high = Math.max(...parts.map(({ mean, sigma }) => mean + 5 * sigma));
  const finest = Math.min(...parts.map(({ sigma }) => sigma));
  const points = Math.min(2000, Math.max(POINTS, Math.ceil((3 * (high - low)) / finest)));
  const step = (high - low) / points;
  let entropy = 0;
  for (let i = 0; i < points; i++) {
    const x = low + (i + 0.5) * step;
    let density = 0;
    for (const { share, mean, sigma } of parts) {
      const z = (x - mean) / sigma;
      if (z * z < 60)
        density += (share * Math.exp((-z * z) / 2)) / (sigma * Math.sqrt(2 * Math.PI));
    }
    if (density > 0) entropy -= density * Math.log(density) * step;
  }
  const own = parts.reduce(
    (sum, { share, sigma }) =>
      sum + share * (Math.log(sigma) + 0.5 * Math.log(2 * Math.PI * Math.E)),
    0,
  );
  return Math.max(0, entropy - own);
}
