import { drawnShop } from './sample-shops';

/** What is asked of /api/solve that takes an hour if it is let: every set of sixteen gates, on a curve in zigzag. */
export function endlessRequest() {
  const shop = drawnShop(16);
  shop.shop.rules.gates = { kind: 'atMost', count: 16 };
  shop.collector.blower.curve = Array.from({ length: 200 }, (_, i) => ({
    flow: i * 0.005,
    pressure: 3000 - 10 * i + (i % 2 ? 400 : 0),
  }));
  return { shop, include: ['gateSets', 'methods', 'candidates'] };
}
