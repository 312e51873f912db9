import { type QuantityKind, STYLES, type UnitSystem } from './unit-system';
import { fromSI, type Style, UNITS, type UnitId } from './units';

/** Thin grouping is left to the reader's locale elsewhere; here a comma, as the trade writes it. */
const group = (digits: string) => digits.replace(/\B(?=(\d{3})+(?!\d))/g, ',');

/**
 * Writes an SI value in a unit with a fixed number of places, grouped by thousands, without the
 * unit. Trailing zeros are kept: the places say how far the number is good. Not finite: a dash.
 * @example writeNumber(0.194, { unit: 'cfm', places: 0 }) // '411'
 */
export function writeNumber(value: number, style: Style): string {
  if (!Number.isFinite(value)) return '–';
  const fixed = fromSI(value, style.unit).toFixed(style.places);
  const [whole = '', decimals] = fixed.replace('-', '').split('.');
  const isZero = /^[0.]*$/.test(fixed.replace('-', ''));
  const sign = fixed.startsWith('-') && !isZero ? '−' : '';
  return sign + group(whole) + (decimals === undefined ? '' : `.${decimals}`);
}

/** A written number with its unit behind it; a plain number has none. */
export function beforeUnit(number: string, unit: UnitId): string {
  const { symbol } = UNITS[unit];
  if (symbol === '') return number;
  return symbol === '°' ? `${number}°` : `${number} ${symbol}`;
}

/**
 * Writes an SI value with its unit in the shop's unit system.
 * @example formatQuantity(0.1944, 'flow', 'us')   // '412 CFM'
 * @example formatQuantity(0.1016, 'diameter', 'metric') // '101.6 mm'
 */
export function formatQuantity(value: number, kind: QuantityKind, system: UnitSystem): string {
  const style = STYLES[system][kind];
  const number = writeNumber(value, style);
  return number === '–' ? number : beforeUnit(number, style.unit);
}

/**
 * As `formatQuantity`, without zeros that say nothing at the end: for the middle of a sentence.
 * @example formatShort(0.6096, 'length', 'us') // '2 ft'
 */
export const formatShort = (value: number, kind: QuantityKind, system: UnitSystem): string =>
  formatQuantity(value, kind, system).replace(/(\.\d*?)0+(?=\s|$)/, (_, kept: string) =>
    kept === '.' ? '' : kept,
  );

/**
 * Writes an SI value for an input field: as short as it can be without losing what a person
 * typed (trailing zeros dropped, up to six significant places kept), no grouping, no unit.
 * @example writeForField(0.1397, 'diameter', 'us') // '5.5'
 */
export function writeForField(value: number, kind: QuantityKind, system: UnitSystem): string {
  if (!Number.isFinite(value)) return '';
  const inUnit = fromSI(value, STYLES[system][kind].unit);
  return String(Number(inUnit.toPrecision(6)));
}

/** The symbol a kind of quantity is written with in a unit system; '' for plain numbers. */
export const unitSymbol = (kind: QuantityKind, system: UnitSystem): string =>
  UNITS[STYLES[system][kind].unit].symbol;
