import type { ElbowStyle } from '../catalogue/ids';
import { lookUp, type Table } from '../quantity/look-up';
import type { Origin } from '../quantity/origin';
import { type ClampedValue, clampedValue, clampTo, type ValidRange } from '../quantity/valid-range';

/** How an elbow is made, with its 90° loss by radius/diameter. */
export const ELBOW_STYLES = {
  smooth: {
    name: 'Smooth, stamped',
    origin: 'standard',
    at: [
      [0.5, 0.71],
      [0.75, 0.33],
      [1, 0.22],
      [1.5, 0.15],
      [2, 0.13],
      [2.5, 0.12],
    ],
  },
  fivePiece: {
    name: 'Five-piece',
    origin: 'standard',
    at: [
      [0.75, 0.46],
      [1, 0.33],
      [1.5, 0.24],
      [2, 0.19],
      [2.5, 0.17],
    ],
  },
  fourPiece: {
    name: 'Four-piece',
    origin: 'standard',
    at: [
      [0.75, 0.5],
      [1, 0.37],
      [1.5, 0.27],
      [2, 0.24],
      [2.5, 0.23],
    ],
  },
  threePiece: {
    name: 'Three-piece',
    origin: 'standard',
    at: [
      [0.5, 0.9],
      [0.75, 0.54],
      [1, 0.42],
      [1.5, 0.34],
      [2, 0.33],
      [2.5, 0.33],
    ],
  },
  /** Four pieces that turn on each other: the four-piece row, where such elbows have their radius. */
  adjustable: {
    name: 'Adjustable sheet metal',
    origin: 'estimate',
    at: [
      [0.75, 0.5],
      [1, 0.37],
      [1.5, 0.27],
    ],
  },
  drain: {
    name: 'Tight plastic drain elbow',
    origin: 'estimate',
    at: [
      [0.5, 0.9],
      [0.7, 0.75],
      [1, 0.5],
    ],
  },
  mitred: {
    name: 'Mitered, no radius',
    origin: 'standard',
    at: [[0.5, 1.2]],
  },
} as const satisfies Record<ElbowStyle, { name: string; origin: Origin; at: Table }>;

const USUAL_RADII: Partial<Record<ElbowStyle, number>> = { adjustable: 1, drain: 0.7, mitred: 0.5 };

/** The radius/diameter an elbow of this style usually has. */
export const usualRadiusRatio = (style: ElbowStyle): number => USUAL_RADII[style] ?? 1.5;

const RIGHT_ANGLE = Math.PI / 2;

/** Turns beyond a half circle are taken as one. */
export const ELBOW_ANGLES: ValidRange = {
  what: 'turn of the elbow',
  kind: 'angle',
  least: 0,
  most: Math.PI,
};

/** The radii a style's table covers; beyond them its nearer end is held. */
export function elbowRadii(style: ElbowStyle): ValidRange {
  const { at }: { at: Table } = ELBOW_STYLES[style];
  const least = at[0]?.[0] ?? 0;
  const most = at.at(-1)?.[0] ?? least;
  return { what: 'radius over diameter', kind: 'number', least, most };
}

/** A drain elbow is all edge at this R/D; at 1.5 it would lose in proportion to its angle. */
const ALL_MITRE = 0.5;
const ALL_BEND = 1.5;

/** Weisbach's mitre: ζ ∝ 0.946·sin²(θ/2) + 2.047·sin⁴(θ/2) (from memory). */
function mitreShare(angle: number): number {
  const weisbach = (turned: number) => {
    const square = Math.sin(turned / 2) ** 2;
    return 0.946 * square + 2.047 * square * square;
  };
  return weisbach(angle) / weisbach(RIGHT_ANGLE);
}

/**
 * Share of its 90° loss that an elbow through `angle` (rad) has. In proportion to the angle for the
 * handbook's elbows (ACGIH, from memory). What has no radius loses at its edge, which grows faster
 * than the angle: Weisbach's mitre for mitred elbows, and for drain elbows, which are little better, a
 * straight mixture of the two by radius, an estimate.
 * @example elbowAngleShare('fivePiece', Math.PI / 4, 1) // 0.5
 * @example elbowAngleShare('mitred', Math.PI / 4, 0.5) // 0.19: two mitred 45s lose 0.37 of one 90
 */
function elbowAngleShare(style: ElbowStyle, angle: number, radiusRatio: number): number {
  const turned = clampTo(ELBOW_ANGLES, angle);
  const bend = turned / RIGHT_ANGLE;
  if (style !== 'mitred' && style !== 'drain') return bend;
  const edge = Math.min(Math.max((ALL_BEND - radiusRatio) / (ALL_BEND - ALL_MITRE), 0), 1);
  return edge * mitreShare(turned) + (1 - edge) * bend;
}

/**
 * Loss coefficient of an elbow on its velocity pressure: the 90° value, straight lines between
 * the tabled R/D and held beyond the table's ends, times `elbowAngleShare`.
 *
 * Source: ACGIH Industrial Ventilation, elbow table (from memory), which begins at R/D 0.5 for
 * stamped and three-piece elbows and at 0.75 for the others; tight drain elbows 0.6–0.9 are an
 * estimate.
 *
 * @param angle rad, 0 to π (clamped)
 * @param radiusRatio centreline radius over diameter, clamped to `elbowRadii`
 * @example elbowLoss('fivePiece', Math.PI / 2, 2)   // 0.19
 * @example elbowLoss('fivePiece', Math.PI / 4, 1.5) // 0.12
 */
export function elbowLoss(style: ElbowStyle, angle: number, radiusRatio: number): number {
  const ratio = clampTo(elbowRadii(style), radiusRatio);
  return lookUp(ELBOW_STYLES[style].at, ratio) * elbowAngleShare(style, angle, ratio);
}

/** What of an elbow lies outside its table, and what was taken instead. */
export const elbowClamped = (
  style: ElbowStyle,
  angle: number,
  radiusRatio: number,
): ClampedValue[] =>
  [clampedValue(ELBOW_ANGLES, angle), clampedValue(elbowRadii(style), radiusRatio)].filter(
    (clamped) => clamped !== null,
  );
