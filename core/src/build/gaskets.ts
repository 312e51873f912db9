import { sizesOf } from '../assembly/usual-sizes';
import type { Shop } from '../design/schema';
import type { AssemblyGroup } from './assembly-order';

/** A soft strip around what has to open again. */
export interface Gasket {
  /** The run it is in; null: the collector's own. */
  readonly run: string | null;
  /** m; null: as the bin or bag has it. */
  readonly thickness: number | null;
  /** Way around, m. */
  readonly length: number;
}

/** Every gasket of the ducts and the collector, by the same joints that are ticked off when they are sealed. */
export function gasketsOf(
  order: readonly AssemblyGroup[],
  { collector }: Pick<Shop, 'collector'>,
): Gasket[] {
  const { bin, filter } = sizesOf(collector);
  return order.flatMap(({ run, steps }) =>
    steps.flatMap(({ place, ends, sealedWith }): Gasket[] => {
      if (sealedWith.kind === 'gasket') {
        const across = place.kind === 'bin' ? bin.diameter : filter.diameter;
        return [{ run, thickness: null, length: Math.PI * across }];
      }
      if (sealedWith.kind !== 'fit' || sealedWith.closing.kind !== 'gasket' || !ends) return [];
      const inner = ends.fit.inside === 'upstream' ? ends.upstream : ends.downstream;
      const { thickness } = sealedWith.closing;
      return [{ run, thickness, length: Math.PI * inner.outside }];
    }),
  );
}
