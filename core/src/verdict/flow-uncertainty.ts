import { type Factors, NO_CHANGE } from '../network/assemble/setting';
import type { NetworkOptions } from '../network/assemble/shop-to-network';
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
  separator: 0.4,
  filter: 0.2,
  leaks: 0.5,
  blower: 0.05,
};

/** The same of a separator's loss that was fitted to readings before and after it. */
export const FITTED_SEPARATOR_DOUBT = 0.15;

const doubtOf = (kind: DoubtKind, { collector }: Shop): number =>
  kind === 'separator' && collector.separator.origin.kind === 'fitted'
    ? FITTED_SEPARATOR_DOUBT
    : DOUBT[kind];

/** Numbers every drop shares: where they are off, all drops are off the same way. */
export const SHARED_DOUBTS = ['separator', 'filter', 'leaks', 'blower'] as const;
/** Numbers each drop has for itself. */
export const OWN_DOUBTS = ['entries', 'fittings', 'friction'] as const;

export type DoubtKind = keyof Factors;

/**
 * By how much a drop's predicted flow changes, in m³/s with its sign, when each kind of estimate is
 * off by its doubt: the shop is solved again for each. Zeros where the shop has no solution.
 */
export function flowChanges(
  shop: Shop,
  tree: DuctTree,
  drop: Drop,
  options: NetworkOptions,
): Record<DoubtKind, number> {
  const run = drop.path[0]?.id ?? '';
  const base = solveTree(shop, tree, options);
  const change = (kind: DoubtKind): number => {
    if (base.kind !== 'solved') return 0;
    // Raising the blower's pressure could push it past its curve; lowering tells as much.
    const doubt = kind === 'blower' ? -doubtOf(kind, shop) : doubtOf(kind, shop);
    const factors = { ...NO_CHANGE, [kind]: 1 + doubt };
    const solved = solveTree(shop, tree, { ...options, factors }, base.state);
    const flow = ({ airIn }: typeof base) => airIn.get(run)?.[0]?.flowIn ?? 0;
    return solved.kind === 'solved' ? flow(solved) - flow(base) : 0;
  };
  return {
    entries: change('entries'),
    fittings: change('fittings'),
    friction: change('friction'),
    separator: change('separator'),
    filter: change('filter'),
    leaks: change('leaks'),
    blower: change('blower'),
  };
}

/**
 * How far a drop's predicted flow may be off, in m³/s, 95 times in 100: the changes of
 * `flowChanges` added at right angles (law of propagation of uncertainty, GUM section 5, first
 * order, kinds taken as independent).
 */
export const flowUncertainty = (
  shop: Shop,
  tree: DuctTree,
  drop: Drop,
  options: NetworkOptions,
): number => Math.hypot(...Object.values(flowChanges(shop, tree, drop, options)));
