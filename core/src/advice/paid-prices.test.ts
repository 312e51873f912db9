import { expect, it } from 'vitest';
import { usualAdvice } from '../design/usual-advice';
import { toSI } from '../quantity/units';
import { paidPrices, withPaidPrices } from './paid-prices';
import { PRICED_DIAMETER, PRICES, priceOf } from './price-book';

const pipe = (at: string, cost: number | null, quantity: number, diameter: number | null) => ({
  ...{ at, cost },
  bought: { item: 'pipe' as const, quantity, diameter },
});

it('a price paid is for one, at the size prices are for; the latest counts', () => {
  const paid = paidPrices([
    pipe('2026-05-01T10:00:00Z', 90, 10, PRICED_DIAMETER),
    pipe('2026-03-01T10:00:00Z', 10, 10, PRICED_DIAMETER),
    {
      at: '2026-04-01T10:00:00Z',
      cost: 48,
      bought: { item: 'gate', quantity: 2, diameter: toSI(4, 'in') },
    },
  ]);
  expect(paid.get('pipe')).toEqual({ price: 9, at: '2026-05-01T10:00:00Z' });
  // Two 4-inch gates for 48 are 24 each, or 36 each at 6 inches, by hand.
  expect(paid.get('gate')?.price).toBeCloseTo(36, 9);
});

it('what cost nobody knows how much, or bought nobody knows what, says nothing', () => {
  const at = '2026-05-01T10:00:00Z';
  expect(paidPrices([pipe(at, null, 10, null), { at, cost: 40, bought: null }]).size).toBe(0);
});

it('replaces an estimate, but not a price that was typed', () => {
  const paid = paidPrices([pipe('2026-05-01T10:00:00Z', 90, 10, PRICED_DIAMETER)]);
  expect(priceOf('pipe', withPaidPrices(usualAdvice(), paid))).toBe(9);
  expect(priceOf('wye', withPaidPrices(usualAdvice(), paid))).toBe(PRICES.wye.estimate);
  const typed = { ...usualAdvice(), prices: { pipe: 5 } };
  expect(priceOf('pipe', withPaidPrices(typed, paid))).toBe(5);
});
