/** Shops and meters that stand in for real ones. */

export { type Chance, chanceOf } from '../src/simulate/chance';
export {
  ALL_SHUT,
  type BlowerState,
  blowerOf,
  type SwitchedGates,
  USUAL_STOP_DELAY,
  withGate,
} from '../src/simulate/gate-switches';
export {
  type HiddenCondition,
  hiddenCondition,
  withHidden,
} from '../src/simulate/hidden-condition';
export { hiddenImperfection, unitLeftOn } from '../src/simulate/hidden-meter';
export {
  type BelievedDust,
  SCALE,
  SOUND_METER,
  trueLevel,
  trueMass,
} from '../src/simulate/other-meters';
export {
  type Imperfection,
  type MeterSource,
  shownBy,
  simulatedMeter,
  USUAL_IMPERFECTION,
} from '../src/simulate/simulated-meter';
