import { around, circle, lying, type PlacedBoard } from '../boards/board';
import { bendOf } from './flat-panel';
import { check, count, made, maker, metersOf, pieces, refuse, size } from './maker';
import { insideBin, usualIn } from './maker-place';
import { says } from './sayings';

/** Air between the drum's rim and each ring, m, and wood left beside a hole at least: estimates. */
const PLAY = 0.0015;
const LAND = 0.01;
/** A window's pane reaches so far beyond its opening on each side, m. */
const PANE_EDGE = 0.015;
const PANE = 0.003;
/** The rim stands at least so deep between the rings, with the gasket squeezed to two thirds, m. */
const LEAST_GRIP = 0.005;
const SQUEEZED = 2 / 3;

/**
 * A lid whose two rings hold the drum's rim between them, the gasket on the floor of that groove: an opening with bolts
 * for what stands on it, and a window to see how full the drum is.
 */
export const drumLid = maker({
  fields: {
    drum: size(0.15, 1.5),
    rim: size(0.0005, 0.06),
    board: size(0.006, 0.06),
    ring: size(0.01, 0.15),
    gasket: size(0.002, 0.06),
    gasketHeight: size(0.001, 0.02),
    opening: size(0.03, 0.8),
    boltCircle: size(0.04, 1),
    bolts: count(3, 24),
    bolt: size(0.003, 0.016),
    window: size(0, 0.4),
  },
  usual: (place) => {
    const { collector, board } = place;
    const opening =
      collector.separator.proportions?.outletDiameter ?? collector.separator.inletDiameter;
    const drum = insideBin(place);
    const ring = usualIn(place, 1.5, 0.04);
    const boltCircle = opening + usualIn(place, 1.5, 0.04);
    const bolt = usualIn(place, 0.25, 0.006);
    const free = windowRoom({ drum, ring, boltCircle, bolt });
    const least = usualIn(place, 1, 0.025);
    return {
      drum,
      rim: usualIn(place, 0.5, 0.012),
      board,
      ring,
      gasket: usualIn(place, 0.5, 0.012),
      gasketHeight: usualIn(place, 0.25, 0.006),
      opening,
      boltCircle,
      bolts: 6,
      bolt,
      window: free < least ? 0 : Math.min(2 * least, least * Math.floor(free / least)),
    };
  },
  make: (sizes, place) => {
    const { drum, rim, board, ring, gasket, gasketHeight, bolts, bolt, window } = sizes;
    const groove = rim + 2 * PLAY;
    const inner = { outside: drum / 2 - PLAY, inside: drum / 2 - PLAY - ring };
    const outer = { outside: drum / 2 + rim + PLAY + ring, inside: drum / 2 + rim + PLAY };
    if (ring < gasket) {
      return refuse('ring', says('lid ring narrower than its gasket', { ring, gasket }));
    }
    if (gasket > groove) {
      return refuse('gasket', says('gasket wider than its groove', { groove, gasket }));
    }
    const grip = board - SQUEEZED * gasketHeight;
    if (grip < LEAST_GRIP) {
      return refuse(
        'gasketHeight',
        says('gasket fills its groove', { board, most: (board - LEAST_GRIP) / SQUEEZED }),
      );
    }
    const leastCircle = sizes.opening + bolt + 2 * LAND;
    if (sizes.boltCircle < leastCircle) {
      return refuse(
        'boltCircle',
        says('bolts too near the opening', { opening: sizes.opening, least: leastCircle }),
      );
    }
    const mostCircle = 2 * (inner.inside - LAND) - bolt;
    if (sizes.boltCircle > mostCircle) {
      return mostCircle < leastCircle
        ? refuse('opening', says('no room for opening and bolts', { opening: sizes.opening }))
        : refuse('boltCircle', says('bolts meet the inner ring', { most: mostCircle }));
    }
    const flange = sizes.boltCircle / 2 + bolt / 2 + LAND;
    const room = windowRoom(sizes);
    if (window > Math.max(0, room)) {
      return refuse(
        'window',
        room > 0.01 ? says('window too wide', { most: room }) : says('no room for a window'),
      );
    }
    const at = { x: 0, y: -(flange + inner.inside) / 2 };
    const disc = {
      name: 'lid',
      material: 'sheet' as const,
      outline: circle(outer.outside),
      holes: [
        circle(sizes.opening / 2),
        ...around(bolts, sizes.boltCircle / 2, Math.PI / bolts).map((spot) =>
          circle(bolt / 2, spot),
        ),
        ...(window > 0 ? [circle(window / 2, at)] : []),
      ],
      thickness: board,
      note: says('lid bolt holes', { bolts, bolt, circle: sizes.boltCircle }),
    };
    const ringOf = (name: string, of: typeof inner) => ({
      name,
      material: 'sheet' as const,
      outline: circle(of.outside),
      holes: [circle(of.inside)],
      thickness: board,
    });
    const gasketRing = {
      name: 'gasket, as it is pressed',
      material: 'bought' as const,
      outline: circle((drum + rim + gasket) / 2),
      holes: [circle((drum + rim - gasket) / 2)],
      thickness: SQUEEZED * gasketHeight,
    };
    const low = { x: 0, y: 0, z: -board };
    const parts: PlacedBoard[] = [
      lying(disc, { x: 0, y: 0, z: 0 }),
      lying(ringOf('inner ring', inner), low, { x: 0, y: 0, z: -0.22 }),
      lying(ringOf('outer ring', outer), low, { x: 0, y: 0, z: -0.1 }),
      lying(gasketRing, { x: 0, y: 0, z: -gasketRing.thickness }, { x: 0, y: 0, z: -0.16 }),
    ];
    if (window > 0) {
      const pane = {
        name: 'window pane',
        material: 'clear sheet' as const,
        outline: circle(window / 2 + PANE_EDGE),
        holes: [],
        thickness: PANE,
      };
      parts.push(lying(pane, { ...at, z: board }, { x: 0, y: 0, z: 0.06 }));
    }
    const { emptying } = place.collector.assembly;
    return made({
      parts,
      bought: [
        metersOf(
          says('lid gasket', { width: gasket, height: gasketHeight }),
          Math.PI * (drum + rim),
        ),
        pieces(says('lid bolts', { bolt }), bolts),
        pieces(says('lid latches'), 3),
        metersOf(says('lid silicone'), Math.PI * (sizes.opening + window)),
      ],
      checks: [
        check('clear', says('depth of the rim'), grip, 'at least', LEAST_GRIP),
        ...(emptying.kind === 'lower'
          ? [check('clear', says('drop of the bin'), emptying.travel, 'at least', grip)]
          : []),
        check(
          'carry',
          says('bend of the lid'),
          bendOf(drum / 2, board, place.suction),
          'at most',
          gasketHeight / 3,
        ),
      ],
      steps: [
        says('cut lid and rings'),
        says('glue the lid rings'),
        says('press the gasket in'),
        window > 0 ? says('set the window') : says('note every emptying'),
      ],
    });
  },
});

/** What a window may be across, between what stands on the lid and the inner ring, m; its pane stands clear of both. */
function windowRoom(of: { drum: number; ring: number; boltCircle: number; bolt: number }): number {
  const inside = of.drum / 2 - PLAY - of.ring;
  return inside - of.boltCircle / 2 - of.bolt / 2 - LAND - 2 * PANE_EDGE;
}
