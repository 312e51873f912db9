import type { Quantity } from '../journal/reading';
import type { UnitId } from '../quantity/units';

const PRESSURES = ['inwg', 'pa', 'mmwg', 'hpa', 'kpa'] as const;

/** Units a meter may be set to by a button, which people confuse, by what it shows. */
export const CONFUSED_UNITS: Readonly<Partial<Record<Quantity, readonly UnitId[]>>> = {
  velocity: ['fpm', 'ms', 'mph', 'kmh', 'kn'],
  flow: ['cfm', 'm3h', 'ls'],
  'velocity pressure': PRESSURES,
  pressure: PRESSURES,
};
