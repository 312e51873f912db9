import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { octaveTable, readTable } from './octave-table';

const read = (table: Parameters<typeof readTable>[1], x: number) => {
  const out = new Float64Array(2);
  readTable(out, table, x);
  return { value: out[0] ?? 0, slope: out[1] ?? 0 };
};

const powers = (exponent: number) =>
  octaveTable(
    (out, x) => {
      out[0] = x ** exponent;
      out[1] = exponent * x ** (exponent - 1);
    },
    0.05,
    2 ** 18,
    1024,
  );

describe('a table of cubics', () => {
  it.each([0.5, 0.65, 1, 1.9, -0.25])('says what its function says: x^%f', (exponent) => {
    const table = powers(exponent);
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 2 ** 18, noNaN: true }), (x) => {
        const { value, slope } = read(table, x);
        expect(Math.abs(value / x ** exponent - 1)).toBeLessThan(1e-8);
        expect(Math.abs((slope * x) / value - exponent)).toBeLessThan(1e-5);
      }),
    );
  });

  it('is met by itself at every cell’s edge, value and slope', () => {
    const table = powers(0.65);
    for (let cell = 32; cell < 64; cell++) {
      const edge = (cell * 2 ** 9) / 1024;
      const below = read(table, edge * (1 - 1e-15));
      const above = read(table, edge);
      expect(Math.abs(below.value / above.value - 1)).toBeLessThan(1e-13);
      expect(Math.abs(below.slope / above.slope - 1)).toBeLessThan(1e-10);
    }
  });

  it('beyond its ends calls the function itself', () => {
    const table = powers(0.65);
    for (const x of [1e-6, 0.01, 2 ** 20, 1e12]) {
      expect(read(table, x).value).toBe(x ** 0.65);
    }
  });
});
