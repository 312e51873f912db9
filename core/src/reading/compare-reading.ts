import { type DropSensitivities, dropSensitivities } from '../analysis/flow-uncertainty';
import type { Shop } from '../design/schema';
import type { Drop, DuctTree } from '../design/topology';
import type { Reading } from '../journal/reading';
import { type MeasuredFlow, measuredFlow } from '../measuring/measured-flow';
import { networksByGates } from '../network/assemble/networks-by-gates';
import type { View } from '../network/assemble/setting';
import type { CompiledNetwork } from '../network/compiled-network';
import { solveCompiled } from '../network/solve-shop';
import { circumstancesOf, type Meters, nodeOf } from './circumstances';

/** What was measured where it says something of the flow. */
export type SomeFlow = Exclude<MeasuredFlow, { kind: 'no flow' }>;

/** A reading held against what the model predicts with the same gates open. m³/s, 95 %. */
export type Compared =
  | {
      readonly kind: 'compared';
      readonly drop: Drop;
      readonly measured: SomeFlow;
      readonly predicted: number;
      readonly predictedUncertainty: number;
      /** What that uncertainty is made of, and how the prediction moves with openings and with a loaded filter. */
      readonly sensitivities: DropSensitivities;
      /** measured − predicted; null for a bound on the far side of the prediction: it says nothing. */
      readonly difference: number | null;
      readonly differenceUncertainty: number;
      /** The difference is larger than its uncertainty. */
      readonly isShown: boolean;
    }
  /** The drop is gone, or the shop as it stands has no solution. */
  | { readonly kind: 'no prediction'; readonly measured: SomeFlow }
  /** It says nothing of how much air flows. */
  | Extract<MeasuredFlow, { kind: 'no flow' }>;

export interface ComparedReading {
  readonly reading: Reading;
  readonly result: Compared;
}

/** What the model says of a drop with certain gates open; null where it has nothing to say. */
interface Prediction {
  readonly drop: Drop;
  readonly sensitivities: DropSensitivities;
}

/**
 * A function that holds readings against the model, one by one. Those at one drop with the same gates
 * open share one prediction, which it remembers, so a long journal costs little more than a short one.
 * @param view the model as found, with wear and leaks, or as designed
 */
export function readingComparer(
  shop: Shop,
  tree: DuctTree,
  view: View = 'found',
): (reading: Reading, meters: Meters) => ComparedReading {
  const predictions = new Map<string, Prediction | null>();
  const networkOf = networksByGates(shop, tree, { view });
  return (reading, meters) => {
    const node = nodeOf(reading, meters);
    const key = [node, ...[...reading.openGates].sort()].join('\n');
    let prediction = predictions.get(key);
    if (prediction === undefined) {
      prediction = predict(shop, tree, view, networkOf, node, reading.openGates);
      predictions.set(key, prediction);
    }
    const measured = measuredFlow(reading, circumstancesOf(reading, shop, tree, meters));
    return { reading, result: compare(measured, prediction) };
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

function predict(
  shop: Shop,
  tree: DuctTree,
  view: View,
  networkOf: (openGates: ReadonlySet<string>) => CompiledNetwork,
  node: string | null,
  openGates: readonly string[],
): Prediction | null {
  const drop = tree.drops.find(({ id }) => id === node);
  if (!drop) return null;
  const solved = solveCompiled(tree, networkOf(new Set(openGates)));
  if (solved.kind !== 'solved') return null;
  const sensitivities = dropSensitivities(shop, view, solved, drop);
  return sensitivities && { drop, sensitivities };
}

function compare(measured: MeasuredFlow, prediction: Prediction | null): Compared {
  if (measured.kind === 'no flow') return measured;
  if (!prediction) return { kind: 'no prediction', measured };

  const { drop, sensitivities } = prediction;
  const predicted = sensitivities.flow;
  const predictedUncertainty = Math.hypot(...Object.values(sensitivities.changes));
  const uncertainty = measured.kind === 'value' ? measured.uncertainty : 0;
  const differenceUncertainty = Math.hypot(uncertainty, predictedUncertainty);
  const gap = measured.flow - predicted;
  const isTelling = measured.kind === 'value' || (measured.kind === 'at least' ? gap > 0 : gap < 0);
  const difference = isTelling ? gap : null;
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
