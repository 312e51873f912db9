import { circle, facingFront, facingRight, polygon, rectangle } from '../boards/board';
import { check, made, maker, pieces, refuse, sayIn, size } from './maker';
import { usualIn } from './maker-place';

/** Room around the pipe in its hole, and wood left around it, m: estimates. */
const PIPE_PLAY = 0.0005;
const LAND = 0.015;

/** A box on the floor to sweep into: a low wide mouth with a flap, its top sloping up to the pipe in its back. */
export const floorSweep = maker({
  fields: {
    pipe: size(0.03, 0.4),
    mouth: size(0.1, 1.5),
    mouthHeight: size(0.01, 0.3),
    depth: size(0.05, 1),
    board: size(0.003, 0.03),
  },
  usual: (place) => {
    const pipe = Math.min(place.widestPipe, usualIn(place, 4.25, 0.105));
    const mouth = usualIn(place, 12, 0.3);
    return {
      pipe,
      mouth,
      mouthHeight: ((Math.PI / 4) * pipe ** 2) / mouth,
      depth: usualIn(place, 8, 0.2),
      board: usualIn(place, 0.5, 0.012),
    };
  },
  make: ({ pipe, mouth, mouthHeight, depth, board }, place) => {
    const say = sayIn(place.units);
    const hole = pipe / 2 + PIPE_PLAY;
    const least = 2 * (hole + LAND);
    if (mouth < least) {
      return refuse(
        'mouth',
        `The pipe does not fit between the sides: at least ${say(least)} wide.`,
      );
    }
    if (mouthHeight > least - LAND) {
      return refuse(
        'mouthHeight',
        `The mouth is as high as the back, where the pipe is: at most ${say(least - LAND)}.`,
      );
    }
    if (depth < 4 * board) return refuse('depth', `At least ${say(4 * board)} deep.`);
    const tall = least;
    const slope = Math.atan2(tall - mouthHeight, depth);
    const length = depth / Math.cos(slope);
    const over = board / Math.cos(slope);
    const back = {
      name: 'back',
      material: 'sheet' as const,
      outline: rectangle(mouth, tall),
      holes: [circle(hole, { x: mouth / 2, y: tall / 2 })],
      thickness: board,
      note: `hole ${say(2 * hole)}, in the middle`,
    };
    const side = {
      name: 'side',
      material: 'sheet' as const,
      outline: polygon([
        { x: 0, y: 0 },
        { x: depth + board, y: 0 },
        { x: depth + board, y: tall + over },
        { x: depth, y: tall + over },
        { x: 0, y: mouthHeight + over },
      ]),
      holes: [],
      thickness: board,
    };
    const top = {
      name: 'sloping top',
      material: 'sheet' as const,
      outline: rectangle(mouth, length),
      holes: [],
      thickness: board,
      note: `its ends ${Math.round((slope * 180) / Math.PI)}° from square fit closer`,
    };
    const flap = {
      name: 'flap',
      material: 'sheet' as const,
      outline: rectangle(mouth, mouthHeight),
      holes: [],
      thickness: board,
    };
    const up = { x: 0, y: Math.cos(slope), z: Math.sin(slope) };
    const area = mouth * mouthHeight;
    const bore = (Math.PI / 4) * pipe ** 2;
    return made({
      parts: [
        facingFront(back, { x: 0, y: depth + board, z: 0 }, { x: 0, y: 0.08, z: 0 }),
        facingRight(side, { x: -board, y: 0, z: 0 }, { x: -0.1, y: 0, z: 0 }),
        facingRight(side, { x: mouth, y: 0, z: 0 }, { x: 0.1, y: 0, z: 0 }),
        {
          board: top,
          at: { x: 0, y: 0, z: mouthHeight },
          x: { x: 1, y: 0, z: 0 },
          y: up,
          apart: { x: 0, y: 0, z: 0.12 },
        },
        facingFront(flap, { x: 0, y: 0, z: 0 }, { x: 0, y: -0.1, z: 0 }),
      ],
      bought: [
        pieces('hinge or leather strip for the flap', 1),
        pieces('blast gate ahead of it, shut when nobody sweeps', 1),
        pieces('screws', 12),
      ],
      checks: [
        check(
          'clear',
          'Area of the mouth, as a share of the pipe’s',
          area / bore,
          'at least',
          0.8,
          'ratio',
        ),
        check(
          'clear',
          'Area of the mouth, as a share of the pipe’s',
          area / bore,
          'at most',
          1.5,
          'ratio',
        ),
      ],
      steps: [
        'Screw the sides to the back, the sloping top between them, tight at the back.',
        'Hinge the flap at the top of the mouth: it hangs shut, and is kicked up to sweep.',
        'Nails, screws and cut-offs go into the trash: a magnet or a coarse grille across the mouth keeps metal out of the blower.',
      ],
    });
  },
});
