import { type Air, airAtSite } from '../air/air-at-site';
import { type DropSensitivities, dropSensitivities } from '../analysis/flow-uncertainty';
import type { Shop } from '../design/schema';
import type { Drop, DuctTree } from '../design/topology';
import { PIPES } from '../duct/pipes';
import type { Journal } from '../journal/journal';
import type { Reading } from '../journal/reading';
import { networksByGates } from '../network/assemble/networks-by-gates';
import type { CompiledNetwork } from '../network/compiled-network';
import { solveCompiled } from '../network/solve-shop';
import { type MeasuredFlow, measuredFlow } from './measured-flow';

/** A reading held against what the model predicts with the same gates open. m³/s, 95 %. */
export type Compared =
  | {
      readonly kind: 'compared';
      readonly drop: Drop;
      readonly measured: MeasuredFlow;
      readonly predicted: number;
      readonly predictedUncertainty: number;
      /** What that uncertainty is made of, and how the prediction moves with openings and with a loaded filter. */
      readonly sensitivities: DropSensitivities;
      /** measured − predicted; null for a lower bound below the prediction: it says nothing. */
      readonly difference: number | null;
      readonly differenceUncertainty: number;
      /** The difference is larger than its uncertainty. */
      readonly isShown: boolean;
    }
  /** The drop is gone, or the shop as it stands has no solution. */
  | { readonly kind: 'no prediction'; readonly measured: MeasuredFlow };

export interface ComparedReading {
  readonly reading: Reading;
  readonly result: Compared;
}

/** What a reading refers to: the meters, and the places they were held at. */
export type Meters = Pick<Journal, 'instruments' | 'testPoints'>;

/** What the model says of a drop with certain gates open; null where it has nothing to say. */
interface Prediction {
  readonly drop: Drop;
  readonly air: Air;
  readonly sensitivities: DropSensitivities;
}

/**
 * A function that holds readings against the model, one by one. Those at one drop with the same gates
 * open share one prediction, which it remembers, so a long journal costs little more than a short one.
 */
export function readingComparer(
  shop: Shop,
  tree: DuctTree,
): (reading: Reading, meters: Meters) => ComparedReading {
  const predictions = new Map<string, Prediction | null>();
  const networkOf = networksByGates(shop, tree, { view: 'found' });
  return (reading, meters) => {
    const node = nodeOf(reading, meters);
    const key = [node, ...[...reading.openGates].sort()].join('\n');
    let prediction = predictions.get(key);
    if (prediction === undefined) {
      prediction = predict(shop, tree, networkOf, node, reading.openGates);
      predictions.set(key, prediction);
    }
    return { reading, result: compare(shop, reading, meters, prediction) };
  };
}

/** Holds every reading against the model. */
export function compareReadings(
  shop: Shop,
  tree: DuctTree,
  readings: readonly Reading[],
  meters: Meters,
): ComparedReading[] {
  const compareOne = readingComparer(shop, tree);
  return readings.map((reading) => compareOne(reading, meters));
}

/** Node of the port a reading was taken at; null where its test point is elsewhere, or not known. */
function nodeOf({ testPoint }: Reading, { testPoints }: Meters): string | null {
  const at = testPoints.find(({ id }) => id === testPoint)?.at;
  return at?.kind === 'port' ? at.node : null;
}

function predict(
  shop: Shop,
  tree: DuctTree,
  networkOf: (openGates: ReadonlySet<string>) => CompiledNetwork,
  node: string | null,
  openGates: readonly string[],
): Prediction | null {
  const drop = tree.drops.find(({ id }) => id === node);
  if (!drop) return null;
  const solved = solveCompiled(tree, networkOf(new Set(openGates)));
  if (solved.kind !== 'solved') return null;
  const sensitivities = dropSensitivities(shop, 'found', solved, drop);
  return sensitivities && { drop, air: solved.network.air, sensitivities };
}

function compare(
  shop: Shop,
  reading: Reading,
  { instruments }: Meters,
  prediction: Prediction | null,
): Compared {
  const instrument = instruments.find(({ id }) => id === reading.instrument);
  const { roughness } = PIPES[prediction?.drop.path[0]?.pipe ?? 'average'];
  const measured = measuredFlow(
    reading,
    instrument,
    prediction?.air ?? airAtSite(shop.shop.site),
    roughness,
  );
  if (!prediction) return { kind: 'no prediction', measured };

  const { drop, sensitivities } = prediction;
  const predicted = sensitivities.flow;
  const predictedUncertainty = Math.hypot(...Object.values(sensitivities.changes));
  const uncertainty = measured.kind === 'value' ? measured.uncertainty : 0;
  const differenceUncertainty = Math.hypot(uncertainty, predictedUncertainty);
  const gap = measured.flow - predicted;
  const difference = measured.kind === 'value' || gap > 0 ? gap : null;
  return {
    kind: 'compared',
    drop,
    measured,
    predicted,
    predictedUncertainty,
    sensitivities,
    difference,
    differenceUncertainty,
    isShown: difference !== null && Math.abs(difference) > differenceUncertainty,
  };
}
