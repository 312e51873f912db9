import { SHAKE } from '../../assembly/bracket';
import { circle, facingFront, rectangle } from '../boards/board';
import { check, count, height, made, maker, pieces, refuse, size } from './maker';
import { usualIn } from './maker-place';
import { bearingChecks, SCREW_EDGE, screwsAt, studsBehind, usualOnWall } from './on-studs';
import { type MakerSaying, says } from './sayings';

/** A bolt keeps so far from a lag screw and from the edge, m: an estimate. */
const LAND = 0.02;

/** A doubled board across two studs or more, to which a blower's bracket is bolted. */
export const motorCleat = maker({
  fields: {
    length: size(0.2, 4),
    height: size(0.1, 1.5),
    board: size(0.009, 0.06),
    patternWidth: size(0.03, 1.5),
    patternHeight: size(0.03, 1.2),
    bolt: size(0.004, 0.02),
    weight: { kind: 'mass', min: 0.1, max: 500 },
    reach: size(0.02, 1.5),
    wall: count(1, 200),
    along: height(0, 60),
    screw: size(0.004, 0.016),
    screwDepth: size(0.02, 0.15),
  },
  usual: (place) => {
    const { cleat } = place.collector.assembly;
    const { blower } = place.stands.sizes;
    return {
      length: Math.max(cleat.length, usualIn(place, 24, 0.7)),
      height: cleat.rise + 2 * SCREW_EDGE,
      board: place.board,
      patternWidth: usualIn(place, 8, 0.2),
      patternHeight: usualIn(place, 8, 0.2),
      bolt: usualIn(place, 0.375, 0.01),
      weight: blower.weight,
      reach: blower.width / 2 + blower.motorLength / 2,
      ...usualOnWall(place, Math.max(cleat.length, usualIn(place, 24, 0.7))),
      screw: cleat.screwDiameter,
      screwDepth: cleat.screwDepth,
    };
  },
  make: (sizes, place) => {
    const { length, board, patternWidth, patternHeight, bolt } = sizes;
    const most = { width: length - 2 * LAND - bolt, height: sizes.height - 2 * LAND - bolt };
    if (patternWidth > most.width) {
      return refuse('patternWidth', says('bolts beyond the ends', { most: most.width }));
    }
    if (patternHeight > most.height) {
      return refuse('patternHeight', says('bolts beyond the edges', { most: most.height }));
    }
    const studs = studsBehind({ wall: sizes.wall, along: sizes.along, length }, place);
    if (!studs.ok) return refuse('along', studs.reason);
    const screws = screwsAt(studs.at, sizes.height);
    const middle = { x: length / 2, y: sizes.height / 2 };
    const bolts = [-1, 1].flatMap((i) =>
      [-1, 1].map((j) => ({
        x: middle.x + (i * patternWidth) / 2,
        y: middle.y + (j * patternHeight) / 2,
      })),
    );
    const nearest = Math.min(
      ...bolts.flatMap((at) => screws.map((other) => Math.hypot(at.x - other.x, at.y - other.y))),
    );
    const apart = nearest - bolt / 2 - sizes.screw / 2;
    if (apart < LAND / 2) {
      return refuse(
        'along',
        says('bolt meets a lag screw', { apart: Math.max(0, apart), shift: 2 * LAND }),
      );
    }
    const layer = (name: string, note: MakerSaying) => ({
      name,
      material: 'sheet' as const,
      outline: rectangle(length, sizes.height),
      holes: [
        ...screws.map((at) => circle(sizes.screw / 2, at)),
        ...bolts.map((at) => circle(bolt / 2, at)),
      ],
      thickness: board,
      note,
    });
    const rise = sizes.height - 2 * SCREW_EDGE;
    return made({
      parts: [
        facingFront(
          layer('cleat, at the wall', says('counterbored behind')),
          { x: 0, y: 0, z: 0 },
          { x: 0, y: 0.1, z: 0 },
        ),
        facingFront(
          layer('cleat, in front', says('bolts to the front')),
          { x: 0, y: -board, z: 0 },
          { x: 0, y: -0.1, z: 0 },
        ),
      ],
      bought: [
        pieces(
          says('lag screws for the cleat', {
            screw: sizes.screw,
            long: 2 * board + sizes.screwDepth,
          }),
          screws.length,
        ),
        pieces(says('blower bolts', { bolt }), 4),
      ],
      checks: [
        check('clear', says('wood between bolt and screw'), apart, 'at least', LAND / 2),
        ...bearingChecks(
          { diameter: sizes.screw, depth: sizes.screwDepth, count: screws.length, rise },
          sizes.weight,
          2 * board + sizes.reach,
        ),
      ],
      steps: [
        says('glue the layers'),
        studs.areKnown ? says('check the studs') : says('find the studs'),
        says('bolts from behind'),
        says('two lift the blower', { shake: SHAKE }),
      ],
    });
  },
});
