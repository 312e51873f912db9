import { airAtSite } from '../air/air-at-site';
import { sizesOf } from '../assembly/usual-sizes';
import { scaleBlower } from '../collector/blower';
import type { CollectorParts } from '../design/edit-candidates';
import type { Shop } from '../design/schema';
import { type BinStrength, binStrengths, pipeCollapse } from '../duct/collapse';

/** What pipes and bin stand against the most this blower can pull. Pa. */
export interface SuctionStrength {
  /** With every gate shut: the greatest pressure of the blower's curve as it runs here. */
  readonly shutOff: number;
  /** The run that would collapse first, and at what; null without ducts. */
  readonly weakestPipe: { readonly run: string; readonly pressure: number } | null;
  /** What a bin of this shape and size stands by what it is made of; empty where none is under suction. */
  readonly bin: readonly BinStrength[];
}

/**
 * Holds the shut-off pressure of a collector against what the shop's ducts and the collector's bin
 * stand. A bin the blower pushes into is under no suction.
 * @param parts the collector that is asked about, in this shop
 */
export function suctionStrength(
  { shop, ducts }: Pick<Shop, 'shop' | 'ducts'>,
  parts: CollectorParts,
): SuctionStrength {
  const { blower, separator, assembly } = parts;
  const { density } = airAtSite(shop.site);
  const running = scaleBlower(blower.curve, blower.measured, { ...blower, density });
  const strengths = ducts.runs.map(({ id, pipe, diameter }) => ({
    run: id,
    pressure: pipeCollapse(pipe, diameter),
  }));
  const weakestPipe = strengths.reduce<SuctionStrength['weakestPipe']>(
    (weakest, next) => (weakest && weakest.pressure <= next.pressure ? weakest : next),
    null,
  );
  const { bin } = sizesOf(parts);
  const isSucked = separator.kind !== 'none' && assembly.order !== 'pushed';
  return {
    shutOff: Math.max(0, ...running.map(({ pressure }) => pressure)),
    weakestPipe,
    bin: isSucked ? binStrengths(assembly.bin.shape, bin.diameter, bin.height) : [],
  };
}
