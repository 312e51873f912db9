/** What a reading says beside what was computed, and what explains the difference. */

export {
  outcomeOf,
  type ReadingOutcome,
} from '../src/inference/reading-outcome';
export {
  type SharedShortfall,
  type Suspect,
  sharedShortfall,
} from '../src/inference/shared-shortfall';
export {
  type Compared,
  type ComparedReading,
  compareReadings,
  type Meters,
  readingComparer,
} from '../src/reading/compare-reading';
export {
  curvePoints,
  type FieldTestFit,
  fanStatic,
  fitFieldTest,
  loadingOf,
} from '../src/reading/field-test';
export type { FittedCurve } from '../src/reading/fit-curve';
export { type FittedSeparator, fitSeparator } from '../src/reading/fit-separator';
export { type MeasuredFlow, measuredFlow, USUAL_ACCURACY } from '../src/reading/measured-flow';
export { pointOfDrop } from '../src/reading/point-of-drop';
export { meanOfRepeats } from '../src/reading/repeats';
