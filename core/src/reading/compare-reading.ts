import { type Air, airAtSite } from '../air/air-at-site';
import { PIPES } from '../duct/pipes';
import { solveTree } from '../network/solve-shop';
import type { Reading, Shop } from '../shop/schema';
import type { Drop, DuctTree } from '../shop/topology';
import { type DoubtKind, flowChanges } from '../verdict/flow-uncertainty';
import { type MeasuredFlow, measuredFlow } from './measured-flow';

/** A reading held against what the model predicts with the same gates open. m³/s, 95 %. */
export type Compared =
  | {
      readonly kind: 'compared';
      readonly drop: Drop;
      readonly measured: MeasuredFlow;
      readonly predicted: number;
      readonly predictedDoubt: number;
      /** What that doubt is made of. */
      readonly changes: Readonly<Record<DoubtKind, number>>;
      /** measured − predicted; null for a lower bound below the prediction: it says nothing. */
      readonly difference: number | null;
      readonly differenceDoubt: number;
      /** The difference is larger than its doubt. */
      readonly isShown: boolean;
    }
  /** The drop is gone, or the shop as it stands has no solution. */
  | { readonly kind: 'no prediction'; readonly measured: MeasuredFlow };

export interface ComparedReading {
  readonly reading: Reading;
  readonly result: Compared;
}

/** What the model says of a drop with certain gates open; null where it has nothing to say. */
interface Prediction {
  readonly drop: Drop;
  readonly air: Air;
  readonly flow: number;
  readonly changes: Readonly<Record<DoubtKind, number>>;
}

/**
 * Holds every reading against the model. Readings at one drop with the same gates open share one
 * prediction, so a long log costs little more than a short one.
 */
export function compareReadings(
  shop: Shop,
  tree: DuctTree,
  readings: readonly Reading[],
): ComparedReading[] {
  const predictions = new Map<string, Prediction | null>();
  return readings.map((reading) => {
    const key = [reading.node, ...[...reading.openGates].sort()].join('\n');
    let prediction = predictions.get(key);
    if (prediction === undefined) {
      prediction = predict(shop, tree, reading);
      predictions.set(key, prediction);
    }
    return { reading, result: compare(shop, reading, prediction) };
  });
}

function predict(shop: Shop, tree: DuctTree, { node, openGates }: Reading): Prediction | null {
  const drop = tree.drops.find(({ id }) => id === node);
  const options = { view: 'found', openGates: new Set(openGates) } as const;
  const solved = solveTree(shop, tree, options);
  if (!drop || solved.kind !== 'solved') return null;
  return {
    drop,
    air: solved.network.air,
    flow: solved.airIn.get(drop.path[0]?.id ?? '')?.[0]?.flowIn ?? 0,
    changes: flowChanges(shop, tree, drop, options),
  };
}

function compare(shop: Shop, reading: Reading, prediction: Prediction | null): Compared {
  const instrument = shop.log.instruments.find(({ id }) => id === reading.instrument);
  const { roughness } = PIPES[prediction?.drop.path[0]?.pipe ?? 'average'];
  const measured = measuredFlow(
    reading,
    instrument,
    prediction?.air ?? airAtSite(shop.shop.site),
    roughness,
  );
  if (!prediction) return { kind: 'no prediction', measured };

  const { drop, flow: predicted, changes } = prediction;
  const predictedDoubt = Math.hypot(...Object.values(changes));
  const doubt = measured.kind === 'value' ? measured.doubt : 0;
  const differenceDoubt = Math.hypot(doubt, predictedDoubt);
  const gap = measured.flow - predicted;
  const difference = measured.kind === 'value' || gap > 0 ? gap : null;
  return {
    kind: 'compared',
    drop,
    measured,
    predicted,
    predictedDoubt,
    changes,
    difference,
    differenceDoubt,
    isShown: difference !== null && Math.abs(difference) > differenceDoubt,
  };
}
