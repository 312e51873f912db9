/** Whether that is enough, how sure it is, and what is wrong. */

export { type CollectorLoad, collectorLoad, filterOf } from '../src/analysis/collector-load';
export { latestAtDistance } from '../src/analysis/collector-noise';
export {
  type CollectorOption,
  compareCandidates,
  type DropWith,
} from '../src/analysis/compare-candidates';
export {
  type ByMethod,
  compareMethods,
  METHODS,
  type Method,
} from '../src/analysis/compare-methods';
export { type EnclosureLoad, enclosureLoad } from '../src/analysis/enclosure-load';
export {
  type DropOverSets,
  everyGateSet,
  type OverSets,
  type RunOverSets,
} from '../src/analysis/every-gate-set';
export {
  type CollectorPart,
  type Finding,
  type FindingKind,
  issueOf,
  type Remedy,
  type Severity,
  type Where,
} from '../src/analysis/findings/finding';
export { findings } from '../src/analysis/findings/findings';
export { LIMITS } from '../src/analysis/findings/limits';
export { flowUncertainty, UNCERTAINTY } from '../src/analysis/flow-uncertainty';
export { type GateMatrix, gateMatrix } from '../src/analysis/gate-matrix';
export {
  countGateSets,
  gatesOfDrop,
  gatesOpenNow,
  gatesWith,
  isDrawing,
} from '../src/analysis/gate-sets';
export {
  airNow,
  type DropAir,
  type DropResult,
  dropJudge,
  type GateAir,
  type GateRule,
  gateAir,
  judgeDrops,
  neededFlow,
  type Standing,
} from '../src/analysis/judge-drops';
export { lossesByGroup, PART_GROUPS, type PartGroup } from '../src/analysis/losses-by-group';
export { lossesOfRun, type PartOfRun } from '../src/analysis/losses-of-run';
export {
  type ProfileStep,
  pressureProfile,
} from '../src/analysis/pressure-profile';
export {
  type SeparatorMethod,
  separatorMethods,
} from '../src/analysis/separator-methods';
export { type SuctionStrength, suctionStrength } from '../src/analysis/suction-strength';
export { type SwitchPlan, switchPlan } from '../src/analysis/switch-plan';
export { fanCurveLine, systemCurve } from '../src/analysis/system-curve';
export { carriageOf, minimumTransport, runsWithChips } from '../src/analysis/transport';
export { worstDrop } from '../src/analysis/worst-drop';
