import { lookUp, type Table } from '../quantity/look-up';
import { clampTo, type ValidRange } from '../quantity/valid-range';

/** Elbows nearer to each other, or to a blower's inlet, than this many diameters disturb it. */
export const CLEAR_DIAMETERS = 5;

/** Share by which an elbow loses more when another stands right ahead of it: an estimate. */
export const CLOSE_ELBOW_EXTRA = 0.25;

/**
 * What an elbow's loss is multiplied by when `straight` m of duct of `diameter` m lie between it
 * and the elbow ahead: 1.25 with nothing between, falling evenly to 1 at five diameters. An
 * estimate: published figures run from less than two single elbows, bent the same way, to twice as
 * much, bent back.
 * @param straight m; null where it is not known to be short
 */
export function closeElbowMultiplier(straight: number | null, diameter: number): number {
  if (straight === null) return 1;
  const clear = Math.min(Math.max(straight / diameter / CLEAR_DIAMETERS, 0), 1);
  return 1 + CLOSE_ELBOW_EXTRA * (1 - clear);
}

/**
 * Loss of an elbow at a blower's inlet beyond the elbow's own, on the inlet's velocity pressure, by
 * straight diameters between: the wheel, fed unevenly, makes less. Source: AMCA 201, system effect
 * of elbows without vanes, radiused and mitred (from memory); beyond five diameters a fade to
 * nothing at eight, ours.
 */
export const INLET_SYSTEM_EFFECT = {
  radiused: [
    [0, 1.2],
    [2, 0.6],
    [5, 0.3],
    [8, 0],
  ],
  mitred: [
    [0, 3.2],
    [2, 1.9],
    [5, 1],
    [8, 0],
  ],
} as const satisfies Record<string, Table>;

/** Straight duct ahead of the inlet the table covers; farther off an elbow does nothing. */
export const INLET_DISTANCES: ValidRange = {
  what: 'straight duct ahead of the inlet, in diameters',
  kind: 'number',
  least: 0,
  most: 8,
};

/** Elbows with less radius than this many diameters count as mitred. */
const RADIUSED_FROM = 0.75;

/**
 * System effect of an elbow `straight` m ahead of a blower's inlet, on its velocity pressure.
 * @param radiusRatio the elbow's radius over diameter
 * @example inletSystemEffect(1.5, 0, 0.15) // 1.2
 */
export const inletSystemEffect = (
  radiusRatio: number,
  straight: number,
  diameter: number,
): number =>
  lookUp(
    INLET_SYSTEM_EFFECT[radiusRatio < RADIUSED_FROM ? 'mitred' : 'radiused'],
    clampTo(INLET_DISTANCES, straight / diameter),
  );
