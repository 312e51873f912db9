import { circle, facingFront, rectangle } from '../boards/board';
import { bendOf } from './flat-panel';
import { check, made, maker, pieces, refuse, size } from './maker';
import { usualIn } from './maker-place';
import { says } from './sayings';

/** Room around a pipe in its hole, and the blade's play in its slot, m: estimates. */
const PIPE_PLAY = 0.0005;
const BLADE_PLAY = 0.0004;
/** The blade covers its hole by so much all around; it stays in its slot by so much when it is open, m. */
const COVER = 0.01;
const GRIP = 0.04;
/** What the blade has to take hold of, m. */
const HANDLE = 0.06;
/** A blade may bend by so much before it rubs, m: an estimate. */
const MOST_BEND = 0.001;
/** A printed collar's wall and flange, m. */
const COLLAR = { wall: 0.003, flange: 0.015, thickness: 0.004, length: 0.04 } as const;

/** A blast gate of sheet: two faces, a blade between two rails, open at the foot so that chips fall out of the slot. */
export const blastGate = maker({
  fields: {
    pipe: size(0.03, 0.4),
    board: size(0.003, 0.03),
    blade: size(0.001, 0.015),
    rail: size(0.01, 0.1),
  },
  usual: (place) => ({
    pipe: place.widestPipe,
    board: usualIn(place, 0.5, 0.012),
    blade: place.thin,
    rail: usualIn(place, 1, 0.025),
  }),
  make: ({ pipe, board, blade, rail }, place) => {
    if (rail < 2 * blade) {
      return refuse(
        'rail',
        says('rail too narrow for its screws', { rail, blade, least: 2 * blade }),
      );
    }
    const hole = pipe / 2 + PIPE_PLAY;
    const bladeWidth = pipe + 2 * COVER;
    const width = bladeWidth + 2 * BLADE_PLAY + 2 * rail;
    const below = pipe / 2 + COVER;
    const above = pipe / 2 + GRIP;
    const faceHeight = below + above;
    const face = {
      name: 'face',
      material: 'sheet' as const,
      outline: rectangle(width, faceHeight, { x: -width / 2, y: -below }),
      holes: [circle(hole)],
      thickness: board,
      note: says('face hole', { hole: 2 * hole, above: below }),
    };
    const railBoard = {
      name: 'rail',
      material: 'sheet' as const,
      outline: rectangle(rail, faceHeight),
      holes: [],
      thickness: blade,
    };
    const bladeBoard = {
      name: 'blade',
      material: 'sheet' as const,
      outline: rectangle(bladeWidth, faceHeight + HANDLE, { x: -bladeWidth / 2, y: -below }),
      holes: [],
      thickness: blade,
    };
    const slot = blade + BLADE_PLAY;
    const within = -BLADE_PLAY / 2;
    return made({
      parts: [
        facingFront(face, { x: 0, y: -slot, z: 0 }, { x: 0, y: -0.12, z: 0 }),
        facingFront(railBoard, { x: -width / 2, y: within, z: -below }),
        facingFront(railBoard, { x: width / 2 - rail, y: within, z: -below }),
        facingFront(bladeBoard, { x: 0, y: within, z: 0 }, { x: 0, y: 0, z: 0.08 }),
        facingFront(face, { x: 0, y: board, z: 0 }, { x: 0, y: 0.12, z: 0 }),
      ],
      bought: [
        pieces(says('shims for the rails'), 4),
        pieces(says('screws for the gate'), 6),
        pieces(says('stubs or collars'), 2),
        pieces(says('stop screw'), 1),
      ],
      checks: [
        check('clear', says('blade left in its slot'), above - pipe / 2, 'at least', GRIP),
        check('clear', says('overlap of the shut blade'), COVER, 'at least', COVER),
        check(
          'carry',
          says('bend of the shut blade'),
          bendOf(pipe / 2, blade, place.suction),
          'at most',
          MOST_BEND,
        ),
      ],
      steps: [
        says('cut both faces together'),
        says('screw the rails'),
        says('leave the foot open'),
        says('glue the stubs'),
      ],
      prints: [{ name: 'collar', outline: collar(pipe) }],
    });
  },
});

/** A collar that goes over the pipe, with a flange to screw to a face. */
function collar(pipe: number) {
  const inner = pipe / 2 + PIPE_PLAY;
  const { wall, flange, thickness, length } = COLLAR;
  return [
    { r: inner + wall + flange, z: 0 },
    { r: inner + wall + flange, z: thickness },
    { r: inner + wall, z: thickness },
    { r: inner + wall, z: length },
    { r: inner, z: length },
    { r: inner, z: 0 },
  ];
}
