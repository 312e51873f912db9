import { newShop, type Shop, shopSchema } from '@frank-gauge/core/design';
import { produce } from 'immer';
import { describe, expect, it } from 'vitest';
import { airPart, standingPart } from './shop-parts';

const curve = [
  { flow: 0, pressure: 2500 },
  { flow: 0.5, pressure: 0 },
];

const changed = (shop: Shop, change: (draft: Shop) => void): Shop => produce(shop, change);

describe('what the air depends on', () => {
  const shop = newShop('one', 'One', 'us', curve);

  it('is a shop, and the same object whatever is noted or renamed', () => {
    expect(shopSchema.shape.collector.safeParse(airPart(shop).collector).success).toBe(true);
    const noted = changed(shop, (draft) => {
      draft.shop.name = 'Two';
      draft.shop.note = 'a note';
    });
    expect(airPart(noted)).toBe(airPart(shop));
    expect(standingPart(noted)).toBe(standingPart(shop));
  });

  it.each<[string, (draft: Shop) => unknown]>([
    ['the filter', (draft) => draft.condition.filterLoading.value++],
    ['the site', (draft) => draft.shop.site.elevation++],
    ['a rule', (draft) => draft.shop.rules.settlingVelocity++],
    ['the collector', (draft) => draft.collector.separator.lossCoefficient++],
    [
      'the units, by which wiring rules go',
      (draft) => Object.assign(draft.shop, { units: 'metric' }),
    ],
  ])('is another when %s changes', (_, change) => {
    const next = changed(shop, (draft) => void change(draft));
    expect(airPart(next)).not.toBe(airPart(shop));
  });
});
