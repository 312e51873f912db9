import type { Run, Shop } from '../design/schema';
import { type Arranged, arrangeRuns, type DuctTree } from '../design/topology';
import { deriveAlong, deriveRuns } from './derive-runs';
import type { DuctLines } from './duct-lines';

/**
 * A shop's ducts as the tree they are, every drawn run with the length, elbows and angles it has
 * where it lies; or what keeps them from being a tree. `lines` for whoever has them at hand.
 */
export const arrangeDucts = (shop: Shop, lines?: DuctLines): Arranged =>
  arrangeRuns(shop, lines ? deriveAlong(shop, lines) : deriveRuns(shop));

/** A tree with one run in place of that of the same id and ends. */
export function withRun(tree: DuctTree, run: Run): DuctTree {
  const swapped = (runs: readonly Run[]) => runs.map((each) => (each.id === run.id ? run : each));
  return {
    ...tree,
    upstreamFirst: swapped(tree.upstreamFirst),
    into: new Map([...tree.into].map(([node, runs]) => [node, swapped(runs)])),
    outOf: new Map([...tree.outOf].map(([node, each]) => [node, each.id === run.id ? run : each])),
    drops: tree.drops.map((drop) => ({ ...drop, path: swapped(drop.path) })),
  };
}
