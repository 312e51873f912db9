import { blastGate } from './blast-gate';
import { cycloneShelf } from './cyclone-shelf';
import { drumLid } from './drum-lid';
import { collectorEnclosure } from './enclosure';
import { filterBox } from './filter-box';
import { floorSweep } from './floor-sweep';
import { linerCage } from './liner-cage';
import type { Maker } from './maker';
import { motorCleat } from './motor-cleat';
import { pailRing } from './pail-ring';
import { slideLift } from './slide-lift';
import { slottedBaffle } from './slotted-baffle';
import { wedgeLift } from './wedge-lift';

/** Everything that can be made from sheet and lumber around a collector. */
export const MAKERS = {
  drumLid,
  slottedBaffle,
  filterBox,
  pailRing,
  cycloneShelf,
  motorCleat,
  slideLift,
  wedgeLift,
  floorSweep,
  linerCage,
  collectorEnclosure,
  blastGate,
} as const;

export type MakerId = keyof typeof MAKERS;

/** Names of the sizes a maker takes. */
export type SizeOf<M extends MakerId> = keyof (typeof MAKERS)[M]['fields'];

/** A maker whose sizes are known by name only when it runs. */
export const makerOf = (id: MakerId): Maker<string> => MAKERS[id];
