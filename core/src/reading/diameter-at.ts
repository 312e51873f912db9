import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import type { TestPoint } from '../journal/test-point';

/**
 * Inside diameter of the duct a meter is in at a test point, m, as the shop's document has it: a port's, a run's, at the
 * collector that of its inlet; null: in no duct, or in one that is gone.
 */
export function diameterAt(
  { collector }: Pick<Shop, 'collector'>,
  { drops, upstreamFirst }: Pick<DuctTree, 'drops' | 'upstreamFirst'>,
  at: TestPoint['at'],
): number | null {
  switch (at.kind) {
    case 'port':
      return drops.find(({ id }) => id === at.node)?.port.diameter ?? null;
    case 'run':
      return upstreamFirst.find(({ id }) => id === at.run)?.diameter ?? null;
    case 'collector':
      return collector.separator.inletDiameter;
    case 'place':
      return null;
  }
}
