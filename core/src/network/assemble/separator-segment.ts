import { roundInletCoefficient } from '../../collector/separator';
import { chainOrder } from '../../design/chain-order';
import type { Separator, Shop } from '../../design/schema';
import type { DuctTree } from '../../design/topology';
import { inletSystemEffect } from '../../fittings/close-elbows';
import type { Part, Segment } from '../network';
import { leavingParts } from './junction-parts';
import { lossy } from './part';
import type { Setting } from './setting';

/** The name the separator's segment goes by among the runs. */
export const SEPARATOR_RUN = 'separator';

/** Velocity heads a separator takes of its inlet: a cyclone's by its proportions where given. */
export function separatorCoefficient({
  kind,
  lossCoefficient,
  proportions,
  inletDiameter,
}: Separator): number {
  if (kind === 'none') return 0;
  return kind === 'cyclone' && proportions
    ? roundInletCoefficient(proportions, inletDiameter)
    : lossCoefficient;
}

/** An elbow ahead of a blower's inlet with the straight duct between them, m. */
export interface InletElbow {
  readonly radiusRatio: number;
  readonly straight: number;
}

/**
 * The elbow that disturbs the blower's inlet: the one stated at it; else, in a shop without a
 * separator, the last one of a run that leads straight into it and says how near it stands.
 */
export function inletElbowOf(shop: Shop, tree: DuctTree): InletElbow | null {
  const { blower, separator } = shop.collector;
  if (blower.inletElbow || separator.kind !== 'none') return blower.inletElbow;
  const into = tree.into.get(tree.inlet.id) ?? [];
  const last = into.length === 1 ? into[0]?.fittings.at(-1) : undefined;
  if (last?.kind !== 'elbow' || last.after === null) return null;
  return { radiusRatio: last.radiusRatio, straight: last.after };
}

/**
 * The last segment: what leads into the separator, the separator, and the blower's inlet. A
 * separator the blower pushes through is used the exhaust instead.
 */
export function separatorSegment(setting: Setting, isFed: boolean): Segment {
  const { shop, tree, factors } = setting;
  const { separator } = shop.collector;
  const isPushed = chainOrder(shop.collector) === 'pushed';
  const coefficient = isPushed ? 0 : separatorCoefficient(separator) * factors.separator;
  return {
    run: SEPARATOR_RUN,
    downstream: -1,
    diameter: separator.inletDiameter,
    upstream: isFed ? 'fed' : 'capped',
    seam: 0,
    hole: 0,
    junction: null,
    parts: [
      ...leavingParts(tree.inlet.id, setting),
      lossy('separator', 'up', coefficient, isPushed ? 'none' : separator.kind),
      ...inletParts(setting),
    ],
  };
}

function inletParts({ shop, tree, factors }: Setting): Part[] {
  const elbow = inletElbowOf(shop, tree);
  if (!elbow) return [];
  const { inletDiameter } = shop.collector.separator;
  const effect = inletSystemEffect(elbow.radiusRatio, elbow.straight, inletDiameter);
  return effect === 0 ? [] : [lossy('inlet', 'down', effect * factors.fittings)];
}
