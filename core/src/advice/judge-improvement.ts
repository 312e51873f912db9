import type { Shop } from '../design/schema';
import { OWN_SIGMA } from '../inference/next-reading';
import { type Evaluation, evaluate } from './evaluate';
import { type Broken, brokenRules } from './house-rules';
import { costOf, type Improvement, isCostEstimated, type Work } from './improvement';
import { improved } from './improvements-of';
import { type Need, needsOf } from './needs';
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
  readonly needs: readonly Need[];
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

/** What the house's rules leave out, with the rule. */
export interface LeftOut {
  readonly work: Work;
  readonly broken: readonly Broken[];
}

/** Change of an airflow that a meter shows, in ln, 95 times in 100: what is its own scatter on both sides. */
const LEAST_SHOWN = 1.96 * Math.SQRT2 * OWN_SIGMA;
/** A drop whose flow changes by less than this share gains nothing. */
const SAME = 1e-3;

/** An improvement solved exactly: what it brings, or why it is left out; null where it leaves a drop without an answer. */
export function judgeImprovement(
  shop: Shop,
  improvement: Improvement,
  now: Evaluation,
): RankedImprovement | LeftOut | null {
  const after = evaluate(improved(shop, [improvement]));
  const { relieves = 0, work } = improvement;
  // What leaves a drop without an answer is no improvement.
  if (!after || after.drops.length < now.drops.length - relieves) return null;
  const broken = brokenRules(improvement, now, after, shop.advice);
  return broken.length > 0 ? { work, broken } : rankedOf(shop, improvement, now, after);
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
    needs: needsOf(improvement, after),
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
