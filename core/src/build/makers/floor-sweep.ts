import { circle, facingFront, facingRight, polygon, rectangle } from '../boards/board';
import { check, made, maker, pieces, refuse, size } from './maker';
import { usualIn } from './maker-place';
import { says } from './sayings';

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
  make: ({ pipe, mouth, mouthHeight, depth, board }) => {
    const hole = pipe / 2 + PIPE_PLAY;
    const least = 2 * (hole + LAND);
    if (mouth < least) {
      return refuse('mouth', says('mouth too narrow for the pipe', { least }));
    }
    if (mouthHeight > least - LAND) {
      return refuse('mouthHeight', says('mouth too high', { most: least - LAND }));
    }
    if (depth < 4 * board) return refuse('depth', says('sweep too shallow', { least: 4 * board }));
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
      note: says('back hole', { hole: 2 * hole }),
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
      note: says('sloping ends', { degrees: Math.round((slope * 180) / Math.PI) }),
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
        pieces(says('flap hinge'), 1),
        pieces(says('gate ahead of the sweep'), 1),
        pieces(says('sweep screws'), 12),
      ],
      checks: [
        check('clear', says('area of the mouth'), area / bore, 'at least', 0.8, 'ratio'),
        check('clear', says('area of the mouth'), area / bore, 'at most', 1.5, 'ratio'),
      ],
      steps: [says('screw the sweep'), says('hinge the flap'), says('keep metal out')],
    });
  },
});
