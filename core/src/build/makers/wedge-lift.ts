import { GRAVITY } from '../../assembly/bracket';
import { lying, type PlacedBoard, polygon, rectangle } from '../boards/board';
import { check, made, maker, metersOf, pieces, refuse, size } from './maker';
import { usualIn, usualTravel } from './maker-place';
import { says } from './sayings';

/** Waxed wood on wood, coefficient of friction: an estimate. */
export const FRICTION = 0.2;
/** What one pushes along the floor without effort, N: an estimate. */
const HAND = 250;
/** A wedge's thin end, m. */
const TIP = 0.012;
/** Room around the bin on its deck, m. */
const EDGE = 0.015;

/** A deck on two wedges: pushed in they lift the bin to its lid, pulled out they let it down. They hold by friction. */
export const wedgeLift = maker({
  fields: {
    bin: size(0.15, 1.5),
    weight: { kind: 'mass', min: 1, max: 500 },
    travel: size(0.005, 0.3),
    wedge: size(0.1, 2),
    wedgeThickness: size(0.015, 0.1),
    board: size(0.009, 0.05),
  },
  usual: (place) => {
    const { stands, fullBin, board } = place;
    return {
      bin: stands.sizes.bin.diameter,
      weight: Math.max(1, fullBin),
      travel: usualTravel(place, usualIn(place, 0.5, 0.012)),
      wedge: stands.sizes.bin.diameter,
      wedgeThickness: 2 * board,
      board,
    };
  },
  make: ({ bin, weight, travel, wedge, wedgeThickness, board }, place) => {
    const deck = bin + 2 * EDGE;
    if (wedge > deck) {
      return refuse('wedge', says('wedge longer than the deck', { most: deck }));
    }
    // Half of each wedge stays under its mate when the bin is up.
    const angle = Math.atan2(2 * travel, wedge);
    const steepest = Math.atan(FRICTION);
    if (angle >= steepest) {
      return refuse('travel', says('wedges slide back', { wedge, most: (FRICTION * wedge) / 2 }));
    }
    if (4 * wedgeThickness > deck) {
      return refuse('wedgeThickness', says('wedges too thick', { thick: wedgeThickness, deck }));
    }
    const high = TIP + 2 * travel;
    const panel = (name: string) => ({
      name,
      material: 'sheet' as const,
      outline: rectangle(deck, deck),
      holes: [],
      thickness: board,
    });
    const wedgeBoard = (name: string) => ({
      name,
      material: 'lumber' as const,
      outline: polygon([
        { x: 0, y: 0 },
        { x: wedge, y: 0 },
        { x: wedge, y: high },
        { x: 0, y: TIP },
      ]),
      holes: [],
      thickness: wedgeThickness,
      note: says('wedge heights', { thin: TIP, thick: high }),
    });
    // Runners lie on the wedges upside down: slope on slope.
    const depths = [deck / 4, (3 * deck) / 4].map((y) => y + wedgeThickness / 2);
    const pairs = depths.flatMap((y): PlacedBoard[] => [
      {
        board: wedgeBoard('wedge that slides'),
        at: { x: 0, y, z: board },
        x: { x: 1, y: 0, z: 0 },
        y: { x: 0, y: 0, z: 1 },
        apart: { x: 0, y: 0, z: 0.04 },
      },
      {
        board: wedgeBoard('runner under the deck'),
        at: { x: wedge, y, z: board + TIP + high },
        x: { x: -1, y: 0, z: 0 },
        y: { x: 0, y: 0, z: -1 },
        apart: { x: 0, y: 0, z: 0.12 },
      },
    ]);
    const friction = Math.atan(FRICTION);
    const push = weight * GRAVITY * (Math.tan(angle + friction) + FRICTION);
    return made({
      parts: [
        lying(panel('base'), { x: 0, y: 0, z: 0 }),
        ...pairs,
        lying(panel('deck'), { x: 0, y: 0, z: board + TIP + high }, { x: 0, y: 0, z: 0.2 }),
      ],
      bought: [
        metersOf(says('wedge handle'), deck),
        metersOf(says('wedge battens'), 4 * wedge),
        pieces(says('wedge wax'), 1),
      ],
      checks: [
        check(
          'clear',
          says('travel of the bin'),
          travel,
          'at least',
          place.collector.assembly.lid.lip,
        ),
        check('carry', says('slope of the wedges'), angle, 'at most', steepest, 'angle'),
        check('carry', says('force on the handle'), push / HAND, 'at most', 1, 'ratio'),
      ],
      steps: [
        says('saw the wedges'),
        says('screw the runners'),
        says('join the wedges', { pushed: wedge / 2, travel }),
        says('stop the deck'),
      ],
    });
  },
});
