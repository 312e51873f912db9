import type { Migration } from './migration';

/** How much a shop runs and how often it is looked after, and a kind of change that says it was. */
export const fromVersion14: Migration = {
  from: 14,
  what: 'A shop says how much its blower runs in a week, how full its bin may get and how often it is looked after, and a change may be that belts and gaskets were looked at. Defaults fill in all of it: nobody has said how much it runs.',
  migrate: (document) => document,
};
