import type { Shop } from '../design/schema';
import { arrangeDucts } from '../routing/arrange-ducts';
import { type Evaluation, evaluate } from './evaluate';
import { costOf, type Work } from './improvement';
import { improved, improvementsOf } from './improvements-of';
import { type DropGain, gainsOf } from './judge-improvement';
import { packImprovements, withinBudget } from './pack';
import { rankImprovements } from './rank';

/** What is done in one go, and how the shop stands after it. */
export interface Stage {
  readonly works: readonly { readonly id: string; readonly work: Work; readonly cost: number }[];
  readonly cost: number;
  readonly hours: number;
  /** Money left over, which the next stage has too. */
  readonly left: number;
  /** What is bought in an earlier stage and replaced by this one, in money. */
  readonly thrownAway: number;
  readonly worst: number;
  readonly met: number;
  readonly gains: readonly DropGain[];
}

/** A plan in stages, beside buying the next larger blower at once. */
export interface StagePlan {
  readonly now: Pick<Evaluation, 'worst' | 'met'>;
  readonly stages: readonly Stage[];
  /** The next larger blower at once and nothing else; null: there is none to be had. */
  readonly atOnce: {
    readonly work: Work;
    readonly cost: number;
    readonly worst: number;
    readonly met: number;
  } | null;
}

export interface Staging {
  /** Money for each stage, in the shop's. */
  readonly each: number;
  readonly onProgress?: (plan: StagePlan) => void;
}

const MOST_STAGES = 6;
/** A stage that brings less than this is not worth the trouble, in points. */
const WORTH_DOING = 0.5;
/** Sets that are solved for a stage. */
const MOST_TRIED = 120;

/**
 * A plan over several months with so much money in each: at every stage what brings most for what is there then, judged
 * by solves of the shop as the stages before left it, so that each works by itself. Money that is not spent is saved up.
 * Null where the shop has no answer.
 */
export function planStages(shop: Shop, { each, onProgress }: Staging): StagePlan | null {
  const now = evaluate(shop);
  if (!now) return null;
  const stages: Stage[] = [];
  /** What was bought for what it changes: lost where that is changed again. */
  const bought = new Map<string, number>();
  const atOnce = atOnceOf(shop);
  const plan = (): StagePlan => ({
    now: { worst: now.worst, met: now.met },
    stages: [...stages],
    atOnce,
  });
  let current = shop;
  let before = now;
  let purse = 0;
  for (let month = 0; month < MOST_STAGES; month++) {
    purse += each;
    const stage = nextStage(current, before, purse, bought);
    if (!stage) continue;
    current = stage.shop;
    before = stage.after;
    purse = stage.made.left;
    stages.push(stage.made);
    onProgress?.(plan());
  }
  return plan();
}

function nextStage(shop: Shop, before: Evaluation, purse: number, bought: Map<string, number>) {
  const arranged = arrangeDucts(shop);
  const ranking = arranged.ok ? rankImprovements(shop, arranged.tree) : null;
  if (!arranged.ok || !ranking) return null;
  const all = improvementsOf(shop, arranged.tree);
  // What is not worth its money by itself is not bought because there is money.
  const affordable = ranking.ranked.filter(({ cost, worth }) => cost <= purse && worth.points > 0);
  const packages = packImprovements(shop, all, affordable, { most: MOST_TRIED });
  const best = packages && withinBudget(packages, purse);
  if (!best || best.air < WORTH_DOING) return null;
  const chosen = best.ids.flatMap((id) => all.find((each) => each.id === id) ?? []);
  const next = improved(shop, chosen);
  const after = evaluate(next);
  if (!after) return null;
  const works = chosen.map((each) => ({
    id: each.id,
    work: each.work,
    cost: costOf(each, shop.advice),
  }));
  const touched = chosen.flatMap(({ changes }) => changes);
  const thrownAway = touched.reduce((sum, change) => sum + (bought.get(change) ?? 0), 0);
  for (const change of touched) bought.delete(change);
  for (const [i, { changes }] of chosen.entries()) {
    const share = (works[i]?.cost ?? 0) / Math.max(1, changes.length);
    for (const change of changes) bought.set(change, share);
  }
  const made: Stage = {
    ...{ works, thrownAway, cost: best.cost, hours: best.hours, left: purse - best.cost },
    ...{ worst: after.worst, met: after.met, gains: gainsOf(before, after) },
  };
  return { shop: next, after, made };
}

/** The next larger blower by itself. */
function atOnceOf(shop: Shop): StagePlan['atOnce'] {
  const arranged = arrangeDucts(shop);
  const larger = arranged.ok
    ? improvementsOf(shop, arranged.tree).find(({ work }) => work.kind === 'blower')
    : undefined;
  const after = larger && evaluate(improved(shop, [larger]));
  if (!larger || !after) return null;
  const { worst, met } = after;
  return { work: larger.work, cost: costOf(larger, shop.advice), worst, met };
}
