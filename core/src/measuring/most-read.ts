import type { Quantity } from '../journal/reading';

/**
 * The most a reading in a shop could be, SI: beyond it a number was mistyped, or is in another unit. 75 m/s is
 * half as fast again as the fastest blower drives air through a free hose (common practice, no source).
 */
export const MOST_READ: Readonly<Record<Quantity, number>> = {
  velocity: 75,
  flow: 20,
  'velocity pressure': 5000,
  pressure: 50_000,
  current: 1000,
  rotation: 1000,
  number: 1e6,
};
