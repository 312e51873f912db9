export { judgePlaces, type PlaceScore, swapMachines } from './advise/place-machines';
export {
  type Routed,
  type RouteProposal,
  routeDucts,
  type WhyNotRouted,
} from './advise/route-ducts';
export type { RouteWay } from './advise/route-weighing';
export { type SizedDucts, sizeDucts, type Unmet } from './advise/size-ducts';
export { type Air, airAtSite, STANDARD_DENSITY } from './air/air-at-site';
export { circleArea, velocityPressure } from './air/velocity-pressure';
export { type Answer, type Answered, answer } from './answer/answer';
export { type AnswerRequest, requestSchema } from './answer/request';
export {
  describeSolution,
  type SolutionDocument,
  solutionSchema,
} from './answer/solution-document';
export {
  type Adapter,
  type AdapterEnd,
  type AdapterSection,
  adapterSection,
  checkRing,
  type SectionPoint,
  USUAL_CLEARANCE,
  USUAL_TAPER,
} from './build/adapter';
export { type BandChain, bandChain } from './build/band-chain';
export type { Closing, Fit } from './build/fit';
export { type EndWhat, type JointEnd, type JointPlace, jointsOfShop } from './build/joints-of-shop';
export { revolvedStl } from './build/stl';
export {
  DUCT_END_IDS,
  ELBOW_STYLE_IDS,
  GRADE_IDS,
  type GradeId,
  HOSE_IDS,
  PIPE_IDS,
  PLUG_IDS,
  type PlugId,
  SEPARATOR_KINDS,
  TRIP_IDS,
  type TripId,
} from './catalogue/ids';
export { type Baffle, baffleFor } from './collector/baffle';
export { type BlowerPoint, scaleBlower } from './collector/blower';
export {
  BARE_ENTRY_LOSS,
  BLOWER_CLASS_IDS,
  BLOWER_CLASSES,
  type BlowerClassId,
  blowerOfClass,
} from './collector/blower-classes';
export { checkedCurve, readCurveFile } from './collector/curve-file';
export {
  CYCLONE_FAMILIES,
  CYCLONE_FAMILY_IDS,
  type CycloneFamilyId,
  cycloneOf,
} from './collector/cyclone';
export {
  bodyForSpeed,
  type CycloneAtWork,
  cycloneAtWork,
  INLET_SPEEDS,
} from './collector/cyclone-design';
export {
  BOX_LININGS,
  BOX_WALLS,
  type Box,
  WARM_RISE,
} from './collector/enclosure';
export {
  type BareTest,
  type CurveFromTests,
  curveFromTests,
  estimatedCurve,
} from './collector/estimated-curve';
export { bagArea, filterResistance, MEDIA, pleatedArea, workingLoading } from './collector/filter';
export { GRADE_BANDS } from './collector/filter-grade';
export { type CurveValue, curveInto, monotoneCurve } from './collector/monotone-curve';
export { PLUGS, TRIPS } from './collector/plug';
export { SEPARATORS } from './collector/separator';
export { changesBetween, type DocumentChange, isSame, withChanges } from './document/changes';
export { HOSES, hoseMultiplier } from './duct/hose';
export { LEAKAGE_CLASSES, SLIP_JOINT_GAP } from './duct/leakage';
export { PIPES } from './duct/pipes';
export { shopJsonSchema } from './file/json-schema';
export type { Renewal } from './file/renewal';
export {
  type Fault,
  faultOfDesign,
  LARGEST_FILE,
  readShop,
  readShopFile,
  writeShopFile,
} from './file/shop-file';
export { ELBOW_STYLES, usualRadiusRatio } from './fitting/elbow';
export { ENTRIES } from './fitting/hood';
export {
  isJoinKind,
  isStraight,
  JOIN_KINDS,
  type JoinKindId,
  type Joins,
  joinAngle,
} from './fitting/joins/joins';
export {
  type BendFitting,
  FITTING_KINDS,
  type FittingKindId,
  isBend,
  isFittingKind,
  usualFitting,
} from './fitting/kinds/fitting-kinds';
export { DUCT_ENDS } from './fitting/weather-cap';
export {
  addCorner,
  isRectangular,
  removeCorner,
  setOutline,
  setRoomSize,
  turnedBy,
} from './floor/edit-floor';
export { type FloorConflict, floorConflicts, type Occupant } from './floor/floor-conflicts';
export { placeAll, placeCollector, placeMachine } from './floor/free-place';
export { outlineFromDxf } from './floor/outline-from-dxf';
export { type Block, cornersOf, onFloor, type Polygon, type Spot } from './floor/plane';
export {
  extentOf,
  floorArea,
  onWall,
  ROOM_SIZES,
  type Wall,
  wallsOf,
} from './floor/room-outline';
export {
  collectorBlock,
  edgeOn,
  machineBlock,
  machineSize,
  roomFrame,
  type WorkingRoom,
  workingRoom,
} from './floor/standing';
export type { ShopEvent } from './journal/event';
export type { FieldTest } from './journal/field-test';
export type { Instrument } from './journal/instrument';
export {
  emptyJournal,
  type Journal,
  type JournalRecord,
  migrateRecord,
  RECORD_KINDS,
  RECORD_TYPES,
  type RecordKind,
  recordCount,
  timeOf,
} from './journal/journal';
export {
  diffBetween,
  type Entry,
  invertDiff,
  isEmptyDiff,
  type JournalDiff,
  joinDiffs,
  NO_DIFF,
  updateOnto,
  withDiff,
} from './journal/journal-diff';
export { readJournalLines, writeJournalLines } from './journal/journal-lines';
export type { Photo } from './journal/photo';
export type { Reading, Taken } from './journal/reading';
export type { SoundReading } from './journal/sound';
export type { TestPoint } from './journal/test-point';
export { arrangeDucts } from './layout/arrange-ducts';
export { USUAL_BEND } from './layout/bend-geometry';
export { type DuctConflict, ductConflicts } from './layout/duct-conflicts';
export { type DuctLine, type DuctLines, ductLines, pipePoints } from './layout/duct-lines';
export {
  addMachine,
  copyMachine,
  copyMachines,
  leadUsual,
  removeMachine,
} from './layout/edit-machines';
export {
  addBend,
  drawRun,
  followDrawing,
  holdTyped,
  movePoint,
  raiseDucts,
  removeBend,
  setBendStyle,
  splitInHalf,
  takeOutDucts,
} from './layout/edit-route';
export { joinBy, type NotJoined } from './layout/join-style';
export { laidAlong } from './layout/laid-runs';
export { leadDrawn } from './layout/lead-drawn';
export {
  type DuctEnd,
  type Led,
  leadDuct,
  rejoin,
  runFromPort,
  USUAL_SLACK,
  type WhyNotLed,
} from './layout/lead-duct';
export { beginMove, type Move, moveBy, type TakenTogether } from './layout/move-together';
export { inletMouth, inMachine, type Mouth, nodePlaces, portMouth } from './layout/places';
export { ELEVATIONS, elevationSheet, type Side } from './layout/sheets/elevation-sheet';
export { isometricSheet } from './layout/sheets/isometric-sheet';
export { planSheet } from './layout/sheets/plan-sheet';
export { type SheetItem, type SheetLayer, sheetExtent } from './layout/sheets/sheet';
export { sheetDxf } from './layout/sheets/sheet-dxf';
export { type Solid, solidsOf } from './layout/sheets/solids';
export { nearestFromAbove, nearestOn, type Point3 } from './layout/space';
export { ductHeight, type Goal, riseFrom } from './layout/usual-way';
export { type ReadingVerdict, verdictOf } from './leak/reading-verdict';
export { type SharedShortfall, type Suspect, sharedShortfall } from './leak/shared-shortfall';
export { SEPARATOR_RUN, separatorHeads } from './network/assemble/separator-segment';
export { NO_CHANGE, type View } from './network/assemble/setting';
export { compileNetwork } from './network/compiled-network';
export type { Network, PartKind, Segment } from './network/network';
export { outletPressure } from './network/outlet-pressure';
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
export { levelMoved, NOISE_DISTANCE, NOISE_DOUBT } from './noise/blower-noise';
export {
  allowedHours,
  averageLevel,
  dailyDose,
  RECOMMENDED_LEVEL,
} from './noise/daily-dose';
export type { Coefficient, CoefficientGroup } from './quantity/coefficient';
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
export {
  type Compared,
  type ComparedReading,
  compareReadings,
  type Meters,
  readingComparer,
} from './reading/compare-reading';
export {
  curvePoints,
  type FieldTestFit,
  fanStatic,
  fitFieldTest,
  loadingOf,
} from './reading/field-test';
export type { FittedCurve } from './reading/fit-curve';
export { type FittedSeparator, fitSeparator } from './reading/fit-separator';
export { type MeasuredFlow, measuredFlow, USUAL_ACCURACY } from './reading/measured-flow';
export { pointOfDrop } from './reading/point-of-drop';
export { meanOfRepeats } from './reading/repeats';
export {
  type ChainOrder,
  type ChainPart,
  chainOf,
  chainOrder,
  reorderChain,
} from './shop/chain-order';
export {
  addCandidate,
  type CollectorParts,
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
  type Bend,
  type BendStyle,
  type Candidate,
  type Collector,
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
  type Stack,
  shopSchema,
  VERSION,
} from './shop/schema';
export type { Drop, DuctTree } from './shop/topology';
export { coefficientGroups } from './source/coefficients';
export { boxAround } from './stack/box-around';
export { bracketLoad, GRAVITY } from './stack/bracket';
export type { Elevation, Joint, Placed, Point, StackPart } from './stack/elevation';
export { type Conflict, type ConflictKind, stackConflicts } from './stack/stack-conflicts';
export { binVolume, stackMasses } from './stack/stack-masses';
export { standStack } from './stack/stand-stack';
export { type StackSizes, sizesOf } from './stack/usual-sizes';
export { type CollectorLoad, collectorLoad, filterOf } from './verdict/collector-load';
export { latestAtDistance } from './verdict/collector-noise';
export { type Contender, compareCandidates, type DropWith } from './verdict/compare-candidates';
export { type ByMethod, compareMethods, METHODS, type Method } from './verdict/compare-methods';
export { type EnclosureLoad, enclosureLoad } from './verdict/enclosure-load';
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
  airNow,
  type DropAir,
  type DropVerdict,
  dropJudge,
  type GateAir,
  type GateRule,
  gateAir,
  judgeDrops,
  neededFlow,
  type Standing,
} from './verdict/judge-drops';
export { lossesOfRun, type PartOfRun } from './verdict/losses-of-run';
export { pressureLadder, type Rung } from './verdict/pressure-ladder';
export { type SeparatorSchool, separatorSchools } from './verdict/separator-schools';
export { type SuctionStrength, suctionStrength } from './verdict/suction-strength';
export { fanCurveLine, systemCurve } from './verdict/system-curve';
export { carriageOf, minimumTransport, runsWithChips } from './verdict/transport';
export { worstDrop } from './verdict/worst-drop';
