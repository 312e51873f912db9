import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatShort, unitSymbol } from './format-quantity';
import { lookUp } from './look-up';
import { examplesOf, parseQuantity } from './parse-quantity';
import { type QuantityKind, STYLES } from './unit-system';
import { type Dimension, fromSI, toSI, UNITS, type UnitId } from './units';

const ids = Object.keys(UNITS) as UnitId[];

describe('units', () => {
  it('there and back is the same', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...ids),
        fc.double({ min: -1e4, max: 1e4, noNaN: true }),
        (id, value) => {
          expect(fromSI(toSI(value, id), id)).toBeCloseTo(value, 6);
        },
      ),
    );
  });

  it('no two of a dimension share a spelling', () => {
    const seen = new Map<string, UnitId>();
    for (const id of ids) {
      const { dimension, symbol, spellings } = UNITS[id];
      for (const spelling of new Set([symbol.toLowerCase().replace(/[\s.]/g, ''), ...spellings])) {
        const key = `${dimension} ${spelling}`;
        expect(seen.get(key) ?? id, key).toBe(id);
        seen.set(key, id);
      }
    }
  });

  it('every kind of quantity is written in a unit of the same dimension in both systems', () => {
    for (const kind of Object.keys(STYLES.us) as QuantityKind[]) {
      expect(UNITS[STYLES.us[kind].unit].dimension).toBe(UNITS[STYLES.metric[kind].unit].dimension);
    }
  });

  it.each([
    ['flow', 'CFM', 'm³/h'],
    ['velocity', 'fpm', 'm/s'],
    ['pressure', 'in. w.g.', 'Pa'],
    ['diameter', 'in.', 'mm'],
    ['length', 'ft', 'm'],
    ['temperature', '°F', '°C'],
    ['number', '', ''],
  ] as const)('%s is written in %j, or in %j', (kind, us, metric) => {
    expect(unitSymbol(kind, 'us')).toBe(us);
    expect(unitSymbol(kind, 'metric')).toBe(metric);
  });

  it('what a refusal offers as an example can itself be read', () => {
    for (const id of ids) {
      const dimension: Dimension = UNITS[id].dimension;
      for (const example of examplesOf(dimension).split(/, | or /)) {
        expect(parseQuantity(example, id).ok, `${example} as ${dimension}`).toBe(true);
      }
    }
  });
});

describe('writing shortly', () => {
  it.each<[number, UnitId, QuantityKind, string]>([
    [2, 'ft', 'length', '2′'],
    [2.5, 'ft', 'length', '2′ 6″'],
    [12, 'ft', 'diameter', '12′'],
    [2.5, 'hp', 'power', '2.5 hp'],
    [6, 'in', 'diameter', '6 in.'],
    [4.065, 'in', 'diameter', '4.065 in.'],
    [140, 'ft2', 'area', '140 ft²'],
    [1000, 'ft', 'elevation', '1,000 ft'],
    [0, 'ft', 'elevation', '0 ft'],
    [70, 'f', 'temperature', '70 °F'],
  ])('%f %s', (value, unit, kind, written) => {
    expect(formatShort(toSI(value, unit), kind, 'us')).toBe(written);
  });
});

describe('a table', () => {
  const table = [
    [1.5, 0.15],
    [2, 0.13],
    [2.5, 0.12],
  ] as const;

  it('is read along straight lines and held at its ends', () => {
    expect(lookUp(table, 1.75)).toBeCloseTo(0.14, 12);
    expect(lookUp(table, 2)).toBeCloseTo(0.13, 12);
    expect(lookUp(table, 0)).toBe(0.15);
    expect(lookUp(table, 9)).toBe(0.12);
    expect(lookUp([], 1)).toBe(0);
  });
});
