import type { Origin } from '../quantity/origin';
import { heldTo, type ValidRange } from '../quantity/valid-range';

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
    name: 'Ribbed, wire in fabric',
    roughness: 3e-3,
    origin: 'standard',
    source: 'ASHRAE Fundamentals, duct design: flexible, fabric and wire (from memory)',
  },
  smooth: {
    name: 'Smooth bore',
    roughness: 0.9e-3,
    origin: 'estimate',
    source: 'modelling default, to be replaced by your own readings',
  },
} as const satisfies Record<string, HoseKind>;

export type HoseId = keyof typeof HOSES;
export const HOSE_IDS = Object.keys(HOSES) as [HoseId, ...HoseId[]];

/** Diameter at which the compression rule below was anchored, m. */
const ANCHOR_DIAMETER = 6 * 0.0254;

/** Compression people measured at, as a share of the stretched length; beyond it, its end is held. */
export const HOSE_COMPRESSIONS: ValidRange = {
  what: 'compression of the hose',
  kind: 'ratio',
  least: 0,
  most: 0.3,
};

/**
 * What friction in hose is multiplied by when the hose is not stretched out.
 *
 * Form after Abushakra et al. 2004 (from memory): +60 % at 10 % compression at the anchor size,
 * proportional to compression and falling with diameter.
 *
 * @param compression share of its stretched length the hose is short by, held to 0–0.3
 * @param diameter m
 * @example hoseMultiplier(0.1, 0.1524) // 1.6
 */
export function hoseMultiplier(compression: number, diameter: number): number {
  return 1 + 6 * heldTo(HOSE_COMPRESSIONS, compression) * (ANCHOR_DIAMETER / diameter);
}
