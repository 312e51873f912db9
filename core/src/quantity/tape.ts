import { fromSI, toSI } from './units';

/** Sixteenths of an inch as a tape shows them. */
const FRACTIONS = [
  '',
  '1/16',
  '⅛',
  '3/16',
  '¼',
  '5/16',
  '⅜',
  '7/16',
  '½',
  '9/16',
  '⅝',
  '11/16',
  '¾',
  '13/16',
  '⅞',
  '15/16',
];
const IN_AN_INCH = 16;
const EIGHTH = 2;
const INCHES_IN_A_FOOT = 12;

/** A whole number with a fraction behind it, in sixteenths: `5½`, `5 3/16`, `½`. */
function mixed(sixteenths: number): string {
  const whole = Math.floor(sixteenths / IN_AN_INCH);
  const fraction = FRACTIONS[sixteenths % IN_AN_INCH] ?? '';
  if (fraction === '') return String(whole);
  if (whole === 0) return fraction;
  return fraction.length > 1 ? `${whole} ${fraction}` : `${whole}${fraction}`;
}

/** Before what rounds to nothing stands no sign. */
const signOf = (value: number, rounded: number) => (value < 0 && rounded > 0 ? '−' : '');

/** The nearest multiple of so many sixteenths of an inch, in sixteenths, whatever the sign. */
const toSixteenths = (value: number, finest: number) =>
  Math.round((Math.abs(fromSI(value, 'in')) * IN_AN_INCH) / finest) * finest;

/** The nearest eighth of an inch, in sixteenths, whatever the sign. */
const toEighth = (value: number) => toSixteenths(value, EIGHTH);

/**
 * Writes a size as a tape measure shows it, in inches to the nearest eighth, however long it is; without the unit.
 *
 * @param value m, of either sign, finite
 * @param finest the nearest so many sixteenths: 2 on a tape, 1 on a ruler
 * @example writeInchesOnTape(0.8509) // '33½'
 */
export function writeInchesOnTape(value: number, finest: 1 | 2 = 2): string {
  const sixteenths = toSixteenths(value, finest);
  return `${signOf(value, sixteenths)}${mixed(sixteenths)}`;
}

/**
 * Writes a length as a tape measure shows it, in feet and inches to the nearest eighth; below a foot in inches.
 *
 * @param value m, of either sign; not finite: a dash
 * @example writeFeetAndInches(4.2227) // '13′ 10¼″'
 * @example writeFeetAndInches(0.6096) // '2′'
 * @example writeFeetAndInches(0.2159) // '8½″'
 */
export function writeFeetAndInches(value: number): string {
  if (!Number.isFinite(value)) return '–';
  const sixteenths = toEighth(value);
  const feet = Math.floor(sixteenths / (INCHES_IN_A_FOOT * IN_AN_INCH));
  const inches = sixteenths - feet * INCHES_IN_A_FOOT * IN_AN_INCH;
  const sign = signOf(value, sixteenths);
  if (feet === 0) return inches === 0 ? '0′' : `${sign}${mixed(inches)}″`;
  return inches === 0 ? `${sign}${feet}′` : `${sign}${feet}′ ${mixed(inches)}″`;
}

/** Closer to a sixteenth than this it is one, inches: what a conversion there and back leaves. */
const EXACT = 1e-4;

/**
 * Writes inches with a fraction, without the unit, where the length is a whole number of sixteenths; null where
 * it is not, as with the true diameter of a pipe.
 *
 * @param value m
 * @example writeInches(0.1397)  // '5½'
 * @example writeInches(0.10706) // null: 4.215 in.
 */
export function writeInches(value: number): string | null {
  const inches = Math.abs(fromSI(value, 'in'));
  const sixteenths = Math.round(inches * IN_AN_INCH);
  if (!Number.isFinite(inches) || Math.abs(inches - sixteenths / IN_AN_INCH) > EXACT) return null;
  return `${signOf(value, sixteenths)}${mixed(sixteenths)}`;
}

/** From here on even a size is written in feet and inches, m. */
export const LONG_IN_INCHES = toSI(10, 'ft');
