import { SHAKE } from '../../assembly/bracket';
import { toSI } from '../../quantity/units';
import { circle, facingFront, facingRight, lying, polygon, rectangle } from '../boards/board';
import { check, count, height, made, maker, pieces, refuse, size } from './maker';
import { usualIn } from './maker-place';
import { bearingChecks, SCREW_EDGE, screwsAt, studsBehind, usualOnWall } from './on-studs';
import { says } from './sayings';

/** Room around the cyclone in its hole, wood left beside it, and what its flange rests on, m: estimates. */
const PLAY = 0.002;
const LAND = 0.04;
const LEAST_REST = 0.008;
/** Thread of a lag screw in the stud, m. */
const SCREW_DEPTH = toSI(2, 'in');

/** A shelf with a hole that holds a cyclone by its flange, on two brackets and a back board screwed to studs. */
export const cycloneShelf = maker({
  fields: {
    body: size(0.05, 1.2),
    flange: size(0.06, 1.5),
    width: size(0.15, 2),
    depth: size(0.15, 1.5),
    bracket: size(0.1, 1.5),
    board: size(0.009, 0.06),
    height: height(0.2, 6),
    weight: { kind: 'mass', min: 0.1, max: 500 },
    wall: count(1, 200),
    along: height(0, 60),
    screw: size(0.004, 0.016),
  },
  usual: (place) => {
    const { stands, collector, board } = place;
    const { separator, blower } = stands.sizes;
    const flange = separator.diameter + usualIn(place, 2, 0.05);
    const width = Math.max(flange + 2 * LAND, usualIn(place, 21, 0.7));
    const carriesBlower = collector.assembly.mount.kind === 'onSeparator';
    return {
      body: separator.diameter,
      flange,
      width,
      depth: flange + 2 * LAND,
      bracket: 0.8 * (flange + 2 * LAND),
      board,
      height: stands.lidZ + collector.assembly.lid.thickness + separator.height,
      weight: separator.weight + (carriesBlower ? blower.weight : 0),
      ...usualOnWall(place, width),
      screw: usualIn(place, 0.375, 0.01),
    };
  },
  make: (sizes, place) => {
    const { body, flange, width, depth, bracket, board } = sizes;
    const hole = body / 2 + PLAY;
    if (flange < 2 * (hole + LEAST_REST)) {
      return refuse(
        'flange',
        says('flange slips through', { flange, least: 2 * (hole + LEAST_REST) }),
      );
    }
    const least = 2 * (hole + LAND);
    if (width - 2 * board < 2 * (hole + LEAST_REST)) {
      return refuse('width', says('shelf too narrow', { least: 2 * (hole + LEAST_REST + board) }));
    }
    if (depth < least) {
      return refuse('depth', says('shelf too shallow', { hole: 2 * hole, least }));
    }
    if (bracket < 4 * SCREW_EDGE) {
      return refuse('bracket', says('brackets too low for two rows', { least: 4 * SCREW_EDGE }));
    }
    const studs = studsBehind({ wall: sizes.wall, along: sizes.along, length: width }, place);
    if (!studs.ok) return refuse('along', studs.reason);
    const screws = screwsAt(studs.at, bracket);
    const shelf = {
      name: 'shelf',
      material: 'sheet' as const,
      outline: rectangle(width, depth + board),
      holes: [circle(hole, { x: width / 2, y: depth / 2 })],
      thickness: board,
      note: says('shelf hole', { hole: 2 * hole, front: depth / 2 }),
    };
    const back = {
      name: 'back board',
      material: 'sheet' as const,
      outline: rectangle(width, bracket),
      holes: screws.map((at) => circle(sizes.screw / 2, at)),
      thickness: board,
      note: says('screws at the studs', { screw: sizes.screw }),
    };
    const leg = 0.9 * depth;
    const tip = Math.min(0.05, bracket / 4);
    const side = {
      name: 'bracket',
      material: 'sheet' as const,
      // Its own x goes to the back: the corner at the wall is the tall one.
      outline: polygon([
        { x: depth - leg, y: bracket },
        { x: depth - leg, y: bracket - tip },
        { x: depth - tip, y: 0 },
        { x: depth, y: 0 },
        { x: depth, y: bracket },
      ]),
      holes: [],
      thickness: board,
    };
    const top = sizes.height;
    const { stands, collector } = place;
    const foot = stands.lidZ + collector.assembly.lid.thickness;
    const above =
      collector.assembly.mount.kind === 'onSeparator'
        ? stands.height - foot - stands.sizes.separator.height
        : 0;
    return made({
      parts: [
        lying(shelf, { x: 0, y: -depth - board, z: -board }, { x: 0, y: 0, z: 0.15 }),
        facingFront(back, { x: 0, y: 0, z: -board - bracket }),
        facingRight(
          side,
          { x: 0, y: -depth - board, z: -board - bracket },
          { x: -0.1, y: -0.05, z: 0 },
        ),
        facingRight(
          side,
          { x: width - board, y: -depth - board, z: -board - bracket },
          { x: 0.1, y: -0.05, z: 0 },
        ),
      ],
      bought: [
        pieces(
          says('lag screws for the shelf', { screw: sizes.screw, thread: SCREW_DEPTH }),
          screws.length,
        ),
        pieces(says('wood screws for the shelf'), 16),
      ],
      checks: [
        check(
          'clear',
          says('height of the shelf'),
          top,
          'at least',
          foot + stands.sizes.separator.height,
          'length',
        ),
        ...(stands.ceiling === null
          ? []
          : [
              check(
                'clear',
                says('top of what stands on the shelf'),
                top + Math.max(0, above),
                'at most',
                stands.ceiling,
                'length',
              ),
            ]),
        check('clear', says('rest of the flange'), flange / 2 - hole, 'at least', LEAST_REST),
        ...bearingChecks(
          {
            diameter: sizes.screw,
            depth: SCREW_DEPTH,
            count: screws.length,
            rise: bracket - 2 * SCREW_EDGE,
          },
          sizes.weight,
          depth / 2 + board,
        ),
      ],
      steps: [
        says('cut the shelf hole'),
        says('glue the brackets'),
        studs.areKnown ? says('check the studs') : says('find the studs'),
        says('hang the shelf', { top, shake: SHAKE }),
      ],
    });
  },
});
