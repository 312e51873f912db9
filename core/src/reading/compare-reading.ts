import { PIPES } from '../duct/pipes';
import { solveTree } from '../network/solve-shop';
import type { Reading, Shop } from '../shop/schema';
import type { DuctTree } from '../shop/topology';
import { flowUncertainty } from '../verdict/flow-uncertainty';
import { type MeasuredFlow, measuredFlow } from './measured-flow';

/** A reading held against what the model predicts with the same gates open. m³/s, 95 %. */
export type Compared =
  | {
      readonly kind: 'compared';
      readonly measured: MeasuredFlow;
      readonly predicted: number;
      readonly predictedDoubt: number;
      /** measured − predicted; null for a lower bound below the prediction: it says nothing. */
      readonly difference: number | null;
      readonly differenceDoubt: number;
      /** The difference is larger than its doubt. */
      readonly isShown: boolean;
    }
  /** The drop is gone, or the shop as it stands has no solution. */
  | { readonly kind: 'no prediction'; readonly measured: MeasuredFlow };

export function compareReading(shop: Shop, tree: DuctTree, reading: Reading): Compared {
  const instrument = shop.log.instruments.find(({ id }) => id === reading.instrument);
  const drop = tree.drops.find(({ id }) => id === reading.node);
  const pipe = PIPES[drop?.path[0]?.pipe ?? 'average'];
  const options = { view: 'found', openGates: new Set(reading.openGates) } as const;
  const solved = solveTree(shop, tree, options);
  const air =
    solved.kind === 'solved' ? solved.network.air : { density: 1.2014, viscosity: 1.82e-5 };
  const measured = measuredFlow(reading, instrument, air, pipe.roughness);
  if (!drop || solved.kind !== 'solved') return { kind: 'no prediction', measured };

  const predicted = solved.airIn.get(drop.path[0]?.id ?? '')?.[0]?.flowIn ?? 0;
  const predictedDoubt = flowUncertainty(shop, tree, drop, options);
  if (measured.kind === 'at least') {
    const isAbove = measured.flow > predicted;
    return {
      kind: 'compared',
      measured,
      predicted,
      predictedDoubt,
      difference: isAbove ? measured.flow - predicted : null,
      differenceDoubt: predictedDoubt,
      isShown: isAbove && measured.flow - predicted > predictedDoubt,
    };
  }
  const difference = measured.flow - predicted;
  const differenceDoubt = Math.hypot(measured.doubt, predictedDoubt);
  const isShown = Math.abs(difference) > differenceDoubt;
  return {
    kind: 'compared',
    measured,
    predicted,
    predictedDoubt,
    difference,
    differenceDoubt,
    isShown,
  };
}
