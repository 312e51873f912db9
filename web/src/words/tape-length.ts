import { formatShort, type UnitSystem, writeInchesOnTape } from '@frank-gauge/core/quantity';

/**
 * A size as a tape measure shows it: inches with eighths in the US, whole millimetres elsewhere.
 * @example tapeLength(0.8509, 'us') // '33½ in.'
 */
export const tapeLength = (value: number, system: UnitSystem): string =>
  system === 'metric'
    ? formatShort(Math.round(value * 1000) / 1000, 'diameter', 'metric')
    : `${writeInchesOnTape(value)} in.`;
