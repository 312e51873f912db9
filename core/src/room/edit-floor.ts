import type { Shop } from '../design/schema';
import type { Polygon } from './plane';
import { rectangularRoom } from './room-outline';

/**
 * Gives the room another outline; what stands keeps its place, walls their studs. Openings of walls
 * that are gone go with them.
 */
export function setOutline(shop: Shop, outline: Polygon): void {
  const { room } = shop;
  room.outline = outline.map(({ x, y }) => ({ x, y }));
  room.walls = room.outline.map((_, i) => room.walls[i] ?? { studSpacing: null });
  room.doors = room.doors.filter(({ wall }) => wall < outline.length);
  room.windows = room.windows.filter(({ wall }) => wall < outline.length);
}

/** Makes the room a rectangle of this size. */
export const setRoomSize = (shop: Shop, width: number, depth: number): void =>
  setOutline(shop, rectangularRoom(width, depth));

/** Puts a corner halfway along a wall; openings of later walls stay with them. */
export function addCorner(shop: Shop, wall: number): void {
  const { room } = shop;
  const from = room.outline[wall];
  const to = room.outline[(wall + 1) % room.outline.length];
  if (!from || !to) return;
  room.outline.splice(wall + 1, 0, { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 });
  room.walls.splice(wall + 1, 0, { studSpacing: room.walls[wall]?.studSpacing ?? null });
  for (const opening of [...room.doors, ...room.windows]) if (opening.wall > wall) opening.wall++;
}

/** Takes a corner out, with the wall that begins at it; at least three stay. */
export function removeCorner(shop: Shop, corner: number): void {
  const { room } = shop;
  if (room.outline.length <= 3) return;
  room.outline.splice(corner, 1);
  room.walls.splice(corner, 1);
  const stays = ({ wall }: { wall: number }) => wall !== corner;
  room.doors = room.doors.filter(stays);
  room.windows = room.windows.filter(stays);
  for (const opening of [...room.doors, ...room.windows]) if (opening.wall > corner) opening.wall--;
}

/** Whether an outline is an upright rectangle. */
export const isRectangular = (outline: Polygon): boolean =>
  outline.length === 4 &&
  outline.every(({ x, y }, i) => {
    const next = outline[(i + 1) % 4];
    return next !== undefined && (next.x === x) !== (next.y === y);
  });

/** Turns by quarter turns keep within (−π, π], so that a full turn is none. */
export function turnedBy(turn: number, by: number): number {
  const full = 2 * Math.PI;
  const raw = (((turn + by) % full) + full) % full;
  const turned = raw > Math.PI + 1e-9 ? raw - full : raw;
  return Math.abs(turned) < 1e-9 ? 0 : turned;
}
