import { type Dimension, toSI, UNITS, type Unit, type UnitId } from './units';

export type Parsed =
  | {
      readonly ok: true;
      /** SI. */
      readonly value: number;
      /** The unit it was read in; for `12' 6"` the larger one. */
      readonly unit: UnitId;
    }
  | { readonly ok: false; readonly reason: string };

/** A number as people write it: `1,200`, `.5`, `5 1/2`, `5-1/2`, `1/2`, `1.2e-3`, `5½`. */
const NUMBER =
  /^([+-]?)\s*(?:(\d+)\s*[\s-]\s*(\d+)\s*\/\s*(\d+)|(\d+)\s*\/\s*(\d+)|((?:\d{1,3}(?:[,  ]\d{3})+(?!\d)|\d+)?(?:\.\d+)?(?:e[+-]?\d+)?))/i;

const VULGAR_FRACTIONS: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

/** `40k`: one letter on a number that is no unit of the field is a slip, not another unit. */
const LETTER_ON_A_NUMBER = /^[a-z]$/i;

interface Scanned {
  readonly value: number;
  readonly rest: string;
}

function scanNumber(text: string): Scanned | null {
  const match = NUMBER.exec(text);
  if (!match || match[0].trim() === '' || !/\d/.test(match[0])) return null;
  const [whole, sign, mixedWhole, mixedTop, mixedBottom, top, bottom, decimal] = match;
  let value: number;
  if (mixedWhole !== undefined) value = Number(mixedWhole) + Number(mixedTop) / Number(mixedBottom);
  else if (top !== undefined) value = Number(top) / Number(bottom);
  else value = Number((decimal ?? '').replace(/[,  ]/g, ''));
  if (!Number.isFinite(value)) return null;
  return { value: sign === '-' ? -value : value, rest: text.slice(whole.length) };
}

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
 * Reads a quantity the way people write one. A bare number takes `unit`; a written unit must be of
 * the same dimension. Feet and inches may be combined. The sign is kept: whether a negative value
 * makes sense is the field's business.
 *
 * @returns the SI value, or a sentence that quotes what could not be read.
 * @example parseQuantity('5 1/2', 'in')    // { ok: true, value: 0.1397, unit: 'in' }
 * @example parseQuantity('12\' 6"', 'ft')  // { ok: true, value: 3.81, unit: 'ft' }
 * @example parseQuantity('45 mph', 'fpm')  // { ok: true, value: 20.1168, unit: 'mph' }
 * @example parseQuantity('40k', 'fpm')     // { ok: false, reason: "'40k' is not a number…" }
 */
export function parseQuantity(written: string, unit: UnitId): Parsed {
  const { dimension }: Unit = UNITS[unit];
  const text = written
    .trim()
    .replace(/−/g, '-')
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (sign) => ` ${VULGAR_FRACTIONS[sign]}`)
    .trim();
  const quoted = `'${written.trim()}'`;
  if (text === '') return { ok: false, reason: `Write a value, such as ${EXAMPLES[dimension]}.` };

  const first = scanNumber(text);
  if (!first) {
    return { ok: false, reason: `${quoted} is not a number. Write ${EXAMPLES[dimension]}.` };
  }
  const rest = first.rest.trim();
  if (rest === '') return { ok: true, value: toSI(first.value, unit), unit };

  const inFeetAndInches = dimension === 'length' ? readFeetAndInches(first.value, rest) : null;
  if (inFeetAndInches !== null) return { ok: true, value: inFeetAndInches, unit: 'ft' };

  const named = findUnit(rest, dimension);
  if (named) return { ok: true, value: toSI(first.value, named), unit: named };

  const refusal = (what: string): Parsed => ({
    ok: false,
    reason: `${what} Write ${EXAMPLES[dimension]}.`,
  });
  if (LETTER_ON_A_NUMBER.test(first.rest)) return refusal(`${quoted} is not a number.`);
  const other = otherDimensionOf(rest);
  return other && other !== dimension
    ? refusal(`${quoted} is a ${other}; this field takes a ${dimension}.`)
    : refusal(`'${rest}' is not a unit known here.`);
}

const FEET_THEN_MORE = /^(?:ft\.?|feet|foot|['′’])\s*-?\s*(?=[\d.])/i;

function readFeetAndInches(feet: number, rest: string): number | null {
  const mark = FEET_THEN_MORE.exec(rest);
  if (!mark) return null;
  const inches = scanNumber(rest.slice(mark[0].length));
  if (!inches || inches.value < 0) return null;
  const tail = inches.rest.trim();
  if (tail !== '' && findUnit(tail, 'length') !== 'in') return null;
  const size = toSI(Math.abs(feet), 'ft') + toSI(inches.value, 'in');
  return feet < 0 ? -size : size;
}
