/** Shops and meters that stand in for real ones. */

export { type Chance, chanceOf } from '../src/simulate/chance';
export {
  type HiddenCondition,
  hiddenCondition,
  withHidden,
} from '../src/simulate/hidden-condition';
export {
  type Imperfection,
  type MeterSource,
  shownBy,
  simulatedMeter,
  USUAL_IMPERFECTION,
} from '../src/simulate/simulated-meter';
