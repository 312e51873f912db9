import type { Compared, ComparedReading, SomeFlow } from '../reading/compare-reading';

/** A reading held against the model, as plain data. m³/s, 95 %. */
export type ReadingOutcome =
  | {
      readonly kind: 'compared';
      readonly measured: SomeFlow;
      readonly predicted: number;
      readonly predictedUncertainty: number;
      /** measured − predicted; null for a bound on the far side of the prediction: it says nothing. */
      readonly difference: number | null;
      readonly differenceUncertainty: number;
      /** The difference is larger than its uncertainty. */
      readonly isShown: boolean;
    }
  | Exclude<Compared, { kind: 'compared' }>;

/** What a comparison says, without the model it was made with. */
export function outcomeOf({ result }: ComparedReading): ReadingOutcome {
  if (result.kind !== 'compared') return result;
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
