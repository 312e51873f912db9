/** Blower, separator, filter, motor and how loud they are. */

export { type Baffle, baffleFor } from '../src/collector/baffle';
export { type BlowerPoint, scaleBlower } from '../src/collector/blower';
export {
  BARE_ENTRY_LOSS,
  BLOWER_CLASS_IDS,
  BLOWER_CLASSES,
  type BlowerClassId,
  blowerOfClass,
} from '../src/collector/blower-classes';
export { checkedCurve, readCurveFile, tooLong } from '../src/collector/curve-file';
export {
  CYCLONE_FAMILIES,
  CYCLONE_FAMILY_IDS,
  type CycloneFamilyId,
  cycloneOf,
} from '../src/collector/cyclone';
export {
  bodyForSpeed,
  type CycloneAtWork,
  cycloneAtWork,
  INLET_SPEEDS,
} from '../src/collector/cyclone-design';
export {
  BOX_LININGS,
  BOX_WALLS,
  type Box,
  WARM_RISE,
} from '../src/collector/enclosure';
export {
  type BareTest,
  type CurveFromTests,
  curveFromTests,
  estimatedCurve,
} from '../src/collector/estimated-curve';
export {
  bagArea,
  filterResistance,
  MEDIA,
  pleatedArea,
  workingLoading,
} from '../src/collector/filter';
export { GRADE_BANDS } from '../src/collector/filter-grade';
export { type CurveValue, curveInto, monotoneCurve } from '../src/collector/monotone-curve';
export { PLUGS, TRIPS } from '../src/collector/plug';
export { SEPARATORS } from '../src/collector/separator';
export {
  levelMoved,
  NOISE_DISTANCE,
  NOISE_UNCERTAINTY,
} from '../src/noise/blower-noise';
export {
  allowedHours,
  averageLevel,
  dailyDose,
  RECOMMENDED_LEVEL,
} from '../src/noise/daily-dose';
export { MOST_POINTS } from '../src/quantity/rising-points';
