import { blowerCurve } from '../collector/blower';
import { filterResistance, workingLoading } from '../collector/filter';
import { curveInto } from '../collector/monotone-curve';
import type { Media } from '../design/schema';
import type { ShopSolution } from '../network/solve-shop';

/** A filter is due when it has taken this share of the air that passes when it is cleaned. */
export const DUE_SHARE = 0.1;

/** However little a large filter takes, it is due at so many times clean: common practice, no source. */
export const LATEST_DUE = 10;

const HALVINGS = 60;

/**
 * The loading at which a filter is due: where this collector, on these ducts with these gates open, moves
 * a tenth less air than with the filter cleaned. A small bag is due at little more than seasoned, a
 * large cartridge at many times clean; none later than `LATEST_DUE`.
 *
 * Everything else the air passes is taken to grow with the square of the flow, from what it takes in
 * `solution`; good to a few per cent of the loading.
 *
 * @param loading as the filter works in `solution`
 * @param factor on its resistance, as readings have it
 */
export function dueLoading(
  solution: Pick<ShopSolution, 'blower' | 'network'>,
  filter: Media,
  loading: number,
  factor = 1,
): number {
  const { blower, network } = solution;
  const through = blower.flow - blower.outletLeak;
  if (!(through > 0)) return LATEST_DUE;
  const curve = blowerCurve(network.blower);
  const out = { value: 0, slope: 0 };
  const given = (flow: number) => {
    curveInto(out, curve, flow);
    return out.value;
  };
  const perLoading = factor * filterResistance(filter, 1);
  const cleaned = workingLoading(filter, 1);
  const rest = Math.max(0, blower.rise - perLoading * loading * through) / through ** 2;

  // The blower gives less the more it moves, and the system asks more: one flow meets both.
  let low = 0;
  let high = network.blower.at(-1)?.flow ?? 0;
  for (let step = 0; step < HALVINGS; step++) {
    const flow = (low + high) / 2;
    if (given(flow) > (rest * flow + perLoading * cleaned) * flow) low = flow;
    else high = flow;
  }
  const reduced = (1 - DUE_SHARE) * low;
  const due = (given(reduced) / reduced - rest * reduced) / perLoading;
  return Math.min(Math.max(due, cleaned), Math.max(LATEST_DUE, cleaned));
}
