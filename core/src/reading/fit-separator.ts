import type { Shop } from '../design/schema';
import type { Drop, DuctTree } from '../design/topology';
import type { NetworkOptions } from '../network/assemble/shop-to-network';
import { dropFlow } from '../network/drop-flow';
import { solveTree } from '../network/solve-shop';

/** One reading at a drop, with how far it may be off, 95 times in 100; any unit, both the same. */
export interface PairReading {
  readonly value: number;
  readonly uncertainty: number;
}

export type FittedSeparator =
  | {
      readonly ok: true;
      /** Velocity heads of its inlet, with the interval the readings' uncertainties leave, 95 %. */
      readonly lossCoefficient: number;
      readonly least: number;
      readonly most: number;
    }
  | { readonly ok: false; readonly reason: string };

/** No separator takes more; beyond it a pair of readings has something else in it. */
const MOST_HEADS = 100;
const STEPS = 60;

/**
 * A separator's coefficient from a before/after pair: the same drop read without the separator and
 * with it, everything else as it is in `shop`. Only the ratio of the two counts, so that a meter
 * that reads high, or in its own unit, is no harm. The interval comes from the ends of the ratio's
 * own (its two uncertainties, as shares, added at right angles).
 *
 * Fails, with a sentence, where a reading is not above zero, where the air did not fall, or where it
 * fell further than any separator explains.
 */
export function fitSeparator(
  shop: Shop,
  tree: DuctTree,
  drop: Drop,
  options: NetworkOptions,
  without: PairReading,
  withIt: PairReading,
): FittedSeparator {
  if (!(without.value > 0) || !(withIt.value > 0)) {
    return { ok: false, reason: 'Both readings have to be above zero.' };
  }
  const ratio = withIt.value / without.value;
  if (!(ratio < 1)) {
    return { ok: false, reason: 'The air did not fall with the separator in: it shows no loss.' };
  }
  const shareWith = flowShares(shop, tree, drop, options);
  if (!shareWith) return { ok: false, reason: 'The shop as it stands has no answer to fit to.' };
  if (ratio < shareWith(MOST_HEADS)) {
    return {
      ok: false,
      reason: 'The air fell further than a separator explains: look for a leak or a blockage too.',
    };
  }
  const uncertainty = Math.hypot(
    without.uncertainty / without.value,
    withIt.uncertainty / withIt.value,
  );
  const coefficientAt = (wanted: number) => coefficientForShare(shareWith, wanted);
  return {
    ok: true,
    lossCoefficient: coefficientAt(ratio),
    least: coefficientAt(Math.min(1, ratio * (1 + uncertainty))),
    most: coefficientAt(ratio * (1 - uncertainty)),
  };
}

/** The drop's flow with a separator of so many heads, over its flow without one. */
function flowShares(shop: Shop, tree: DuctTree, drop: Drop, options: NetworkOptions) {
  const flowWith = (lossCoefficient: number): number | null => {
    const kind = 'lid' as const;
    const separator = { ...shop.collector.separator, kind, lossCoefficient, proportions: null };
    const changed = { ...shop, collector: { ...shop.collector, separator } };
    const solved = solveTree(changed, tree, options);
    return solved.kind === 'solved' ? dropFlow(solved, drop) : null;
  };
  const free = flowWith(0);
  if (free === null || !(free > 0)) return null;
  return (lossCoefficient: number) => (flowWith(lossCoefficient) ?? free) / free;
}

/** More heads, less flow: the share is met by halving, to far within any reading. */
function coefficientForShare(
  shareWith: (lossCoefficient: number) => number,
  wanted: number,
): number {
  let low = 0;
  let high = MOST_HEADS;
  if (wanted <= shareWith(high)) return high;
  for (let step = 0; step < STEPS && high - low > 1e-6; step++) {
    const middle = (low + high) / 2;
    if (shareWith(middle) > wanted) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
