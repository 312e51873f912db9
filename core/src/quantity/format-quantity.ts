import { LONG_IN_INCHES, writeFeetAndInches, writeInches } from './tape';
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

/** A length as a tape shows it, where the trade writes it so; null elsewhere. */
function asTape(value: number, kind: QuantityKind, system: UnitSystem): string | null {
  if (system !== 'us' || !Number.isFinite(value)) return null;
  if (kind === 'length') return writeFeetAndInches(value);
  if (kind !== 'diameter') return null;
  if (Math.abs(value) >= LONG_IN_INCHES) return writeFeetAndInches(value);
  const inches = writeInches(value);
  return inches && beforeUnit(inches, 'in');
}

/**
 * Writes an SI value with its unit in the shop's unit system: lengths as a tape shows them, in feet and inches
 * or metres; sizes in inches with fractions, or millimetres.
 * @example formatQuantity(0.1944, 'flow', 'us')   // '412 CFM'
 * @example formatQuantity(4.2227, 'length', 'us') // '13′ 10¼″'
 * @example formatQuantity(0.1397, 'diameter', 'us') // '5½ in.'
 * @example formatQuantity(0.1016, 'diameter', 'metric') // '101.6 mm'
 */
export function formatQuantity(value: number, kind: QuantityKind, system: UnitSystem): string {
  const tape = asTape(value, kind, system);
  if (tape !== null) return tape;
  const style = STYLES[system][kind];
  const number = writeNumber(value, style);
  return number === '–' ? number : beforeUnit(number, style.unit);
}

/**
 * As `formatQuantity`, without zeros that say nothing at the end: for the middle of a sentence.
 * @example formatShort(2.5, 'length', 'metric') // '2.5 m'
 */
export const formatShort = (value: number, kind: QuantityKind, system: UnitSystem): string =>
  formatQuantity(value, kind, system).replace(/(\.\d*?)0+(?=\s|$)/, (_, kept: string) =>
    kept === '.' ? '' : kept,
  );

/** Two numbers that differ by less than this share of themselves are one: conversions leave as much. */
const SAME = 1e-9;
/** What a person types has no more digits than this. */
const TYPED_DIGITS = 6;
/** What is left of a difference of equal numbers. */
const NOTHING = 1e-9;

/** Decimals of a number as it is written. */
const placesOf = (value: number) => /\.(\d+)$/.exec(String(value))?.[1]?.length ?? 0;

/**
 * Writes an SI value for an input field, without grouping. A value that is round in the shop's unit, as what a
 * person typed there is, stands as it is; one that came from elsewhere, by a conversion or a drag, stands as it
 * is written everywhere, and not with all its digits: 13 ft is not
 * shown as 3.9624 m. Lengths stand as a tape shows them, feet with their marks;
 * all others are without their unit.
 * @example writeForField(0.1397, 'diameter', 'us') // '5½'
 * @example writeForField(2.627, 'length', 'us')    // '8′ 7⅜″'
 * @example writeForField(0.680535, 'ratio', 'us')  // '68'
 */
export function writeForField(value: number, kind: QuantityKind, system: UnitSystem): string {
  if (!Number.isFinite(value)) return '';
  if (system === 'us' && kind === 'length') return writeFeetAndInches(value);
  if (system === 'us' && kind === 'diameter') {
    const inches = writeInches(value);
    if (inches) return inches;
  }
  const { unit, places } = STYLES[system][kind];
  const inUnit = fromSI(value, unit);
  if (Math.abs(inUnit) < NOTHING) return '0';
  const typed = Number(inUnit.toPrecision(TYPED_DIGITS));
  const isConverted = STYLES.us[kind].unit !== STYLES.metric[kind].unit;
  const hasTypedPlaces = !isConverted || placesOf(typed) <= places + 1;
  if (hasTypedPlaces && Math.abs(typed - inUnit) <= SAME * Math.abs(inUnit)) return String(typed);
  const rounded = Number(inUnit.toFixed(places));
  return String(rounded === 0 ? Number(inUnit.toPrecision(2)) : rounded);
}

/** The symbol a kind of quantity is written with in a unit system; '' for plain numbers. */
export const unitSymbol = (kind: QuantityKind, system: UnitSystem): string =>
  UNITS[STYLES[system][kind].unit].symbol;
