import { clampTo, type ValidRange } from '../quantity/valid-range';

/** Loss coefficient of a gate drawn fully open: 0.05–0.2 in the trade, an estimate. */
export const OPEN_GATE_LOSS = 0.1;

/** Open gap of a closed gate as a share of its area: a modelling default, to be measured. */
export const CLOSED_GATE_GAP = 0.003;

/**
 * A gap that leaves less of its area than this is none: what comes through it is less than anyone measures, and
 * its loss coefficient would be beyond what numbers can weigh against a duct's.
 */
export const LEAST_GAP = 1e-4;

const ORIFICE = 0.61;

/** Openings there are, as a share of the full one. */
export const GATE_OPENINGS: ValidRange = {
  what: 'opening of the gate',
  kind: 'ratio',
  least: 0,
  most: 1,
};

/**
 * Loss coefficient of a blast gate on its duct's velocity pressure.
 *
 * The opening is treated as a sharp orifice that fills the duct again behind it (Borda–Carnot on
 * the contracted jet): K = (1/(c·σ) − 1)², with c running from 0.61 at a slit to 1 wide open, plus
 * the slot's own loss. An estimate; exact only at its two ends.
 *
 * @param opening share of the full opening, 0 to 1 (clamped)
 * @param closedGap share of its area a shut gate leaves open; under 1e-4 it shuts airtight (Infinity)
 * @example gateLoss(1) // 0.1
 * @example gateLoss(0) // some 300,000: a shut gate leaks a little
 */
export function gateLoss(opening: number, closedGap = CLOSED_GATE_GAP): number {
  const share = Math.max(clampTo(GATE_OPENINGS, opening), closedGap);
  if (share < LEAST_GAP) return Number.POSITIVE_INFINITY;
  const contraction = ORIFICE + (1 - ORIFICE) * share ** 3;
  return (1 / (contraction * share) - 1) ** 2 + OPEN_GATE_LOSS;
}
