import type { Drop } from '../design/topology';
import type { ShopSolution } from './solve-shop';

/**
 * Air that enters a drop's port in a solution, m³/s. Behind an airtight shut gate there is no air: 0.
 * Null where the solution knows no such drop: that is not the same as no air.
 */
export function dropFlow(
  { tree, airIn }: Pick<ShopSolution, 'tree' | 'airIn'>,
  { id, path }: Pick<Drop, 'id' | 'path'>,
): number | null {
  const own = path[0]?.id;
  if (own === undefined || !tree.drops.some((drop) => drop.id === id)) return null;
  return airIn.get(own)?.[0]?.flowIn ?? 0;
}
