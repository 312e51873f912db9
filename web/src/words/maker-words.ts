import type { MakerId, SizeOf } from '@frank-gauge/core/makers';

/** What a shop-made part is called, what it is for, and what its sizes are called. */
export type MakerWords = {
  readonly [M in MakerId]: {
    readonly name: string;
    readonly about: string;
    readonly sizes: Readonly<Record<SizeOf<M>, string>>;
  };
};

const ON_THE_WALL = {
  wall: 'Wall, by number',
  along: 'Left end, from the corner on the left',
  screw: 'Lag screw, diameter',
} as const;

export const MAKER_WORDS: MakerWords = {
  drumLid: {
    name: 'Lid for a drum',
    about:
      'Two rings hold the drum’s rim between them, with the gasket in the groove. On top: the opening for the cyclone, its bolts, and a window to see the level.',
    sizes: {
      drum: 'Drum, inside diameter',
      rim: 'Drum rim, thickness',
      board: 'Board, thickness',
      ring: 'Rings, width',
      gasket: 'Gasket, width',
      gasketHeight: 'Gasket, thickness',
      opening: 'Opening for the cyclone',
      boltCircle: 'Bolt circle, diameter',
      bolts: 'Bolts',
      bolt: 'Bolt holes, diameter',
      window: 'Window, 0 for none',
    },
  },
  slottedBaffle: {
    name: 'Slotted baffle',
    about:
      'A plate that hangs in the drum under its lid. Chips fall through the slot along the wall; what lies below is not stirred up again.',
    sizes: {
      drum: 'Drum, inside diameter',
      drumHeight: 'Drum, inside height',
      inlet: 'Inlet, diameter',
      drop: 'Plate, depth below the lid',
      slot: 'Slot, width',
      slotArc: 'Slot, arc',
      board: 'Plate, thickness',
      lid: 'Lid, thickness',
      rods: 'Threaded rods',
      rod: 'Rod, diameter',
    },
  },
  filterBox: {
    name: 'Filter box',
    about:
      'Between a blower and a filter that has no flange: the blower’s pipe goes into its side, the filter hangs under it, and a door lets you look in.',
    sizes: {
      filter: 'Filter, outside diameter',
      filterHeight: 'Filter, height',
      filterWeight: 'Filter, weight',
      bag: 'Bag under it, length',
      collar: 'Blower pipe, outside diameter',
      board: 'Board, thickness',
      gasket: 'Gasket, width',
      door: 'Door opening, width',
      doorHeight: 'Door opening, height',
      bracket: 'Brackets, height',
      ...ON_THE_WALL,
    },
  },
  pailRing: {
    name: 'Ring for a screw-lid pail',
    about:
      'Takes the place of the collector’s lower bag: a pail with a screw lid hangs in it, and chips slide in over a bevel.',
    sizes: {
      machineRing: 'Collector ring, outside diameter',
      pail: 'Pail lid, outside diameter',
      pailHeight: 'Pail, height',
      opening: 'Opening cut in the pail lid',
      bevel: 'Bevel, from upright',
      board: 'Board, thickness',
      ring: 'Rings, width',
      gasket: 'Gasket, width',
      screws: 'Screws in the pail lid',
      under: 'Collector ring, height above the floor',
    },
  },
  cycloneShelf: {
    name: 'Cyclone shelf and brackets',
    about: 'A shelf on the wall whose hole holds the cyclone by its flange.',
    sizes: {
      body: 'Cyclone body, outside diameter',
      flange: 'Cyclone flange, diameter',
      width: 'Shelf, width',
      depth: 'Shelf, depth',
      bracket: 'Brackets, height',
      board: 'Board, thickness',
      height: 'Shelf top, height above the floor',
      weight: 'Weight it carries',
      ...ON_THE_WALL,
    },
  },
  motorCleat: {
    name: 'Motor cleat',
    about: 'A doubled board across two studs or more, to which the blower’s bracket is bolted.',
    sizes: {
      length: 'Cleat, length',
      height: 'Cleat, height',
      board: 'Board, thickness of each layer',
      patternWidth: 'Bolt spacing, across',
      patternHeight: 'Bolt spacing, upward',
      bolt: 'Bolts, diameter',
      weight: 'Blower, weight',
      reach: 'Center of mass, out from the cleat',
      ...ON_THE_WALL,
      screwDepth: 'Lag screw, thread in the stud',
    },
  },
  slideLift: {
    name: 'Lift on drawer slides',
    about: 'A lever lifts the bin to its lid and lets it down to be rolled away.',
    sizes: {
      bin: 'Bin, outside diameter',
      weight: 'Bin, weight when full',
      travel: 'Travel',
      slide: 'Drawer slides, length',
      rating: 'Drawer slides, load rating',
      board: 'Board, thickness',
      lever: 'Lever, length',
    },
  },
  wedgeLift: {
    name: 'Lift on wedges',
    about: 'Two wedges, pushed in along the floor, lift the bin to its lid and hold it there.',
    sizes: {
      bin: 'Bin, outside diameter',
      weight: 'Bin, weight when full',
      travel: 'Travel',
      wedge: 'Wedges, length',
      wedgeThickness: 'Wedges, thickness',
      board: 'Board, thickness',
    },
  },
  floorSweep: {
    name: 'Floor sweep',
    about: 'A box on the floor to sweep into: a low, wide mouth with a flap, the pipe in its back.',
    sizes: {
      pipe: 'Pipe, outside diameter',
      mouth: 'Mouth, width',
      mouthHeight: 'Mouth, height',
      depth: 'Box, depth',
      board: 'Board, thickness',
    },
  },
  linerCage: {
    name: 'Liner cage and breather tubes',
    about:
      'The cage keeps the liner from being sucked up; the tubes let air under it, so that it does not stick when you pull it out.',
    sizes: {
      drum: 'Drum, inside diameter',
      drumHeight: 'Drum, inside height',
      hoops: 'Hoops',
      hoop: 'Hoops, width',
      board: 'Hoops, thickness',
      slats: 'Slats',
      slat: 'Slats, width',
      slatThickness: 'Slats, thickness',
      tubes: 'Breather tubes',
      tube: 'Tubes, outside diameter',
    },
  },
  collectorEnclosure: {
    name: 'Enclosure',
    about:
      'A lined box around the collector against its noise. The air comes back into the shop through furnace filters in one side.',
    sizes: {
      width: 'Clear inside, width',
      depth: 'Clear inside, depth',
      height: 'Clear inside, height',
      board: 'Board, thickness',
      lining: 'Lining, thickness',
      filters: 'Return filters',
      filterWidth: 'Return filter, width',
      filterHeight: 'Return filter, height',
      filterDepth: 'Return filter, depth',
      airflow: 'Most air the blower moves',
      pieceWidth: 'Largest piece, width',
      pieceHeight: 'Largest piece, height',
    },
  },
  blastGate: {
    name: 'Blast gate from sheet',
    about:
      'Two faces, two rails and a blade. Its foot is open, so that the blade pushes chips out of the slot.',
    sizes: {
      pipe: 'Pipe, outside diameter',
      board: 'Faces, thickness',
      blade: 'Blade, thickness',
      rail: 'Rails, width',
    },
  },
};

/** What is to be made, each behind its number: `1 Lid for a drum, 2 Filter box`. */
export const listWords = (list: readonly MakerId[]): string =>
  list.map((id, i) => `${i + 1} ${MAKER_WORDS[id].name}`).join(', ');

/** What a part is taken from, in lists. */
export const MATERIAL_WORDS = {
  sheet: 'plywood or MDF',
  'clear sheet': 'clear plastic',
  lining: 'acoustic lining',
  lumber: 'lumber',
  rod: 'threaded rod',
  pipe: 'plastic tube',
  bought: 'bought',
} as const;
