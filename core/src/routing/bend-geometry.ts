import type { NewId } from '../design/edit-ducts';
import type { Bend, BendStyle } from '../design/schema';
import type { Point3 } from './space';

/** What a new bend is made of: a five-piece elbow of 1½ diameters. Common practice, no source. */
export const USUAL_BEND: BendStyle = { elbow: 'fivePiece', radiusRatio: 1.5, pair: null };

/** New bends at points, made as usual. */
export const bendsAt = (points: readonly Point3[], newId: NewId): Bend[] =>
  points.map((at) => ({ id: newId(), at: { ...at }, style: { ...USUAL_BEND } }));

/** Duct of less than this from straight is straight, rad: sheet metal gives so much. */
export const STRAIGHT = Math.PI / 180;

/**
 * What a bend takes of the legs on either side of its corner, m: an elbow R·tan(θ/2); a pair the
 * side of the cut corner, (s + 2t)/(2·cos(θ/2)), and its elbows' own t = R·tan(θ/4). `shorter` is
 * what the cut corner saves of the centreline.
 */
export function bendReach(turn: number, { radiusRatio, pair }: BendStyle, diameter: number) {
  const radius = radiusRatio * diameter;
  if (pair === null) return { reach: radius * Math.tan(limited(turn) / 2), shorter: 0 };
  const own = radius * Math.tan(limited(turn) / 4);
  const cut = pair + 2 * own;
  const side = cut / (2 * Math.cos(limited(turn) / 2));
  return { reach: side + own, shorter: 2 * side - cut };
}

/** A duct that turns straight back has no corner to speak of; its reach is that of a turn by 170°. */
const limited = (turn: number) => Math.min(turn, (170 * Math.PI) / 180);
