import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatQuantity, writeForField, writeNumber } from './format-quantity';
import { parseQuantity } from './parse-quantity';
import { type QuantityKind, STYLES } from './unit-system';
import { fromSI, toSI, UNITS, type UnitId } from './units';

/** The value read, in the unit asked for, or the sentence of refusal. */
const read = (text: string, unit: UnitId, inUnit: UnitId = unit) => {
  const parsed = parseQuantity(text, unit);
  return parsed.ok ? fromSI(parsed.value, inUnit) : parsed.reason;
};

describe('parseQuantity reads what people write', () => {
  it.each<[string, UnitId, number, UnitId]>([
    ['5 1/2', 'in', 5.5, 'in'],
    ['5-1/2 in', 'ft', 5.5, 'in'],
    ['5½', 'in', 5.5, 'in'],
    ['½"', 'ft', 0.5, 'in'],
    ['3/4', 'in', 0.75, 'in'],
    ['12\' 6"', 'ft', 12.5, 'ft'],
    ['12\'6"', 'in', 12.5, 'ft'],
    ['12ft 6in', 'm', 12.5, 'ft'],
    ['12 ft 6 1/2 in.', 'ft', 12 + 6.5 / 12, 'ft'],
    ["9'", 'in', 9, 'ft'],
    ['150 mm', 'in', 150, 'mm'],
    ['1.5m', 'ft', 1.5, 'm'],
    ['20 m/s', 'fpm', 20, 'ms'],
    ['45 mph', 'fpm', 45, 'mph'],
    ['4,000 fpm', 'ms', 4000, 'fpm'],
    ['4000', 'fpm', 4000, 'fpm'],
    ['400 cfm', 'm3h', 400, 'cfm'],
    ['680 m3/h', 'cfm', 680, 'm3h'],
    ['680 m³/h', 'cfm', 680, 'm3h'],
    ['2.5 "wg', 'pa', 2.5, 'inwg'],
    ['2.5 in. w.g.', 'pa', 2.5, 'inwg'],
    ['2.5"', 'inwg', 2.5, 'inwg'],
    ['600 Pa', 'inwg', 600, 'pa'],
    ['70 F', 'c', 70, 'f'],
    ['-3', 'ft', -3, 'ft'],
    ['−3 ft', 'ft', -3, 'ft'],
    ['.5', 'ft', 0.5, 'ft'],
    ['1e-3', 'm', 0.001, 'm'],
    ['35 %', 'percent', 35, 'percent'],
    ['2 hp', 'kw', 2, 'hp'],
    ['20 CFM/ft2', 'perm_fpm', 20, 'perm_fpm'],
  ])('%s', (text, unit, value, inUnit) => {
    expect(read(text, unit, inUnit)).toBeCloseTo(value, 9);
  });

  it.each<[string, UnitId, RegExp]>([
    ['40k', 'fpm', /'40k' is not a number/],
    ['abc', 'ft', /'abc' is not a number/],
    ['', 'ft', /Write a value/],
    ['400 cfm', 'fpm', /is a flow; this field takes a velocity/],
    ['12 furlongs', 'ft', /'furlongs' is not a unit known here/],
    ['1/0', 'ft', /'1\/0' is not a number/],
    ['5 5 5', 'ft', /not a unit/],
    ['Infinity', 'ft', /is not a number/],
  ])('refuses %s with a sentence', (text, unit, sentence) => {
    expect(read(text, unit)).toMatch(sentence);
  });

  it('knows every unit by the symbol the program writes', () => {
    for (const [id, { symbol }] of Object.entries(UNITS) as [UnitId, { symbol: string }][]) {
      expect(read(`7 ${symbol}`, id)).toBeCloseTo(7, 9);
    }
  });
});

