import type { Run, Shop } from '../../design/schema';
import type { DuctTree } from '../../design/topology';
import { gateLoss, LEAST_GAP } from '../../fittings/gate';
import { type CompiledNetwork, compileNetwork, withSegments } from '../compiled-network';
import type { Segment } from '../network';
import { type NetworkOptions, shopToNetwork } from './shop-to-network';

/**
 * Networks of one shop with different gates open, ready to solve. Only the gates' own coefficients
 * differ, so the shop is built and compiled once and each set costs little more than a copy of two
 * columns. An airtight shut gate takes runs out of the network altogether; a shop that has one is
 * built anew each time.
 */
export function networksByGates(
  shop: Shop,
  tree: DuctTree,
  options: Omit<NetworkOptions, 'openGates'>,
): (openGates: ReadonlySet<string>) => CompiledNetwork {
  const gated = shop.ducts.runs.filter((run) => run.gate);
  if (gated.some((run) => run.gate && run.gate.closedGap < LEAST_GAP)) {
    return (openGates) => compileNetwork(shopToNetwork(shop, tree, { ...options, openGates }));
  }
  const base = compileNetwork(shopToNetwork(shop, tree, { ...options, openGates: new Set() }));
  const { segments } = base.network;
  const places = gated.flatMap((run) => {
    const index = base.ofRun
      .get(run.id)
      ?.find((own) => segments[own]?.parts.some(({ kind }) => kind === 'gate'));
    const segment = index === undefined ? undefined : segments[index];
    if (index === undefined || !segment) return [];
    return [{ run: run.id, index, open: withOpenGate(segment, run) }];
  });
  return (openGates) =>
    withSegments(
      base,
      places.filter(({ run }) => openGates.has(run)).map(({ index, open }) => [index, open]),
    );
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
