import { gatesOfDrop } from '../analysis/gate-sets';
import { runLength } from '../design/length';
import type { Drop, DuctTree } from '../design/topology';
import { gatesKeyOf, type Observation } from './observations';
import { type Expected, expectedBy, type Nuisances, type Solutions } from './predictor';

/** The drop nearest to the collector and the one farthest from it, held against each other: far over near. */
export interface NearFar {
  readonly near: string;
  readonly far: string;
  /** Airflow at the far drop over that at the near one, and the half-width of its 95 % interval. */
  readonly measured: number;
  readonly measuredUncertainty: number;
  /** What the model expects of it. */
  readonly predicted: number;
  readonly predictedUncertainty: number;
  /** They differ by more than both are uncertain by. */
  readonly isShown: boolean;
}

const NINETY_FIVE = 1.96;

/**
 * Near against far, as people compare them: each with its own gate alone, by the latest reading of either. What a meter
 * has wrong cancels if both were read with it on one visit, and so does what both drops share: the collector, the main
 * from the near drop on. Null: fewer than two drops were read so, or both are as far.
 */
export function nearFarOf(
  base: Solutions,
  tree: DuctTree,
  observations: readonly Observation[],
  nuisances: Nuisances,
): NearFar | null {
  const read = tree.drops
    .flatMap((drop) => {
      const observation = latestOf(drop, observations);
      const expected = observation && expectedBy(base, observation, nuisances);
      return expected ? [{ drop, observation, expected, way: wayOf(drop, tree) }] : [];
    })
    .sort((a, b) => a.way - b.way);
  const [near, far] = [read[0], read.at(-1)];
  if (!near || !far || far.way <= near.way) return null;
  const meters =
    near.observation.meter === far.observation.meter
      ? []
      : [near.observation.meterSigma, far.observation.meterSigma];
  const measured = far.observation.ln - near.observation.ln;
  const sigma = Math.hypot(near.observation.sigma, far.observation.sigma, ...meters);
  const predicted = far.expected.ln - near.expected.ln;
  const own = sigmaOfDifference(far.expected, near.expected, nuisances);
  const share = (ln: number, half: number) =>
    [Math.exp(ln), Math.exp(ln) * Math.sinh(NINETY_FIVE * half)] as const;
  const [measuredShare, measuredUncertainty] = share(measured, sigma);
  const [predictedShare, predictedUncertainty] = share(predicted, own);
  return {
    ...{ near: near.drop.id, far: far.drop.id },
    ...{ measured: measuredShare, measuredUncertainty },
    ...{ predicted: predictedShare, predictedUncertainty },
    isShown: Math.abs(measured - predicted) > NINETY_FIVE * Math.hypot(sigma, own),
  };
}

/** Duct between a drop and the collector, m. */
const wayOf = ({ path }: Drop, tree: DuctTree): number =>
  path.reduce((sum, run) => sum + runLength(run, tree) + (run.hose?.length ?? 0), 0);

/** The latest reading of a drop with only its own gates open that is no bound. */
function latestOf(drop: Drop, observations: readonly Observation[]): Observation | undefined {
  const gatesKey = gatesKeyOf(gatesOfDrop(drop));
  return observations
    .filter(
      ({ measurand: { at, shows }, bound, gatesKey: own }) =>
        at.kind === 'port' &&
        at.node === drop.id &&
        shows === 'flow' &&
        bound === null &&
        own === gatesKey,
    )
    .toSorted((a, b) => Date.parse(b.reading.at) - Date.parse(a.reading.at))[0];
}

/** One standard deviation of what the model expects of a ratio, in ln: what both move with together cancels. */
const sigmaOfDifference = (one: Expected, other: Expected, { sigmas }: Nuisances): number =>
  Math.hypot(
    ...sigmas.map((sigma, p) => sigma * ((one.byNuisance[p] ?? 0) - (other.byNuisance[p] ?? 0))),
  );
