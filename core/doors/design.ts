/** The design of a shop: its schema and the edits it allows. */

export {
  type ChainOrder,
  type ChainPart,
  chainOf,
  chainOrder,
  reorderChain,
} from '../src/design/chain-order';
export { type DesignDifference, designDifferences } from '../src/design/design-differences';
export {
  addCandidate,
  type CollectorParts,
  MOST_COLLECTORS,
  removeCandidate,
  swapIn,
  withCandidate,
} from '../src/design/edit-candidates';
export {
  addDrop,
  addRun,
  newGate,
  removeRun,
  runsBehind,
  setGate,
  setJoins,
  splitRun,
} from '../src/design/edit-ducts';
export type { JointAt, RunJoint } from '../src/design/joints-of-run';
export { jointCount, runLength } from '../src/design/length';
export { MACHINE_KIND_IDS, MACHINE_KINDS, type MachineKindId } from '../src/design/machine-kinds';
export { newShop } from '../src/design/new-shop';
export {
  type Assembly,
  type Bend,
  type BendStyle,
  type Candidate,
  type Collector,
  type Estimate,
  type Fitting,
  type Gate,
  type Hose,
  type Machine,
  type MeasuredEnd,
  type Media,
  type Port,
  type Room,
  type Rules,
  type Run,
  type Separator,
  type Shop,
  shopSchema,
  VERSION,
} from '../src/design/schema';
export type { Drop, DuctTree } from '../src/design/topology';
export { usualAdvice } from '../src/design/usual-advice';
export { usualBuild } from '../src/design/usual-build';
export { DAY, usualUpkeep, WEEK } from '../src/design/usual-upkeep';
export {
  changesBetween,
  type DocumentChange,
  isExtended,
  withChanges,
} from '../src/document/changes';
