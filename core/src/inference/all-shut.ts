import { gatesOfDrop, machineGates } from '../analysis/gate-sets';
import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { asBelieved, withFault } from './faults';
import type { Observation } from './observations';
import { Solutions } from './predictor';

/** What leaks in all over a shop, by a reading at the collector with every machine shut off. m³/s. */
export interface AllShut {
  readonly reading: string;
  readonly flow: number;
  /** What the model expects of the joints' leakage as believed. */
  readonly predicted: number;
  /** The leakage class of all ducts that would let in as much, with its 95 % interval; CFM per 100 ft² at 1 in. w.g. */
  readonly leakageClass: number;
  readonly low: number;
  readonly high: number;
}

/** Leakage of all joints is looked for between these factors of what is believed. */
const LEAST = 0.02;
const MOST = 60;
const HALVINGS = 30;
const NINETY_FIVE = 1.96;

/**
 * Total leakage by the latest reading of the airflow at the collector with no machine's gate open; null where there is
 * none. It is the joints' and every opening's together: such a reading says how much leaks in, not where.
 */
export function allShutOf(
  shop: Shop,
  tree: DuctTree,
  observations: readonly Observation[],
): AllShut | null {
  const ofMachines = machineGates(tree);
  const isShut = tree.drops.every((drop) => gatesOfDrop(drop).size > 0);
  const [latest] = observations
    .filter(
      ({ measurand: { at, shows }, gates, bound }) =>
        at.kind === 'collector' &&
        shows === 'flow' &&
        bound === null &&
        ![...gates].some((gate) => ofMachines.has(gate)),
    )
    .toSorted((a, b) => Date.parse(b.reading.at) - Date.parse(a.reading.at));
  if (!latest || !isShut) return null;
  const believed = asBelieved(shop, tree);
  const flowAt = (factor: number) =>
    new Solutions(withFault(believed, { kind: 'leakage' }, factor)).lnOf(latest);
  const predicted = flowAt(1);
  if (predicted === null) return null;
  const sigma = Math.hypot(latest.sigma, latest.meterSigma);
  const classOf = (ln: number) => shop.condition.sealing.usual * factorFor(ln, flowAt);
  return {
    reading: latest.reading.id,
    flow: Math.exp(latest.ln),
    predicted: Math.exp(predicted),
    leakageClass: classOf(latest.ln),
    low: classOf(latest.ln - NINETY_FIVE * sigma),
    high: classOf(latest.ln + NINETY_FIVE * sigma),
  };
}

/** The factor on all joints' leakage that lets in so much, by halving in ln. */
function factorFor(wanted: number, flowAt: (factor: number) => number | null): number {
  let [low, high] = [Math.log(LEAST), Math.log(MOST)];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if ((flowAt(Math.exp(middle)) ?? 0) < wanted) low = middle;
    else high = middle;
  }
  return Math.exp((low + high) / 2);
}