describe('how numbers are grouped and where their decimals begin', () => {
  it.each<[string, UnitId, number, UnitId]>([
    // A decimal comma wherever it cannot be anything else.
    ['0,125 m', 'ft', 0.125, 'm'],
    ['1,5 m', 'ft', 1.5, 'm'],
    ['1,00', 'ft', 1, 'ft'],
    ['12,3456', 'in', 12.3456, 'in'],
    ['1234,567', 'm', 1234.567, 'm'],
    ['.5', 'ft', 0.5, 'ft'],
    [',5', 'ft', 0.5, 'ft'],
    ['5.', 'ft', 5, 'ft'],
    // Thousands by commas, dots, apostrophes of any kind and blanks of any width.
    ['1,200 mm', 'in', 1200, 'mm'],
    ['4,000', 'fpm', 4000, 'fpm'],
    ['10,000 ft', 'm', 10_000, 'ft'],
    ['1,234,567', 'pa', 1_234_567, 'pa'],
    ['1.234.567', 'pa', 1_234_567, 'pa'],
    ["1'000", 'ft', 1000, 'ft'],
    ['1’200', 'mm', 1200, 'mm'],
    ["1'200 mm", 'in', 1200, 'mm'],
    ["1'000'", 'in', 1000, 'ft'],
    ['1\u202f200', 'mm', 1200, 'mm'],
    ['1\u2009200\u2009mm', 'in', 1200, 'mm'],
    ['1\u00a0200\u00a0300', 'pa', 1_200_300, 'pa'],
    ['12 500 1/2', 'mm', 12_500.5, 'mm'],
    // Both at once.
    ['1,234.5', 'm', 1234.5, 'm'],
    ['1.234,5', 'm', 1234.5, 'm'],
    ['1 234,5', 'm', 1234.5, 'm'],
    ["1'234.5", 'm', 1234.5, 'm'],
    // Digits and signs of other scripts.
    ['\u0661\u0662\u066b\u0665', 'm', 12.5, 'm'],
    ['\uff11\uff12\uff0e\uff15', 'm', 12.5, 'm'],
    ['\u096b\u00bd', 'in', 5.5, 'in'],
    ['\u{1d7d9}\u{1d7da}', 'm', 12, 'm'],
    ['\ufeff5\u200e ft', 'm', 5, 'ft'],
    ['\u2152', 'in', 0.1, 'in'],
    ['5\u20111\u20442\u2033', 'ft', 5.5, 'in'],
    // The sign counts, whatever it stands before.
    [`-0' 6"`, 'ft', -0.5, 'ft'],
    ['-½"', 'in', -0.5, 'in'],
    ['+3 ft', 'ft', 3, 'ft'],
    // Feet and inches with any primes; inches over eleven only with their mark.
    ['6’ 3½”', 'm', 6 + 3.5 / 12, 'ft'],
    ["6' 3 1/2''", 'm', 6 + 3.5 / 12, 'ft'],
    ['12\' 14"', 'ft', 12 + 14 / 12, 'ft'],
    ['5\' 1,125"', 'ft', 5 + 1.125 / 12, 'ft'],
    ['0e-400', 'm', 0, 'm'],
  ])('%s', (text, unit, value, inUnit) => {
    expect(read(text, unit, inUnit)).toBeCloseTo(value, 9);
  });

  it.each<[string, UnitId, string]>([
    ['1,125', 'm', "'1,125' may be 1.125 m or 1,125 m: write 1.125 or 1125."],
    ['-1,125 m', 'ft', "'-1,125 m' may be -1.125 m or -1,125 m: write -1.125 or -1125."],
    ['1,125', 'one', "'1,125' may be 1.125 or 1,125: write 1.125 or 1125."],
    ['1.250 mm', 'in', "'1.250 mm' may be 1.25 mm or 1,250 mm: write 1.25 or 1250."],
    ['1,125e3', 'm', "'1,125e3' may be 1,125 m or 1,125,000 m: write 1125 or 1125000."],
  ])('offers both readings of %s', (text, unit, sentence) => {
    expect(read(text, unit)).toBe(sentence);
  });

  it.each([
    '1,2,3',
    '1,23.4',
    '1234,567,890',
    '1234 567',
    '1.2.3',
    '0,125,000',
    "1'234'56",
    '--5',
    '5²',
    '1e400',
    '1e-400',
    '5 0/0',
    '1/2/3',
    '1.5/2',
    '五',
    '①',
    "12'60",
    '0x10',
    '1_000',
    '5 5',
    '(5)',
  ])('refuses %s', (text) => {
    expect(read(text, 'ft')).toMatch(/Write /);
  });

  it('what a style without places writes is read with its commas; one of many places, with its dots', () => {
    const metres = parseQuantity('1,600', STYLES.metric.elevation);
    expect(metres).toEqual({ ok: true, value: 1600, unit: 'm' });
    expect(parseQuantity('1,600 m', STYLES.metric.length).ok).toBe(false);
    expect(parseQuantity('1.250', STYLES.metric.roughness)).toMatchObject({ ok: true });
    expect(parseQuantity('1,250', STYLES.metric.roughness).ok).toBe(false);
    expect(parseQuantity('1.250', STYLES.metric.flow).ok).toBe(false);
  });

  it('is never misread: what anyone writes is read as that number, or refused', () => {
    const written = fc.record({
      whole: fc.integer({ min: 0, max: 9_999_999 }),
      decimals: fc.stringMatching(/^\d{0,5}$/),
      group: fc.constantFrom('', ',', '.', "'", '’', ' ', '\u202f', '\u2009', '\u00a0'),
      point: fc.constantFrom('.', ','),
      unit: fc.constantFrom<UnitId>('m', 'mm', 'in', 'ft', 'cm', 'um'),
      zero: fc.constantFrom(0x30, 0x660, 0x966, 0xff10),
      sign: fc.constantFrom('', '-', '−'),
    });
    fc.assert(
      fc.property(written, ({ whole, decimals, group, point, unit, zero, sign }) => {
        fc.pre(group !== point);
        const grouped = String(whole).replace(/\B(?=(\d{3})+(?!\d))/g, group);
        const plain = sign + grouped + (decimals === '' ? '' : point + decimals);
        const text = plain.replace(/\d/g, (digit) => String.fromCodePoint(zero + Number(digit)));
        const value = Number(`${sign === '' ? '' : '-'}${whole}.${decimals}`);
        const parsed = parseQuantity(text, unit);
        if (parsed.ok) {
          // The one reading in English of a lone comma or dot before three digits.
          const [, a, mark, b] = /^\D?(\d{1,3})([.,])(\d{3})$/.exec(plain) ?? [];
          const english = mark === ',' ? Number(`${a}${b}`) : Number(`${a}.${b}`);
          const isEnglish =
            mark !== undefined && !a?.startsWith('0') && english !== Math.abs(value);
          const wanted = isEnglish ? Math.sign(value) * english : value;
          expect(fromSI(parsed.value, unit)).toBeCloseTo(wanted, 6);
        } else {
          expect(parsed.reason).toMatch(/ may be .* or .*: write /);
        }
      }),
      { numRuns: 2000 },
    );
  });

  it('takes no longer for a long text than for a short one, and never answers what is not finite', () => {
    const hostile = ['9', '1,', "1'", '1 ', ' ', '1/', '½', '\u0661', '-', '(', 'e', '5-'];
    for (const part of hostile) {
      const text = part.repeat(100_000);
      const began = performance.now();
      const parsed = parseQuantity(text, 'ft');
      expect(performance.now() - began).toBeLessThan(100);
      expect(parsed.ok ? Number.isFinite(parsed.value) : parsed.reason.length < 200).toBe(true);
    }
    fc.assert(
      fc.property(fc.string({ unit: fc.constantFrom(...'0123456789 .,\'"/-+e½ftin') }), (text) => {
        const parsed = parseQuantity(text, 'ft');
        if (parsed.ok) expect(Number.isFinite(parsed.value)).toBe(true);
        else expect(parsed.reason).not.toBe('');
      }),
      { numRuns: 3000 },
    );
  });
});

