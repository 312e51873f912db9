import { SLOT_ARC, SLOT_WIDTH } from '../../collector/baffle';
import { arc, around, circle, lying, polygon } from '../boards/board';
import { check, count, height, made, maker, pieces, refuse, size } from './maker';
import { insideBin, usualIn } from './maker-place';
import { says } from './sayings';

/** The plate's solid side clears the wall by this, m; rods stand so far within the slot: estimates. */
const WALL_GAP = 0.0015;
const ROD_LAND = 0.025;
/** Of a rod, beyond lid and plate: two nuts and washers, m. */
const ROD_ENDS = 0.04;
const ROD_PLAY = 0.001;
/** Kept under the plate at least, in inlet diameters: an estimate. */
const LEAST_BELOW = 2;

/**
 * A plate that hangs in a drum under its lid: solid where the inlet blows, a slot along the rest of the wall that dust
 * falls through. Slot about 240° and 1⅛ in. wide, one inlet diameter under the lid (common practice, no source).
 */
export const slottedBaffle = maker({
  fields: {
    drum: size(0.15, 1.5),
    drumHeight: height(0.15, 3),
    inlet: size(0.03, 0.5),
    drop: size(0.02, 1),
    slot: size(0.01, 0.1),
    slotArc: { kind: 'angle', min: Math.PI / 2, max: (5 / 3) * Math.PI },
    board: size(0.003, 0.04),
    lid: size(0.003, 0.06),
    rods: count(3, 6),
    rod: size(0.005, 0.02),
  },
  usual: (place) => {
    const { stands, collector, board } = place;
    const inlet = collector.separator.inletDiameter;
    return {
      drum: insideBin(place),
      drumHeight: stands.sizes.bin.height,
      inlet,
      drop: inlet,
      slot: SLOT_WIDTH,
      slotArc: SLOT_ARC,
      board: usualIn(place, 0.5, 0.012),
      lid: board,
      rods: 3,
      rod: usualIn(place, 0.375, 0.01),
    };
  },
  make: (sizes) => {
    const { drum, inlet, drop, slot, slotArc, board, lid, rods, rod } = sizes;
    const radius = drum / 2 - WALL_GAP;
    if (inlet > 0.45 * drum) {
      return refuse('inlet', says('inlet too wide for the drum', { inlet, most: 0.45 * drum }));
    }
    if (drop < inlet) {
      return refuse('drop', says('plate above the inlet', { inlet }));
    }
    const below = sizes.drumHeight - drop - board;
    if (below < LEAST_BELOW * inlet) {
      return refuse(
        'drumHeight',
        says('too little left for dust', {
          below: Math.max(0, below),
          least: drop + board + LEAST_BELOW * inlet,
        }),
      );
    }
    const slotRadius = drum / 2 - slot;
    const rodRadius = slotRadius - ROD_LAND;
    if (rodRadius < rod) return refuse('slot', says('slot leaves no plate', { slot }));
    // The solid side, with the inlet in its middle, faces the front.
    const half = Math.PI - slotArc / 2;
    const front = -Math.PI / 2;
    const plate = {
      name: 'baffle plate',
      material: 'sheet' as const,
      outline: polygon([
        ...arc(radius, front - half, front + half),
        ...arc(slotRadius, front + half, front + half + slotArc),
      ]),
      holes: around(rods, rodRadius, front).map((at) => circle(rod / 2 + ROD_PLAY / 2, at)),
      thickness: board,
      note: says('slot and rods', { slot, degrees: Math.round((slotArc * 180) / Math.PI), rods }),
    };
    const length = lid + drop + board + ROD_ENDS;
    const hanger = {
      name: 'threaded rod',
      material: 'rod' as const,
      outline: circle(rod / 2),
      holes: [],
      thickness: length,
    };
    const foot = -drop - board - ROD_ENDS / 2;
    const area = (slotArc / 2) * ((drum / 2) ** 2 - slotRadius ** 2);
    // Seen from the middle, an inlet along the wall takes the angle between its two edges.
    const taken = 2 * Math.asin(Math.min(1, inlet / (drum - inlet)));
    return made({
      parts: [
        lying(plate, { x: 0, y: 0, z: -drop - board }),
        ...around(rods, rodRadius, front).map(({ x, y }) => lying(hanger, { x, y, z: foot })),
      ],
      bought: [pieces(says('rod nuts'), 4 * rods)],
      checks: [
        check(
          'clear',
          says('height left for dust'),
          below,
          'at least',
          LEAST_BELOW * inlet,
          'length',
        ),
        check(
          'clear',
          says('area of the slot'),
          area / ((Math.PI / 4) * inlet ** 2),
          'at least',
          1,
          'ratio',
        ),
        check('clear', says('solid plate after the entry'), half, 'at least', taken / 2, 'angle'),
      ],
      steps: [
        says('cut the plate'),
        says('hang the plate'),
        says('turn the plate', { drop }),
        says('empty in time'),
      ],
    });
  },
});
