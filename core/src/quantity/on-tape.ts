import { formatShort } from './format-quantity';
import { writeInchesOnTape } from './tape';
import type { UnitSystem } from './unit-system';

/**
 * A size as a tape measure shows it, with its unit: inches with eighths or, finest 1, sixteenths; whole millimeters.
 * @param value m
 * @example onTape(0.8509, 'us') // '33½ in.'
 */
export const onTape = (value: number, units: UnitSystem, finest: 1 | 2 = 2): string =>
  units === 'us'
    ? `${writeInchesOnTape(value, finest)} in.`
    : formatShort(Math.round(value * 1000) / 1000, 'diameter', units);
