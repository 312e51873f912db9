/** What pipes, hoses and fittings there are, and what each loses. */

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
} from '../src/catalogue/ids';
export { HOSES, hoseMultiplier } from '../src/duct/hose';
export { LEAKAGE_CLASSES, SLIP_JOINT_GAP } from '../src/duct/leakage';
export { PIPES } from '../src/duct/pipes';
export { ELBOW_STYLES, usualRadiusRatio } from '../src/fittings/elbow';
export { ENTRIES } from '../src/fittings/hood';
export {
  isJoinKind,
  isStraight,
  JOIN_KINDS,
  type JoinKindId,
  type Joins,
  joinAngle,
} from '../src/fittings/joins/joins';
export {
  type BendFitting,
  FITTING_KINDS,
  type FittingKindId,
  isBend,
  isFittingKind,
  usualFitting,
} from '../src/fittings/kinds/fitting-kinds';
export { DUCT_ENDS } from '../src/fittings/weather-cap';
