import { standAssembly } from '../assembly/stand-assembly';
import type { Shop } from '../design/schema';
import { toSI } from '../quantity/units';
import {
  cornersOf,
  distanceTo,
  isInside,
  overlapDepth,
  type Polygon,
  type Spot,
} from '../room/plane';
import { extentOf, wallsOf } from '../room/room-outline';
import { collectorBlock } from '../room/standing';
import type { Graph, GraphEdge } from './steiner-tree';

/** What a leg weighs, of its length: what it is guided by. */
export type Weighing = (from: Spot, to: Spot) => number;

/** Spots overhead that ducts may pass, on the lines through all that matters, and the legs between. */
export interface OverheadGrid {
  readonly spots: readonly Spot[];
  readonly graph: Graph;
  /** The number of the spot at, or nearest to, a place. */
  readonly at: (place: Spot) => number;
}

/**
 * From a duct's middle to a wall it runs along, and around a post, m, the first round in the shop's units: common
 * practice, no source.
 */
export const OFF_WALL = { us: toSI(10, 'in'), metric: 0.25 } as const;
const AROUND = 0.2;
/** Lines nearer to each other than this are one, m. */
const ONE_LINE = 0.02;
/** What a duct jogs sideways by at least, m: room for two elbows. A riser stands off by no more. */
export const JOG = 0.4;

/**
 * The grid through `terminals`, along the walls and around posts and whatever stands higher than the
 * ducts hang (the escape graph): a shortest rectilinear tree around those lies on it, but for lines
 * left out because they are too near to another for a duct to jog; `isTight` leaves those of obstacles
 * in, for where there is no way without. Without a room it is the grid through the terminals alone.
 */
export function overheadGrid(
  shop: Shop,
  terminals: readonly Spot[],
  height: number,
  weigh: Weighing,
  isTight = false,
): OverheadGrid {
  const { outline } = shop.room;
  const extent = extentOf(shop.room);
  const obstacles = obstaclesOf(shop, height);
  const corners = obstacles.flat();
  const off = OFF_WALL[shop.shop.units];
  const walls = extent
    ? {
        x: [extent.x0 + off, extent.x0 + extent.width - off],
        y: [extent.y0 + off, extent.y0 + extent.depth - off],
      }
    : { x: [], y: [] };
  const along = (key: 'x' | 'y') =>
    linesOf(
      terminals.map((at) => at[key]),
      corners.map((at) => at[key]),
      walls[key],
      isTight ? ONE_LINE : JOG,
    );
  const [xs, ys] = [along('x'), along('y')];
  const isFree = (spot: Spot) =>
    (outline.length < 3 || isInside(outline, spot)) &&
    obstacles.every((polygon) => !isWellInside(polygon, spot));
  const numbers = new Map<string, number>();
  const spots: Spot[] = [];
  ys.forEach((y, j) => {
    xs.forEach((x, i) => {
      if (!isFree({ x, y })) return;
      numbers.set(`${i} ${j}`, spots.length);
      spots.push({ x, y });
    });
  });
  const edges: GraphEdge[] = [];
  const join = (a: number | undefined, b: number | undefined) => {
    const [from, to] = [spots[a ?? -1], spots[b ?? -1]];
    if (a === undefined || b === undefined || !from || !to) return;
    if (isPassable(from, to, outline, obstacles)) edges.push({ a, b, weight: weigh(from, to) });
  };
  ys.forEach((_, j) => {
    xs.forEach((_, i) => {
      join(numbers.get(`${i} ${j}`), numbers.get(`${i + 1} ${j}`));
      join(numbers.get(`${i} ${j}`), numbers.get(`${i} ${j + 1}`));
    });
  });
  const at = (place: Spot) => {
    let best = 0;
    spots.forEach((spot, i) => {
      const own = spots[best];
      if (own && apart(spot, place) < apart(own, place)) best = i;
    });
    return best;
  };
  return { spots, graph: { size: spots.length, edges }, at };
}

const apart = (a: Spot, b: Spot) => Math.hypot(a.x - b.x, a.y - b.y);

/**
 * Lines in order: of those to be joined and along walls only such as are far enough apart for a duct
 * to jog from one to the other, the first given first.
 */
function linesOf(
  wanted: readonly number[],
  corners: readonly number[],
  walls: readonly number[],
  apartFromCorners: number,
): number[] {
  const lines: number[] = [];
  const add = (values: readonly number[], apart: number) => {
    for (const value of values) {
      if (lines.every((line) => Math.abs(line - value) > apart)) lines.push(value);
    }
  };
  add(wanted, JOG);
  add(walls, JOG);
  add(corners, apartFromCorners);
  return lines.sort((a, b) => a - b);
}

/** What ducts at that height cannot pass through, with room around it. */
function obstaclesOf(shop: Shop, height: number): Polygon[] {
  const posts = shop.room.posts.map(({ at, width }) => squareAround(at, width / 2 + AROUND));
  const block = collectorBlock(shop);
  const isHigh =
    block && standAssembly(shop.collector, shop.room.ceilingHeight).height > height - 0.1;
  return isHigh ? [...posts, cornersOf(block)] : posts;
}

const squareAround = ({ x, y }: Spot, half: number): Polygon => [
  { x: x - half, y: y - half },
  { x: x + half, y: y - half },
  { x: x + half, y: y + half },
  { x: x - half, y: y + half },
];

const isWellInside = (polygon: Polygon, spot: Spot) =>
  isInside(polygon, spot) &&
  polygon.every((from, i) => {
    const to = polygon[(i + 1) % polygon.length];
    return !to || distanceTo({ from, to }, spot) > 1e-6;
  });

/** A leg passes where its middle is in the room and it overlaps no obstacle. */
function isPassable(
  from: Spot,
  to: Spot,
  outline: Polygon,
  obstacles: readonly Polygon[],
): boolean {
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  if (outline.length >= 3 && !isInside(outline, middle)) return false;
  const thin = 1e-4;
  const [dx, dy] = [
    Math.abs(to.x - from.x) > thin ? 0 : thin,
    Math.abs(to.y - from.y) > thin ? 0 : thin,
  ];
  const strip = [
    { x: from.x - dx, y: from.y - dy },
    { x: to.x - dx, y: to.y - dy },
    { x: to.x + dx, y: to.y + dy },
    { x: from.x + dx, y: from.y + dy },
  ];
  return obstacles.every((polygon) => overlapDepth(strip, polygon) < 2 * thin + 1e-6);
}

/** How far a spot is from the nearest wall, m; endless without a room. */
export const fromWalls = (shop: Shop, spot: Spot): number =>
  Math.min(Infinity, ...wallsOf(shop.room).map((wall) => distanceTo(wall, spot)));
