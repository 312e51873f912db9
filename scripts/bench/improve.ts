// npm run bench:improve: how fast improvements are ranked and packed, how near the packages come to the best of all sets,
// and how often screening keeps the best improvement. A number after it says of how many shops the last is taken; with
// --json it prints one line of JSON and nothing else.
import { enumerateBest } from '../../core/reference/enumerate-packages';
import { chanceShop } from '../../core/reference/hidden-shops';
import { treeOf } from '../../core/reference/plain-readings';
import { improvementsOf } from '../../core/src/advice/improvements-of';
import { packImprovements, withinBudget } from '../../core/src/advice/pack';
import { rankImprovements } from '../../core/src/advice/rank';
import { chanceOf } from '../../core/src/simulate/chance';

const words = process.argv.slice(2);
const shops = Number(words.find((word) => /^\d+$/.test(word)) ?? 500);
const SMALL_SHOPS = 20;
/** Improvements that every set is made of, so that all of them can be tried. */
const FEW = 6;
const BUDGETS = [0, 30, 100, 300, 1000];
const WHOLE = { solves: Number.POSITIVE_INFINITY };
/** So few that only the short list is solved whole. */
const SCREENED = { solves: 1 };

const middle = (values: readonly number[]) =>
  values.toSorted((a, b) => a - b)[values.length >> 1] ?? Number.NaN;

function times(drops: number): { readonly rank: number; readonly pack: number } {
  const shop = chanceShop(drops, chanceOf(drops));
  const tree = treeOf(shop);
  const all = improvementsOf(shop, tree);
  const runs = Array.from({ length: 3 }, () => {
    const start = performance.now();
    const ranking = rankImprovements(shop, tree);
    const ranked = performance.now();
    packImprovements(shop, all, ranking?.ranked ?? []);
    return { rank: ranked - start, pack: performance.now() - ranked };
  });
  return { rank: middle(runs.map(({ rank }) => rank)), pack: middle(runs.map(({ pack }) => pack)) };
}

/** The least share of the best set's air that a package brings, over small shops and budgets. */
function worstAgainstEnumeration(): number {
  let least = 1;
  for (let seed = 1; seed <= SMALL_SHOPS; seed++) {
    const shop = chanceShop(4, chanceOf(1000 + seed));
    const tree = treeOf(shop);
    const all = improvementsOf(shop, tree);
    const helping = rankImprovements(shop, tree)?.ranked.filter(({ worth }) => worth.air > 0.3);
    const few = helping?.slice(0, FEW) ?? [];
    const packages = packImprovements(shop, all, few);
    const choices = few.flatMap(({ id }) => all.find((each) => each.id === id) ?? []);
    for (const budget of BUDGETS) {
      const best = enumerateBest(shop, choices, budget);
      const own = packages ? (withinBudget(packages, budget)?.air ?? 0) : 0;
      if (best > 0.5) least = Math.min(least, own / best);
    }
  }
  return least;
}

/** How often the improvement that is best of all is best of the short list. */
function screeningKeepsBest(): number {
  let kept = 0;
  for (let seed = 1; seed <= shops; seed++) {
    const shop = chanceShop(5 + (seed % 4), chanceOf(seed));
    const tree = treeOf(shop);
    const best = rankImprovements(shop, tree, WHOLE)?.ranked[0];
    kept += rankImprovements(shop, tree, SCREENED)?.ranked[0]?.id === best?.id ? 1 : 0;
  }
  return kept / shops;
}

const twelve = times(12);
const figures = {
  rankMs: twelve.rank,
  packageMs: twelve.pack,
  worstAgainstEnumeration: worstAgainstEnumeration(),
  screeningKeepsBest: screeningKeepsBest(),
};
if (words.includes('--json')) console.log(JSON.stringify(figures));
else {
  const sixty = times(60);
  const ms = (value: number) => `${value.toFixed(0)} ms`;
  const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
  console.log(`12 drops ranked in ${ms(twelve.rank)}, packed in ${ms(twelve.pack)}`);
  console.log(`60 drops ranked in ${ms(sixty.rank)}, packed in ${ms(sixty.pack)}`);
  console.log(
    `packages bring at least ${percent(figures.worstAgainstEnumeration)} of what the best set does (${SMALL_SHOPS} small shops, ${BUDGETS.length} budgets)`,
  );
  console.log(
    `screening keeps the best improvement in ${percent(figures.screeningKeepsBest)} of ${shops} shops`,
  );
}
