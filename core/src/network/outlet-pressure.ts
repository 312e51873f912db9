import { airAtSite } from '../air/air-at-site';
import type { Shop } from '../design/schema';
import { exhaustOfShop } from './assemble/exhaust-of-shop';
import { factorsIn, type View } from './assemble/setting';
import { exhaustInto } from './exhaust-law';

/**
 * Static pressure in Pa that a shop's filter, or its way outdoors, asks of the blower at `flow` (m³/s),
 * no matter what feeds the blower. As found unless stated otherwise.
 */
export function outletPressure(shop: Shop, flow: number, view: View = 'found'): number {
  const air = airAtSite(shop.shop.site);
  const out = { pressure: 0, slope: 0, leak: 0 };
  exhaustInto(
    out,
    exhaustOfShop({ shop, view, factors: factorsIn(shop, view) }, air.density),
    flow,
    air,
  );
  return out.pressure;
}
