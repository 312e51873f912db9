/** What is wrong with a shop, by all its readings, and what to measure next. */

export {
  type Fault,
  type FaultKind,
  keyOfFault,
} from '../src/inference/faults';
export {
  type Candidate,
  candidatesOf,
  type Means,
  type NextReading,
  nextReadings,
} from '../src/inference/next-reading';
export {
  type Observation,
  type SetAside,
  type WeighedReadings,
  weighReadings,
} from '../src/inference/observations';
export { type Suspect, type Verdict, type Weighed, weighFaults } from '../src/inference/posterior';
