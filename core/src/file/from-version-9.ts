import type { Migration } from './migration';

/** What is believed by readings may say how far it may be off, and what was believed before it. */
export const fromVersion9: Migration = {
  from: 9,
  what: 'What is believed by readings may carry its uncertainty and the value before it; the usual leakage class an origin.',
  migrate: (document) => document,
};
