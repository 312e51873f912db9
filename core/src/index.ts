export { type Air, airAtSite, STANDARD_DENSITY } from './air/air-at-site';
export { circleArea, velocityPressure } from './air/velocity-pressure';
export { type Answer, type Answered, answer } from './answer/answer';
export { type AnswerRequest, requestSchema } from './answer/request';
export {
  describeSolution,
  type SolutionDocument,
  solutionSchema,
} from './answer/solution-document';
export { type BlowerPoint, scaleBlower } from './collector/blower';
export {
  BLOWER_CLASS_IDS,
  BLOWER_CLASSES,
  type BlowerClassId,
  blowerOfClass,
} from './collector/blower-classes';
export { readCurveFile } from './collector/curve-file';
export { CYCLONE_FAMILIES, CYCLONE_FAMILY_IDS, cycloneOf } from './collector/cyclone';
export { type CurveFromTests, curveFromTests, estimatedCurve } from './collector/estimated-curve';
export { bagArea, filterResistance, MEDIA, pleatedArea } from './collector/filter';
export { GRADE_BANDS, GRADE_IDS, type GradeId } from './collector/filter-grade';
export { type CurveValue, curveInto, monotoneCurve } from './collector/monotone-curve';
export { SEPARATOR_KINDS, SEPARATORS } from './collector/separator';
export { HOSE_IDS, HOSES } from './duct/hose';
export { LEAKAGE_CLASSES } from './duct/leakage';
export { PIPE_IDS, PIPES } from './duct/pipes';
export { ELBOW_STYLE_IDS, ELBOW_STYLES, usualRadiusRatio } from './fitting/elbow';
export { ENTRIES } from './fitting/hood';
export { DUCT_END_IDS, DUCT_ENDS } from './fitting/weather-cap';
export { type SharedShortfall, type Suspect, sharedShortfall } from './leak/shared-shortfall';
export { SEPARATOR_RUN, separatorHeads } from './network/assemble/separator-segment';
export { NO_CHANGE, type View } from './network/assemble/setting';
export { compileNetwork } from './network/compiled-network';
export type { Network, PartKind, Segment } from './network/network';
export {
  type NetworkState,
  type SolveFailure,
  solveNetwork,
} from './network/solve-network';
export {
  type SegmentAir,
  type ShopFailure,
  type ShopSolution,
  type ShopSolved,
  solveShop,
  solveTree,
} from './network/solve-shop';
export {
  formatQuantity,
  formatShort,
  unitSymbol,
  writeForField,
  writeNumber,
} from './quantity/format-quantity';
export type { Origin } from './quantity/origin';
export { examplesOf, type Parsed, parseQuantity } from './quantity/parse-quantity';
export { type QuantityKind, STYLES, type UnitSystem } from './quantity/unit-system';
export { type Dimension, fromSI, toSI, UNITS, type UnitId } from './quantity/units';
export { type Compared, type ComparedReading, compareReadings } from './reading/compare-reading';
export { type FittedSeparator, fitSeparator } from './reading/fit-separator';
export { type MeasuredFlow, measuredFlow, USUAL_ACCURACY } from './reading/measured-flow';
export { meanOfRepeats } from './reading/repeats';
export {
  addCandidate,
  MOST_COLLECTORS,
  removeCandidate,
  swapIn,
  withCandidate,
} from './shop/edit-candidates';
export {
  addDrop,
  addRun,
  newGate,
  removeRun,
  runsBehind,
  setGate,
  setJoins,
  splitRun,
} from './shop/edit-ducts';
export { jointCount, runLength } from './shop/length';
export { MACHINE_KIND_IDS, MACHINE_KINDS, type MachineKindId } from './shop/machine-kinds';
export { newShop } from './shop/new-shop';
export {
  type Candidate,
  type Collector,
  type Fitting,
  type Gate,
  type Hose,
  type Instrument,
  type Machine,
  type Media,
  type Port,
  type Reading,
  type Rules,
  type Run,
  type Separator,
  type Shop,
  shopSchema,
  type Taken,
} from './shop/schema';
export { type Fault, LARGEST_FILE, readShop, readShopFile, writeShopFile } from './shop/shop-file';
export { arrangeDucts, type Drop, type DuctTree } from './shop/topology';
export type { Coefficient, CoefficientGroup } from './source/coefficient';
export { coefficientGroups } from './source/coefficients';
export { type CollectorLoad, collectorLoad, filterOf } from './verdict/collector-load';
export { type Contender, compareCandidates, type DropWith } from './verdict/compare-candidates';
export { type ByMethod, compareMethods, METHODS, type Method } from './verdict/compare-methods';
export {
  type DropOverSets,
  everyGateSet,
  type OverSets,
  type RunOverSets,
} from './verdict/every-gate-set';
export type {
  CollectorPart,
  Finding,
  FindingKind,
  Remedy,
  Severity,
  Where,
} from './verdict/findings/finding';
export { findings } from './verdict/findings/findings';
export { LIMITS } from './verdict/findings/limits';
export { DOUBT, flowUncertainty } from './verdict/flow-uncertainty';
export { countGateSets, gatesOfDrop, gatesOpenNow, isDrawing } from './verdict/gate-sets';
export {
  type DropAir,
  type DropVerdict,
  type GateRule,
  judgeDrops,
  neededFlow,
  type Standing,
} from './verdict/judge-drops';
export { pressureLadder, type Rung } from './verdict/pressure-ladder';
