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

/** Air a reading is judged by where the shop has no solution to take it from. */
const ROUGHLY_AIR = { density: 1.2014, viscosity: 1.82e-5 };

export function compareReading(shop: Shop, tree: DuctTree, reading: Reading): Compared {
  const instrument = shop.log.instruments.find(({ id }) => id === reading.instrument);
  const drop = tree.drops.find(({ id }) => id === reading.node);
  const { roughness } = PIPES[drop?.path[0]?.pipe ?? 'average'];
  const options = { view: 'found', openGates: new Set(reading.openGates) } as const;
  const solved = solveTree(shop, tree, options);
  const air = solved.kind === 'solved' ? solved.network.air : ROUGHLY_AIR;
  const measured = measuredFlow(reading, instrument, air, roughness);
  if (!drop || solved.kind !== 'solved') return { kind: 'no prediction', measured };

  const predicted = solved.airIn.get(drop.path[0]?.id ?? '')?.[0]?.flowIn ?? 0;
  const changes = flowChanges(shop, tree, drop, options);
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
