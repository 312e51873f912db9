import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { sizeDucts } from '../improve/size-ducts';
import type { Work } from './improvement';
import { searchedImprovements } from './improvements-of';
import { reroutings } from './kinds/route-improvements';
import { type Ranking, withJudged } from './rank';

/**
 * A ranking with what only a search finds: sizes for all runs together, ducts led anew, and a better place for the
 * collector. In a large shop each takes seconds, so they come when everything else is there.
 * @param onProgress hears the ranking as each is added
 */
export function withSearched(
  shop: Shop,
  tree: DuctTree,
  ranking: Ranking,
  onProgress: (ranking: Ranking) => void = () => {},
): Ranking {
  let all = ranking;
  for (const works of [sizesOf, reroutings]) {
    const found = searchedImprovements(shop, tree, works(shop, tree));
    for (const each of found) all = withJudged(shop, { ...all, tried: all.tried + 1 }, each);
    onProgress(all);
  }
  return all;
}

function sizesOf(shop: Shop, tree: DuctTree): Work[] {
  const { diameters } = sizeDucts(shop, tree, { view: 'found' });
  return [{ kind: 'suggested sizes', runs: [...diameters].map(([run, to]) => ({ run, to })) }];
}
