import { CHIPS_SLOWER, LEAST_DELAY } from '../analysis/switch-plan';
import { COLLAR, CRIMP, SOCKET_SHARE } from '../build/cuts/pipe-joints';
import { HOLE_ROOM } from '../build/drawings/marks';
import { HANGER_EVERY } from '../build/hanger-spacing';
import { MOST_RETURN } from '../build/makers/enclosure';
import { STIFFNESS, WOOD_SCREW } from '../build/makers/flat-panel';
import { WIDEST_GAP } from '../build/makers/liner-cage';
import { SCREW_EDGE } from '../build/makers/on-studs';
import { ON_END } from '../build/makers/slide-lift';
import { FRICTION } from '../build/makers/wedge-lift';
import { ELBOW_SEAMS, HOSE_OVER } from '../build/parts-list';
import { SCREWS, TAPE_LAP } from '../build/seals';
import { LEAST_LAND, WALL_GAP } from '../build/templates/separator-lid';
import { USUAL_KERF } from '../design/usual-build';
import { GATE_BODY, WYE_COLLAR } from '../fittings/fitting-bodies';
import { type CoefficientGroup, plain } from '../quantity/coefficient';

/** What parts are counted by, and what fittings take of the pipe between them. */
export const building = (): CoefficientGroup[] => [
  {
    title: 'Parts and cuts',
    about:
      'how far pipe and fittings go into each other, what fittings take of a run, and what is counted for each joint; hold your own fittings against it before you cut',
    source: 'common practice, no source; wyes by where the branch cuts the wall of the main',
    coefficients: [
      { name: 'Crimped end', value: CRIMP, kind: 'diameter', origin: 'practice' },
      {
        name: 'Collar that goes into the pipe',
        value: COLLAR,
        kind: 'diameter',
        origin: 'estimate',
      },
      plain('Depth of a socket, of the inside diameter', SOCKET_SHARE, 'estimate'),
      { name: 'Collar of a wye', value: WYE_COLLAR, kind: 'diameter', origin: 'estimate' },
      { name: 'Blast gate, face to face', value: GATE_BODY, kind: 'diameter', origin: 'estimate' },
      { name: 'Kerf of a cut', value: USUAL_KERF, kind: 'diameter', origin: 'estimate' },
      {
        name: 'Room around a pipe in a hole',
        value: HOLE_ROOM,
        kind: 'diameter',
        origin: 'estimate',
      },
      { name: 'Hangers, every', value: HANGER_EVERY, kind: 'length', origin: 'practice' },
      {
        name: 'Hose over what it is clamped to',
        value: HOSE_OVER,
        kind: 'diameter',
        origin: 'estimate',
      },
      {
        name: 'Lid between the two holes of a lid separator, least',
        value: LEAST_LAND,
        kind: 'diameter',
        origin: 'estimate',
      },
      {
        name: 'Between its inlet elbow and the wall',
        value: WALL_GAP,
        kind: 'diameter',
        origin: 'estimate',
      },
      plain('Chips slower than the air, times', CHIPS_SLOWER, 'estimate'),
      plain('Least stop delay, s', LEAST_DELAY, 'estimate'),
      plain('Screws for a joint', SCREWS, 'practice'),
      plain('Tape, times the way around', TAPE_LAP, 'estimate'),
      plain('Seams around an adjustable elbow', ELBOW_SEAMS, 'estimate'),
    ],
  },
  {
    title: 'Shop-made parts',
    about:
      'what boards, screws, slides and wedges are taken to bear; all of it on the low side, none of it for what hangs over people',
    source:
      'bending of round boards by Roark’s Formulas for Stress and Strain (from memory); lag screws as for brackets; all else common practice or an estimate',
    coefficients: [
      plain('Stiffness of plywood, Pa', STIFFNESS, 'estimate'),
      plain('A wood screw in plywood draws out at, N', WOOD_SCREW, 'estimate'),
      plain('Drawer slides on end, of their rating', ON_END, 'estimate'),
      plain('Friction of waxed wedges', FRICTION, 'estimate'),
      {
        name: 'Gap between two slats, at most',
        value: WIDEST_GAP,
        kind: 'diameter',
        origin: 'estimate',
      },
      {
        name: 'Through a return filter, at most',
        value: MOST_RETURN,
        kind: 'faceVelocity',
        origin: 'practice',
      },
      {
        name: 'Lag screws from ends and edges',
        value: SCREW_EDGE,
        kind: 'diameter',
        origin: 'practice',
      },
    ],
  },
];
