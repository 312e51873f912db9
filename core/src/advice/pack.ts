import type { Shop } from '../design/schema';
import { type Evaluation, evaluate } from './evaluate';
import { brokenRules } from './house-rules';
import { costOf, type Improvement, type WorkKind } from './improvement';
import { improved } from './improvements-of';
import { type DropGain, gainsOf, type RankedImprovement } from './judge-improvement';
import { airOfDust, airWorth, worthBeside } from './worth';

/** Improvements made together: what they cost, and what one solve of the shop with all of them says. */
export interface Package {
  /** Ids, in the order they are made. */
  readonly ids: readonly string[];
  readonly cost: number;
  readonly hours: number;
  /** What the air is worth beyond that of the shop as it is, in points. */
  readonly air: number;
  /** Flow over need at the worst drop; how likely drops get their need, the mean. */
  readonly worst: number;
  readonly met: number;
  readonly gains: readonly DropGain[];
}

export interface Packages {
  /** The cheapest way to each amount of air, from nothing for nothing on: none costs less and brings more. */
  readonly line: readonly Package[];
  /** Where more money begins to bring little: its place on the line; null: the line has no bend. */
  readonly knee: number | null;
  /** Sets that were solved; whether every other set was shown to be no better. */
  readonly tried: number;
  readonly isExact: boolean;
}

export interface Packing {
  /** Sets that may be solved. */
  readonly most?: number;
  readonly onProgress?: (packages: Packages) => void;
}

/** Improvements that packages are made of, at most; and those that bring less by themselves are not. */
const MOST_PACKED = 12;
const LEAST_AIR = 0.3;
const MOST_TRIED = 400;
const PROGRESS_EVERY = 25;
/** Air within this of each other is the same, in points. */
const SAME = 0.05;

/**
 * The best sets of improvements for every amount of money, by branch and bound. Every set is solved as a whole, so
 * that what one takes from another counts. A branch ends where a cheaper set already brings as much as it could with
 * everything that is left: exact as long as no improvement that brings air makes another such one harmful.
 * @param ranked improvements to choose from, the best first
 */
export function packImprovements(
  shop: Shop,
  all: readonly Improvement[],
  ranked: readonly RankedImprovement[],
  { most = MOST_TRIED, onProgress }: Packing = {},
): Packages | null {
  const now = evaluate(shop);
  if (!now) return null;
  const byId = new Map(all.map((each) => [each.id, each]));
  const choices = ranked
    .filter(({ worth }) => worth.air > LEAST_AIR)
    .slice(0, MOST_PACKED)
    .sort((a, b) => b.worth.air - a.worth.air)
    .flatMap((each): Choice[] => {
      const improvement = byId.get(each.id);
      if (!improvement) return [];
      const { before, after } = each;
      const takesAir = after.worst < before.worst - TAKES || TAKE_AIR.has(improvement.work.kind);
      const beside = worthBeside(after, shop.advice) - worthBeside(before, shop.advice);
      return [{ improvement, caught: after.caught, beside: Math.max(0, beside), takesAir }];
    });
  const search = new Search(shop, now, choices, most, onProgress);
  search.branch([], 0);
  return search.packages();
}

/** A worst drop that has less by more than this share has less. */
const TAKES = 0.005;
/** Beside what moves a main or spares the motor anyway, these only take air. */
const TAKE_AIR = new Set<WorkKind>(['bleed', 'no bleed', 'narrower run', 'smaller impeller']);

/** An improvement to choose, with what it does by itself. */
interface Choice {
  readonly improvement: Improvement;
  /** Share of the dust that then stays in the bin. */
  readonly caught: number;
  /** What it is worth beside air and the dust in the bin, in points: chips that settle no more, a motor that is safe. */
  readonly beside: number;
  /** It takes air from a drop: for the dust, for the noise, or to keep a main moving. */
  readonly takesAir: boolean;
}

interface Solved {
  readonly made: Package;
  readonly keepsRules: boolean;
  readonly caught: number;
}

class Search {
  private readonly known = new Map<string, Solved | null>();
  private line: Package[];
  private isCut = false;

  constructor(
    private readonly shop: Shop,
    private readonly now: Evaluation,
    private readonly choices: readonly Choice[],
    private readonly most: number,
    private readonly onProgress: ((packages: Packages) => void) | undefined,
  ) {
    const { worst, met } = now;
    this.line = [{ ids: [], cost: 0, hours: 0, air: 0, worst, met, gains: [] }];
  }

  packages(): Packages {
    return {
      line: this.line,
      knee: kneeOf(this.line),
      tried: this.known.size,
      isExact: !this.isCut,
    };
  }

