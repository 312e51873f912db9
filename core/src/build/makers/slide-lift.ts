import { GRAVITY } from '../../assembly/bracket';
import { facingFront, facingRight, lying, polygon, rectangle } from '../boards/board';
import { check, made, maker, metersOf, pieces, refuse, size } from './maker';
import { usualIn, usualTravel } from './maker-place';
import { type MakerSaying, says } from './sayings';

/** A drawer slide is so thick and so wide, m, and on end carries this share of its rating: estimates. */
const SLIDE = { thickness: 0.0127, width: 0.045 } as const;
export const ON_END = 0.25;
/** Room between the bin and what stands beside it, and between runner and fixed back, m: estimates. */
const ROOM = 0.005;
/** The lever's short arm, in travels; it swings as far up as down. */
const SHORT_ARM = 1.5;
/** What one pushes down on a lever without effort, N: an estimate. */
const HAND = 200;
/** What pairs of slides are rated for, kg: 100, 150, 225, 330 and 500 lb; common practice, no source. */
const RATINGS = [45, 68, 102, 150, 227] as const;

/** A deck on drawer slides that a lever lifts: the bin is pressed to its lid, and let down to be rolled away. */
export const slideLift = maker({
  fields: {
    bin: size(0.15, 1.5),
    weight: { kind: 'mass', min: 1, max: 500 },
    travel: size(0.005, 0.6),
    slide: size(0.1, 1.5),
    rating: { kind: 'mass', min: 1, max: 2000 },
    board: size(0.009, 0.05),
    lever: size(0.1, 2),
  },
  usual: (place) => {
    const { stands, fullBin, board } = place;
    const weight = Math.max(1, fullBin);
    return {
      bin: stands.sizes.bin.diameter,
      weight,
      travel: usualTravel(place, usualIn(place, 1, 0.025)),
      slide: usualIn(place, 12, 0.3),
      rating: RATINGS.find((rating) => weight <= ON_END * rating) ?? Math.max(...RATINGS),
      board,
      lever: usualIn(place, 30, 0.75),
    };
  },
  make: (sizes, place) => {
    const { bin, weight, travel, slide, rating, board, lever } = sizes;
    if (travel > slide / 2) {
      return refuse('travel', says('travel beyond the slides', { most: slide / 2, slide }));
    }
    const short = SHORT_ARM * travel;
    if (lever < 3 * short) {
      return refuse('lever', says('lever too short', { travel, short, least: 3 * short }));
    }
    const inside = bin + 2 * (board + ROOM);
    const width = inside + 2 * (board + SLIDE.thickness);
    const deckDepth = bin + 2 * ROOM;
    const gusset = Math.min(slide, deckDepth / 2);
    const panel = (name: string, across: number, tall: number, note?: MakerSaying) => ({
      name,
      material: 'sheet' as const,
      outline: rectangle(across, tall),
      holes: [],
      thickness: board,
      ...(note && { note }),
    });
    const runner = panel('runner', SLIDE.width, slide);
    const cheek = panel('cheek', SLIDE.width + ROOM, slide);
    const slideBody = {
      name: 'drawer slide',
      material: 'bought' as const,
      outline: rectangle(SLIDE.width, slide),
      holes: [],
      thickness: SLIDE.thickness,
    };
    const gussetBoard = {
      name: 'gusset',
      material: 'sheet' as const,
      outline: polygon([
        { x: deckDepth - gusset, y: 0 },
        { x: deckDepth, y: 0 },
        { x: deckDepth, y: gusset },
      ]),
      holes: [],
      thickness: board,
    };
    // From the wall to the front: fixed back, cheeks with slides and runners, moving back, deck.
    const cheekFront = -board - SLIDE.width - ROOM;
    const deckBack = cheekFront - board;
    const deckFront = deckBack - deckDepth;
    const sides = [
      { out: -1, cheek: 0, slide: board, runner: board + SLIDE.thickness },
      {
        out: 1,
        cheek: width - board,
        slide: width - board - SLIDE.thickness,
        runner: width - 2 * board - SLIDE.thickness,
      },
    ];
    const parts = sides.flatMap(({ out, ...x }) => [
      facingRight(cheek, { x: x.cheek, y: cheekFront, z: 0 }, { x: 0.12 * out, y: 0, z: 0 }),
      facingRight(slideBody, { x: x.slide, y: cheekFront, z: 0 }, { x: 0.06 * out, y: 0, z: 0 }),
      facingRight(runner, { x: x.runner, y: cheekFront, z: 0 }),
      facingRight(gussetBoard, { x: x.runner, y: deckFront, z: board }, { x: 0, y: -0.1, z: 0 }),
    ]);
    const start = board + SLIDE.thickness;
    const push = (weight * GRAVITY * short) / (lever - short);
    return made({
      parts: [
        facingFront(
          panel('fixed back', width, slide, says('cheek to the studs')),
          { x: 0, y: 0, z: 0 },
          { x: 0, y: 0.12, z: 0 },
        ),
        facingFront(
          panel('moving back', inside, slide),
          { x: start, y: cheekFront, z: 0 },
          { x: 0, y: -0.06, z: 0 },
        ),
        lying(
          panel('deck', inside, deckDepth, says('beveled deck')),
          { x: start, y: deckFront, z: 0 },
          { x: 0, y: -0.1, z: -0.06 },
        ),
        ...parts,
      ],
      bought: [
        pieces(says('drawer slides', { slide }), 1),
        metersOf(says('lever wood'), lever),
        pieces(says('lever pivot'), 1),
      ],
      checks: [
        check(
          'clear',
          says('travel of the bin'),
          travel,
          'at least',
          place.collector.assembly.lid.lip,
        ),
        check(
          'carry',
          says('full bin on the slides'),
          weight / (ON_END * rating),
          'at most',
          1,
          'ratio',
        ),
        check('carry', says('force on the lever'), push / HAND, 'at most', 1, 'ratio'),
      ],
      steps: [
        says('screw the slides'),
        says('screw the back'),
        says('set the pivot', { short }),
        says('keep feet out'),
      ],
    });
  },
});
