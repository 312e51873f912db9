import type { Run, Shop } from '../../design/schema';
import type { DuctTree } from '../../design/topology';
import { LEAST_GAP } from '../../fittings/gate';

/** How a shop is looked at. Designed: as drawn, sealed and clean. Found: as believed to be now. */
export type View = 'designed' | 'found';

/** What the estimates are multiplied by: 1, unless someone asks how much an estimate matters. */
export interface Factors {
  readonly entries: number;
  readonly fittings: number;
  readonly friction: number;
  readonly separator: number;
  readonly filter: number;
  readonly leaks: number;
  readonly blower: number;
}

export const NO_CHANGE: Factors = {
  entries: 1,
  fittings: 1,
  friction: 1,
  separator: 1,
  filter: 1,
  leaks: 1,
  blower: 1,
};

/** What estimates are multiplied by in a view: as found by what readings say of them, too. */
export function factorsIn(shop: Shop, view: View, asked: Factors = NO_CHANGE): Factors {
  if (view !== 'found') return asked;
  const factors = { ...asked };
  for (const { of, factor } of shop.condition.estimates) {
    if (of.kind !== 'hood') factors[of.kind] *= factor;
  }
  return factors;
}

/** What the entry loss of one drop's hood is multiplied by. */
export const hoodFactor = (
  node: string,
  { shop, view }: Pick<Setting, 'shop' | 'view'>,
): number => {
  if (view !== 'found') return 1;
  const own = shop.condition.estimates.find(({ of }) => of.kind === 'hood' && of.node === node);
  return own?.factor ?? 1;
};

/** Everything the parts of a run depend on besides the run. */
export interface Setting {
  readonly shop: Shop;
  readonly tree: DuctTree;
  readonly view: View;
  /** With what readings say: see `factorsIn`. */
  readonly factors: Factors;
  readonly isOpen: (run: Run) => boolean;
}

/** True where a run's gate lets nothing by at all: shut, or opened by less than a gap. */
export const isAirtight = (run: Run, { isOpen }: Setting): boolean =>
  run.gate !== null && Math.max(run.gate.closedGap, isOpen(run) ? run.gate.opening : 0) < LEAST_GAP;
