import type { Migration } from './migration';

/** The opening that air blown outdoors comes back by, what is ticked off while building, and prices of three more things. */
export const fromVersion13: Migration = {
  from: 13,
  what: 'A shop that blows its air outdoors may say how large the opening is that lets air back in, what is ticked off while the ducts are built is kept, and the price book has lines for a receptacle, a grille and a return filter. Defaults fill in all of it: the opening is not known, nothing is ticked off.',
  migrate: (document) => document,
};
