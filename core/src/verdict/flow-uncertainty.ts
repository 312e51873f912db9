import { type Factors, NO_CHANGE } from '../network/run-parts';
import type { NetworkOptions } from '../network/shop-to-network';
import { solveTree } from '../network/solve-shop';
import type { Shop } from '../shop/schema';
import type { Drop, DuctTree } from '../shop/topology';

/**
 * How far each kind of number may be off, as a share, 95 times in 100: modelling estimates, until
 * readings say more. Coefficients marked standard still vary from one workshop's elbow to the next.
 */
export const DOUBT: Factors = {
  entries: 0.3,
  fittings: 0.2,
  friction: 0.1,
  separator: 0.25,
  filter: 0.2,
  leaks: 0.5,
  blower: 0.05,
};

/**
 * How far a drop's predicted flow may be off, in m³/s, 95 times in 100: each kind of estimate is
 * raised by its doubt, the shop solved again, and the changes added at right angles (the law of
 * propagation of uncertainty, GUM section 5, first order, kinds taken as independent).
 * Zero where the shop has no solution.
 */
export function flowUncertainty(
  shop: Shop,
  tree: DuctTree,
  drop: Drop,
  options: NetworkOptions,
): number {
  const run = drop.path[0]?.id ?? '';
  const base = solveTree(shop, tree, options);
  if (base.kind !== 'solved') return 0;
  const flowIn = (solved: typeof base) => solved.airIn.get(run)?.[0]?.flowIn ?? 0;
  let squares = 0;
  for (const kind of Object.keys(DOUBT) as (keyof Factors)[]) {
    // Raising the blower's pressure could push it past its curve; lowering tells as much.
    const change = kind === 'blower' ? -DOUBT[kind] : DOUBT[kind];
    const factors = { ...NO_CHANGE, [kind]: 1 + change };
    const solved = solveTree(shop, tree, { ...options, factors }, base.state);
    if (solved.kind === 'solved') squares += (flowIn(solved) - flowIn(base)) ** 2;
  }
  return Math.sqrt(squares);
}
