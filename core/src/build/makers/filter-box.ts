import { circle, facingFront, facingRight, lying, polygon, rectangle } from '../boards/board';
import { bendOf } from './flat-panel';
import { check, count, height, made, maker, metersOf, pieces, refuse, size } from './maker';
import { usualIn } from './maker-place';
import { bearingChecks, SCREW_EDGE, screwsAt, studsBehind, usualOnWall } from './on-studs';
import { type MakerSaying, says } from './sayings';

/** Wood beside the filter, around the collar, and around the door's opening; play of the filter in its ring, m: estimates. */
const LAND = 0.025;
const PLAY = 0.0015;
/** The door reaches so far beyond its gasket, m. */
const DOOR_EDGE = 0.006;
/** Between the bag under a filter and the floor, m. */
const FLOOR = 0.05;
/** Plywood, kg/m³: an estimate. */
const PLYWOOD = 600;
const SCREW_DEPTH = 0.05;
/** Pressure behind a blower that feeds a clogged filter, of the most it makes: an estimate. */
const BEHIND = 0.5;

/**
 * A box between a blower and a filter that has no flange: the blower's pipe in its side, the filter hanging in a ring
 * under it, a gasketed door to look in, and brackets over it that carry all to the studs.
 */
export const filterBox = maker({
  fields: {
    filter: size(0.1, 1.2),
    filterHeight: height(0.1, 3),
    filterWeight: { kind: 'mass', min: 0.1, max: 100 },
    bag: height(0, 2),
    collar: size(0.05, 0.5),
    board: size(0.009, 0.04),
    gasket: size(0.003, 0.05),
    door: size(0.05, 1),
    doorHeight: size(0.05, 1),
    bracket: size(0.15, 1.2),
    wall: count(1, 200),
    along: height(0, 60),
    screw: size(0.004, 0.016),
  },
  usual: (place) => {
    const { stands, collector, board } = place;
    const { filter, filterBin } = stands.sizes;
    const across = filter.diameter || 0.4;
    const collar = collector.separator.inletDiameter;
    const width = across + 2 * LAND + 2 * board;
    const gasket = usualIn(place, 0.75, 0.02);
    return {
      filter: across,
      filterHeight: filter.height || 0.6,
      filterWeight: filter.weight || 8,
      bag: filterBin.height,
      collar,
      board,
      gasket,
      door: across / 2,
      doorHeight: Math.max(0.05, collar - 2 * (gasket - LAND + DOOR_EDGE)),
      bracket: usualIn(place, 12, 0.3),
      ...usualOnWall(place, Math.max(width, usualIn(place, 20, 0.7))),
      screw: usualIn(place, 0.3125, 0.008),
    };
  },
  make: (sizes, place) => {
    const { filter, filterHeight, bag, collar, board, gasket, door, doorHeight, bracket } = sizes;
    const inside = { across: filter + 2 * LAND, high: collar + 2 * LAND };
    const outside = { across: inside.across + 2 * board, high: inside.high + 2 * board };
    const opening = filter - 2 * gasket;
    if (opening < 0.5 * filter) {
      return refuse(
        'gasket',
        says('gasket leaves too small an opening', { gasket, filter, most: filter / 4 }),
      );
    }
    const mostDoor = inside.across - 2 * (gasket + DOOR_EDGE);
    if (door > mostDoor) {
      return refuse('door', says('door too wide', { most: mostDoor }));
    }
    const mostHigh = inside.high - 2 * (gasket + DOOR_EDGE);
    if (doorHeight > mostHigh) {
      return refuse(
        'doorHeight',
        mostHigh > 0.05
          ? says('door too high', { most: mostHigh })
          : says('no room for a door', { gasket, front: inside.high }),
      );
    }
    if (bracket < 4 * SCREW_EDGE) {
      return refuse('bracket', says('brackets too low for two rows', { least: 4 * SCREW_EDGE }));
    }
    const railLength = Math.max(outside.across, usualIn(place, 20, 0.7));
    const studs = studsBehind({ wall: sizes.wall, along: sizes.along, length: railLength }, place);
    if (!studs.ok) return refuse('along', studs.reason);
    const screws = screwsAt(studs.at, bracket);
    const sheet = { material: 'sheet' as const, thickness: board };
    const plate = (
      name: string,
      width: number,
      tall: number,
      holes = [] as ReturnType<typeof circle>[],
      note?: MakerSaying,
    ) => ({
      ...{ ...sheet, name, holes, outline: rectangle(width, tall) },
      ...(note && { note }),
    });
    const center = { x: outside.across / 2, y: outside.across / 2 };
    const collarHole = circle(collar / 2, { x: inside.across / 2 + board, y: inside.high / 2 });
    const doorAt = { x: (inside.across - door) / 2, y: (inside.high - doorHeight) / 2 };
    const doorSize = {
      across: door + 2 * (gasket + DOOR_EDGE),
      high: doorHeight + 2 * (gasket + DOOR_EDGE),
    };
    const ring = {
      ...{ ...sheet, name: 'ring around the filter' },
      outline: circle(filter / 2 + PLAY + LAND),
      holes: [circle(filter / 2 + PLAY)],
    };
    const leg = 0.8 * outside.across;
    const gusset = {
      ...{ ...sheet, name: 'bracket', holes: [] },
      // Its own x goes to the back; upright at the wall, along the top of the box to the front.
      outline: polygon([
        { x: 0, y: 0 },
        { x: leg, y: 0 },
        { x: leg, y: bracket },
        { x: leg - 0.04, y: bracket },
        { x: 0, y: 0.04 },
      ]),
    };
    // The rail stands on the wall behind the brackets, and over the box's back.
    const railX = (outside.across - railLength) / 2;
    const top = outside.high;
    const backY = -board;
    const weight =
      sizes.filterWeight +
      PLYWOOD * board * (2 * outside.across ** 2 + 4 * outside.across * inside.high);
    const mounting = filterHeight + bag + (bag > 0 ? FLOOR : 0) + board;
    return made({
      parts: [
        lying(
          plate(
            'bottom',
            outside.across,
            outside.across,
            [circle(opening / 2, center)],
            says('box opening', { opening }),
          ),
          { x: 0, y: backY - outside.across, z: 0 },
          { x: 0, y: 0, z: -0.15 },
        ),
        lying(
          ring,
          { x: center.x, y: backY - outside.across / 2, z: -board },
          { x: 0, y: 0, z: -0.3 },
        ),
        lying(
          plate('top', outside.across, outside.across),
          { x: 0, y: backY - outside.across, z: top - board },
          { x: 0, y: 0, z: 0.15 },
        ),
        facingRight(
          plate(
            'side with the collar',
            outside.across,
            inside.high,
            [collarHole],
            says('collar hole', { collar }),
          ),
          { x: 0, y: backY - outside.across, z: board },
          { x: -0.2, y: 0, z: 0 },
        ),
        facingRight(
          plate('side', outside.across, inside.high),
          { x: outside.across - board, y: backY - outside.across, z: board },
          { x: 0.2, y: 0, z: 0 },
        ),
        facingFront(
          plate('back', inside.across, inside.high),
          { x: board, y: backY, z: board },
          { x: 0, y: 0.12, z: 0 },
        ),
        facingFront(
          {
            ...plate('front', inside.across, inside.high),
            holes: [rectangle(door, doorHeight, doorAt)],
            note: says('door opening', { width: door, height: doorHeight }),
          },
          { x: board, y: backY - outside.across + board, z: board },
          { x: 0, y: -0.15, z: 0 },
        ),
        facingFront(
          plate('door', doorSize.across, doorSize.high),
          {
            x: (outside.across - doorSize.across) / 2,
            y: backY - outside.across,
            z: board + (inside.high - doorSize.high) / 2,
          },
          { x: 0, y: -0.32, z: 0 },
        ),
        facingFront(
          {
            ...plate('rail at the wall', railLength, bracket),
            holes: screws.map((at) => circle(sizes.screw / 2, at)),
            note: says('screws at the studs', { screw: sizes.screw }),
          },
          { x: railX, y: 0, z: top },
          { x: 0, y: 0.12, z: 0.3 },
        ),
        ...[0.15 * outside.across, 0.85 * outside.across - board].map((x) =>
          facingRight(gusset, { x, y: backY - leg, z: top }, { x: 0, y: 0, z: 0.3 }),
        ),
      ],
      bought: [
        metersOf(says('gasket around the door', { gasket }), 2 * (door + doorHeight + 2 * gasket)),
        metersOf(says('gasket on the filter’s rim', { gasket }), Math.PI * filter),
        metersOf(says('silicone inside the box'), 8 * inside.across + 4 * inside.high),
        pieces(says('lag screws for the box', { screw: sizes.screw }), screws.length),
        pieces(says('box latches'), 5),
      ],
      checks: [
        check(
          'clear',
          says('underside of the box'),
          mounting,
          'at least',
          filterHeight + bag,
          'length',
        ),
        ...(place.stands.ceiling === null
          ? []
          : [
              check(
                'clear',
                says('top of the brackets'),
                mounting + outside.high + bracket,
                'at most',
                place.stands.ceiling,
                'length',
              ),
            ]),
        check(
          'carry',
          says('bulge of the sides'),
          bendOf(inside.across / 2, board, BEHIND * place.suction),
          'at most',
          gasket / 4,
        ),
        ...bearingChecks(
          {
            diameter: sizes.screw,
            depth: SCREW_DEPTH,
            count: screws.length,
            rise: bracket - 2 * SCREW_EDGE,
          },
          weight,
          outside.across / 2 + board,
        ),
      ],
      steps: [
        says('glue the box'),
        says('glue the filter ring'),
        says('lay the door gasket'),
        says('hang the box', { underside: mounting }),
      ],
    });
  },
});
