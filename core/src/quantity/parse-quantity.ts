import { beforeUnit } from './format-quantity';
import { LONGEST_QUANTITY, plainSigns, type Scanned, scanNumber } from './scan-number';
import { type Dimension, type Style, toSI, UNITS, type Unit, type UnitId } from './units';

export type Parsed =
  | {
      readonly ok: true;
      /** SI. */
      readonly value: number;
      /** The unit it was read in; for `12' 6"` the larger one. */
      readonly unit: UnitId;
    }
  | { readonly ok: false; readonly reason: string };

/** `40k`: one letter on a number that is no unit of the field is a slip, not another unit. */
const LETTER_ON_A_NUMBER = /^[a-z]$/i;

/** One spelling for what people mean: no spaces or dots, lower case. */
const bare = (text: string) => text.toLowerCase().replace(/[\s.]/g, '');

function findUnit(text: string, dimension: Dimension): UnitId | null {
  const wanted = bare(text);
  for (const [id, unit] of Object.entries(UNITS) as [UnitId, Unit][]) {
    if (unit.dimension !== dimension) continue;
    if (bare(unit.symbol) === wanted || unit.spellings.includes(wanted)) return id;
  }
  return null;
}

const otherDimensionOf = (text: string) => {
  const wanted = bare(text);
  const found = Object.values(UNITS).find(
    (unit: Unit) => bare(unit.symbol) === wanted || unit.spellings.includes(wanted),
  );
  return found?.dimension ?? null;
};

const EXAMPLES: Readonly<Record<Dimension, string>> = {
  length: '5 1/2 in, 12\' 6" or 150 mm',
  area: '100 ft2 or 9 m2',
  volume: '30 gal or 120 L',
  flow: '400 CFM or 680 m3/h',
  velocity: '4,000 fpm, 20 m/s or 45 mph',
  pressure: '2.5 "wg or 600 Pa',
  temperature: '70 F or 21 C',
  density: '0.075 lb/ft3 or 1.2 kg/m3',
  power: '2 hp or 1.5 kW',
  current: '12 A',
  voltage: '230 V',
  rotation: '3450 rpm',
  permeability: '20 CFM/ft2',
  ratio: '50 %',
  angle: '45°',
  mass: '55 lb or 25 kg',
  'mass flow': '4 lb/h or 2 kg/h',
  'surface mass': '2.3 lb/ft2 or 11 kg/m2',
  'sound level': '82 dB(A)',
  duration: '20 h',
  number: '1.5',
};

/** What someone could write in a field of this dimension, for an empty field or a refusal. */
export const examplesOf = (dimension: Dimension): string => EXAMPLES[dimension];

/**
 * Units whose thousandths are worth writing: `1,125 m` may be 1.125 m as well as 1,125 m. In the others
 * (CFM, fpm, mm, Pa, …) a comma before three digits groups thousands.
 */
const HAS_THOUSANDTHS: ReadonlySet<UnitId> = new Set<UnitId>([
  'm',
  'cm',
  'in',
  'm2',
  'm3',
  'ft3',
  'm3s',
  'ms',
  'kpa',
  'inwg',
  'kgm3',
  'lbft3',
  'kw',
  'hp',
  'perm_ms',
  'perm_mmin',
  'kg',
  'kgh',
  'lbh',
  'kgm2',
  'lbft2',
  'percent',
  'one',
]);

/** The two readings of a number whose separator may mean either; null where one is plainly meant. */
function twoReadings(
  { value, other }: Extract<Scanned, { kind: 'number' }>,
  written: string,
  hasThousandths: boolean,
): readonly [number, number] | null {
  if (other === null) return null;
  const isComma = Math.abs(value) > Math.abs(other);
  if (isComma) return hasThousandths ? [other, value] : null;
  // `1.250 mm`: nobody writes a last nought that says nothing, but many write 1.250 for 1250.
  return !hasThousandths && written.endsWith('0') ? [value, other] : null;
}

