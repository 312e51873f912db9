import type { Rules, Shop } from '../design/schema';
import type { Drop, DuctTree } from '../design/topology';
import type { NetworkOptions } from '../network/assemble/shop-to-network';
import { dropFlow } from '../network/drop-flow';
import { solveTree } from '../network/solve-shop';

/** A way of computing losses: how duct takes pressure, and how junctions do. */
export interface Method {
  readonly friction: Rules['friction'];
  readonly junctions: Rules['junctions'];
}

/** The methods side by side. Equivalent feet count junctions as feet, so that it has one row. */
export const METHODS: readonly Method[] = [
  { friction: 'darcy', junctions: 'momentum' },
  { friction: 'darcy', junctions: 'handbook' },
  { friction: 'powerFit', junctions: 'momentum' },
  { friction: 'powerFit', junctions: 'handbook' },
  { friction: 'equivalentFeet', junctions: 'handbook' },
];

export interface ByMethod {
  readonly flows: readonly {
    readonly method: Method;
    /** m³/s; null where this method finds no answer. */
    readonly flow: number | null;
  }[];
  /** Largest less smallest flow, over the largest: 0 where all agree. */
  readonly spread: number;
}

/** A drop's flow by every method, on the same shop with the same gates, and how far they spread. */
export function compareMethods(
  shop: Shop,
  tree: DuctTree,
  drop: Drop,
  options: NetworkOptions,
): ByMethod {
  const flows = METHODS.map((method) => {
    const rules = { ...shop.shop.rules, ...method };
    const solved = solveTree({ ...shop, shop: { ...shop.shop, rules } }, tree, options);
    const flow = solved.kind === 'solved' ? dropFlow(solved, drop) : null;
    return { method, flow };
  });
  const known = flows.flatMap(({ flow }) => (flow === null ? [] : [flow]));
  const most = Math.max(...known);
  return { flows, spread: known.length > 0 && most > 0 ? 1 - Math.min(...known) / most : 0 };
}
