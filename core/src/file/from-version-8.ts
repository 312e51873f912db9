import type { Migration } from './migration';

/**
 * Sound readings and weighings say whether they are simulated, a round where in the pipe its meter is held. All of
 * it is filled in by defaults.
 */
export const fromVersion8: Migration = {
  from: 8,
  what: 'Sound readings and weighings say whether they are simulated, rounds where the meter is held.',
  migrate: (document) => document,
};
