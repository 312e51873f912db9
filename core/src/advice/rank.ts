import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { sizeDucts } from '../improve/size-ducts';
import { OWN_SIGMA } from '../inference/next-reading';
import { type Evaluation, evaluate, evaluateTree } from './evaluate';
import { type Broken, brokenRules } from './house-rules';
import { costOf, type Improvement, isCostEstimated, type Work } from './improvement';
import { improved, improvementsOf } from './improvements-of';
import { resized } from './kinds/duct-improvements';
import { type Worth, worthOf } from './worth';

/** What one drop gains. m³/s */
export interface DropGain {
  readonly drop: string;
  readonly name: string;
  readonly before: number;
  readonly after: number;
  readonly need: number;
  /** How far the gain may be off, 95 times in 100: what is unsure of both, before and after, cancels. */
  readonly uncertainty: number;
  /** How likely it gets what it needs, before and after. */
  readonly metBefore: number;
  readonly metAfter: number;
}

/** An improvement with what it brings here: plain data, to be done by its id. */
export interface RankedImprovement {
  readonly id: string;
  readonly work: Work;
  readonly cost: number;
  readonly isCostEstimated: boolean;
  readonly hours: number;
  readonly worth: Worth;
  /** Whether a meter shows it at some drop, by three repeats before and after. */
  readonly isShown: boolean;
  /** Those that change by it, the most first. */
  readonly gains: readonly DropGain[];
  readonly before: Summary;
  readonly after: Summary;
}

/** What is told of a shop beside its drops. */
export type Summary = Omit<Evaluation, 'drops'>;

