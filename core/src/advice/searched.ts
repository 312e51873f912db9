import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { sizeDucts } from '../improve/size-ducts';
import type { Work } from './improvement';
import { searchedImprovements } from './improvements-of';
import { reroutings } from './kinds/route-improvements';
import { type Ranking, withJudged } from './rank';

/**
 * A ranking with what only a search finds: rerouted ducts, a better place for the collector, and sizes for all runs
 * together. In a large shop each takes seconds, so they come when everything else is there.
 * @param onProgress hears the ranking as each is added
 */
export function withSearched(
  shop: Shop,
  tree: DuctTree,
  ranking: Ranking,
  onProgress: (ranking: Ranking) => void = () => {},
): Ranking {
  let all = ranking;
  for (const works of [reroutings, sizesOf]) {
    const found = searchedImprovements(shop, tree, works(shop, tree));
    for (const each of found) all = withJudged(shop, { ...all, tried: all.tried + 1 }, each);
    onProgress(all);
  }
  return all;
}

/** With more drops the search for sizes takes minutes: then it is left to whoever asks for it. */
const MOST_SIZED = 20;

function sizesOf(shop: Shop, tree: DuctTree): Work[] {
  if (tree.drops.length > MOST_SIZED) return [];
  const { diameters } = sizeDucts(shop, tree, { view: 'found' });
  return [{ kind: 'suggested sizes', runs: [...diameters].map(([run, to]) => ({ run, to })) }];
}
