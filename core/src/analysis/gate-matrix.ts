import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { networksByGates } from '../network/assemble/networks-by-gates';
import type { View } from '../network/assemble/setting';
import { dropFlow } from '../network/drop-flow';
import { solveCompiled } from '../network/solve-shop';
import { bleedsOf, countGateSets, gateSets, gatesWith, isDrawing } from './gate-sets';
import { neededFlow } from './judge-drops';

/** What a drop gets in one combination, m³/s. */
export interface MatrixCell {
  readonly flow: number;
  readonly isShort: boolean;
}

/** One combination of drops that draw at once. */
export interface MatrixColumn {
  readonly drawing: readonly string[];
  /** By drop, in the tree's order; null: it does not draw. */
  readonly cells: readonly (MatrixCell | null)[];
  /** Drops that are short, and the least any of them gets of its need, as a share. */
  readonly short: number;
  readonly worst: number;
}

export interface GateMatrix {
  /** The combinations with most drops short first, of those the worst; as many as were asked for. */
  readonly columns: readonly MatrixColumn[];
  /** Combinations that were solved, and those of them in which nothing is short. */
  readonly solved: number;
  readonly enough: number;
  /** Combinations there are by the shop's rule. */
  readonly sets: number;
}

/** Combinations that are solved for it at most. */
const MOST_SOLVED = 4096;

/**
 * Drops by combinations of gates, with the cells that fall short: the combinations that go worst, as many as a table
 * can show.
 * @param most columns wanted
 */
export function gateMatrix(shop: Shop, tree: DuctTree, view: View, most: number): GateMatrix {
  const { rules } = shop.shop;
  const { gates: rule } = rules;
  const networkOf = networksByGates(shop, tree, { view });
  const columns: MatrixColumn[] = [];
  let solved = 0;
  for (const chosen of gateSets(tree, rule)) {
    if (solved >= MOST_SOLVED) break;
    const open = gatesWith(chosen, tree, rules);
    const bleeds = bleedsOf(chosen, tree, rules);
    const found = solveCompiled(tree, networkOf(open));
    if (found.kind !== 'solved') continue;
    solved++;
    // Whoever stands behind the same gates, or behind none, draws as well.
    const awake = tree.drops.map((drop) =>
      isDrawing(drop, open) && !bleeds.includes(drop) ? drop : null,
    );
    const cells = awake.map((drop): MatrixCell | null => {
      if (!drop) return null;
      const flow = dropFlow(found, drop) ?? 0;
      return { flow, isShort: flow < neededFlow(drop.port) };
    });
    const shares = awake.flatMap((drop, i) =>
      drop ? [(cells[i]?.flow ?? 0) / neededFlow(drop.port)] : [],
    );
    columns.push({
      drawing: awake.flatMap((drop) => (drop ? [drop.id] : [])),
      cells,
      short: cells.filter((cell) => cell?.isShort).length,
      worst: Math.min(...shares),
    });
  }
  return {
    columns: columns.toSorted((a, b) => b.short - a.short || a.worst - b.worst).slice(0, most),
    solved,
    enough: columns.filter(({ short }) => short === 0).length,
    sets: countGateSets(tree, rule),
  };
}
