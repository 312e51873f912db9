import { SHAKE } from '../../assembly/bracket';
import { circle, facingFront, rectangle } from '../boards/board';
import { check, count, height, made, maker, pieces, refuse, sayIn, size } from './maker';
import { usualIn } from './maker-place';
import { bearingChecks, SCREW_EDGE, screwsAt, studsBehind, usualOnWall } from './on-studs';

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
    const say = sayIn(place.units);
    const most = { width: length - 2 * LAND - bolt, height: sizes.height - 2 * LAND - bolt };
    if (patternWidth > most.width) {
      return refuse(
        'patternWidth',
        `The bolts would come out of the board’s ends: at most ${say(most.width)} apart.`,
      );
    }
    if (patternHeight > most.height) {
      return refuse(
        'patternHeight',
        `The bolts would come out of the board’s edges: at most ${say(most.height)} apart.`,
      );
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
        `A bolt would meet a lag screw at a stud (${say(Math.max(0, apart))} between them): move the cleat ${say(2 * LAND)} to the side, or choose another bolt pattern.`,
      );
    }
    const layer = (name: string, note: string) => ({
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
          layer('cleat, at the wall', 'counterbore the bolts’ heads from behind'),
          { x: 0, y: 0, z: 0 },
          { x: 0, y: 0.1, z: 0 },
        ),
        facingFront(
          layer('cleat, in front', 'bolts come through to the front'),
          { x: 0, y: -board, z: 0 },
          { x: 0, y: -0.1, z: 0 },
        ),
      ],
      bought: [
        pieces(
          `lag screws of ${say(sizes.screw)}, ${say(2 * board + sizes.screwDepth)} long or a little more`,
          screws.length,
        ),
        pieces(`bolts of ${say(bolt)}, washers, lock nuts; rubber washers against noise`, 4),
      ],
      checks: [
        check(
          'clear',
          'Wood between a bolt and the nearest lag screw',
          apart,
          'at least',
          LAND / 2,
        ),
        ...bearingChecks(
          { diameter: sizes.screw, depth: sizes.screwDepth, count: screws.length, rise },
          sizes.weight,
          2 * board + sizes.reach,
        ),
      ],
      steps: [
        'Glue both layers together, then drill them as one.',
        studs.areKnown
          ? 'Check the studs with a finder or a thin nail before you drill.'
          : 'The studs of this wall are not known: find them, and drill where they are. The drawing shows them where they usually stand.',
        'Put the bolts through from behind before the cleat goes on the wall: their heads are out of reach later.',
        `Two people lift the blower. Counted is ${SHAKE} times its weight, for shaking.`,
      ],
    });
  },
});
