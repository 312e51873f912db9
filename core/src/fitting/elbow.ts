import { lookUp, type Table } from '../quantity/look-up';
import type { Origin } from '../quantity/origin';

/** How an elbow is made, with its 90° loss by radius/diameter. */
export const ELBOW_STYLES = {
  smooth: {
    name: 'Smooth, stamped',
    origin: 'standard',
    at: [
      [1.5, 0.15],
      [2, 0.13],
      [2.5, 0.12],
    ],
  },
  fivePiece: {
    name: 'Five-piece',
    origin: 'standard',
    at: [
      [1.5, 0.24],
      [2, 0.19],
      [2.5, 0.17],
    ],
  },
  fourPiece: {
    name: 'Four-piece',
    origin: 'standard',
    at: [
      [1.5, 0.27],
      [2, 0.24],
      [2.5, 0.23],
    ],
  },
  threePiece: {
    name: 'Three-piece',
    origin: 'standard',
    at: [
      [1.5, 0.34],
      [2, 0.33],
      [2.5, 0.33],
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
    name: 'Mitred, no radius',
    origin: 'standard',
    at: [[0.5, 1.2]],
  },
} as const satisfies Record<string, { name: string; origin: Origin; at: Table }>;

export type ElbowStyle = keyof typeof ELBOW_STYLES;
export const ELBOW_STYLE_IDS = Object.keys(ELBOW_STYLES) as [ElbowStyle, ...ElbowStyle[]];

/** The radius/diameter an elbow of this style usually has. */
export const usualRadiusRatio = (style: ElbowStyle): number =>
  style === 'drain' ? 0.7 : style === 'mitred' ? 0.5 : 1.5;

/**
 * Loss coefficient of an elbow on its velocity pressure: the 90° value, straight lines between
 * the tabled R/D and held beyond the table's ends, times angle/90.
 *
 * Source: ACGIH Industrial Ventilation, elbow table (from memory); tight drain elbows 0.6–0.9 are
 * an estimate.
 *
 * @param angle rad, 0 to π (clamped)
 * @param radiusRatio centreline radius over diameter
 * @example elbowLoss('fivePiece', Math.PI / 2, 2)   // 0.19
 * @example elbowLoss('fivePiece', Math.PI / 4, 1.5) // 0.12
 */
export function elbowLoss(style: ElbowStyle, angle: number, radiusRatio: number): number {
  const turned = Math.min(Math.max(angle, 0), Math.PI);
  return (lookUp(ELBOW_STYLES[style].at, radiusRatio) * turned) / (Math.PI / 2);
}
