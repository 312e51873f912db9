import type { Migration } from './migration';

/** Ducts may meet as a symmetric Y, which no earlier document has. Nothing else changed. */
export const fromVersion5: Migration = {
  from: 5,
  what: 'A duct may join as one leg of a symmetric Y.',
  migrate: (document) => document,
};
