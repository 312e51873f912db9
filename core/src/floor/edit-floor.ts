import type { Shop } from '../shop/schema';
import { cornersOf, isInside, overlapDepth, type Polygon, type Spot } from './plane';
import { extentOf, rectangularRoom } from './room-outline';
import { collectorBlock, machineBlock, machineSize } from './standing';

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

/** Steps in which a free place is sought, m. */
const STEP = 0.25;

/**
 * A place in the room for something of this size where nothing stands yet, nearest its first corner;
 * the middle of the room where there is none; the origin's side where there is no room at all.
 */
export function freePlace(shop: Shop, width: number, depth: number): Spot {
  const extent = extentOf(shop.room);
  if (!extent) return { x: width / 2, y: depth / 2 };
  const taken = [
    ...shop.machines.flatMap((machine) => machineBlock(machine) ?? []),
    collectorBlock(shop),
  ].flatMap((block) => (block ? [cornersOf(block)] : []));
  const { x0, y0 } = extent;
  for (let y = y0 + depth / 2; y <= y0 + extent.depth - depth / 2 + 1e-9; y += STEP) {
    for (let x = x0 + width / 2; x <= x0 + extent.width - width / 2 + 1e-9; x += STEP) {
      const corners = cornersOf({ at: { x, y }, turn: 0, width, depth });
      const isFree = taken.every((other) => overlapDepth(corners, other) <= 0);
      const middle = { x, y };
      if (isFree && isInside(shop.room.outline, middle)) return middle;
    }
  }
  return { x: x0 + extent.width / 2, y: y0 + extent.depth / 2 };
}

/** Puts a machine where there is room for it. */
export function placeMachine(shop: Shop, id: string): void {
  const machine = shop.machines.find((each) => each.id === id);
  if (!machine || machine.place) return;
  const { width, depth } = machineSize(machine);
  machine.place = { ...freePlace(shop, width, depth) };
}

/** Puts the collector where there is room for it. */
export function placeCollector(shop: Shop): void {
  if (shop.collector.place) return;
  const size = collectorBlock({
    ...shop,
    collector: { ...shop.collector, place: { x: 0, y: 0, z: 0 } },
  });
  const { x, y } = freePlace(shop, size?.width ?? 1, size?.depth ?? 1);
  shop.collector.place = { x, y, z: 0 };
}
