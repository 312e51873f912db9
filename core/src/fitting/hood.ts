import type { Origin } from '../quantity/origin';

/** How air enters: loss coefficients on the duct's velocity pressure. */
export const ENTRIES = {
  plain: { name: 'Plain pipe end', loss: 0.93, origin: 'standard' },
  flanged: { name: 'Flanged pipe end', loss: 0.49, origin: 'standard' },
  tapered: { name: 'Tapered hood', loss: 0.25, origin: 'standard' },
  bell: { name: 'Bell mouth', loss: 0.04, origin: 'standard' },
  cabinet: { name: 'Machine cabinet', loss: 2, origin: 'estimate' },
  passages: { name: 'Hood with inner passages', loss: 2.5, origin: 'estimate' },
} as const satisfies Record<string, { name: string; loss: number; origin: Origin }>;
// Source of the standard rows: ACGIH Industrial Ventilation, hood entry losses (from memory).

export type EntryId = keyof typeof ENTRIES;

/**
 * Suction just behind a hood in Pa, below the room: |SP_h| = (1 + h_e)·VP (ACGIH).
 * @example hoodSuction(0.25, 248.8) // 311 Pa
 */
export const hoodSuction = (entryLoss: number, velocityPressure: number): number =>
  (1 + entryLoss) * velocityPressure;
