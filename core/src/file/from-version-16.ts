import type { Migration } from './migration';

/** Emptying what stands below the filter is told from emptying the separator's bin. */
export const fromVersion16: Migration = {
  from: 16,
  what: 'What is logged may be that the bag or bin below the filter was emptied; before, one kind stood for that and for the separator’s bin, and what was logged as such stays so.',
  migrate: (document) => document,
};
