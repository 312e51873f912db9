import { type FlowSensitivities, flowSensitivities } from '../analysis/flow-uncertainty';
import type { Shop } from '../design/schema';
import type { Drop, DuctTree } from '../design/topology';
import type { Reading } from '../journal/reading';
import type { TestPoint } from '../journal/test-point';
import { type MeasuredFlow, measuredFlow } from '../measuring/measured-flow';
import { networksByGates } from '../network/assemble/networks-by-gates';
import type { View } from '../network/assemble/setting';
import type { CompiledNetwork } from '../network/compiled-network';
import { solveCompiled } from '../network/solve-shop';
import { circumstancesOf, type Meters } from './circumstances';
import { flowAt } from './flow-at';

/** What was measured where it says something of the flow. */
export type SomeFlow = Exclude<MeasuredFlow, { kind: 'no flow' }>;

/** A reading held against what the model predicts with the same gates open. m³/s, 95 %. */
export type Compared =
  | {
      readonly kind: 'compared';
      /** The drop whose port it was read at; null: it was read in a run or at the collector. */
      readonly drop: Drop | null;
      readonly measured: SomeFlow;
      readonly predicted: number;
      readonly predictedUncertainty: number;
      /** What that uncertainty is made of, and how the prediction moves with openings and with a loaded filter. */
      readonly sensitivities: FlowSensitivities;
      /** measured − predicted; null for a bound on the far side of the prediction: it says nothing. */
      readonly difference: number | null;
      readonly differenceUncertainty: number;
      /** The difference is larger than its uncertainty. */
      readonly isShown: boolean;
    }
  /** The place is gone or in no duct, or the shop as it stands has no solution. */
  | { readonly kind: 'no prediction'; readonly measured: SomeFlow }
  /** It says nothing of how much air flows. */
  | Extract<MeasuredFlow, { kind: 'no flow' }>;

export interface ComparedReading {
  readonly reading: Reading;
  readonly result: Compared;
}

/** What the model says of a flow with certain gates open. */
interface Prediction {
  readonly drop: Drop | null;
  readonly sensitivities: FlowSensitivities;
}

/**
 * A function that holds readings against the model, one by one. Those at one place with the same gates
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
    const at = meters.testPoints.find(({ id }) => id === reading.testPoint)?.at;
    const key = [JSON.stringify(at), ...[...reading.openGates].sort()].join('\n');
    let prediction = predictions.get(key);
    if (prediction === undefined) {
      prediction = at ? predict(shop, tree, view, networkOf, at, reading.openGates) : null;
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
  at: TestPoint['at'],
  openGates: readonly string[],
): Prediction | null {
  const solved = solveCompiled(tree, networkOf(new Set(openGates)));
  if (solved.kind !== 'solved') return null;
  const found = flowAt(tree, solved.compiled, at);
  return (
    found && {
      drop: found.drop,
      sensitivities: flowSensitivities(shop, view, solved, found.quantity),
    }
  );
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
