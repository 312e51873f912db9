import type { Room } from '../design/schema';
import { type Edge, edgesOf, type Polygon, type Spot } from './plane';

/** The least and the most a room may be across, m. */
export const ROOM_SIZES = { least: 1, most: 60 } as const;

/** Corners of a room of `width` (x) by `depth` (y) m, its first at the origin. */
export const rectangularRoom = (width: number, depth: number): Polygon => [
  { x: 0, y: 0 },
  { x: width, y: 0 },
  { x: width, y: depth },
  { x: 0, y: depth },
];

/** A room's extent, m; null without an outline. */
export function extentOf({ outline }: Pick<Room, 'outline'>) {
  if (outline.length < 3) return null;
  const xs = outline.map(({ x }) => x);
  const ys = outline.map(({ y }) => y);
  const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
  return { x0, y0, width: Math.max(...xs) - x0, depth: Math.max(...ys) - y0 };
}

/** Floor area, m², by the shoelace formula. */
export const floorArea = (outline: Polygon): number => Math.abs(signedArea(outline));

/** Floor area, m²; negative where the outline goes round clockwise. */
const signedArea = (outline: Polygon): number =>
  edgesOf(outline).reduce((sum, { from, to }) => sum + from.x * to.y - to.x * from.y, 0) / 2;

/** A wall with what of it is open, in m from its start. */
export interface Wall extends Edge {
  readonly length: number;
  /** The way from it into the room, of length 1. */
  readonly inward: Spot;
  readonly doors: readonly Span[];
  readonly windows: readonly Span[];
  /** Middles of its studs, m from its start; none where their spacing is not known. */
  readonly studs: readonly number[];
}

export interface Span {
  readonly id: string;
  readonly from: number;
  readonly to: number;
}

/** A room's walls, as its outline goes; doors and windows held within them. */
export function wallsOf(room: Room): Wall[] {
  if (room.outline.length < 3) return [];
  const left = isCounterClockwise(room.outline) ? 1 : -1;
  return edgesOf(room.outline).map((edge, i) => {
    const [dx, dy] = [edge.to.x - edge.from.x, edge.to.y - edge.from.y];
    const length = Math.hypot(dx, dy);
    const unit = length > 0 ? left / length : 0;
    const inward = { x: -dy * unit, y: dx * unit };
    const spans = (openings: Room['doors']): Span[] =>
      openings
        .filter(({ wall }) => wall === i)
        .map(({ id, along, width }) => ({
          id,
          from: Math.min(Math.max(along, 0), length),
          to: Math.min(Math.max(along + width, 0), length),
        }))
        .filter(({ from, to }) => to > from);
    const [doors, windows] = [spans(room.doors), spans(room.windows)];
    const studs = studsOf(length, room.walls[i]?.studSpacing ?? null, doors);
    return { ...edge, length, inward, doors, windows, studs };
  });
}

/** More studs than this in one wall are not drawn. */
const MOST_STUDS = 500;

/** Studs counted on centre from the wall's start, as framers lay them out, but for its doors. */
function studsOf(length: number, spacing: number | null, doors: readonly Span[]): number[] {
  if (spacing === null || length / spacing > MOST_STUDS) return [];
  const count = Math.ceil(length / spacing - 1e-6) - 1;
  return Array.from({ length: Math.max(0, count) }, (_, i) => (i + 1) * spacing).filter(
    (at) => !doors.some(({ from, to }) => at > from && at < to),
  );
}

/** A place on a wall, `along` m from its start. */
export const onWall = ({ from, to, length }: Wall, along: number): Spot => ({
  x: from.x + ((to.x - from.x) * along) / length,
  y: from.y + ((to.y - from.y) * along) / length,
});

/** What of a wall stands between its doors: boards go out by a door that is open. */
export function solidOf(wall: Wall): Edge[] {
  const doors = [...wall.doors].sort((a, b) => a.from - b.from);
  const solid: Edge[] = [];
  let at = 0;
  for (const { from, to } of doors) {
    if (from > at) solid.push({ from: onWall(wall, at), to: onWall(wall, from) });
    at = Math.max(at, to);
  }
  if (wall.length > at) solid.push({ from: onWall(wall, at), to: onWall(wall, wall.length) });
  return solid;
}

/** What a door needs clear within the room, m: common practice, no source. */
export const DOOR_DEPTH = 0.9;

/** The floor a door needs clear, inside the room. */
export function doorClearance(wall: Wall, door: Span): Polygon {
  const a = onWall(wall, door.from);
  const b = onWall(wall, door.to);
  const { inward } = wall;
  const off = ({ x, y }: Spot): Spot => ({
    x: x + inward.x * DOOR_DEPTH,
    y: y + inward.y * DOOR_DEPTH,
  });
  return [a, b, off(b), off(a)];
}

export const isCounterClockwise = (outline: Polygon): boolean => signedArea(outline) > 0;
