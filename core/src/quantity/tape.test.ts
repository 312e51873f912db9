import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseQuantity } from './parse-quantity';
import { writeFeetAndInches, writeInches, writeInchesOnTape } from './tape';
import { fromSI, toSI } from './units';

describe('a length as a tape shows it', () => {
  it.each([
    [166.25, '13′ 10¼″'],
    [24, '2′'],
    [8.5, '8½″'],
    [0, '0′'],
    [12, '1′'],
    [0.125, '⅛″'],
    [0.05, '0′'],
    [-0.05, '0′'],
    [-30.5, '−2′ 6½″'],
    // The last eighth of a foot is a foot.
    [35.99, '3′'],
    [Number.NaN, '–'],
  ])('%d inches: %s', (inches, written) => {
    expect(writeFeetAndInches(toSI(inches, 'in'))).toBe(written);
  });

  it('is read back to a sixteenth of an inch', () => {
    fc.assert(
      fc.property(fc.double({ min: -2000, max: 2000, noNaN: true }), (inches) => {
        const read = parseQuantity(writeFeetAndInches(toSI(inches, 'in')), 'ft');
        expect(read.ok && Math.abs(fromSI(read.value, 'in') - inches)).toBeLessThan(0.0626);
      }),
    );
  });
});

describe('inches on a ruler', () => {
  it.each([
    [0.16, '3/16', '⅛'],
    [3.06, '3 1/16', '3'],
    [4.84, '4 13/16', '4⅞'],
  ])('%d in. is %s there, and %s on a tape', (inches, ruler, tape) => {
    expect(writeInchesOnTape(toSI(inches, 'in'), 1)).toBe(ruler);
    expect(writeInchesOnTape(toSI(inches, 'in'))).toBe(tape);
  });
});

describe('inches with a fraction', () => {
  it.each([
    [5.5, '5½'],
    [5.1875, '5 3/16'],
    [0.5, '½'],
    [0.9375, '15/16'],
    [6, '6'],
    [0, '0'],
    [-2.25, '−2¼'],
    [4.215, null],
    [Number.NaN, null],
  ])('%d: %s', (inches, written) => {
    expect(writeInches(toSI(inches, 'in'))).toBe(written);
  });

  it('is read back exactly, from wherever it comes', () => {
    fc.assert(
      fc.property(fc.integer({ min: -3000, max: 3000 }), (sixteenths) => {
        const value = toSI(sixteenths / 16, 'in');
        const read = parseQuantity(writeInches(value) ?? '', 'in');
        expect(read.ok && read.value).toBeCloseTo(value, 12);
      }),
    );
  });
});
