import type { PipeId } from '../catalogue/ids';
import { type ChainPart, chainOf } from '../design/chain-order';
import type { CollectorParts } from '../design/edit-candidates';

/** Pipe or hose from one part of a collector to the next: a transition to the last part, a coupling to any before it. */
export interface CollectorLink {
  readonly from: ChainPart;
  readonly to: ChainPart;
  readonly what: 'coupling' | 'transition';
  readonly kind: 'rigid' | 'hose';
  /** Along its centre, m. */
  readonly length: number;
  /** Inside, m. */
  readonly diameter: number;
}

/** From part to part of a collector, as the air goes; nothing leads to a filter that is not there. */
export function linksOf(collector: CollectorParts): CollectorLink[] {
  const { coupling, transition } = collector.assembly;
  const hasFilter = collector.exhaust.kind === 'filter';
  const diameter = collector.separator.inletDiameter;
  const chain = chainOf(collector);
  return chain.flatMap((from, i): CollectorLink[] => {
    const to = chain[i + 1];
    if (!to || (to === 'filter' && !hasFilter)) return [];
    const isLast = i === chain.length - 2;
    const [what, { kind, length }] = isLast
      ? (['transition', transition] as const)
      : (['coupling', coupling] as const);
    return [{ from, to, what, kind, length, diameter }];
  });
}

/** A way of its own outdoors, with what it is made of; null: the air stays in. */
export function pipeOutdoors({
  exhaust,
}: Pick<CollectorParts, 'exhaust'>): { pipe: PipeId; diameter: number; length: number } | null {
  if (exhaust.kind !== 'outdoors' || exhaust.length === 0) return null;
  const { pipe, diameter, length } = exhaust;
  return { pipe, diameter, length };
}
