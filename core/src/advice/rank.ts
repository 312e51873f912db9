import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { type Evaluation, evaluate, evaluateTree } from './evaluate';
import { foreseeing } from './first-order';
import { costOf, type Improvement } from './improvement';
import { improved, improvementsOf } from './improvements-of';
import { judgeImprovement, type LeftOut, type RankedImprovement } from './judge-improvement';
import { worthOf } from './worth';

export interface Ranking {
  readonly now: Evaluation;
  /** The best first; the last ones are worse than doing nothing. */
  readonly ranked: readonly RankedImprovement[];
  readonly leftOut: readonly LeftOut[];
  /** Improvements there were, and those of them that were solved exactly. */
  readonly tried: number;
  readonly solved: number;
}

export interface Ranks {
  readonly onProgress?: (ranking: Ranking) => void;
  /** Solves that may be spent on it, about. */
  readonly solves?: number;
}

/** About two seconds of solving. */
const SOLVES = 6000;
/** As many are solved exactly before anything is screened, and as many of what is. */
const FIRST_SOLVED = 15;
const PROGRESS_EVERY = 25;
/**
 * Everything that could be done to a shop, by what it is worth: solved exactly in every combination of gates, or where
 * that would take too long, what leads to first order for a few drops: those furthest short, and some whose chips
 * settle. Null where the shop has no answer.
 */
export function rankImprovements(
  shop: Shop,
  tree: DuctTree,
  { onProgress, solves = SOLVES }: Ranks = {},
): Ranking | null {
  const now = evaluateTree(shop, tree);
  if (!now) return null;
  const all = improvementsOf(shop, tree);
  let ranking: Ranking = { now, ranked: [], leftOut: [], tried: all.length, solved: 0 };
  const solve = (improvement: Improvement) => {
    ranking = withJudged(shop, ranking, improvement);
    if (ranking.solved % PROGRESS_EVERY === 0) onProgress?.(ranking);
  };
  const affordable = Math.max(2 * FIRST_SOLVED, Math.floor(solves / now.drops.length));
  if (all.length <= affordable) {
    for (const each of all) solve(each);
    return ranking;
  }
  // Collector, filter and leaks come first in the list: they are there at once, whatever is screened after them.
  for (const each of all.slice(0, FIRST_SOLVED)) solve(each);
  onProgress?.(ranking);
  const left = screened(shop, tree, now, all.slice(FIRST_SOLVED));
  for (const each of left.slice(0, affordable - FIRST_SOLVED)) solve(each);
  return ranking;
}

/** A ranking with one improvement more of those there are, solved and put where it belongs. */
export function withJudged(shop: Shop, ranking: Ranking, improvement: Improvement): Ranking {
  const judged = judgeImprovement(shop, improvement, ranking.now);
  const solved = ranking.solved + 1;
  if (!judged) return { ...ranking, solved };
  if ('broken' in judged) return { ...ranking, solved, leftOut: [...ranking.leftOut, judged] };
  const ranked = [...ranking.ranked, judged].sort((a, b) => b.worth.points - a.worth.points);
  return { ...ranking, solved, ranked };
}

/** Drops that stand for a large shop: as many that are furthest short, and as many whose chips settle. */
const STANDING = 3;

/**
 * What leads for the drops that are furthest short and some whose chips settle, each by itself: to first order by
 * adjoint, or solved where a change makes other segments.
 */
function screened(
  shop: Shop,
  tree: DuctTree,
  now: Evaluation,
  all: readonly Improvement[],
): Improvement[] {
  const byNeed = now.drops.toSorted((a, b) => a.flow / a.need - b.flow / b.need);
  const slow = byNeed.filter(({ isSlow }) => isSlow);
  const standing = new Set(
    [...byNeed.slice(0, STANDING), ...slow.slice(0, STANDING)].map(({ drop }) => drop),
  );
  const few = (of: Shop): Shop => ({
    ...of,
    shop: {
      ...of.shop,
      rules: {
        ...of.shop.rules,
        gates: { kind: 'chosen', sets: [...standing].map((drop) => [drop]) },
      },
    },
  });
  const before = evaluateTree(few(shop), tree);
  const foresee = foreseeing(
    shop,
    tree,
    tree.drops.filter(({ id }) => standing.has(id)),
  );
  if (!before || !foresee) return [...all];
  return all
    .map((improvement) => {
      const changed = improved(shop, [improvement]);
      const after = foresee(changed) ?? evaluate(few(changed));
      const { hours } = improvement;
      const cost = costOf(improvement, shop.advice);
      const points = after
        ? worthOf(before, after, { cost, hours }, shop.advice).points
        : -Infinity;
      return { improvement, points };
    })
    .sort((a, b) => b.points - a.points)
    .map(({ improvement }) => improvement);
}
