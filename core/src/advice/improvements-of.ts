import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import type { Improvement, Work } from './improvement';
import { collectorImprovements } from './kinds/collector-improvements';
import { dropImprovements } from './kinds/drop-improvements';
import { resized, widerDucts } from './kinds/duct-improvements';
import { fittingImprovements } from './kinds/fitting-improvements';
import { guardImprovements } from './kinds/guard-improvements';
import { hoseImprovements } from './kinds/hose-improvements';
import { gateImprovements, leakImprovements } from './kinds/leak-improvements';
import { placeImprovements } from './kinds/place-improvements';
import { rerouted } from './kinds/route-improvements';

/** Everything that could be done to this shop, each by itself: nothing that it has already. */
export const improvementsOf = (shop: Shop, tree: DuctTree): Improvement[] => [
  ...collectorImprovements(shop),
  ...leakImprovements(shop, tree),
  ...gateImprovements(shop, tree),
  ...hoseImprovements(shop, tree),
  ...fittingImprovements(shop, tree),
  ...widerDucts(shop, tree),
  ...dropImprovements(shop, tree),
  ...guardImprovements(shop, tree),
  ...placeImprovements(shop),
];

/** What a search found and says all of itself, where there is still anything to do. */
export const searchedImprovements = (
  shop: Shop,
  tree: DuctTree,
  works: readonly Work[],
): Improvement[] =>
  works.flatMap((work) => {
    switch (work.kind) {
      case 'suggested sizes':
        return resized(tree, work.runs) ?? [];
      case 'routed anew':
      case 'move the collector':
        return rerouted(shop, work) ?? [];
      default:
        return [];
    }
  });

/** Everything that could be done, with what a search found. */
export const improvementsFor = (
  shop: Shop,
  tree: DuctTree,
  works: readonly Work[],
): Improvement[] => [...improvementsOf(shop, tree), ...searchedImprovements(shop, tree, works)];

/** A copy of a shop with some improvements made, in the order given. */
export function improved(shop: Shop, made: readonly Pick<Improvement, 'change'>[]): Shop {
  const copy = structuredClone(shop);
  for (const { change } of made) change(copy);
  return copy;
}
