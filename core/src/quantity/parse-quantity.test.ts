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
    ['1,00', 'ft', /not a unit/],
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

describe('what is written can be read again', () => {
  const kinds = Object.keys(STYLES.us) as QuantityKind[];
  const anyValue = fc.double({ min: 1e-3, max: 1e5, noNaN: true });

  it.each(['us', 'metric'] as const)('%s', (system) => {
    fc.assert(
      fc.property(fc.constantFrom(...kinds), anyValue, (kind, amount) => {
        const style = STYLES[system][kind];
        const value = toSI(amount, style.unit);
        const half = 0.5 * 10 ** -style.places;

        const again = parseQuantity(formatQuantity(value, kind, system), style.unit);
        expect(again.ok && Math.abs(fromSI(again.value, style.unit) - amount)).toBeLessThanOrEqual(
          half * 1.0001 + 1e-9,
        );

        const field = parseQuantity(writeForField(value, kind, system), style.unit);
        expect(field.ok && fromSI(field.value, style.unit)).toBeCloseTo(
          Number(amount.toPrecision(6)),
          6,
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
    expect(writeForField(toSI(5.5, 'in'), 'diameter', 'us')).toBe('5.5');
  });
});
