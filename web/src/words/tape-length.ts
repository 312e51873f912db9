import { formatShort, fromSI, type UnitSystem } from '@frank-gauge/core/quantity';

const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];

/**
 * A length as a tape measure shows it: inches with eighths in the US, millimetres elsewhere.
 * @example tapeLength(0.8509, 'us') // '33½ in.'
 */
export function tapeLength(value: number, system: UnitSystem): string {
  if (system === 'metric')
    return formatShort(Math.round(value * 1000) / 1000, 'diameter', 'metric');
  const eighths = Math.round(fromSI(value, 'in') * 8);
  const sign = eighths < 0 ? '−' : '';
  const whole = Math.floor(Math.abs(eighths) / 8);
  const part = EIGHTHS[Math.abs(eighths) % 8] ?? '';
  return `${sign}${whole === 0 && part !== '' ? '' : whole}${part} in.`;
}
