import { lookUp, type Table } from '../quantity/look-up';
import type { Origin } from '../quantity/origin';
import type { ValidRange } from '../quantity/valid-range';

/** How air enters: loss coefficients on the duct's velocity pressure. */
export const ENTRIES = {
  plain: { name: 'Plain pipe end', loss: 0.93, origin: 'standard' },
  flanged: { name: 'Flanged pipe end', loss: 0.49, origin: 'standard' },
  tapered: { name: 'Tapered hood', loss: 0.25, origin: 'standard' },
  roundTaper: { name: 'Round tapered hood, 45°', loss: 0.06, origin: 'standard' },
  bell: { name: 'Bell mouth', loss: 0.04, origin: 'standard' },
  boot: { name: 'Boot, square to round, straight', loss: 0.25, origin: 'estimate' },
  turnedBoot: { name: 'Boot, square to round, turned 90°', loss: 1, origin: 'estimate' },
  cabinet: { name: 'Machine cabinet', loss: 2, origin: 'estimate' },
  passages: { name: 'Hood with inner passages', loss: 2.5, origin: 'estimate' },
} as const satisfies Record<string, { name: string; loss: number; origin: Origin }>;
// Source of the standard rows: ACGIH Industrial Ventilation, hood entry losses (from memory). A boot
// has no row of its own there: straight, it is taken as a tapered hood; turned, with three quarters of
// a velocity pressure more for its corner.

export type EntryId = keyof typeof ENTRIES;

/**
 * Loss of tapered hoods by included angle in degrees, on the duct's velocity pressure: round and
 * rectangular. Source: ACGIH Industrial Ventilation, hood loss by included angle (from memory).
 */
export const HOOD_TAPERS = {
  round: [
    [15, 0.15],
    [30, 0.08],
    [45, 0.06],
    [60, 0.08],
    [90, 0.15],
    [120, 0.26],
    [150, 0.4],
    [180, 0.5],
  ],
  rectangular: [
    [15, 0.25],
    [30, 0.16],
    [45, 0.15],
    [60, 0.17],
    [90, 0.25],
    [120, 0.35],
    [150, 0.48],
    [180, 0.5],
  ],
} as const satisfies Record<string, Table>;

export const TAPER_ANGLES: ValidRange = {
  what: 'included angle of the hood',
  kind: 'angle',
  least: Math.PI / 12,
  most: Math.PI,
};

/**
 * Loss of a tapered hood on its duct's velocity pressure.
 * @param angle included, rad; clamped to 15°–180°
 * @example taperedHoodLoss('round', Math.PI / 4) // 0.06
 */
export const taperedHoodLoss = (shape: keyof typeof HOOD_TAPERS, angle: number): number =>
  lookUp(HOOD_TAPERS[shape], (angle * 180) / Math.PI);

/**
 * Suction just behind a hood in Pa, below the room: |SP_h| = (1 + h_e)·VP (ACGIH).
 * @example hoodSuction(0.25, 248.8) // 311 Pa
 */
export const hoodSuction = (entryLoss: number, velocityPressure: number): number =>
  (1 + entryLoss) * velocityPressure;
