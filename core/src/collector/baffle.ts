import { circleArea } from '../air/velocity-pressure';
import { toSI } from '../quantity/units';

/** Arc of the slot, rad, and its width at the wall, m: common practice, no source. */
export const SLOT_ARC = (240 * Math.PI) / 180;
export const SLOT_WIDTH = toSI(1.125, 'in');

/** A plate hung in a drum: the dust slides through a slot at the wall, and stays below. Lengths in m. */
export interface Baffle {
  readonly plateDiameter: number;
  /** The slot's inner edge, from the middle. */
  readonly slotRadius: number;
  /** Angles from the entry's near side, in the way the air turns, rad. */
  readonly slotFrom: number;
  readonly slotTo: number;
  /** Area of the slot, m², and over the inlet's. */
  readonly slotArea: number;
  readonly slotShare: number;
  /** Plate under the lid. */
  readonly drop: number;
  /** Of the inlet's centre from the drum's, for an entry along the wall. */
  readonly inletOffset: number;
  /** Angle the entry takes of the wall, rad. */
  readonly entryAngle: number;
  /** Under the plate, m³: what the drum holds before dust is carried up again. */
  readonly room: number;
}

export type BaffleDesign =
  | { readonly ok: true; readonly baffle: Baffle }
  | { readonly ok: false; readonly reason: string };

/**
 * A slotted baffle for a round drum: slot about 240° of arc, 1⅛ in. wide, at the wall; the plate one
 * inlet diameter below the lid, hung on threaded rod to adjust; the entry's far side starts over solid
 * plate, and the slot begins where the entry's jet has landed (common practice, no source).
 *
 * Fails, with a sentence, where the inlet is too large for the drum or the drum too low.
 *
 * @param drumDiameter inside, m
 * @param drumHeight inside, m
 * @param inletDiameter true inside, m
 * @example baffleFor(0.47, 0.7, 0.1524) // plate 0.152 m under the lid, slot 0.025 m²
 */
export function baffleFor(
  drumDiameter: number,
  drumHeight: number,
  inletDiameter: number,
): BaffleDesign {
  const radius = drumDiameter / 2;
  if (inletDiameter > 0.45 * drumDiameter) {
    return {
      ok: false,
      reason:
        'The inlet is nearly half as wide as the drum: in and out do not both fit on its lid.',
    };
  }
  if (drumHeight < 3 * inletDiameter) {
    return {
      ok: false,
      reason: 'The drum is too low: under the plate less than two inlet diameters would be left.',
    };
  }
  const inletOffset = radius - inletDiameter / 2;
  // Seen from the middle, the entry takes the angle between its two edges.
  const entryAngle = 2 * Math.asin(inletDiameter / 2 / inletOffset);
  const slotRadius = radius - SLOT_WIDTH;
  const slotArea = (SLOT_ARC / 2) * (radius ** 2 - slotRadius ** 2);
  // All of the plate that is left solid lies before the slot, the entry's far side over its middle.
  const solid = 2 * Math.PI - SLOT_ARC;
  const slotFrom = Math.max(entryAngle, solid / 2);
  return {
    ok: true,
    baffle: {
      plateDiameter: drumDiameter,
      slotRadius,
      slotFrom,
      slotTo: slotFrom + SLOT_ARC,
      slotArea,
      slotShare: slotArea / circleArea(inletDiameter),
      drop: inletDiameter,
      inletOffset,
      entryAngle,
      room: circleArea(drumDiameter) * (drumHeight - inletDiameter),
    },
  };
}