describe('what is written can be read again', () => {
  const kinds = Object.keys(STYLES.us) as QuantityKind[];
  const anyValue = fc.double({ min: 1e-3, max: 1e5, noNaN: true });

  it.each(['us', 'metric'] as const)('%s', (system) => {
    fc.assert(
      fc.property(fc.constantFrom(...kinds), anyValue, (kind, amount) => {
        const style = STYLES[system][kind];
        const value = toSI(amount, style.unit);
        const isTape = system === 'us' && (kind === 'length' || kind === 'diameter');
        const half = isTape ? fromSI(toSI(1 / 16, 'in'), style.unit) : 0.5 * 10 ** -style.places;

        const again = parseQuantity(formatQuantity(value, kind, system), style);
        expect(again.ok && Math.abs(fromSI(again.value, style.unit) - amount)).toBeLessThanOrEqual(
          half * 1.0001 + 1e-9,
        );

        const field = parseQuantity(writeForField(value, kind, system), style);
        expect(field.ok && Math.abs(fromSI(field.value, style.unit) - amount)).toBeLessThanOrEqual(
          Math.max(half * 1.0001, 0.05 * amount) + 1e-9,
        );
      }),
    );
  });

  it('writes honest digits', () => {
    expect(formatQuantity(toSI(411.73, 'cfm'), 'flow', 'us')).toBe('412 CFM');
    expect(formatQuantity(toSI(3583, 'fpm'), 'velocity', 'us')).toBe('3,583 fpm');
    expect(formatQuantity(toSI(-2.104, 'inwg'), 'pressure', 'us')).toBe('−2.10 in. w.g.');
    expect(formatQuantity(0.35, 'ratio', 'metric')).toBe('35 %');
    expect(writeNumber(-0.0001, { unit: 'm', places: 2 })).toBe('0.00');
    expect(writeNumber(Number.NaN, { unit: 'm', places: 2 })).toBe('–');
    expect(writeForField(toSI(5.5, 'in'), 'diameter', 'us')).toBe('5½');
  });

  it('a field shows what was typed in its unit, and no digits of a conversion', () => {
    const ofTyped = (amount: number, unit: UnitId, kind: QuantityKind, system: 'us' | 'metric') =>
      writeForField(toSI(amount, unit), kind, system);
    expect(ofTyped(637.5, 'm3h', 'flow', 'metric')).toBe('637.5');
    expect(ofTyped(375, 'cfm', 'flow', 'metric')).toBe('637');
    expect(ofTyped(7.25, 'percent', 'ratio', 'us')).toBe('7.25');
    expect(writeForField(0.680535123, 'ratio', 'us')).toBe('68');
    expect(ofTyped(4.215, 'in', 'diameter', 'us')).toBe('4.215');
    expect(ofTyped(100, 'mm', 'diameter', 'us')).toBe('3.937');
    expect(ofTyped(8.619, 'ft', 'length', 'us')).toBe('8′ 7⅜″');
    expect(ofTyped(3, 'ft', 'length', 'metric')).toBe('0.91');
    expect(ofTyped(13, 'ft', 'length', 'metric')).toBe('3.96');
    expect(ofTyped(3.962, 'm', 'length', 'metric')).toBe('3.962');
    expect(ofTyped(5 / 16, 'in', 'diameter', 'metric')).toBe('7.9');
    expect(ofTyped(1.2345, 'one', 'number', 'us')).toBe('1.2345');
    expect(writeForField(4.7e-18, 'diameter', 'metric')).toBe('0');
    expect(writeForField(-4.7e-18, 'pressure', 'us')).toBe('0');
    expect(writeForField(1e-7, 'roughness', 'us')).toBe('0.0001');
    expect(writeForField(1.23456789e-7, 'roughness', 'us')).toBe('0.00012');
  });
});
