import type { ComparedReading } from '../reading/compare-reading';
import type { MeasuredFlow } from '../reading/measured-flow';

/** A reading held against the model, as plain data. m³/s, 95 %. */
export type ReadingOutcome =
  | {
      readonly kind: 'compared';
      readonly measured: MeasuredFlow;
      readonly predicted: number;
      readonly predictedUncertainty: number;
      /** measured − predicted; null for a lower bound below the prediction: it says nothing. */
      readonly difference: number | null;
      readonly differenceUncertainty: number;
      /** The difference is larger than its uncertainty. */
      readonly isShown: boolean;
    }
  | { readonly kind: 'no prediction'; readonly measured: MeasuredFlow };

/** What a comparison says, without the model it was made with. */
export function outcomeOf({ result }: ComparedReading): ReadingOutcome {
  if (result.kind === 'no prediction') return result;
  const {
    kind,
    measured,
    predicted,
    predictedUncertainty,
    difference,
    differenceUncertainty,
    isShown,
  } = result;
  return {
    kind,
    measured,
    predicted,
    predictedUncertainty,
    difference,
    differenceUncertainty,
    isShown,
  };
}
