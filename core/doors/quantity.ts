/** Numbers, units, and the air they are about. */

export { type Air, airAtSite, STANDARD_DENSITY } from '../src/air/air-at-site';
export { circleArea, velocityPressure } from '../src/air/velocity-pressure';
export type { Coefficient, CoefficientGroup } from '../src/quantity/coefficient';
export {
  formatQuantity,
  formatShort,
  unitSymbol,
  writeForField,
  writeNumber,
} from '../src/quantity/format-quantity';
export { onTape } from '../src/quantity/on-tape';
export type { Origin } from '../src/quantity/origin';
export { examplesOf, type Parsed, parseQuantity } from '../src/quantity/parse-quantity';
export { type QuantityKind, STYLES, type UnitSystem } from '../src/quantity/unit-system';
export { type Dimension, fromSI, toSI, UNITS, type UnitId } from '../src/quantity/units';
