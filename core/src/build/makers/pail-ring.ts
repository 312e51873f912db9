import { CHIP_DENSITY } from '../../assembly/assembly-masses';
import { GRAVITY } from '../../assembly/bracket';
import { circle, lying } from '../boards/board';
import { WOOD_SCREW } from './flat-panel';
import { check, count, height, made, maker, metersOf, pieces, refuse, size } from './maker';
import { usualIn } from './maker-place';
import { type MakerSaying, says } from './sayings';

/** Room around the collector's ring and the pail's lid, m; a lip of the lid kept under its screws, m: estimates. */
const PLAY = 0.001;
const LEAST_LIP = 0.008;
/** An empty pail, kg. */
const PAIL = 1;
const FUNNEL_WALL = 0.0024;

/** A ring that replaces a collector's lower bag: a pail or bin with a screw lid hangs in it, chips slide in over a bevel. */
export const pailRing = maker({
  fields: {
    machineRing: size(0.1, 1),
    pail: size(0.08, 0.9),
    pailHeight: height(0.1, 1.5),
    opening: size(0.05, 0.88),
    bevel: { kind: 'angle', min: 0, max: (70 * Math.PI) / 180 },
    board: size(0.009, 0.05),
    ring: size(0.015, 0.12),
    gasket: size(0.002, 0.05),
    screws: count(4, 24),
    under: height(0.1, 3),
  },
  usual: (place) => {
    const { stands, board } = place;
    const { filter, filterBin } = stands.sizes;
    const standing = stands.placed.find(({ part }) => part === 'filter');
    return {
      machineRing: filter.diameter || 0.47,
      pail: usualIn(place, 12.25, 0.31),
      pailHeight: Math.min(
        usualIn(place, 14.5, 0.37),
        filterBin.height || Number.POSITIVE_INFINITY,
      ),
      opening: usualIn(place, 10.5, 0.265),
      bevel: Math.PI / 4,
      board,
      ring: usualIn(place, 1.25, 0.03),
      gasket: usualIn(place, 0.75, 0.02),
      screws: 8,
      under: Math.max(0.1, standing?.z0 ?? 0.6),
    };
  },
  make: (sizes) => {
    const { machineRing, pail, opening, bevel, board, ring, gasket, screws } = sizes;
    if (ring < gasket) {
      return refuse('ring', says('ring narrower than its gasket', { ring, gasket }));
    }
    const mostOpening = pail - 2 * LEAST_LIP;
    if (opening > mostOpening) {
      return refuse('opening', says('opening leaves no lid', { opening, most: mostOpening }));
    }
    const funnel = opening / 2 + board * Math.tan(bevel);
    if (funnel > machineRing / 2) {
      return refuse('bevel', says('bevel too wide', { wide: 2 * funnel }));
    }
    const sleeve = machineRing / 2 + PLAY;
    const socket = pail / 2 + PLAY;
    const annulus = (name: string, inside: number, outside: number, note?: MakerSaying) => ({
      name,
      material: 'sheet' as const,
      outline: circle(outside),
      holes: [circle(inside)],
      thickness: board,
      ...(note && { note }),
    });
    const plate = {
      ...annulus(
        'funnel plate',
        opening / 2,
        Math.max(sleeve, socket) + ring,
        says('bevel of the plate', {
          wide: 2 * funnel,
          degrees: Math.round((bevel * 180) / Math.PI),
        }),
      ),
    };
    const full = PAIL + CHIP_DENSITY * (Math.PI / 4) * pail ** 2 * sizes.pailHeight;
    return made({
      parts: [
        lying(
          annulus('outer ring', sleeve, sleeve + ring),
          { x: 0, y: 0, z: board },
          { x: 0, y: 0, z: 0.12 },
        ),
        lying(plate, { x: 0, y: 0, z: 0 }),
        lying(
          annulus('inner ring', socket, socket + ring),
          { x: 0, y: 0, z: -board },
          { x: 0, y: 0, z: -0.14 },
        ),
      ],
      bought: [
        metersOf(says('plate gasket', { gasket }), Math.PI * machineRing),
        pieces(says('pail lid screws'), screws),
        pieces(says('pail latches'), 3),
      ],
      checks: [
        check(
          'clear',
          says('height under the ring'),
          sizes.under,
          'at least',
          board + sizes.pailHeight,
          'length',
        ),
        check(
          'clear',
          says('lid left around the opening'),
          (pail - opening) / 2,
          'at least',
          LEAST_LIP,
        ),
        check(
          'carry',
          says('full pail on its screws'),
          (full * GRAVITY) / (screws * (WOOD_SCREW / 3)),
          'at most',
          1,
          'ratio',
        ),
      ],
      steps: [
        says('screw on the pail’s lid'),
        says('bevel the opening'),
        says('glue the outer ring'),
        says('let the pail stand'),
      ],
      prints: [{ name: 'funnel', outline: funnelOf(opening / 2, funnel, board) }],
    });
  },
});

/** A thin funnel to set into the plate instead of a bevel. */
function funnelOf(low: number, high: number, height: number) {
  const wall = FUNNEL_WALL;
  return [
    { r: low, z: 0 },
    { r: high, z: height },
    { r: high + 2 * wall, z: height },
    { r: high + 2 * wall, z: height + wall },
    { r: high - wall, z: height + wall },
    { r: low - wall, z: wall },
    { r: low - wall, z: 0 },
  ];
}
