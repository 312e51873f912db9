import { circleArea } from '../air/velocity-pressure';
import type { Rules, Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { networksByGates } from '../network/assemble/networks-by-gates';
import type { View } from '../network/assemble/setting';
import type { Network } from '../network/network';
import { solveOperatingPoint } from '../network/operating-point';
import type { NetworkState } from '../network/solve-network';
import { bleedsOf, countGateSets, gateSets, gatesWith, isDrawing } from './gate-sets';
import { neededFlow } from './judge-drops';
import { kindOfRun, minimumTransport, runsWithChips } from './transport';

/** A value with the drops that draw, by id, when it is met. */
export interface Met {
  readonly value: number;
  readonly drawing: readonly string[];
}

export interface DropOverSets {
  readonly drop: string;
  /** Least flow over every set it draws in, m³/s, and what it then has over its need. */
  readonly least: Met;
  readonly margin: number;
}

export interface RunOverSets {
  readonly run: string;
  /** Over every set in which something behind it draws, m/s where its pipe begins. */
  readonly slowest: Met;
  readonly fastest: Met;
  /** The slowest while chips pass it, where that lets them settle; null: nowhere. */
  readonly settles: Met | null;
}

export type OverSets =
  | {
      readonly kind: 'evaluated';
      readonly sets: number;
      /** In the tree's order; a drop that no set lets draw is missing. */
      readonly drops: readonly DropOverSets[];
      readonly runs: readonly RunOverSets[];
      /** Sets without an answer: the blower would run past its curve, say. */
      readonly unsolved: readonly (readonly string[])[];
    }
  | { readonly kind: 'too many sets'; readonly sets: number; readonly most: number };

/** More sets than this are refused; so many take some seconds. */
export const MOST_SETS = 65_536;
const PROGRESS_EVERY = 256;

/**
 * Solves a shop for every set of drops that can draw at once by a rule, and keeps the worst for
 * each drop and for each run: least flow, slowest and fastest air. `onProgress` hears now and then
 * how many sets are done.
 */
export function everyGateSet(
  shop: Shop,
  tree: DuctTree,
  view: View,
  rule: Rules['gates'] = shop.shop.rules.gates,
  onProgress: (done: number, of: number) => void = () => {},
): OverSets {
  const count = countGateSets(tree, rule);
  if (count > MOST_SETS) return { kind: 'too many sets', sets: count, most: MOST_SETS };
  const { rules } = shop.shop;
  const networkOf = networksByGates(shop, tree, { view });
  const behind = dropsBehind(tree);
  const least = new Map<string, Met>();
  const slowest = new Map<string, Met>();
  const fastest = new Map<string, Met>();
  const withChips = new Map<string, Met>();
  const unsolved: (readonly string[])[] = [];
  let sets = 0;
  for (const chosen of gateSets(tree, rule)) {
    if (sets % PROGRESS_EVERY === 0) onProgress(sets, count);
    sets++;
    const openGates = gatesWith(chosen, tree, rules);
    const bleeds = bleedsOf(chosen, tree, rules);
    // Whoever stands behind the same gates, or behind none, draws as well.
    const awake = tree.drops.filter((drop) => isDrawing(drop, openGates) && !bleeds.includes(drop));
    const drawing = awake.map(({ id }) => id);
    const compiled = networkOf(openGates);
    const solved = solveOperatingPoint(compiled);
    if (solved.kind === 'failed') {
      unsolved.push(drawing);
      continue;
    }
    const air = airAtEnds(compiled.network, solved.state);
    const isAwake = new Set(drawing);
    const chips = runsWithChips(awake);
    for (const { id, path } of tree.drops) {
      const flow = air.get(path[0]?.id ?? '')?.flowIn;
      if (flow !== undefined && isAwake.has(id)) keep(least, id, { value: flow, drawing }, lower);
    }
    for (const [run, { velocity: value }] of air) {
      if (!behind.get(run)?.some((drop) => isAwake.has(drop))) continue;
      keep(slowest, run, { value, drawing }, lower);
      keep(fastest, run, { value, drawing }, higher);
      if (chips.has(run)) keep(withChips, run, { value, drawing }, lower);
    }
  }
  const settlesAt = (run: string): Met | null => {
    const slow = withChips.get(run);
    const least = minimumTransport(shop.shop.rules, kindOfRun(tree, run));
    return slow && slow.value < least ? slow : null;
  };
  return {
    kind: 'evaluated',
    sets,
    drops: tree.drops.flatMap(({ id, port }): DropOverSets[] => {
      const met = least.get(id);
      return met ? [{ drop: id, least: met, margin: met.value - neededFlow(port) }] : [];
    }),
    runs: [...slowest].map(([run, met]) => ({
      run,
      slowest: met,
      fastest: fastest.get(run) ?? met,
      settles: settlesAt(run),
    })),
    unsolved,
  };
}

const lower = (a: number, b: number) => a < b;
const higher = (a: number, b: number) => a > b;

function keep(
  kept: Map<string, Met>,
  key: string,
  met: Met,
  isWorse: (a: number, b: number) => boolean,
): void {
  const before = kept.get(key);
  if (!before || isWorse(met.value, before.value)) kept.set(key, met);
}

/** Ids of the drops whose way leads through a run, by the run's id. */
function dropsBehind(tree: DuctTree): ReadonlyMap<string, readonly string[]> {
  const behind = new Map<string, string[]>();
  for (const { id, path } of tree.drops) {
    for (const run of path) behind.set(run.id, [...(behind.get(run.id) ?? []), id]);
  }
  return behind;
}

/** Flow into each run's first segment, and velocity into its last, which is its pipe. */
function airAtEnds({ segments }: Network, { qUp }: NetworkState) {
  const air = new Map<string, { readonly flowIn: number; velocity: number }>();
  segments.forEach(({ run, diameter }, s) => {
    const flowIn = qUp[s] ?? 0;
    const velocity = flowIn / circleArea(diameter);
    const first = air.get(run);
    if (first) first.velocity = velocity;
    else air.set(run, { flowIn, velocity });
  });
  return air;
}
