import { gateLoss } from '../../fitting/gate';
import type { Run, Shop } from '../../shop/schema';
import type { DuctTree } from '../../shop/topology';
import type { Network, Segment } from '../network';
import { type NetworkOptions, shopToNetwork } from './shop-to-network';

/**
 * Networks of one shop with different gates open. Only the gates' own coefficients differ, so the
 * shop is built once and each set costs little more than a copy of the list of segments. An airtight
 * shut gate takes runs out of the network altogether; a shop that has one is built anew each time.
 */
export function networksByGates(
  shop: Shop,
  tree: DuctTree,
  options: Omit<NetworkOptions, 'openGates'>,
): (openGates: ReadonlySet<string>) => Network {
  const gated = shop.ducts.runs.filter((run) => run.gate);
  if (gated.some((run) => run.gate?.closedGap === 0)) {
    return (openGates) => shopToNetwork(shop, tree, { ...options, openGates });
  }
  const base = shopToNetwork(shop, tree, { ...options, openGates: new Set() });
  const places = gated.flatMap((run) => {
    const index = base.segments.findIndex(
      (segment) => segment.run === run.id && segment.parts.some(({ kind }) => kind === 'gate'),
    );
    const segment = base.segments[index];
    return segment ? [{ run: run.id, index, open: withOpenGate(segment, run) }] : [];
  });
  return (openGates) => {
    const segments = [...base.segments];
    for (const { run, index, open } of places) if (openGates.has(run)) segments[index] = open;
    return { ...base, segments };
  };
}

/** A segment with its gate drawn open as far as the run's opens. */
function withOpenGate(segment: Segment, { gate }: Run): Segment {
  if (!gate) return segment;
  const coefficient = gateLoss(gate.opening, gate.closedGap);
  const parts = segment.parts.map((part) =>
    part.kind === 'gate' ? { ...part, coefficient } : part,
  );
  return { ...segment, parts };
}
