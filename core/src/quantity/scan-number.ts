/** What the number at the beginning of a text may mean, and what is written behind it. */
export type Scanned =
  | {
      readonly kind: 'number';
      readonly value: number;
      readonly isNegative: boolean;
      /**
       * What else its one separator may mean: `1,125` is 1125, or 1.125 as many countries write it; `1.250`
       * is 1.25, or 1250. Null where it can only be one.
       */
      readonly other: number | null;
      /** In characters, from the beginning of the text. */
      readonly length: number;
    }
  /** Digits that make no number: separators that group nothing, no denominator, beyond what is counted. */
  | { readonly kind: 'nonsense' }
  | { readonly kind: 'none' };

/** Longer than any quantity is written. */
export const LONGEST_QUANTITY = 80;

const NONSENSE: Scanned = { kind: 'nonsense' };
const SIGN = /[+-]\s*/y;
/** Digits with what may stand between them; a blank or an apostrophe only where three more follow. */
const DIGITS = /[.,]?\d(?:[.,]?\d|[ '](?=\d{3}(?!\d|\s*\/))\d)*\.?/y;
const EXPONENT = /e[+-]?\d+(?![\d.,])/iy;
const FRACTION = /(?:\s+|\s*-\s*)?(\d+)\s*\/\s*(\d+)(?![\d.,/])/y;
const GROUPS = /^\d{1,3}([.,' ])\d{3}(?:\1\d{3})*$/;

function matchAt(pattern: RegExp, text: string, from: number): RegExpExecArray | null {
  pattern.lastIndex = from;
  return pattern.exec(text);
}

/**
 * Reads the number at the beginning of a text that `plainSigns` has been through: `5`, `.5`, `1,200`,
 * `1.200,5`, `1'200`, `12 500`, `0,125`, `5 1/2`, `5-1/2`, `1/2`, `1.2e-3`, with a sign or without.
 */
export function scanNumber(text: string): Scanned {
  const sign = matchAt(SIGN, text, 0)?.[0] ?? '';
  const isNegative = sign.startsWith('-');
  const signed = (magnitude: number) => (isNegative ? -magnitude : magnitude);
  const found = (magnitude: number, length: number, other: number | null = null): Scanned =>
    Number.isFinite(magnitude)
      ? {
          kind: 'number',
          value: signed(magnitude),
          isNegative,
          other: other === null ? null : signed(other),
          length,
        }
      : NONSENSE;

  const lone = matchAt(FRACTION, text, sign.length);
  if (lone && /^\d/.test(lone[0])) {
    return found(Number(lone[1]) / Number(lone[2]), sign.length + lone[0].length);
  }
  const digits = matchAt(DIGITS, text, sign.length)?.[0];
  if (digits === undefined) return { kind: 'none' };
  const end = sign.length + digits.length;
  const read = readDigits(digits);
  if (read === null) return NONSENSE;

  const exponent = matchAt(EXPONENT, text, end)?.[0];
  if (exponent !== undefined) {
    const value = Number(`${read.plain}${exponent}`);
    // Not nothing, but smaller than can be counted.
    if (value === 0 && /[1-9]/.test(read.plain)) return NONSENSE;
    const other = read.other === null ? null : Number(`${read.other}${exponent}`);
    return found(value, end + exponent.length, other);
  }
  const fraction = /^\d+$/.test(read.plain) ? matchAt(FRACTION, text, end) : null;
  if (fraction) {
    const part = Number(fraction[1]) / Number(fraction[2]);
    return found(Number(read.plain) + part, end + fraction[0].length);
  }
  return found(Number(read.plain), end, read.other);
}

/** Digits and separators as a plain decimal number; null where they make none. */
function readDigits(
  written: string,
): { readonly plain: string; readonly other: number | null } | null {
  const text = written.replace(/\.$/, '');
  const marks = text.match(/[.,' ]/g) ?? [];
  const [first] = marks;
  const last = marks.at(-1);
  if (first === undefined || last === undefined) return { plain: text, other: null };
  const at = text.lastIndexOf(last);
  const whole = text.slice(0, at);
  const decimals = text.slice(at + 1);
  const ungrouped = (digits: string) => digits.replace(/[.,' ]/g, '');
  if (marks.length === 1 && (last === '.' || last === ',')) {
    const asDecimal = `${whole}.${decimals}`;
    const isGrouped = GROUPS.test(text) && !whole.startsWith('0');
    if (!isGrouped) return { plain: asDecimal, other: null };
    return last === ','
      ? { plain: ungrouped(text), other: Number(asDecimal) }
      : { plain: asDecimal, other: Number(ungrouped(text)) };
  }
  const isWhole = (digits: string) => GROUPS.test(digits) && !digits.startsWith('0');
  if (isWhole(text)) return { plain: ungrouped(text), other: null };
  // The last separator is the decimal one if it stands alone of its kind, and the others group by threes.
  const isDecimal = (last === '.' || last === ',') && last !== first;
  return isDecimal && isWhole(whole)
    ? { plain: `${ungrouped(whole)}.${decimals}`, other: null }
    : null;
}

/** Digits of any script, by Unicode in runs of ten that begin with nought. */
function plainDigit(digit: string): string {
  const code = digit.codePointAt(0) ?? 0;
  let start = code;
  while (/\p{Nd}/u.test(String.fromCodePoint(start - 1))) start--;
  return String((code - start) % 10);
}

/**
 * A quantity in the signs of a plain keyboard: digits of every script, blanks, minus signs, primes and
 * quotation marks of every kind, vulgar fractions, and the separators of Arabic. Marks that cannot be
 * seen are left out. Superscripts stay: `5²` is not 52.
 */
export const plainSigns = (written: string): string =>
  written
    .replace(/\p{Cf}/gu, '')
    .replace(/\p{No}/gu, (sign) => {
      const apart = sign.normalize('NFKD');
      return /^\d+\u2044\d+$/.test(apart) ? ` ${apart.replace('\u2044', '/')}` : sign;
    })
    .replace(/\p{Nd}/gu, (digit) => (digit <= '9' ? digit : plainDigit(digit)))
    .replace(/[\p{Z}\s]/gu, ' ')
    .replace(/[\u2212\u2010-\u2015\ufe58\ufe63\uff0d]/g, '-')
    .replace(/[\ufe62\uff0b]/g, '+')
    .replace(/[\u2032\u2018\u2019\u201b\u02b9\u02bc\u02c8\uff07\u00b4`\u066c]/g, "'")
    .replace(/[\u2033\u201c-\u201f\u02ba\uff02\u3003]|''/g, '"')
    .replace(/[\uff0c\u060c]/g, ',')
    .replace(/[\uff0e\u066b]/g, '.')
    .replace(/[\u2044\u2215\uff0f]/g, '/')
    .trim();
