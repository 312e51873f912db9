import { runLength } from '../design/length';
import type { Drop, DuctTree } from '../design/topology';
import type { TestPoint } from '../journal/test-point';
import { SEPARATOR_RUN } from '../network/assemble/separator-segment';
import type { CompiledNetwork } from '../network/compiled-network';
import type { FlowQuantity } from '../network/flow-quantity';

/** Air the model knows at a test point: which of the network's flows it is. */
export interface FlowAt {
  /** The drop whose port it is; null: it is elsewhere. */
  readonly drop: Drop | null;
  readonly quantity: FlowQuantity;
}

/**
 * Which of a network's flows a meter at a test point reads; null where there is none: in a run or at a port that is
 * gone, cut off by an airtight gate, or anywhere in the room. What leaks into a run comes in at its middle.
 */
export function flowAt(
  tree: DuctTree,
  { ofRun }: CompiledNetwork,
  at: TestPoint['at'],
): FlowAt | null {
  const into = (segment: number | undefined, drop: Drop | null): FlowAt | null =>
    segment === undefined ? null : { drop, quantity: { kind: 'flow', segment } };
  switch (at.kind) {
    case 'port': {
      const drop = tree.drops.find(({ id }) => id === at.node);
      return drop ? into(ofRun.get(drop.path[0]?.id ?? '')?.[0], drop) : null;
    }
    case 'run': {
      const run = tree.upstreamFirst.find(({ id }) => id === at.run);
      const segment = run && ofRun.get(run.id)?.at(-1);
      if (!run || segment === undefined) return null;
      const isBehind = at.along > runLength(run, tree) / 2;
      return { drop: null, quantity: { kind: isBehind ? 'flow out' : 'flow', segment } };
    }
    case 'collector':
      return at.tap === 'separator inlet'
        ? into(ofRun.get(SEPARATOR_RUN)?.[0], null)
        : { drop: null, quantity: { kind: 'blower flow' } };
    case 'place':
      return null;
  }
}
