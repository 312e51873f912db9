import {
  fromSI,
  type QuantityKind,
  STYLES,
  toSI,
  type UnitSystem,
} from '@frank-gauge/core/quantity';

/** A limit may be said as a rounder number, so much inside of what is really taken. */
const MOST_OFF = 0.03;

/**
 * A field's limit as it is said, SI: limits are round in metric units, and 10 mm would be 0.394 in. It is rounded to where
 * it is still taken, in as few digits as come near enough.
 * @example roundLimit(0.01, 'least', 'diameter', 'us') // 0.4 in., in m
 */
export function roundLimit(
  limit: number,
  which: 'least' | 'most',
  kind: QuantityKind,
  system: UnitSystem,
): number {
  const { unit } = STYLES[system][kind];
  const value = fromSI(limit, unit);
  if (value === 0 || !Number.isFinite(value)) return limit;
  const round = which === 'least' ? Math.ceil : Math.floor;
  const nudge = which === 'least' ? -1e-9 : 1e-9;
  for (const digits of [1, 2, 3]) {
    const step = 10 ** (Math.floor(Math.log10(Math.abs(value))) - digits + 1);
    const rounded = round(value / step + nudge) * step;
    if (Math.abs(rounded - value) <= MOST_OFF * Math.abs(value)) return toSI(rounded, unit);
  }
  return limit;
}
