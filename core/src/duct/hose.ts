import type { HoseId } from '../catalogue/ids';
import type { Origin } from '../quantity/origin';
import { clampTo, type ValidRange } from '../quantity/valid-range';

export interface HoseKind {
  readonly name: string;
  /** Absolute roughness when fully stretched, m. */
  readonly roughness: number;
  readonly origin: Origin;
  readonly source: string;
}

/** Flexible hose, fully stretched. */
export const HOSES = {
  ribbed: {
    name: 'Ribbed, wire-reinforced',
    roughness: 1e-3,
    origin: 'estimate',
    source: 'modeling default that agrees with the handbook’s power fit for flexible hose',
  },
  smooth: {
    name: 'Smooth bore',
    roughness: 0.9e-3,
    origin: 'estimate',
    source: 'modeling default, to be replaced by your own readings',
  },
} as const satisfies Record<HoseId, HoseKind>;

const INCH = 0.0254;
/** Excess per per cent of compression, and how it falls for each inch of diameter. */
const EXCESS = 0.58;
const FALL = 0.126;

/** Compression people measured at, as a share of the stretched length; beyond it, its end is held. */
export const HOSE_COMPRESSIONS: ValidRange = {
  what: 'compression of the hose',
  kind: 'ratio',
  least: 0,
  most: 0.3,
};

/**
 * What friction in hose is multiplied by when the hose is not stretched out:
 * 1 + 0.58·r·e^(−0.126·D), r the compression in per cent, D the diameter in inches.
 *
 * Source: ASHRAE Fundamentals, duct design, after Abushakra et al. 2004 (from memory), measured on
 * building flex of 6 to 16 in.; an estimate for stiff shop hose and for 4 in.
 *
 * @param compression share of its stretched length the hose is short by, clamped to 0–0.3
 * @param diameter m
 * @example hoseMultiplier(0.1, 0.1524) // 3.72
 */
export function hoseMultiplier(compression: number, diameter: number): number {
  const perCent = 100 * clampTo(HOSE_COMPRESSIONS, compression);
  return 1 + EXCESS * perCent * Math.exp(-FALL * (diameter / INCH));
}
