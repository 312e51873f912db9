import { type Json, within } from '../document/json-walk';
import type { Migration } from './migration';

/** What readings say the model's estimates are out by. */
export const fromVersion10: Migration = {
  from: 10,
  what: 'The shop as found may carry factors on what the model estimates, as readings have it.',
  migrate: (document) =>
    within(document, 'condition', (condition: Json) => ({ ...condition, estimates: [] })),
};
