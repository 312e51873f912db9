import type { Spot } from '../../room/plane';
import { dot, type Point3, plus, times } from '../../routing/space';
import type { MakerSaying } from '../makers/sayings';

/** A closed line in a board's own plane, m. */
export type Outline =
  | { readonly kind: 'circle'; readonly at: Spot; readonly radius: number }
  | { readonly kind: 'polygon'; readonly points: readonly Spot[] };

/** What a part is taken from: sheets by their thickness; the others are cut to length, or bought. */
export type Material = 'sheet' | 'clear sheet' | 'lining' | 'lumber' | 'rod' | 'pipe' | 'bought';

/** A part of one thickness: an outline less its holes, in m of its own plane. */
export interface Board {
  readonly name: string;
  readonly material: Material;
  readonly outline: Outline;
  readonly holes: readonly Outline[];
  readonly thickness: number;
  /** Lines to draw on it: what is screwed, glued or bevelled there. */
  readonly marks?: readonly (readonly Spot[])[];
  /** Written on its drawing: a bevel, a groove, which holes take what. */
  readonly note?: MakerSaying;
}

/** Where a board is: its own origin, x and y as it lies in the whole; its thickness grows along x × y. */
export interface PlacedBoard {
  readonly board: Board;
  readonly at: Point3;
  readonly x: Point3;
  readonly y: Point3;
  /** How far it is drawn from its place, so that what is behind it can be seen. */
  readonly apart: Point3;
}

const NOWHERE: Point3 = { x: 0, y: 0, z: 0 };
const RIGHT: Point3 = { x: 1, y: 0, z: 0 };
const BACK: Point3 = { x: 0, y: 1, z: 0 };
const UP: Point3 = { x: 0, y: 0, z: 1 };

/** A board that lies flat, its thickness upward from `at`. */
export const lying = (board: Board, at: Point3, apart: Point3 = NOWHERE): PlacedBoard => ({
  ...{ board, at, apart, x: RIGHT, y: BACK },
});

/** A board that stands facing the front, its own y upward; its thickness comes forward (−y) from `at`. */
export const facingFront = (board: Board, at: Point3, apart: Point3 = NOWHERE): PlacedBoard => ({
  ...{ board, at, apart, x: RIGHT, y: UP },
});

/** A board that stands facing the right, its own x to the back, y upward; its thickness goes right from `at`. */
export const facingRight = (board: Board, at: Point3, apart: Point3 = NOWHERE): PlacedBoard => ({
  ...{ board, at, apart, x: BACK, y: UP },
});

export const circle = (radius: number, at: Spot = { x: 0, y: 0 }): Outline => ({
  ...{ kind: 'circle', at, radius },
});

/** A rectangle from its lower left corner. */
export const rectangle = (width: number, height: number, at: Spot = { x: 0, y: 0 }): Outline => ({
  kind: 'polygon',
  points: [
    at,
    { x: at.x + width, y: at.y },
    { x: at.x + width, y: at.y + height },
    { x: at.x, y: at.y + height },
  ],
});

export const polygon = (points: readonly Spot[]): Outline => ({ kind: 'polygon', points });

/** Points of an arc from one angle to another, both on it, rad. */
export function arc(radius: number, from: number, to: number, step = Math.PI / 90): Spot[] {
  const count = Math.max(1, Math.ceil(Math.abs(to - from) / step));
  return Array.from({ length: count + 1 }, (_, i) => {
    const angle = from + ((to - from) * i) / count;
    return { x: radius * Math.cos(angle), y: radius * Math.sin(angle) };
  });
}

/** Where bolts go around a circle, the first at `from` rad. */
export const around = (count: number, radius: number, from = 0): Spot[] =>
  Array.from({ length: count }, (_, i) => {
    const angle = from + (2 * Math.PI * i) / count;
    return { x: radius * Math.cos(angle), y: radius * Math.sin(angle) };
  });

/** Corners of an outline, counter-clockwise; a circle by so many. */
export function cornersOf(outline: Outline, facets: number): readonly Spot[] {
  if (outline.kind === 'circle') {
    return around(facets, outline.radius).map(({ x, y }) => ({
      x: x + outline.at.x,
      y: y + outline.at.y,
    }));
  }
  const { points } = outline;
  const area = points.reduce((sum, { x, y }, i) => {
    const next = points[(i + 1) % points.length] ?? { x, y };
    return sum + x * next.y - next.x * y;
  }, 0);
  return area < 0 ? points.toReversed() : points;
}

/** The rectangle a board is cut from, m. */
export function blankOf({ outline }: Pick<Board, 'outline'>) {
  if (outline.kind === 'circle') {
    const { at, radius } = outline;
    return { x: at.x - radius, y: at.y - radius, width: 2 * radius, height: 2 * radius };
  }
  const xs = outline.points.map(({ x }) => x);
  const ys = outline.points.map(({ y }) => y);
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
}

/** The way a board's thickness grows. */
const normalOf = ({ x, y }: Pick<PlacedBoard, 'x' | 'y'>): Point3 => ({
  x: x.y * y.z - x.z * y.y,
  y: x.z * y.x - x.x * y.z,
  z: x.x * y.y - x.y * y.x,
});

/** A point of a board's own, `depth` into its thickness, in the whole; drawn apart where that is asked. */
export function inWhole(
  placed: PlacedBoard,
  { x, y }: Spot,
  depth: number,
  isApart = false,
): Point3 {
  const origin = isApart ? plus(placed.at, placed.apart) : placed.at;
  return plus(
    origin,
    plus(plus(times(placed.x, x), times(placed.y, y)), times(normalOf(placed), depth)),
  );
}

/** A way in the whole by a board's own axes; z along its thickness. */
export const wayOnBoard = (placed: PlacedBoard, way: Point3): Point3 => ({
  x: dot(way, placed.x),
  y: dot(way, placed.y),
  z: dot(way, normalOf(placed)),
});
