import { fromSI, onTape, type UnitSystem } from '@frank-gauge/core/quantity';

/**
 * A size as a tape measure shows it: inches with eighths in the US, whole millimetres elsewhere.
 * @example tapeLength(0.8509, 'us') // '33½ in.'
 */
export const tapeLength = (value: number, system: UnitSystem): string => onTape(value, system);

/**
 * A small size as a ruler shows it: inches with sixteenths in the US, whole millimeters elsewhere.
 * @example rulerLength(0.004, 'us') // '3/16 in.'
 */
export const rulerLength = (value: number, system: UnitSystem): string => onTape(value, system, 1);

/**
 * What no tape shows, as a feeler gauge has it: thousandths of an inch in the US, tenths of a millimeter elsewhere.
 * @example fineLength(0.0021, 'us') // '0.083 in.'
 */
export const fineLength = (value: number, system: UnitSystem): string =>
  system === 'us'
    ? `${fromSI(value, 'in').toFixed(3)} in.`
    : `${fromSI(value, 'mm').toFixed(1)} mm`;
