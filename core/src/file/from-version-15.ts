import type { Migration } from './migration';

/** Tests with light, smoke or a hand, with their place and what was seen. */
export const fromVersion15: Migration = {
  from: 15,
  what: 'What is logged may be a test with a lamp, with smoke or with a hand, with its place and whether dust or a leak was seen. Defaults fill in both: no place, nothing said.',
  migrate: (document) => document,
};