/**
 * Reads a quantity the way people write one, in the signs and digits of any script. A bare number takes
 * `unit`; a written unit must be of the same dimension. Feet and inches may be combined. Thousands may be
 * grouped by commas, dots, apostrophes or blanks, and a decimal comma is read; where a separator may mean
 * either, both readings are offered instead. The sign is kept: whether a negative value makes sense is the
 * field's business. Takes time in proportion to the text, of which 80 signs at most are read.
 *
 * @param style what a bare number means, and with how many places that unit is written here: with none, a
 *   comma before three digits groups thousands; with three or more, a dot is always decimal
 * @returns the SI value, always finite, or a sentence that quotes what could not be read.
 * @example parseQuantity('5 1/2', 'in')    // { ok: true, value: 0.1397, unit: 'in' }
 * @example parseQuantity('12\' 6"', 'ft')  // { ok: true, value: 3.81, unit: 'ft' }
 * @example parseQuantity('0,125 m', 'ft')  // { ok: true, value: 0.125, unit: 'm' }
 * @example parseQuantity('1,125 m', 'ft')  // { ok: false, reason: "'1,125 m' may be 1.125 m or …" }
 * @example parseQuantity('40k', 'fpm')     // { ok: false, reason: "'40k' is not a number…" }
 */
export function parseQuantity(written: string, style: UnitId | Style): Parsed {
  const { unit, places } = typeof style === 'string' ? { unit: style, places: null } : style;
  const { dimension }: Unit = UNITS[unit];
  const refusal = (what: string): Parsed => ({
    ok: false,
    reason: `${what} Write ${EXAMPLES[dimension]}.`,
  });
  if (written.trim() === '') {
    return { ok: false, reason: `Write a value, such as ${EXAMPLES[dimension]}.` };
  }
  if (written.length > LONGEST_QUANTITY) return refusal('That is too long for a quantity.');
  const text = plainSigns(written);
  const quoted = `'${written.trim()}'`;
  const notANumber = () => refusal(`${quoted} is not a number.`);

  const scanned = scanNumber(text);
  if (scanned.kind !== 'number') return notANumber();
  const behind = text.slice(scanned.length);
  const rest = behind.trim();

  const read = (as: UnitId): Parsed => {
    const number = text.slice(0, scanned.length);
    const shown = as === unit ? places : null;
    const hasThousandths =
      shown === null
        ? HAS_THOUSANDTHS.has(as)
        : shown >= 3 || (shown > 0 && HAS_THOUSANDTHS.has(as));
    const either = twoReadings(scanned, number, hasThousandths);
    if (either) return undecided(quoted, either, as);
    const value = toSI(scanned.value, as);
    return Number.isFinite(value) ? { ok: true, value, unit: as } : notANumber();
  };
  if (rest === '') return read(unit);
  if (dimension === 'length') {
    const inFeetAndInches = readFeetAndInches(scanned, rest, quoted);
    if (inFeetAndInches) return inFeetAndInches;
  }
  const named = findUnit(rest, dimension);
  if (named) return read(named);

  if (LETTER_ON_A_NUMBER.test(behind)) return notANumber();
  const other = otherDimensionOf(rest);
  return other && other !== dimension
    ? refusal(`${quoted} is a ${other}; this field takes a ${dimension}.`)
    : refusal(`'${rest}' is not a unit known here.`);
}

function undecided(quoted: string, readings: readonly [number, number], unit: UnitId): Parsed {
  const format = new Intl.NumberFormat('en-US', { maximumFractionDigits: 6 });
  const [small, large] = readings.map((value) => beforeUnit(format.format(value), unit));
  const [plain, whole] = readings.map(String);
  return {
    ok: false,
    reason: `${quoted} may be ${small} or ${large}: write ${plain} or ${whole}.`,
  };
}

const FEET_THEN_MORE = /^(?:ft\.?|feet|foot|')\s*-?\s*(?=[\d.,])/i;
const INCHES_IN_A_FOOT = 12;

/** Feet with inches behind them; null where that is not what stands there. */
function readFeetAndInches(
  feet: Extract<Scanned, { kind: 'number' }>,
  rest: string,
  quoted: string,
): Parsed | null {
  const mark = FEET_THEN_MORE.exec(rest);
  if (!mark) return null;
  const more = rest.slice(mark[0].length);
  const inches = scanNumber(more);
  if (inches.kind !== 'number') return null;
  const tail = more.slice(inches.length).trim();
  if (tail !== '' && findUnit(tail, 'length') !== 'in') return null;
  // Inches behind feet are few: `5' 1,125"` can only mean one.
  const count = inches.other === null ? inches.value : Math.min(inches.value, inches.other);
  if (tail === '' && count >= INCHES_IN_A_FOOT) {
    const reason = `In ${quoted}, ${count} is too many for inches. Write ${EXAMPLES.length}.`;
    return { ok: false, reason };
  }
  const size = toSI(Math.abs(feet.value), 'ft') + toSI(count, 'in');
  if (!Number.isFinite(size)) return null;
  return { ok: true, value: feet.isNegative ? -size : size, unit: 'ft' };
}
