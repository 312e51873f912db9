/** No numbers in it. */
type Nothing = Readonly<Record<never, never>>;

/**
 * Everything there is to say of shop-made parts, by a name, with the numbers in it: lengths in m, else counts and
 * degrees. The words stand in `web`.
 */
export interface MakerSayings {
  // blast-gate
  'rail too narrow for its screws': { rail: number; blade: number; least: number };
  'face hole': { hole: number; above: number };
  'shims for the rails': Nothing;
  'screws for the gate': Nothing;
  'stubs or collars': Nothing;
  'stop screw': Nothing;
  'blade left in its slot': Nothing;
  'overlap of the shut blade': Nothing;
  'bend of the shut blade': Nothing;
  'cut both faces together': Nothing;
  'screw the rails': Nothing;
  'leave the foot open': Nothing;
  'glue the stubs': Nothing;

  // cyclone-shelf
  'flange slips through': { flange: number; least: number };
  'shelf too narrow': { least: number };
  'shelf too shallow': { hole: number; least: number };
  'brackets too low for two rows': { least: number };
  'shelf hole': { hole: number; front: number };
  'screws at the studs': { screw: number };
  'lag screws for the shelf': { screw: number; thread: number };
  'wood screws for the shelf': Nothing;
  'height of the shelf': Nothing;
  'top of what stands on the shelf': Nothing;
  'rest of the flange': Nothing;
  'cut the shelf hole': Nothing;
  'glue the brackets': Nothing;
  'check the studs': Nothing;
  'find the studs': Nothing;
  'hang the shelf': { top: number; shake: number };

  // drum-lid
  'lid ring narrower than its gasket': { ring: number; gasket: number };
  'gasket wider than its groove': { groove: number; gasket: number };
  'gasket fills its groove': { board: number; most: number };
  'bolts too near the opening': { opening: number; least: number };
  'no room for opening and bolts': { opening: number };
  'bolts meet the inner ring': { most: number };
  'window too wide': { most: number };
  'no room for a window': Nothing;
  'lid bolt holes': { bolts: number; bolt: number; circle: number };
  'lid gasket': { width: number; height: number };
  'lid bolts': { bolt: number };
  'lid latches': Nothing;
  'lid silicone': Nothing;
  'depth of the rim': Nothing;
  'drop of the bin': Nothing;
  'bend of the lid': Nothing;
  'cut lid and rings': Nothing;
  'glue the lid rings': Nothing;
  'press the gasket in': Nothing;
  'set the window': Nothing;
  'note every emptying': Nothing;

  // enclosure
  'return filter wider than the side': { filter: number; most: number };
  'too many return filters': { filters: number; filter: number; side: number; most: number };
  'return openings': { width: number; height: number };
  'piece cuts through a filter': { filter: number; least: number };
  'hinged door': Nothing;
  'return filters': { width: number; height: number; depth: number };
  'turn buttons': Nothing;
  'door gasket': Nothing;
  'door hinges': Nothing;
  'front gasket': Nothing;
  'front latches': Nothing;
  'battens over the seams': Nothing;
  'door latches': Nothing;
  'width inside': Nothing;
  'depth inside': Nothing;
  'height inside': Nothing;
  'top of the enclosure': Nothing;
  'air through the return': Nothing;
  'join the pieces': Nothing;
  'stand up the panels': Nothing;
  'latch on the front': Nothing;
  'glue the lining': Nothing;
  'frame the filters': Nothing;
  'cool the motor': Nothing;

  // filter-box
  'gasket leaves too small an opening': { gasket: number; filter: number; most: number };
  'door too wide': { most: number };
  'door too high': { most: number };
  'no room for a door': { gasket: number; front: number };
  'box opening': { opening: number };
  'collar hole': { collar: number };
  'door opening': { width: number; height: number };
  'gasket around the door': { gasket: number };
  'gasket on the filter’s rim': { gasket: number };
  'silicone inside the box': Nothing;
  'lag screws for the box': { screw: number };
  'box latches': Nothing;
  'underside of the box': Nothing;
  'top of the brackets': Nothing;
  'bulge of the sides': Nothing;
  'glue the box': Nothing;
  'glue the filter ring': Nothing;
  'lay the door gasket': Nothing;
  'hang the box': { underside: number };

  // floor-sweep
  'mouth too narrow for the pipe': { least: number };
  'mouth too high': { most: number };
  'sweep too shallow': { least: number };
  'back hole': { hole: number };
  'sloping ends': { degrees: number };
  'flap hinge': Nothing;
  'gate ahead of the sweep': Nothing;
  'sweep screws': Nothing;
  'area of the mouth': Nothing;
  'screw the sweep': Nothing;
  'hinge the flap': Nothing;
  'keep metal out': Nothing;

