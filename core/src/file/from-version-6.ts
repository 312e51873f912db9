import type { Migration } from './migration';

/**
 * Records say more of how something was measured: instruments their range and calibration, readings their
 * method and traverse, test points their straight duct, rounds, events and weighings their circumstances. All
 * of it is filled in by defaults.
 */
export const fromVersion6: Migration = {
  from: 6,
  what: 'Instruments, readings, test points, rounds, events and weighings say how they were measured.',
  migrate: (document) => document,
};
