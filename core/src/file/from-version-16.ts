import type { Migration } from './migration';

/** Emptying what stands below the filter is told from emptying the separator's bin; a filter may go by the calendar. */
export const fromVersion16: Migration = {
  from: 16,
  what: 'What is logged may be that the bag or bin below the filter was emptied; before, one kind stood for that and for the separator’s bin, and what was logged as such stays so. How often a filter is cleaned while nothing tells when it is due is filled in as usual: every 26 weeks.',
  migrate: (document) => document,
};