  // liner-cage
  'more tubes than slats': { most: number };
  'hoops leave no opening': { hoop: number; most: number };
  'no room for tubes': { slats: number; slat: number; most: number };
  'too many hoops': { hoops: number; board: number; drum: number };
  'slanted ends': Nothing;
  'slat screws': Nothing;
  'gap between slats': Nothing;
  'opening through the hoops': Nothing;
  'screw the slats': Nothing;
  'stand tubes and liner': Nothing;
  'fold the liner': Nothing;
  'take the cage out': Nothing;

  // motor-cleat
  'bolts beyond the ends': { most: number };
  'bolts beyond the edges': { most: number };
  'bolt meets a lag screw': { apart: number; shift: number };
  'counterbored behind': Nothing;
  'bolts to the front': Nothing;
  'lag screws for the cleat': { screw: number; long: number };
  'blower bolts': { bolt: number };
  'wood between bolt and screw': Nothing;
  'glue the layers': Nothing;
  'bolts from behind': Nothing;
  'two lift the blower': { shake: number };

  // pail-ring
  'ring narrower than its gasket': { ring: number; gasket: number };
  'opening leaves no lid': { opening: number; most: number };
  'bevel too wide': { wide: number };
  'bevel of the plate': { wide: number; degrees: number };
  'plate gasket': { gasket: number };
  'pail lid screws': Nothing;
  'pail latches': Nothing;
  'height under the ring': Nothing;
  'lid left around the opening': Nothing;
  'full pail on its screws': Nothing;
  'screw on the pail’s lid': Nothing;
  'bevel the opening': Nothing;
  'glue the outer ring': Nothing;
  'let the pail stand': Nothing;

  // slide-lift
  'travel beyond the slides': { most: number; slide: number };
  'lever too short': { travel: number; short: number; least: number };
  'cheek to the studs': Nothing;
  'beveled deck': Nothing;
  'drawer slides': { slide: number };
  'lever wood': Nothing;
  'lever pivot': Nothing;
  'travel of the bin': Nothing;
  'full bin on the slides': Nothing;
  'force on the lever': Nothing;
  'screw the slides': Nothing;
  'screw the back': Nothing;
  'set the pivot': { short: number };
  'keep feet out': Nothing;

  // slotted-baffle
  'inlet too wide for the drum': { inlet: number; most: number };
  'plate above the inlet': { inlet: number };
  'too little left for dust': { below: number; least: number };
  'slot leaves no plate': { slot: number };
  'slot and rods': { slot: number; degrees: number; rods: number };
  'rod nuts': Nothing;
  'height left for dust': Nothing;
  'area of the slot': Nothing;
  'solid plate after the entry': Nothing;
  'cut the plate': Nothing;
  'hang the plate': Nothing;
  'turn the plate': { drop: number };
  'empty in time': Nothing;

  // wedge-lift
  'wedge longer than the deck': { most: number };
  'wedges slide back': { wedge: number; most: number };
  'wedges too thick': { thick: number; deck: number };
  'wedge heights': { thin: number; thick: number };
  'wedge handle': Nothing;
  'wedge battens': Nothing;
  'wedge wax': Nothing;
  'slope of the wedges': Nothing;
  'force on the handle': Nothing;
  'saw the wedges': Nothing;
  'screw the runners': Nothing;
  'join the wedges': { pushed: number; travel: number };
  'stop the deck': Nothing;

  // on-studs
  'wall not there': { walls: number };
  /** Positions from the corner, m; no stud behind the board: null; no place where it meets two: null. */
  'fewer than two studs': {
    from: number;
    to: number;
    wall: number;
    stud: number | null;
    start: number | null;
  };
  'pull on the upper screws': Nothing;
  'weight on all screws': Nothing;
}

export type MakerSayingId = keyof MakerSayings;

/** One of them, with its numbers. */
export interface MakerSaying<Id extends MakerSayingId = MakerSayingId> {
  readonly id: Id;
  readonly numbers: MakerSayings[Id];
}

type WithoutNumbers = {
  [Id in MakerSayingId]: Nothing extends MakerSayings[Id] ? Id : never;
}[MakerSayingId];

export function says<Id extends WithoutNumbers>(id: Id): MakerSaying<Id>;
export function says<Id extends MakerSayingId>(id: Id, numbers: MakerSayings[Id]): MakerSaying<Id>;
export function says<Id extends MakerSayingId>(
  id: Id,
  numbers: Partial<MakerSayings[Id]> = {},
): MakerSaying<Id> {
  return { id, numbers: numbers as MakerSayings[Id] };
}
