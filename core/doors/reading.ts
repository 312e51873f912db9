/** What a reading says beside what was computed, and what explains the difference. */

export {
  outcomeOf,
  type ReadingOutcome,
} from '../src/inference/reading-outcome';
export { calibrationAt } from '../src/measuring/calibrate';
export { STRAIGHT_ENOUGH } from '../src/measuring/centre-to-mean';
export {
  type Circumstances,
  type CorrectedReading,
  type Correction,
  type CorrectionKind,
  correctReading,
  USUAL_ACCURACY,
} from '../src/measuring/corrections';
export {
  type MeasuredFlow,
  type MeasuredValue,
  measuredFlow,
  measuredValue,
} from '../src/measuring/measured-flow';
export { takenOfLine } from '../src/measuring/meter-line';
export { MOST_READ } from '../src/measuring/most-read';
export { meanOfRepeats } from '../src/measuring/repeats';
export { shownFor } from '../src/measuring/shown-for';
export { LOG_LINEAR, probeMarks, type TraversePoints } from '../src/measuring/traverse';
export {
  type Catches,
  type CaughtShare,
  catchesOf,
  WEIGHING_ACCURACY,
} from '../src/reading/caught-share';
export type { Change, Settling } from '../src/reading/change';
export { circumstancesOf, type Meters } from '../src/reading/circumstances';
export {
  type Compared,
  type ComparedReading,
  compareReadings,
  readingComparer,
} from '../src/reading/compare-reading';
export {
  type ComparedSides,
  compareSides,
  type Missing,
  type SideReadings,
} from '../src/reading/compare-sides';
export { diameterAt } from '../src/reading/diameter-at';
export {
  type EventWorth,
  type WorthAtPoint,
  worthOfEvent,
  worthOfEvents,
  worthTogether,
} from '../src/reading/event-worth';
export {
  type ExpectedReading,
  expectedReading,
} from '../src/reading/expected-reading';
export {
  curvePoints,
  type FieldTestFit,
  fanStatic,
  fitFieldTest,
  loadingOf,
} from '../src/reading/field-test';
export { filterAtOneFlow } from '../src/reading/filter-at-flow';
export type { FittedCurve } from '../src/reading/fit-curve';
export { type FittedSeparator, fitSeparator } from '../src/reading/fit-separator';
export {
  dropsByDistance,
  guidedSteps,
  type RoundProgress,
  type RoundStep,
  roundProgress,
} from '../src/reading/guided-round';
export { type Measurand, measuredBy } from '../src/reading/measurand';
export { pointOfDrop } from '../src/reading/point-of-drop';
export { type PromisedFlow, promisedFlows } from '../src/reading/promised-flows';
export { promisesKept } from '../src/reading/promises-kept';
export {
  countAfter,
  indexOf,
  ReadingIndex,
  type ReadingsByPoint,
} from '../src/reading/reading-index';
export {
  type SuspectedBy,
  type Suspicion,
  suspicionsOf,
} from '../src/reading/suspicions';
