import { evaluate } from '../src/advice/evaluate';
import { costOf, type Improvement } from '../src/advice/improvement';
import { improved } from '../src/advice/improvements-of';
import { airWorth } from '../src/advice/worth';
import type { Shop } from '../src/design/schema';

/** The most air, in points, that some improvements bring for a budget: by trying every set of them. */
export function enumerateBest(shop: Shop, choices: readonly Improvement[], budget: number): number {
  const now = evaluate(shop);
  let best = 0;
  for (let bits = 1; bits < 2 ** choices.length; bits++) {
    const set = choices.filter((_, i) => bits & (1 << i));
    const changes = set.flatMap((each) => each.changes);
    if (new Set(changes).size < changes.length) continue;
    if (set.reduce((sum, each) => sum + costOf(each, shop.advice), 0) > budget) continue;
    const after = evaluate(improved(shop, set));
    if (!now || !after) continue;
    best = Math.max(best, airWorth(after, shop.advice) - airWorth(now, shop.advice));
  }
  return best;
}
