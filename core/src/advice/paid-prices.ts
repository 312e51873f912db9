import type { PriceId } from '../catalogue/price-ids';
import type { Shop } from '../design/schema';
import type { ShopEvent } from '../journal/event';
import { timeOf } from '../journal/journal';
import { PRICED_DIAMETER } from './price-book';

/** What was last paid for one of something: in the shop's money, for each m, piece, W or hour, at the priced size. */
export interface PaidPrice {
  readonly price: number;
  readonly at: string;
}

/** By what was bought, what the latest change that bought it paid. */
export function paidPrices(
  events: readonly Pick<ShopEvent, 'at' | 'cost' | 'bought'>[],
): ReadonlyMap<PriceId, PaidPrice> {
  const paid = new Map<PriceId, PaidPrice>();
  for (const { at, cost, bought } of events.toSorted((a, b) => timeOf(a) - timeOf(b))) {
    if (cost === null || bought === null) continue;
    const { item, quantity, diameter } = bought;
    const size = diameter === null ? 1 : diameter / PRICED_DIAMETER;
    paid.set(item, { price: cost / (quantity * size), at });
  }
  return paid;
}

/** What improvements are ranked by, with what was paid in place of estimates; a price somebody typed stays. */
export const withPaidPrices = (
  advice: Shop['advice'],
  paid: ReadonlyMap<PriceId, PaidPrice>,
): Shop['advice'] => ({
  ...advice,
  prices: {
    ...Object.fromEntries([...paid].map(([item, { price }]) => [item, price])),
    ...advice.prices,
  },
});
