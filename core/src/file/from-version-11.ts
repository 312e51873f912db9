import type { Migration } from './migration';

/** Issues that were set aside, a collector that has to stay on casters, and what a change bought. */
export const fromVersion11: Migration = {
  from: 11,
  what: 'A shop may name issues that were set aside with a reason, and keep its collector on casters; a logged change may say what was bought. Defaults fill in all of it.',
  migrate: (document) => document,
};
