import type { DuctTree } from '../design/topology';
import { reducerBody } from '../fittings/fitting-bodies';
import type { AssemblyGroup } from './assembly-order';

/** What is bought to join two ends that do not go into each other by themselves; diameters inside, m. */
export interface Joiner {
  /** The run it is in; null: the collector's own. */
  readonly run: string | null;
  /** An adapter is for ends of one size inside that are not made for each other. */
  readonly part: { readonly kind: 'coupling' | 'clamp' | 'adapter'; readonly diameter: number };
}

/**
 * Couplings, adapters, and the clamps of the collector's own hoses, by the same joints that are ticked off when they are
 * put together. Reducers and the clamps of the runs' hoses are counted with their runs.
 */
export function joinersOf(order: readonly AssemblyGroup[], tree: DuctTree): Joiner[] {
  const runs = new Map(tree.upstreamFirst.map((run) => [run.id, run]));
  return order.flatMap(({ run, steps }) =>
    steps.flatMap(({ place, ends, joint, sealedWith }): Joiner[] => {
      if (joint === 'coupling') {
        const own = run === null ? undefined : runs.get(run);
        return own ? [{ run, part: { kind: 'coupling', diameter: own.diameter } }] : [];
      }
      if (!ends || sealedWith.kind !== 'fit') return [];
      const { upstream, downstream } = ends;
      const diameter = Math.max(upstream.inside, downstream.inside);
      const { kind } = sealedWith.closing;
      if (kind === 'coupler') return [{ run, part: { kind: 'coupling', diameter } }];
      if (kind === 'clamp' && place.kind === 'chain') return [{ run, part: { kind, diameter } }];
      const isReduced = reducerBody(upstream.inside, downstream.inside) > 0;
      return kind === 'adapter' && !isReduced ? [{ run, part: { kind, diameter } }] : [];
    }),
  );
}
