/** What is wrong with a shop, by all its readings, and what to measure next. */

export type { AllShut } from '../src/inference/all-shut';
export {
  type Believed,
  believeFault,
  canBeBelieved,
  takeBack,
} from '../src/inference/believe-fault';
export {
  believedEstimate,
  believeEstimates,
  type EstimateByReadings,
} from '../src/inference/estimates-by-readings';
export {
  type Fault,
  type FaultKind,
  keyOfFault,
} from '../src/inference/faults';
export {
  type JointToCheck,
  jointsToCheck,
} from '../src/inference/joints-to-check';
export {
  type LeakReport,
  type MadeReport,
  type ReadingVoice,
  type ReportedSuspect,
  reportLeaks,
  reportNext,
} from '../src/inference/leak-report';
export { MOST_WEIGHED } from '../src/inference/most-weighed';
export type { NearFar } from '../src/inference/near-far';
export type {
  Candidate,
  Means,
  NextReading,
} from '../src/inference/next-reading';
export type { SetAside } from '../src/inference/observations';
export {
  keyOfPlace,
  type Place,
  placeOfFault,
  type Suspect,
  type SuspectedPlace,
} from '../src/inference/places';
export type { TwoAtOnce, Verdict } from '../src/inference/posterior';
