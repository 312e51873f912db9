import { dropSensitivities } from '../analysis/flow-uncertainty';
import { gatesOfDrop } from '../analysis/gate-sets';
import type { Shop } from '../design/schema';
import type { Drop, DuctTree } from '../design/topology';
import { networksByGates } from '../network/assemble/networks-by-gates';
import { dropFlow } from '../network/drop-flow';
import { solveCompiled } from '../network/solve-shop';

/** What the model expects of a reading before it is taken. m³/s. */
export interface ExpectedReading {
  readonly flow: number;
  /** Half-width of its 95 % interval. */
  readonly uncertainty: number;
  /** What it would be with another drop's gates left open as well. */
  readonly withGateLeftOpen: readonly { readonly drop: string; readonly flow: number }[];
}

/**
 * What the shop as it is believed to be says of a drop with certain gates open; null where it says nothing.
 * @param openGates runs whose gates stand open
 */
export function expectedReading(
  shop: Shop,
  tree: DuctTree,
  drop: Drop,
  openGates: ReadonlySet<string>,
): ExpectedReading | null {
  const networkOf = networksByGates(shop, tree, { view: 'found' });
  const flowWith = (gates: ReadonlySet<string>) => {
    const solved = solveCompiled(tree, networkOf(gates));
    return solved.kind === 'solved' ? dropFlow(solved, drop) : null;
  };
  const solved = solveCompiled(tree, networkOf(openGates));
  if (solved.kind !== 'solved') return null;
  const sensitivities = dropSensitivities(shop, 'found', solved, drop);
  if (!sensitivities) return null;
  const withGateLeftOpen = tree.drops.flatMap((other) => {
    const gates = gatesOfDrop(other);
    if (other.id === drop.id || [...gates].every((gate) => openGates.has(gate))) return [];
    const flow = flowWith(new Set([...openGates, ...gates]));
    return flow === null ? [] : [{ drop: other.id, flow }];
  });
  return {
    flow: sensitivities.flow,
    uncertainty: Math.hypot(...Object.values(sensitivities.changes)),
    withGateLeftOpen,
  };
}
