import { gateSets, gatesWith } from '../analysis/gate-sets';
import { neededFlow } from '../analysis/judge-drops';
import { kindOfRun, minimumTransport, runsWithChips } from '../analysis/transport';
import type { Run, Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { PIPES } from '../duct/pipes';
import { networksByGates } from '../network/assemble/networks-by-gates';
import type { View } from '../network/assemble/setting';
import { dropFlow } from '../network/drop-flow';
import { solveCompiled } from '../network/solve-shop';
import { withRun } from '../routing/arrange-ducts';

/** What a choice of sizes comes to. The less of each the better, the first first. */
export interface SizeScore {
  /** Worst shortfall over every set of gates, as a share of what is wanted; 0: everything is met. */
  readonly short: number;
  /** Sum of all shortfalls. */
  readonly shortOver: number;
  /** Sheet or pipe wall to buy, m²: what stands for cost where no prices are known. */
  readonly wall: number;
}

/** What falls shortest with a choice of sizes. */
export type Unmet =
  | { readonly kind: 'need'; readonly drop: string; readonly gets: number; readonly wants: number }
  | {
      readonly kind: 'carrying';
      readonly run: string;
      readonly velocity: number;
      readonly wants: number;
      /** The drops that draw then. */
      readonly drawing: readonly string[];
    }
  /** The blower has no answer with these open. */
  | { readonly kind: 'unsolved'; readonly drawing: readonly string[] };

export interface SizedDucts {
  /** Inside diameter of each run, m. */
  readonly diameters: ReadonlyMap<string, number>;
  readonly score: SizeScore;
  readonly unmet: readonly Unmet[];
  /** Whether every combination was tried. */
  readonly isExact: boolean;
  /** Choices tried. */
  readonly tried: number;
}

export interface Sizing {
  readonly view: View;
  /** Every combination is tried up to so many. */
  readonly exactUpTo?: number;
  readonly onProgress?: (tried: number, best: SizedDucts) => void;
}

const EXACT_UP_TO = 4000;
const PROGRESS_EVERY = 50;
/** Shortfalls within this of each other are the same. */
const SAME = 1e-6;
/** A drop is not chosen narrower than this share of its port. Common practice, no source. */
const LEAST_OF_PORT = 0.74;

/**
 * Chooses each run's size among those its pipe is sold in, so that with every set of gates the shop's
 * rule lets open each drop gets its need and carries its chips, and no main lets them settle, with
 * the least wall to buy; or as little short as can be, and where. No run is
 * wider than the one it flows into. Small trees are searched whole; larger ones by improving one run,
 * or one and all behind it, at a time from three beginnings.
 */
export function sizeDucts(shop: Shop, tree: DuctTree, sizing: Sizing): SizedDucts {
  const runs = [...tree.upstreamFirst].reverse();
  const choices = runs.map((run) => choicesOf(shop, tree, run));
  const judge = judgeOf(shop, tree, runs, sizing.view);
  let tried = 0;
  let best: Judged | null = null;
  const combinations = choices.reduce((product, { length }) => product * length, 1);
  const isExact = combinations <= (sizing.exactUpTo ?? EXACT_UP_TO);
  const seen = new Map<string, Judged>();
  const consider = (diameters: readonly number[]): Judged => {
    const key = diameters.join(' ');
    const before = seen.get(key);
    if (before) return before;
    const judged = judge(diameters);
    seen.set(key, judged);
    tried++;
    if (!best || isBetter(judged.score, best.score)) best = judged;
    if (tried % PROGRESS_EVERY === 0) sizing.onProgress?.(tried, answer(best));
    return judged;
  };
  const answer = (judged: Judged): SizedDucts => ({
    diameters: new Map(runs.map((run, i) => [run.id, judged.diameters[i] ?? run.diameter])),
    score: judged.score,
    unmet: judged.unmet,
    isExact,
    tried,
  });

  const place = new Map(runs.map((run, i) => [run.id, i]));
  const next = runs.map((run) => place.get(tree.outOf.get(run.to)?.id ?? '') ?? -1);
  const fits = (diameters: readonly number[]) =>
    diameters.every((each, i) => each <= (diameters[next[i] ?? -1] ?? each) + 1e-9);
  if (isExact) {
    for (const diameters of combinationsOf(choices)) if (fits(diameters)) consider(diameters);
  } else {
    const starts = [
      runs.map(({ diameter }, i) => nearest(choices[i] ?? [], diameter)),
      choices.map((sizes) => sizes.at(-1) ?? 0),
      choices.map((sizes) => sizes[0] ?? 0),
    ];
    for (const start of starts) descend(limited(start, next), choices, next, fits, consider);
  }
  // A tree of no runs has one choice, the empty one.
  return answer(best ?? judge(runs.map(({ diameter }) => diameter)));
}

interface Judged {
  readonly diameters: readonly number[];
  readonly score: SizeScore;
  readonly unmet: readonly Unmet[];
}

export function isBetter(a: SizeScore, b: SizeScore): boolean {
  if (Math.abs(a.short - b.short) > SAME) return a.short < b.short;
  if (Math.abs(a.shortOver - b.shortOver) > SAME) return a.shortOver < b.shortOver;
  return a.wall < b.wall - 1e-12;
}

/** Sizes a run may have: those its pipe is sold in, within what its ports and the inlet leave. */
function choicesOf(shop: Shop, tree: DuctTree, run: Run): number[] {
  const sizes = PIPES[run.pipe].sizes.map(({ inside }) => inside);
  const behind = tree.drops.filter(({ path }) => path.some(({ id }) => id === run.id));
  const widestPort = Math.max(0, ...behind.map(({ port }) => port.diameter));
  const isDrop = behind.length === 1 && behind[0]?.path[0]?.id === run.id;
  const most = shop.collector.separator.inletDiameter * 1.05;
  const least = isDrop ? widestPort * LEAST_OF_PORT : 0;
  const allowed = sizes.filter((size) => size >= least - 1e-9 && size <= most);
  return allowed.length > 0 ? allowed : [nearest(sizes, run.diameter)];
}

const nearest = (sizes: readonly number[], to: number): number =>
  sizes.toSorted((a, b) => Math.abs(a - to) - Math.abs(b - to))[0] ?? to;

/** Every run widened as far as what flows into it asks, from the machines on. */
function limited(diameters: readonly number[], next: readonly number[]): number[] {
  const out = [...diameters];
  for (let i = out.length - 1; i >= 0; i--) {
    const to = next[i] ?? -1;
    if (to >= 0) out[to] = Math.max(out[to] ?? 0, out[i] ?? 0);
  }
  return out;
}

function* combinationsOf(choices: readonly (readonly number[])[]): Generator<number[]> {
  const [first, ...rest] = choices;
  if (!first) {
    yield [];
    return;
  }
  for (const size of first) for (const others of combinationsOf(rest)) yield [size, ...others];
}

/** Improves one run at a time, then one with everything up or down stream of it, until none helps. */
function descend(
  start: readonly number[],
  choices: readonly (readonly number[])[],
  next: readonly number[],
  fits: (diameters: readonly number[]) => boolean,
  consider: (diameters: readonly number[]) => Judged,
): void {
  let current = consider(start);
  for (let isImproving = true; isImproving; ) {
    isImproving = false;
    for (let i = 0; i < start.length; i++) {
      for (const size of choices[i] ?? []) {
        for (const moved of movesTo(current.diameters, i, size, next)) {
          if (!fits(moved)) continue;
          const judged = consider(moved);
          if (!isBetter(judged.score, current.score)) continue;
          current = judged;
          isImproving = true;
        }
      }
    }
  }
}

/** One run at another size: alone, or with those up and down stream of it made to fit. */
function movesTo(
  diameters: readonly number[],
  index: number,
  size: number,
  next: readonly number[],
): number[][] {
  if (diameters[index] === size) return [];
  const alone = diameters.map((each, i) => (i === index ? size : each));
  const withOthers = [...alone];
  for (let to = next[index] ?? -1; to >= 0; to = next[to] ?? -1) {
    withOthers[to] = Math.max(withOthers[to] ?? 0, size);
  }
  alone.forEach((each, i) => {
    for (let to = next[i] ?? -1; to >= 0; to = next[to] ?? -1) {
      if (to === index) withOthers[i] = Math.min(each, size);
    }
  });
  return [alone, withOthers];
}

/** How a choice of sizes does with every set of gates. */
function judgeOf(shop: Shop, tree: DuctTree, runs: readonly Run[], view: View) {
  const { rules } = shop.shop;
  const { gates } = rules;
  const sets = [...gateSets(tree, gates)];
  return (diameters: readonly number[]): Judged => {
    let sized = tree;
    runs.forEach((run, i) => {
      const diameter = diameters[i] ?? run.diameter;
      if (diameter !== run.diameter) sized = withRun(sized, { ...run, diameter });
    });
    const networkOf = networksByGates(shop, sized, { view });
    const unmet: Unmet[] = [];
    let short = 0;
    let shortOver = 0;
    const miss = (share: number, what: Unmet) => {
      if (share <= SAME) return;
      short = Math.max(short, share);
      shortOver += share;
      unmet.push(what);
    };
    for (const drawing of sets) {
      const open = gatesWith(drawing, tree, rules);
      const solved = solveCompiled(sized, networkOf(open));
      const names = drawing.map(({ id }) => id);
      if (solved.kind !== 'solved') {
        miss(1, { kind: 'unsolved', drawing: names });
        continue;
      }
      for (const drop of drawing) {
        const gets = dropFlow(solved, drop) ?? 0;
        const wants = neededFlow(drop.port);
        miss(1 - gets / wants, { kind: 'need', drop: drop.id, gets, wants });
      }
      const withChips = runsWithChips(drawing);
      for (const run of runs.filter(({ id }) => withChips.has(id))) {
        const velocity = solved.airIn.velocityInto(run.id);
        const wants = minimumTransport(rules, kindOfRun(tree, run.id));
        miss(1 - velocity / wants, {
          kind: 'carrying',
          run: run.id,
          velocity,
          wants,
          drawing: names,
        });
      }
    }
    const wall = runs.reduce(
      (sum, run, i) => sum + Math.PI * (diameters[i] ?? 0) * (run.length ?? 0),
      0,
    );
    return { diameters, score: { short, shortOver, wall }, unmet: byRun(unmet) };
  };
}

/** The worst of each drop and run, worst first. */
function byRun(unmet: readonly Unmet[]): Unmet[] {
  const share = (what: Unmet) => {
    switch (what.kind) {
      case 'need':
        return 1 - what.gets / what.wants;
      case 'carrying':
        return 1 - what.velocity / what.wants;
      case 'unsolved':
        return 1;
    }
  };
  const worst = new Map<string, Unmet>();
  for (const what of unmet) {
    const key = what.kind === 'need' ? what.drop : what.kind === 'carrying' ? what.run : 'unsolved';
    const before = worst.get(key);
    if (!before || share(what) > share(before)) worst.set(key, what);
  }
  return [...worst.values()].sort((a, b) => share(b) - share(a));
}
