import type { Shop } from '../../design/schema';
import type { DuctTree } from '../../design/topology';
import { formatShort } from '../../quantity/format-quantity';
import { onTape } from '../../quantity/on-tape';
import type { UnitSystem } from '../../quantity/unit-system';
import type { Spot } from '../../room/plane';
import { extentOf, onWall, wallsOf } from '../../room/room-outline';
import { ductLines } from '../../routing/duct-lines';
import {
  ELEVATIONS,
  isFaced,
  type Side,
  USUAL_CEILING,
} from '../../routing/sheets/elevation-sheet';
import { lineOf, type SheetItem, textOf } from '../../routing/sheets/sheet';
import { type ByWall, fromLeft, hangersOf, holesOf, pointsToMark } from './marks';

/** Letters of dimensions, m; one figure stands so far over the next, or beside it. */
const LETTERS = 0.07;
const ROW = 0.13;
const COLUMN = 0.4;
/** Figures stand so far beyond the room, m. */
const BEYOND = 0.42;
/** What lies within an eighth of an inch of each other is one dimension, m. */
const SAME = 0.003;
/** A leg drawn shorter than this has no length on the plan, m; a length stands so far beside its duct. */
const WORTH_SHOWING = 0.25;
const BESIDE = 0.07;

/** Something on a wall one faces: where it is drawn from the left, and what a tape shows there. */
interface Marked {
  readonly x: number;
  readonly fromLeft: number;
  readonly height: number;
}

/**
 * Dimensions of an elevation: above the room how far every corner, end, hanger and hole of the ducts by the wall one
 * faces is from the corner on the left; beside it how high above the floor. From each figure a line leads to its place.
 */
export function elevationDimensions(shop: Shop, tree: DuctTree, side: Side): SheetItem[] {
  const extent = extentOf(shop.room);
  if (!extent) return [];
  const marked = markedOn(shop, tree, side);
  const { units } = shop.shop;
  const top = shop.room.ceilingHeight ?? USUAL_CEILING;
  const { x0, y0, width, depth } = extent;
  const right = Math.max(
    ...[
      { x: x0, y: y0 },
      { x: x0 + width, y: y0 + depth },
    ].map((corner) => ELEVATIONS[side]({ ...corner, z: 0 }).x),
  );
  const distances = distinct(marked, ({ x }) => x);
  const heights = distinct(marked, ({ height }) => height);
  const spots = spread(
    distances.map(({ x }) => x),
    COLUMN,
  );
  const levels = spread(
    heights.map(({ height }) => height),
    ROW,
  );
  return [
    ...distances.flatMap(({ x, fromLeft: value }, i) => {
      const beside = spots[i] ?? x;
      const foot = { x: beside, y: top + BEYOND + LETTERS / 3 };
      return figure({ x, y: top }, { x: beside, y: top + BEYOND }, foot, value, units);
    }),
    ...heights.flatMap(({ height }, i) => {
      const beside = levels[i] ?? height;
      const middle = right + BEYOND + COLUMN / 2;
      const foot = { x: middle, y: beside - LETTERS / 2.6 };
      return figure({ x: right, y: height }, { x: right + BEYOND, y: beside }, foot, height, units);
    }),
  ];
}

/** Everything by the walls one faces that is measured along them. */
function markedOn(shop: Shop, tree: DuctTree, side: Side): Marked[] {
  const walls = wallsOf(shop.room);
  const project = ELEVATIONS[side];
  const places: readonly ByWall[] = [
    ...pointsToMark(shop, tree),
    ...hangersOf(shop, tree),
    ...holesOf(shop, tree).flatMap(({ through, at }) => (through === 'wall' ? [at] : [])),
  ];
  return places.flatMap((place): Marked[] => {
    const wall = walls[place.wall];
    if (!wall || !isFaced(side, wall)) return [];
    // From the left and from where the wall begins are each the other's rest, or the same.
    const { x } = project({ ...onWall(wall, fromLeft(wall, place.fromLeft)), z: 0 });
    return [{ x, fromLeft: place.fromLeft, height: place.height }];
  });
}

