import type { MakerSaying, MakerSayingId, MakerSayings } from '@frank-gauge/core/makers';
import { formatShort, type UnitSystem } from '@frank-gauge/core/quantity';
import { oneStop } from './one-stop';
import { rulerLength } from './tape-length';

type Words = {
  readonly [Id in MakerSayingId]:
    | string
    | ((numbers: MakerSayings[Id], say: (length: number) => string) => string);
};

const WORDS: Words = {
  // blast-gate
  'rail too narrow for its screws': ({ rail, blade, least }, say) =>
    `A rail ${say(rail)} wide cannot be screwed on beside a blade of ${say(blade)}. Make it at least ${say(least)}.`,
  'face hole': ({ hole, above }, say) =>
    `hole ${say(hole)}, its center ${say(above)} above the foot`,
  'shims for the rails': 'shims of card under the rails, so that the blade slides',
  'screws for the gate': 'screws through face, rails and face',
  'stubs or collars': 'pipe stubs, or printed collars, glued into the faces',
  'stop screw': 'screw in the blade as a stop',
  'blade left in its slot': 'Length of the open blade that stays in its slot',
  'overlap of the shut blade': 'Overlap of the shut blade around the hole',
  'bend of the shut blade': 'Bend of the shut blade at the blower’s highest suction',
  'cut both faces together':
    'Clamp both faces together and cut their holes in one go, so that they line up.',
  'screw the rails':
    'Screw the rails between the faces with a strip of card on each, and try the blade: it slides by hand and does not rattle.',
  'leave the foot open':
    'Leave the foot open: chips that get into the slot are pushed out when the gate shuts.',
  'glue the stubs':
    'Glue a stub of pipe into each face, flush inside, and put the stop screw where the open blade clears the hole.',

  // cyclone-shelf
  'flange slips through': ({ flange, least }, say) =>
    `A flange of ${say(flange)} would slip through the hole. It needs at least ${say(least)}.`,
  'shelf too narrow': ({ least }, say) =>
    `The brackets would touch the cyclone. Make the shelf at least ${say(least)} wide.`,
  'shelf too shallow': ({ hole, least }, say) =>
    `Too little wood is left around a hole of ${say(hole)}. Make the shelf at least ${say(least)} deep.`,
  'brackets too low for two rows': ({ least }, say) =>
    `Two rows of lag screws need brackets at least ${say(least)} high.`,
  'shelf hole': ({ hole, front }, say) =>
    `hole ${say(hole)}, its center ${say(front)} from the front`,
  'screws at the studs': ({ screw }, say) => `lag screws of ${say(screw)} at the studs`,
  'lag screws for the shelf': ({ screw, thread }, say) =>
    `lag screws of ${say(screw)} with washers, ${say(thread)} of thread in the stud`,
  'wood screws for the shelf': 'wood screws for shelf, brackets and back board',
  'height of the shelf': 'Height of the shelf, to hold the cyclone over its lid',
  'top of what stands on the shelf': 'Top of what stands on the shelf',
  'rest of the flange': 'Width of the flange that rests on the shelf, each side',
  'cut the shelf hole': 'Cut the hole so that the cyclone’s flange rests all around on the shelf.',
  'glue the brackets':
    'Glue and screw the brackets under the shelf and to the back board, at its ends.',
  'check the studs':
    'Check the studs with a finder or a thin nail before you drill: the drawing counts them from the corner.',
  'find the studs':
    'The studs of this wall are not known: find them, and drill where they are. The drawing shows them where they usually stand.',
  'hang the shelf': ({ top, shake }, say) =>
    `Hang it with its top ${say(top)} above the floor. The check counts ${shake} times the weight, to allow for shaking.`,

  // drum-lid
  'lid ring narrower than its gasket': ({ ring, gasket }, say) =>
    `A ring ${say(ring)} wide is narrower than its gasket of ${say(gasket)}: it would bend away from it. Make it ${say(gasket)} or wider.`,
  'gasket wider than its groove': ({ groove, gasket }, say) =>
    `The groove between the rings is ${say(groove)} wide: a gasket of ${say(gasket)} does not fit into it.`,
  'gasket fills its groove': ({ board, most }, say) =>
    `The gasket fills the groove, which is only as deep as the board (${say(board)}). Use a gasket of at most ${say(most)}.`,
  'bolts too near the opening': ({ opening, least }, say) =>
    `The bolts would come too near the opening of ${say(opening)}. Use a circle of at least ${say(least)}.`,
  'no room for opening and bolts': ({ opening }, say) =>
    `There is no room within the rings for an opening of ${say(opening)} with bolts around it.`,
  'bolts meet the inner ring': ({ most }, say) =>
    `The bolts would meet the inner ring. Use a circle of at most ${say(most)}.`,
  'window too wide': ({ most }, say) =>
    `Between what stands on the lid and the inner ring there is room for a window of at most ${say(most)}. Type 0 for none.`,
  'no room for a window':
    'There is no room for a window between what stands on the lid and the inner ring. Type 0 for none.',
  'lid bolt holes': ({ bolts, bolt, circle }, say) =>
    `${bolts} holes of ${say(bolt)} on a circle of ${say(circle)}`,
  'lid gasket': ({ width, height }, say) => `gasket, ${say(width)} × ${say(height)}`,
  'lid bolts': ({ bolt }, say) => `bolts of ${say(bolt)} with washers and nuts`,
  'lid latches': 'latches, or a band clamp around the outer ring',
  'lid silicone': 'silicone bead, under what stands on the lid and around the window',
  'depth of the rim': 'Depth of the rim in the groove',
  'drop of the bin': 'How far the bin drops, to free its rim from the groove',
  'bend of the lid': 'Bend of the lid at the blower’s highest suction',
  'cut lid and rings':
    'Cut the lid and both rings; keep the drum at hand and try its rim between the rings before you glue.',
  'glue the lid rings':
    'Glue and screw the inner ring under the lid, then the outer ring around the rim of the drum.',
  'press the gasket in':
    'Press the gasket into the floor of the groove, its ends butted, and let the drum’s rim close on it.',
  'set the window':
    'Set the pane over the window in silicone, and let it cure before the blower runs.',
  'note every emptying':
    'Without a window, note every emptying: the level is worked out from them.',

  // enclosure
  'return filter wider than the side': ({ filter, most }, say) =>
    `With its frame, a filter of ${say(filter)} is wider than the side. Use one of at most ${say(most)}.`,
  'too many return filters': ({ filters, filter, side, most }, say) =>
    `${filters} filters of ${say(filter)}, one above another, do not fit into a side ${say(side)} high. Use at most ${most}.`,
  'return openings': ({ width, height }, say) => `openings ${say(width)} × ${say(height)}`,
  'piece cuts through a filter': ({ filter, least }, say) =>
    `A seam would go through the opening for a filter of ${say(filter)}. Make the largest piece at least ${say(least)}.`,
  'hinged door': 'hinged at one side, gasket all around',
  'return filters': ({ width, height, depth }, say) =>
    `return filters, ${say(width)} × ${say(height)} × ${say(depth)}`,
  'turn buttons': 'turn buttons that hold the filters',
  'door gasket': 'gasket around the door',
  'door hinges': 'hinges for the door',
  'front gasket': 'gasket around the pieces of the front',
  'front latches': 'latches, four for each piece of the front',
  'battens over the seams': 'battens, about 3 in. (75 mm) wide, over the seams',
  'door latches': 'latches for the door',
  'width inside': 'Width inside, for what stands there',
  'depth inside': 'Depth inside',
  'height inside': 'Height inside',
  'top of the enclosure': 'Top of the enclosure',
  'air through the return': 'Air speed through the return filters at the most the blower moves',
  'join the pieces':
    'Join the pieces of each panel edge to edge, with glue and a batten over the seam on the outside; stop it short where a filter’s frame stands. On the front leave the pieces apart.',
  'stand up the panels':
    'Stand sides and back on the floor on a strip of foam, screw them together, and lay the top on them.',
  'latch on the front':
    'Set battens across the opening in front where its pieces meet, and fasten them to sides, top and floor. Each piece closes against them on its gasket, held by a latch near each corner.',
  'glue the lining': 'Glue the lining in edge to edge: any bare or open spot lets the noise out.',
  'frame the filters':
    'Screw the strips around each opening so that the filter stands on its edge; turn buttons hold it.',
  'cool the motor':
    'Leave the motor room for its cooling air, and keep anything hot or burning out of the box.',

  // filter-box
  'gasket leaves too small an opening': ({ gasket, filter, most }, say) =>
    `A gasket of ${say(gasket)} leaves too small an opening into a filter of ${say(filter)}. Use at most ${say(most)}.`,
  'door too wide': ({ most }, say) =>
    `The door and its gasket would reach beyond the front. Make the opening at most ${say(most)} wide.`,
  'door too high': ({ most }, say) =>
    `The door and its gasket would reach beyond the front. Make the opening at most ${say(most)} high.`,
  'no room for a door': ({ gasket, front }, say) =>
    `With a gasket of ${say(gasket)} there is no room for a door in a front ${say(front)} high. Use a larger collar or a narrower gasket.`,
  'box opening': ({ opening }, say) => `opening ${say(opening)} in the middle`,
  'collar hole': ({ collar }, say) => `hole ${say(collar)} for the blower’s pipe`,
  'door opening': ({ width, height }, say) =>
    `opening ${say(width)} × ${say(height)} in the middle`,
  'gasket around the door': ({ gasket }, say) => `gasket, ${say(gasket)} wide, around the door`,
  'gasket on the filter’s rim': ({ gasket }, say) =>
    `gasket, ${say(gasket)} wide, on the filter’s rim`,
  'silicone inside the box': 'silicone bead along all edges inside',
  'lag screws for the box': ({ screw }, say) => `lag screws of ${say(screw)} with washers`,
  'box latches': 'over-center latches: two for the door, three for the filter',
  'underside of the box': 'Height of the underside above the floor, for filter and bag',
  'top of the brackets': 'Top of the brackets',
  'bulge of the sides': 'Bulge of the sides under the blower’s pressure',
  'glue the box':
    'Glue and screw bottom, sides, back and front, then the top; run silicone along every edge inside.',
  'glue the filter ring':
    'Glue the ring under the bottom around its opening: the filter’s rim stands in it on the gasket, and latches hold it up.',
  'lay the door gasket':
    'Lay the gasket around the door’s opening. A leak here blows fine dust into the shop: look along it with a strong lamp in the dark.',
  'hang the box': ({ underside }, say) =>
    `Screw the rail to the studs, and the brackets to the rail and the top. The underside is then ${say(underside)} above the floor.`,

  // floor-sweep
  'mouth too narrow for the pipe': ({ least }, say) =>
    `The pipe does not fit between the sides. Make the mouth at least ${say(least)} wide.`,
  'mouth too high': ({ most }, say) =>
    `The mouth would be as high as the back, where the pipe goes in. Make it at most ${say(most)}.`,
  'sweep too shallow': ({ least }, say) =>
    `The box is too shallow. Make it at least ${say(least)} deep.`,
  'back hole': ({ hole }, say) => `hole ${say(hole)}, in the middle`,
  'sloping ends': ({ degrees }) => `its ends fit closer if cut ${degrees}° off square`,
  'flap hinge': 'hinge or leather strip for the flap',
  'gate ahead of the sweep': 'blast gate ahead of it, shut when nobody sweeps',
  'sweep screws': 'screws',
  'area of the mouth': 'Area of the mouth, as a share of the pipe’s',
  'screw the sweep':
    'Screw the sides to the back, the sloping top between them, tight at the back.',
  'hinge the flap':
    'Hinge the flap at the top of the mouth: it hangs shut, and is kicked up to sweep.',
  'keep metal out':
    'Put nails, screws and cut-offs in the trash; a magnet or a coarse grille across the mouth keeps metal out of the blower.',

  // liner-cage
  'more tubes than slats': ({ most }) =>
    `Each tube stands between two slats, so there can be at most ${most}.`,
  'hoops leave no opening': ({ hoop, most }, say) =>
    `Hoops ${say(hoop)} wide leave no opening. Make them at most ${say(most)}.`,
  'no room for tubes': ({ slats, slat, most }, say) =>
    `${slats} slats of ${say(slat)} leave no room for tubes between them. Use at most ${most}.`,
  'too many hoops': ({ hoops, board, drum }, say) =>
    `${hoops} hoops of ${say(board)} do not fit into a drum ${say(drum)} high.`,
  'slanted ends': 'both ends cut slanted, so that nothing closes them',
  'slat screws': 'short screws, slats to hoops',
  'gap between slats': 'Gap between two slats, where the liner bows in',
  'opening through the hoops': 'Opening through the hoops, as a share of the drum’s area',
  'screw the slats': 'Screw the slats around the hoops, heads sunk: nothing may catch the liner.',
  'stand tubes and liner':
    'Stand the tubes in the drum against its wall, open at the foot, then the liner inside them, then the cage inside the liner.',
  'fold the liner':
    'Fold the liner over the rim under the lid’s gasket, and let the tubes end inside, under the lid: then the air below the liner is drawn off with the air above it.',
  'take the cage out':
    'To empty, take out the cage first; the tubes let air in while the liner is pulled.',

  // motor-cleat
  'bolts beyond the ends': ({ most }, say) =>
    `The bolts would come out at the board’s ends. Space them at most ${say(most)} apart.`,
  'bolts beyond the edges': ({ most }, say) =>
    `The bolts would come out at the board’s edges. Space them at most ${say(most)} apart.`,
  'bolt meets a lag screw': ({ apart, shift }, say) =>
    `A bolt would meet a lag screw at a stud (${say(apart)} between them): move the cleat ${say(shift)} to the side, or choose another bolt pattern.`,
  'counterbored behind': 'counterbore the bolts’ heads from behind',
  'bolts to the front': 'bolts come through to the front',
  'lag screws for the cleat': ({ screw, long }, say) =>
    `lag screws of ${say(screw)}, ${say(long)} long or a little more`,
  'blower bolts': ({ bolt }, say) =>
    `bolts of ${say(bolt)}, washers, lock nuts; rubber washers against noise`,
  'wood between bolt and screw': 'Wood between a bolt and the nearest lag screw',
  'glue the layers': 'Glue both layers together, then drill them as one.',
  'bolts from behind':
    'Put the bolts through from behind before the cleat goes on the wall: their heads are out of reach later.',
  'two lift the blower': ({ shake }) =>
    `Two people lift the blower. The check counts ${shake} times its weight, to allow for shaking.`,

  // pail-ring
  'ring narrower than its gasket': ({ ring, gasket }, say) =>
    `A ring ${say(ring)} wide is narrower than its gasket of ${say(gasket)}. Make it ${say(gasket)} or wider.`,
  'opening leaves no lid': ({ opening, most }, say) =>
    `An opening of ${say(opening)} leaves nothing of the lid to screw to the ring. Make it at most ${say(most)}.`,
  'bevel too wide': ({ wide }, say) =>
    `The bevel would be ${say(wide)} wide at the top, wider than the collector’s ring. Use a steeper bevel or a smaller opening.`,
  'bevel of the plate': ({ wide, degrees }, say) =>
    `bevel the opening to ${say(wide)} on the upper face, ${degrees}° from upright`,
  'plate gasket': ({ gasket }, say) =>
    `gasket, ${say(gasket)} wide, where the collector’s ring stands on the plate`,
  'pail lid screws': 'screws with washers through the pail’s lid',
  'pail latches': 'latches, or the bag’s own strap around the outer ring',
  'height under the ring': 'Height under the collector’s ring',
  'lid left around the opening': 'Lid left around the opening',
  'full pail on its screws': 'Full pail, as a share of what its screws hold',
  'screw on the pail’s lid':
    'Cut the middle out of the pail’s lid, and screw the lid into the inner ring under the plate, in a bead of silicone.',
  'bevel the opening': 'Bevel the opening so that chips slide and do not lie on an edge.',
  'glue the outer ring':
    'Glue the outer ring on the plate, lay the gasket inside it, and latch it up to the collector’s ring.',
  'let the pail stand':
    'The pail hangs by its thread: let it stand on the floor where there is room for it.',

  // slide-lift
  'travel beyond the slides': ({ most, slide }, say) =>
    `Half of each slide has to stay in its rail. With slides of ${say(slide)} the travel can be at most ${say(most)}.`,
  'lever too short': ({ travel, short, least }, say) =>
    `To lift ${say(travel)}, the lever’s short arm is about ${say(short)}. Use a lever of at least ${say(least)}.`,
  'cheek to the studs': 'screwed to studs or to a stand',
  'beveled deck': 'bevel its front edge, so that casters roll on',
  'drawer slides': ({ slide }, say) => `pair of drawer slides, ${say(slide)}, rated for the load`,
  'lever wood': 'hardwood for the lever',
  'lever pivot': 'pivot bolt for the lever, and a hook that holds it down',
  'travel of the bin': 'Travel, to part the bin from its lid',
  'full bin on the slides': 'Full bin, as a share of what the slides carry on end',
  'force on the lever': 'Force on the lever, as a share of an easy push',
  'screw the slides':
    'Screw the slides to the cheeks and the runners, upright and exactly parallel: set on end, they bind before they bend.',
  'screw the back':
    'Screw the moving back to the runners, the deck to its foot, and the gussets into the corner.',
  'set the pivot': ({ short }, say) =>
    `Set the lever’s pivot ${say(short)} from where it lifts the deck, and hook its end down so that the bin’s weight cannot lower it.`,
  'keep feet out': 'Keep feet and fingers out from under the deck.',

  // slotted-baffle
  'inlet too wide for the drum': ({ inlet, most }, say) =>
    `An inlet of ${say(inlet)} is nearly half as wide as the drum. Use at most ${say(most)}, or a wider drum.`,
  'plate above the inlet': ({ inlet }, say) =>
    `The inlet reaches ${say(inlet)} below the lid. Hang the plate at least that low.`,
  'too little left for dust': ({ below, least }, say) =>
    `Only ${say(below)} would be left for dust under the plate. Use a drum at least ${say(least)} high.`,
  'slot leaves no plate': ({ slot }, say) => `A slot of ${say(slot)} leaves no plate to hang.`,
  'slot and rods': ({ slot, degrees, rods }, say) =>
    `slot ${say(slot)} wide over ${degrees}° of arc; ${rods} holes for rods`,
  'rod nuts': 'nuts and washers for the rods, four to each',
  'height left for dust': 'Height left for dust under the plate',
  'area of the slot': 'Area of the slot, as a share of the inlet’s',
  'solid plate after the entry': 'Solid plate from the middle of the entry on',
  'cut the plate':
    'Cut the plate to the drum’s inside, then cut the slot’s edge: the solid side has to close against the wall.',
  'hang the plate':
    'Hang it from the lid on the rods, with a nut above and below each board, so that you can level it.',
  'turn the plate': ({ drop }, say) =>
    `Set it ${say(drop)} under the lid. Turn it so that the air from the inlet lands on the solid side and meets the slot later.`,
  'empty in time':
    'Empty the drum before the dust reaches the plate: above it nothing is separated.',

  // wedge-lift
  'wedge longer than the deck': ({ most }, say) =>
    `A wedge longer than the deck would stick out. Make it at most ${say(most)}.`,
  'wedges slide back': ({ wedge, most }, say) =>
    `Wedges of ${say(wedge)} would slide back by themselves. Lift at most ${say(most)}, or use longer wedges.`,
  'wedges too thick': ({ thick, deck }, say) =>
    `Two pairs of wedges ${say(thick)} thick do not fit under a deck of ${say(deck)}.`,
  'wedge heights': ({ thin, thick }, say) => `${say(thin)} to ${say(thick)} high`,
  'wedge handle': 'batten that joins both sliding wedges, as a handle',
  'wedge battens': 'battens on the base, beside the sliding wedges',
  'wedge wax': 'candle to wax all slopes with, or slippery tape',
  'slope of the wedges': 'Slope, so that the wedges stay where they are pushed',
  'force on the handle': 'Force on the handle, as a share of an easy push',
  'saw the wedges':
    'Saw each pair of wedges from one board with a single slanted cut: their slopes then match.',
  'screw the runners':
    'Screw the runners under the deck, slope down, and the battens on the base beside the sliding wedges, with a little play.',
  'join the wedges': ({ pushed, travel }, say) =>
    `Join the sliding wedges with the handle. Pushed in by ${say(pushed)} they lift the deck ${say(travel)}.`,
  'stop the deck':
    'Screw a block to the base at the deck’s far end, so that the deck does not slide along.',

  // on-studs
  'wall not there': ({ walls }) => `The room has walls 1 to ${walls}.`,
  'fewer than two studs': ({ from, to, wall, stud, start }, say) => {
    const there =
      stud === null ? 'there is no stud' : `there is only one stud, ${say(stud)} from the corner`;
    const instead =
      start === null
        ? 'a longer board is needed to meet two'
        : `starting at ${say(start)} it meets two`;
    return `Between ${say(from)} and ${say(to)} on wall ${wall} ${there}; ${instead}.`;
  },
  'pull on the upper screws': 'Pull on the upper screws, as a share of what they hold',
  'weight on all screws': 'Weight on all screws, as a share of what they hold',
};

/** What is said of a shop-made part, its lengths as on a ruler. */
export function makerWords<Id extends MakerSayingId>(
  saying: MakerSaying<Id>,
  system: UnitSystem,
): string {
  return inWords(saying, (length) => rulerLength(length, system));
}

/** Why sizes make nothing, its lengths to the last place: what is typed has to keep to them. */
export function makerReason<Id extends MakerSayingId>(
  saying: MakerSaying<Id>,
  system: UnitSystem,
): string {
  return inWords(saying, (length) => formatShort(length, 'diameter', system));
}

function inWords<Id extends MakerSayingId>(
  { id, numbers }: MakerSaying<Id>,
  say: (length: number) => string,
): string {
  const words: Words[Id] = WORDS[id];
  return typeof words === 'string' ? words : oneStop(words(numbers, say));
}