  /** Everything that begins with some choices and goes on with those from a place on. */
  branch(chosen: readonly Improvement[], from: number): void {
    if (chosen.length > 0) this.solve(chosen);
    const left = this.choices.slice(from).filter((each) => isFree(each.improvement, chosen));
    if (left.length === 0) return;
    const cost = chosen.reduce((sum, each) => sum + costOf(each, this.shop.advice), 0);
    const most = this.mostOf(chosen, left);
    if (this.line.some((each) => each.cost <= cost && each.air >= most - SAME)) return;
    for (const next of left) {
      if (this.known.size >= this.most) {
        this.isCut = true;
        return;
      }
      this.branch([...chosen, next.improvement], this.choices.indexOf(next) + 1);
    }
  }

  /**
   * Air that chosen improvements can come to with more of what is left: with all of it that takes no air, and with as
   * much dust in the bin as the rest of it brings, and all that it is worth besides.
   */
  private mostOf(chosen: readonly Improvement[], left: readonly Choice[]): number {
    const gains = left.filter(({ takesAir }) => !takesAir);
    const most = this.solve([...chosen, ...bestOf(gains.map(({ improvement }) => improvement))]);
    if (!most) return Number.POSITIVE_INFINITY;
    const caught = Math.max(...left.map((each) => each.caught), most.caught, this.now.caught);
    const beside = left.reduce((sum, each) => sum + (each.takesAir ? each.beside : 0), 0);
    return most.made.air + airOfDust(caught - most.caught, this.shop.advice) + beside;
  }

  private solve(chosen: readonly Improvement[]): Solved | null {
    const ids = chosen.map(({ id }) => id);
    const key = ids.join('|');
    const before = this.known.get(key);
    const solved = before === undefined ? this.solved(chosen, ids) : before;
    this.known.set(key, solved);
    if (solved?.keepsRules) this.add(solved.made);
    if (before === undefined && this.known.size % PROGRESS_EVERY === 0)
      this.onProgress?.(this.packages());
    return solved;
  }

  private solved(chosen: readonly Improvement[], ids: readonly string[]): Solved | null {
    const { advice } = this.shop;
    const after = evaluate(improved(this.shop, chosen));
    const relieved = chosen.reduce((sum, { relieves = 0 }) => sum + relieves, 0);
    if (!after || after.drops.length < this.now.drops.length - relieved) return null;
    const made: Package = {
      ids,
      cost: chosen.reduce((sum, each) => sum + costOf(each, advice), 0),
      hours: chosen.reduce((sum, { hours }) => sum + hours, 0),
      air: airWorth(after, advice) - airWorth(this.now, advice),
      ...{ worst: after.worst, met: after.met, gains: gainsOf(this.now, after) },
    };
    const keepsRules = chosen.every(
      (each) => brokenRules(each, this.now, after, advice).length === 0,
    );
    return { made, keepsRules, caught: after.caught };
  }

  /** Puts a set on the line, and takes those off that it beats. */
  private add(made: Package): void {
    const isBeaten = this.line.some(
      (each) => each.cost <= made.cost + 1e-9 && each.air >= made.air - SAME,
    );
    if (isBeaten) return;
    this.line = [
      ...this.line.filter((each) => !(each.cost >= made.cost - 1e-9 && each.air <= made.air)),
      made,
    ].sort((a, b) => a.cost - b.cost);
  }
}

/** Of choices in the order of their air, of what cannot be done together the one that brings most. */
function bestOf(choices: readonly Improvement[]): Improvement[] {
  const best: Improvement[] = [];
  for (const each of choices) if (isFree(each, best)) best.push(each);
  return best;
}

/** Whether an improvement changes nothing that others change. */
const isFree = ({ changes }: Improvement, chosen: readonly Improvement[]): boolean => {
  const taken = new Set(chosen.flatMap((each) => each.changes));
  return changes.every((change) => !taken.has(change));
};

/** A bend is one where the line stands out from its chord by so much of its height. */
const BEND = 0.12;

/** Where a line that rises ever less stands furthest from its chord. */
function kneeOf(line: readonly Package[]): number | null {
  const [first, last] = [line[0], line.at(-1)];
  if (!first || !last || line.length < 3 || last.cost <= first.cost) return null;
  const heights = line.map(
    ({ cost, air }) =>
      (air - first.air) / (last.air - first.air) - (cost - first.cost) / (last.cost - first.cost),
  );
  const highest = Math.max(...heights);
  return highest > BEND ? heights.indexOf(highest) : null;
}

/** The package that brings most for no more than a budget. */
export const withinBudget = (
  { line }: Pick<Packages, 'line'>,
  budget: number,
): Package | undefined => line.findLast(({ cost }) => cost <= budget + 1e-9);