export interface Ranking {
  readonly now: Evaluation;
  /** The best first; the last ones are worse than doing nothing. */
  readonly ranked: readonly RankedImprovement[];
  /** What the house's rules leave out, with the rule. */
  readonly leftOut: readonly { readonly work: Work; readonly broken: readonly Broken[] }[];
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
/** Change of an airflow that a meter shows, in ln, 95 times in 100: what is its own scatter on both sides. */
const LEAST_SHOWN = 1.96 * Math.SQRT2 * OWN_SIGMA;
/** A drop whose flow changes by less than this share gains nothing. */
const SAME = 1e-3;

/**
 * Everything that could be done to a shop, by what it is worth: solved exactly in every combination of gates, or where
 * that would take too long, what leads by how it does for the three drops that are furthest short. Null where the shop
 * has no answer.
 */
export function rankImprovements(
  shop: Shop,
  tree: DuctTree,
  { onProgress, solves = SOLVES }: Ranks = {},
): Ranking | null {
  const now = evaluateTree(shop, tree);
  if (!now) return null;
  const all = improvementsOf(shop, tree);
  const ranked: RankedImprovement[] = [];
  const leftOut: { work: Work; broken: readonly Broken[] }[] = [];
  let solved = 0;
  const ranking = (): Ranking => ({
    now,
    ranked: ranked.toSorted((a, b) => b.worth.points - a.worth.points),
    leftOut: [...leftOut],
    ...{ tried: all.length, solved },
  });
  const solve = (improvement: Improvement) => {
    const after = evaluate(improved(shop, [improvement]));
    solved++;
    // What leaves a drop without an answer is no improvement.
    if (after && after.drops.length >= now.drops.length) {
      const broken = brokenRules(improvement, now, after, shop.advice);
      if (broken.length > 0) leftOut.push({ work: improvement.work, broken });
      else ranked.push(rankedOf(shop, improvement, now, after));
    }
    if (solved % PROGRESS_EVERY === 0) onProgress?.(ranking());
  };
  const affordable = Math.max(2 * FIRST_SOLVED, Math.floor(solves / now.drops.length));
  if (all.length <= affordable) {
    for (const each of all) solve(each);
    return ranking();
  }
  // Collector, filter and leaks come first in the list: they are there at once, whatever is screened after them.
  for (const each of all.slice(0, FIRST_SOLVED)) solve(each);
  onProgress?.(ranking());
  const left = screened(shop, tree, now, all.slice(FIRST_SOLVED));
  for (const each of left.slice(0, affordable - FIRST_SOLVED)) solve(each);
  return ranking();
}

/**
 * A ranking with one improvement more: the sizes that a search chooses for all runs together. In a large shop that
 * takes seconds, so it comes when everything else is there.
 */
export function withSuggestedSizes(shop: Shop, tree: DuctTree, ranking: Ranking): Ranking {
  const { diameters } = sizeDucts(shop, tree, { view: 'found' });
  const sizes = resized(
    tree,
    [...diameters].map(([run, to]) => ({ run, to })),
  );
  const after = sizes && evaluate(improved(shop, [sizes]));
  if (!after || after.drops.length < ranking.now.drops.length) return ranking;
  const { now, ranked, leftOut } = ranking;
  const broken = brokenRules(sizes, now, after, shop.advice);
  const [tried, solved] = [ranking.tried + 1, ranking.solved + 1];
  if (broken.length > 0) {
    return { now, ranked, leftOut: [...leftOut, { work: sizes.work, broken }], tried, solved };
  }
  const all = [...ranked, rankedOf(shop, sizes, now, after)];
  return {
    ...{ now, leftOut, tried, solved },
    ranked: all.sort((a, b) => b.worth.points - a.worth.points),
  };
}

function rankedOf(
  shop: Shop,
  improvement: Improvement,
  now: Evaluation,
  after: Evaluation,
): RankedImprovement {
  const cost = costOf(improvement, shop.advice);
  const { id, work, hours } = improvement;
  const gains = gainsOf(now, after);
  return {
    ...{ id, work, cost, hours, gains },
    isShown: gains.some((gain) => Math.abs(Math.log(gain.after / gain.before)) > LEAST_SHOWN),
    isCostEstimated: isCostEstimated(improvement, shop.advice),
    worth: worthOf(now, after, { cost, hours }, shop.advice),
    before: summaryOf(now),
    after: summaryOf(after),
  };
}

const summaryOf = ({ drops: _, ...summary }: Evaluation): Summary => summary;

/** What each drop gains from one state of a shop to another, the most first. */
export function gainsOf(before: Evaluation, after: Evaluation): DropGain[] {
  const later = new Map(after.drops.map((each) => [each.drop, each]));
  return before.drops
    .flatMap((was): DropGain[] => {
      const is = later.get(was.drop);
      if (!is || Math.abs(is.flow / was.flow - 1) < SAME) return [];
      // Each kind of estimate is off by the same factor in both.
      const kinds = Object.keys(was.changes) as (keyof typeof was.changes)[];
      const uncertainty = Math.hypot(...kinds.map((kind) => is.changes[kind] - was.changes[kind]));
      return [
        {
          ...{ drop: was.drop, name: was.name, before: was.flow, after: is.flow, need: is.need },
          ...{ uncertainty, metBefore: was.met, metAfter: is.met },
        },
      ];
    })
    .sort((a, b) => b.after - b.before - (a.after - a.before));
}

/** Drops that stand for a large shop. */
const STANDING = 3;

/** What leads for the drops that are furthest short, each by itself. */
function screened(
  shop: Shop,
  tree: DuctTree,
  now: Evaluation,
  all: readonly Improvement[],
): Improvement[] {
  const short = now.drops
    .toSorted((a, b) => a.flow / a.need - b.flow / b.need)
    .slice(0, STANDING)
    .map(({ drop }) => drop);
  const few = (of: Shop): Shop => ({
    ...of,
    shop: {
      ...of.shop,
      rules: { ...of.shop.rules, gates: { kind: 'chosen', sets: short.map((drop) => [drop]) } },
    },
  });
  const before = evaluateTree(few(shop), tree);
  if (!before) return [...all];
  return all
    .map((improvement) => {
      const after = evaluate(few(improved(shop, [improvement])));
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
