import { currentDrawn } from '../analysis/collector-load';
import type { Shop } from '../design/schema';
import { quantityIn } from '../network/adjoint';
import type { ShopSolution } from '../network/solve-shop';
import { flowAt } from './flow-at';
import type { Measurand } from './measurand';
import { pressureAt } from './pressure-at';

/** What is measured, by a solution, SI and without its sign; null where the model knows nothing of it. */
export function measuredIn(
  shop: Shop,
  solution: ShopSolution,
  { at, shows }: Measurand,
): number | null {
  switch (shows) {
    case 'flow': {
      const found = flowAt(solution.tree, solution.compiled, at);
      return found && Math.abs(quantityIn(solution.compiled, solution.state, found.quantity));
    }
    case 'pressure':
      return pressureAt(shop, solution, at);
    case 'current':
      return currentDrawn(shop, solution);
  }
}
