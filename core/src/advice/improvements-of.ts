import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import type { Improvement, Work } from './improvement';
import { collectorImprovements } from './kinds/collector-improvements';
import { resized, widerDucts } from './kinds/duct-improvements';
import { fittingImprovements } from './kinds/fitting-improvements';
import { hoseImprovements } from './kinds/hose-improvements';
import { gateImprovements, leakImprovements } from './kinds/leak-improvements';
import { placeImprovements } from './kinds/place-improvements';

/** Everything that could be done to this shop, each by itself: nothing that it has already. */
export const improvementsOf = (shop: Shop, tree: DuctTree): Improvement[] => [
  ...collectorImprovements(shop),
  ...leakImprovements(shop, tree),
  ...gateImprovements(shop, tree),
  ...hoseImprovements(shop, tree),
  ...fittingImprovements(shop, tree),
  ...widerDucts(shop, tree),
  ...placeImprovements(shop),
];

/** The same, with those of some works that are found by a search and say all of it themselves. */
export const improvementsFor = (
  shop: Shop,
  tree: DuctTree,
  works: readonly Work[],
): Improvement[] => [
  ...improvementsOf(shop, tree),
  ...works.flatMap((work) =>
    work.kind === 'suggested sizes' ? (resized(tree, work.runs) ?? []) : [],
  ),
];

/** A copy of a shop with some improvements made, in the order given. */
export function improved(shop: Shop, made: readonly Pick<Improvement, 'change'>[]): Shop {
  const copy = structuredClone(shop);
  for (const { change } of made) change(copy);
  return copy;
}
