import type { Journal } from '../journal/journal';
import { type ComparedReading, compareReadings } from '../reading/compare-reading';
import type { MeasuredFlow } from '../reading/measured-flow';
import type { Shop } from '../shop/schema';
import type { DuctTree } from '../shop/topology';
import { type SharedShortfall, sharedShortfall } from './shared-shortfall';

/** A reading held against the model, as plain data. m³/s, 95 %. */
export type ReadingVerdict =
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
  | { readonly kind: 'no prediction'; readonly measured: MeasuredFlow };

/** What readings of the journal say: each by its id, and the latest of all drops together. */
export interface LogAnalysis {
  readonly verdicts: ReadonlyMap<string, ReadingVerdict>;
  readonly shared: SharedShortfall;
}

/** Holds readings against the model, and traces what their shortfalls share. Nothing but data. */
export function readLog(
  shop: Shop,
  tree: DuctTree,
  journal: Pick<Journal, 'instruments' | 'testPoints' | 'readings'>,
): LogAnalysis {
  const compared = compareReadings(shop, tree, journal.readings, journal);
  return {
    verdicts: new Map(compared.map((one) => [one.reading.id, verdictOf(one)])),
    shared: sharedShortfall(shop, tree, compared),
  };
}

/** What a comparison says, without the model it was made with. */
export function verdictOf({ result }: ComparedReading): ReadingVerdict {
  if (result.kind === 'no prediction') return result;
  const { kind, measured, predicted, predictedDoubt, difference, differenceDoubt, isShown } =
    result;
  return { kind, measured, predicted, predictedDoubt, difference, differenceDoubt, isShown };
}
