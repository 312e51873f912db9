import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PRICE_IDS } from '../catalogue/price-ids';
import { toSI } from '../quantity/units';
import { PRICES, priceOf } from './price-book';
import { readPrices, writePrices } from './price-table';

describe('a price book as a table', () => {
  it('reads back as what it was, in either system, estimates as estimates', () => {
    const some = fc.dictionary(
      fc.constantFrom(...PRICE_IDS),
      fc.double({ min: 0.01, max: 5000, noNaN: true }),
    );
    fc.assert(
      fc.property(some, fc.constantFrom('us' as const, 'metric' as const), (prices, system) => {
        const read = readPrices(writePrices(prices, system), {});
        if (!read.ok) throw new Error(read.reason);
        expect(Object.keys(read.prices).sort()).toEqual(Object.keys(prices).sort());
        for (const id of PRICE_IDS) {
          const [own, back] = [priceOf(id, { prices }), priceOf(id, { prices: read.prices })];
          expect(Math.abs(back - own)).toBeLessThanOrEqual(1e-9 * own);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('takes a line per foot or per meter, and keeps what is left out', () => {
    const read = readPrices('pipe,,foot,6\r\ntape,,piece,"0,80"\r\n', { hour: 40 });
    if (!read.ok) throw new Error(read.reason);
    expect(read.prices.pipe).toBeCloseTo(6 / toSI(1, 'ft'), 9);
    expect(read.prices).toMatchObject({ tape: 0.8, hour: 40 });
  });

  it.each([
    ['pipes,,foot,6', 'Line 1: “pipes” is nothing the price book has a line for.'],
    ['Id,What,Per,Price,Whose\npipe,,foot,six', 'Line 2: “six” is not a number.'],
    ['pipe,,foot,-1', 'Line 1: a price cannot be below zero.'],
    ['pipe,,piece,5', 'Line 1: “piece” is not what pipe is priced by; write foot or meter.'],
    ['cyclone,,piece,1e12', 'Line 1: 1e12 is more than anything costs.'],
    ['', 'There is no price in it.'],
  ])('refuses “%s” with the line and the reason', (text, reason) => {
    expect(readPrices(text, { pipe: 3 })).toEqual({ ok: false, reason });
  });

  it('has a line for everything improvements buy', () => {
    expect(Object.keys(PRICES).sort()).toEqual([...PRICE_IDS].sort());
  });
});
