import type { Migration } from './migration';

/** Gates left open beside a drop's own, ports that a collector of their own serves, and two more weights. */
export const fromVersion12: Migration = {
  from: 12,
  what: 'A shop may leave a second gate open with a drop so that its main keeps moving, a port may have a small collector of its own, and improvements may be weighed by fine dust and by floor space. Defaults fill in all of it.',
  migrate: (document) => document,
};
