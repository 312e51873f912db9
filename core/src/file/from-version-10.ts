import type { Migration } from './migration';

/** What readings say the model's estimates are out by, and what improvements are ranked by. */
export const fromVersion10: Migration = {
  from: 10,
  what: 'The shop as found may carry factors on what the model estimates, as readings have it; weights, rules and prices for improvements. Defaults fill in both.',
  migrate: (document) => document,
};