/**
 * Where figures stand along a line: each at what it is of, or as near as its neighbors let it. Those that meet are
 * pooled, and their row is centered over what they are of.
 * @param at in order, m
 * @param apart from the middle of one figure to the next, at least, m
 */
export function spread(at: readonly number[], apart: number): number[] {
  const pools: { readonly middle: number; readonly count: number }[] = [];
  const reach = ({ count }: { readonly count: number }) => ((count - 1) / 2) * apart;
  for (const own of at) {
    let pool = { middle: own, count: 1 };
    for (let last = pools.at(-1); last; last = pools.at(-1)) {
      if (last.middle + reach(last) + apart <= pool.middle - reach(pool)) break;
      pools.pop();
      const count = last.count + pool.count;
      pool = { count, middle: (last.middle * last.count + pool.middle * pool.count) / count };
    }
    pools.push(pool);
  }
  return pools.flatMap((pool) =>
    Array.from({ length: pool.count }, (_, i) => pool.middle - reach(pool) + i * apart),
  );
}

/** In order, those that a tape tells apart. */
function distinct(marked: readonly Marked[], by: (of: Marked) => number): Marked[] {
  let last = Number.NEGATIVE_INFINITY;
  return marked
    .toSorted((a, b) => by(a) - by(b))
    .filter((each) => {
      if (by(each) - last < SAME) return false;
      last = by(each);
      return true;
    });
}

/** A line from the edge of the room to a figure. */
const figure = (
  from: Spot,
  to: Spot,
  foot: Spot,
  value: number,
  units: UnitSystem,
): SheetItem[] => [
  lineOf('sizes', [from, to]),
  textOf('sizes', foot, onTape(value, units), LETTERS),
];

/** Lengths of the ducts' centerlines as the plan shows them, each beside its leg. */
export function planLengths(shop: Shop): SheetItem[] {
  const { units } = shop.shop;
  return [...ductLines(shop).lines.values()].flatMap(({ run, legs }) =>
    legs.flatMap(({ from, to, length }): SheetItem[] => {
      const [dx, dy] = [to.x - from.x, to.y - from.y];
      const drawn = Math.hypot(dx, dy);
      if (drawn < WORTH_SHOWING) return [];
      const off = (run.diameter / 2 + BESIDE) / drawn;
      // Always on the upper or the left side, whichever way the air goes.
      const sign = dx > 0 || (dx === 0 && dy > 0) ? 1 : -1;
      const at = {
        x: (from.x + to.x) / 2 - sign * off * dy,
        y: (from.y + to.y) / 2 + sign * off * dx,
      };
      return [textOf('sizes', at, formatShort(length, 'length', units), LETTERS)];
    }),
  );
}

/** Holes through walls on an elevation that faces them, through ceiling and floor on the plan: each with its size. */
export function holeItems(shop: Shop, tree: DuctTree, sheet: 'plan' | Side): SheetItem[] {
  const walls = wallsOf(shop.room);
  const { units } = shop.shop;
  return holesOf(shop, tree).flatMap(({ run, through, at, diameter }): SheetItem[] => {
    const wall = walls[at.wall];
    if (!wall || (through === 'wall') === (sheet === 'plan')) return [];
    if (sheet !== 'plan' && !isFaced(sheet, wall)) return [];
    const foot = onWall(wall, fromLeft(wall, at.fromLeft));
    const { inward } = wall;
    const point = { x: foot.x + at.off * inward.x, y: foot.y + at.off * inward.y };
    const center = sheet === 'plan' ? point : ELEVATIONS[sheet]({ ...point, z: at.height });
    const below = { x: center.x, y: center.y - diameter / 2 - 1.5 * LETTERS };
    return [
      { kind: 'circle', layer: 'cuts', at: center, radius: diameter / 2, run },
      textOf('names', below, `hole ${onTape(diameter, units)}`, LETTERS),
    ];
  });
}
