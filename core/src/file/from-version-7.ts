import { type Rename, withRenames } from '../document/rename';
import type { Migration } from './migration';

const renames: readonly Rename[] = [['collector'], ['candidates', '*']].flatMap((path) => [
  { path, from: 'stack', to: 'assembly' },
  { path: [...path, 'separator'], from: 'heads', to: 'lossCoefficient' },
]);

/** The collector's assembly and the separator's loss coefficient take the names the trade has for them. */
export const fromVersion7: Migration = {
  from: 7,
  what: 'A collector’s `stack` is called `assembly`, a separator’s `heads` `lossCoefficient`; nothing else changed.',
  renames,
  migrate: (document) => withRenames(document, renames),
};
