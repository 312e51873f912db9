import { around, circle, lying, type PlacedBoard } from '../boards/board';
import { bendOf } from './flat-panel';
import { check, count, made, maker, metersOf, pieces, refuse, sayIn, size } from './maker';
import { insideBin, usualIn } from './maker-place';

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
    const say = sayIn(place.units);
    const groove = rim + 2 * PLAY;
    const inner = { outside: drum / 2 - PLAY, inside: drum / 2 - PLAY - ring };
    const outer = { outside: drum / 2 + rim + PLAY + ring, inside: drum / 2 + rim + PLAY };
    if (ring < gasket) {
      return refuse(
        'ring',
        `A ring ${say(ring)} wide is narrower than its gasket of ${say(gasket)}: it would bend away from it. Make it ${say(gasket)} or wider.`,
      );
    }
    if (gasket > groove) {
      return refuse(
        'gasket',
        `The groove between the rings is ${say(groove)} wide; a gasket of ${say(gasket)} does not go in.`,
      );
    }
    const grip = board - SQUEEZED * gasketHeight;
    if (grip < LEAST_GRIP) {
      return refuse(
        'gasketHeight',
        `The gasket fills the groove, which is as deep as the board: ${say(board)}. At most ${say((board - LEAST_GRIP) / SQUEEZED)}.`,
      );
    }
    const leastCircle = sizes.opening + bolt + 2 * LAND;
    if (sizes.boltCircle < leastCircle) {
      return refuse(
        'boltCircle',
        `The bolts would come too near the opening of ${say(sizes.opening)}: a circle of at least ${say(leastCircle)}.`,
      );
    }
    const mostCircle = 2 * (inner.inside - LAND) - bolt;
    if (sizes.boltCircle > mostCircle) {
      return mostCircle < leastCircle
        ? refuse(
            'opening',
            `Within the rings there is no room for an opening of ${say(sizes.opening)} with bolts around it.`,
          )
        : refuse(
            'boltCircle',
            `The bolts would meet the inner ring: a circle of at most ${say(mostCircle)}.`,
          );
    }
    const flange = sizes.boltCircle / 2 + bolt / 2 + LAND;
    const room = windowRoom(sizes);
    if (window > Math.max(0, room)) {
      return refuse(
        'window',
        room > 0.01
          ? `Between what stands on the lid and the inner ring there is room for ${say(room)} at most; 0 for no window.`
          : 'There is no room for a window between what stands on the lid and the inner ring: type 0 for none.',
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
      note: `${bolts} holes of ${say(bolt)} on a circle of ${say(sizes.boltCircle)}`,
    };
    const ringOf = (name: string, of: typeof inner) => ({
      name,
      material: 'sheet' as const,
      outline: circle(of.outside),
      holes: [circle(of.inside)],
      thickness: board,
    });
    const gasketRing = {
      name: 'gasket',
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
        metersOf(`gasket, ${say(gasket)} × ${say(gasketHeight)}`, Math.PI * (drum + rim)),
        pieces(`bolts of ${say(bolt)} with washers and nuts`, bolts),
        pieces('latches, or a band clamp around the outer ring', 3),
        metersOf(
          'silicone bead, under what stands on the lid and around the window',
          Math.PI * (sizes.opening + window),
        ),
      ],
      checks: [
        check('clear', 'Depth of the rim in the groove', grip, 'at least', LEAST_GRIP),
        ...(emptying.kind === 'lower'
          ? [
              check(
                'clear',
                'Drop of the bin, to free its rim from the groove',
                emptying.travel,
                'at least',
                grip,
              ),
            ]
          : []),
        check(
          'carry',
          'Bend of the lid at the blower’s highest suction',
          bendOf(drum / 2, board, place.suction),
          'at most',
          gasketHeight / 3,
        ),
      ],
      steps: [
        'Cut the lid and both rings; keep the drum at hand and try its rim between the rings before the glue is in.',
        'Glue and screw the inner ring under the lid, then the outer ring around the rim of the drum.',
        'Press the gasket into the floor of the groove, its ends butted, and let the drum’s rim close on it.',
        window > 0
          ? 'Set the pane over the window in silicone, and let it cure before the blower runs.'
          : 'Without a window, note every emptying: the level is worked out from them.',
      ],
    });
  },
});

/** What a window may be across, between what stands on the lid and the inner ring, m; its pane stands clear of both. */
function windowRoom(of: { drum: number; ring: number; boltCircle: number; bolt: number }): number {
  const inside = of.drum / 2 - PLAY - of.ring;
  return inside - of.boltCircle / 2 - of.bolt / 2 - LAND - 2 * PANE_EDGE;
}
