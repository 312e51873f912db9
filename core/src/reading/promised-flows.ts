import { gatesOfDrop } from '../analysis/gate-sets';
import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { networksByGates } from '../network/assemble/networks-by-gates';
import { dropFlow } from '../network/drop-flow';
import { solveCompiled } from '../network/solve-shop';

/** What the model says an edit of the design does to a drop with its own gate open, m³/s. */
export interface PromisedFlow {
  /** The drop's id, which is its node's. */
  readonly drop: string;
  readonly before: number;
  readonly after: number;
}

/** A change of the flow below this share is none. */
const NO_CHANGE = 1e-3;

/** A design with its ducts arranged. */
export interface Arrangement {
  readonly shop: Shop;
  readonly tree: DuctTree;
}

/** What an edit does to every drop that is in both designs, as found; drops it does not change are left out. */
export function promisedFlows(before: Arrangement, after: Arrangement): readonly PromisedFlow[] {
  const was = ownFlows(before);
  return [...ownFlows(after)].flatMap(([drop, flow]) => {
    const earlier = was.get(drop);
    if (earlier === undefined || Math.abs(flow / earlier - 1) < NO_CHANGE) return [];
    return [{ drop, before: earlier, after: flow }];
  });
}

/** Every drop's flow with its own gate open, by its id; those without an answer are left out. */
function ownFlows({ shop, tree }: Arrangement): ReadonlyMap<string, number> {
  const networkOf = networksByGates(shop, tree, { view: 'found' });
  const flows = new Map<string, number>();
  for (const drop of tree.drops) {
    const solved = solveCompiled(tree, networkOf(gatesOfDrop(drop)));
    const flow = solved.kind === 'solved' ? dropFlow(solved, drop) : null;
    if (flow !== null && flow > 0) flows.set(drop.id, flow);
  }
  return flows;
}
