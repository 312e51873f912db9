import type { Shop } from '../../design/schema';
import type { Spot } from '../../room/plane';
import { extentOf, onWall, type Wall, wallsOf } from '../../room/room-outline';
import { collectorBlock } from '../../room/standing';
import type { Point3 } from '../space';
import { ductItems, outlineAlong, type Projection } from './duct-items';
import { lineOf, type SheetItem, textOf } from './sheet';
import { collectorPipes, solidsOf } from './solids';

/** The side of the room one looks from. */
export type Side = 'front' | 'back' | 'left' | 'right';

/** From each side: what is to the right there, and z up. */
export const ELEVATIONS: Readonly<Record<Side, Projection>> = {
  front: ({ x, z }) => ({ x, y: z }),
  back: ({ x, z }) => ({ x: -x, y: z }),
  left: ({ y, z }) => ({ x: -y, y: z }),
  right: ({ y, z }) => ({ x: y, y: z }),
};

/** How far from the viewer a point is on each side; what is nearer is drawn later. */
const FAR: Readonly<Record<Side, (at: Point3) => number>> = {
  front: ({ y }) => y,
  back: ({ y }) => -y,
  left: ({ x }) => x,
  right: ({ x }) => -x,
};

/**
 * The shop from one side: floor, ceiling and walls as the room's extent with the studs of the walls
 * one faces, what stands as upright boxes (machines as high as their kind usually is), ducts at their
 * heights, names below the floor. The collector is one assembly: its parts with the pipes that join them.
 */
export function elevationSheet(shop: Shop, side: Side): SheetItem[] {
  const project = ELEVATIONS[side];
  const items: SheetItem[] = [];
  const extent = extentOf(shop.room);
  const top = shop.room.ceilingHeight;
  if (extent) {
    const { x0, y0, width, depth } = extent;
    const ends = [
      project({ x: x0, y: y0, z: 0 }),
      project({ x: x0 + width, y: y0 + depth, z: 0 }),
    ].map(({ x }) => x);
    const [left, right] = [Math.min(...ends), Math.max(...ends)];
    items.push(
      lineOf('walls', [
        { x: left, y: 0 },
        { x: right, y: 0 },
      ]),
    );
    if (top !== null) {
      items.push(
        lineOf('walls', [
          { x: left, y: 0 },
          { x: left, y: top },
        ]),
      );
      items.push(
        lineOf('walls', [
          { x: right, y: 0 },
          { x: right, y: top },
        ]),
      );
      items.push(
        lineOf('walls', [
          { x: left, y: top },
          { x: right, y: top },
        ]),
      );
    }
  }
  items.push(...studItems(shop, side));
  const named: Named[] = [];
  const solids = solidsOf(shop).map((solid) => ({
    ...solid,
    far: Math.max(...solid.corners.map(FAR[side])),
  }));
  for (const { layer, name, corners } of solids.toSorted((a, b) => b.far - a.far)) {
    const box = boxAround(corners.map(project));
    items.push(lineOf(layer, box, true));
    // The nearest first: they keep their place where names are close.
    if (layer === 'machines') named.unshift({ name, x: middle(box) });
  }
  for (const { points, diameter } of collectorPipes(shop)) {
    const centre = points.map(project);
    for (const shape of outlineAlong(centre, diameter / 2)) {
      items.push(lineOf('collector', shape, true));
    }
  }
  const collector = collectorBlock(shop);
  if (collector) {
    named.push({ name: 'Collector', x: project({ ...collector.at, z: 0 }).x });
  }
  return [...items, ...ductItems(shop, project), ...nameItems(named)];
}

interface Named {
  readonly name: string;
  readonly x: number;
}

/** A letter is about so wide; a name stands so far below the floor, or the name above it, m. */
const LETTER = 0.09;
const FOOT = 0.2;
const ROW = 0.22;

/** Names below what they name; a row lower where they would meet. */
function nameItems(named: readonly Named[]): SheetItem[] {
  const rows: { from: number; to: number }[][] = [];
  return named.map(({ name, x }) => {
    const half = (name.length * LETTER) / 2;
    const isFree = (row: (typeof rows)[number]) =>
      row.every(({ from, to }) => x + half < from || x - half > to);
    const free = rows.findIndex(isFree);
    const index = free < 0 ? rows.length : free;
    const row = rows[index] ?? [];
    row.push({ from: x - half, to: x + half });
    rows[index] = row;
    return textOf('names', { x, y: -FOOT - index * ROW }, name);
  });
}

/** Studs of the walls one faces, from the floor to the ceiling or to where a wall usually ends. */
function studItems({ room }: Shop, side: Side): SheetItem[] {
  const project = ELEVATIONS[side];
  const top = room.ceilingHeight ?? USUAL_CEILING;
  return wallsOf(room).flatMap((wall) => {
    if (!isFaced(side, wall)) return [];
    return wall.studs.map((along) => {
      const { x } = project({ ...onWall(wall, along), z: 0 });
      return lineOf('studs', [
        { x, y: 0 },
        { x, y: top },
      ]);
    });
  });
}

/** Whether one faces a wall from that side of the room. */
export const isFaced = (side: Side, { inward }: Pick<Wall, 'inward'>): boolean =>
  FAR[side]({ ...inward, z: 0 }) <= -FACING;

/** A wall one faces turns to the viewer at least so much: the cosine. */
const FACING = 0.9;
/** A ceiling nobody has measured, m. */
export const USUAL_CEILING = 2.4;

function boxAround(spots: readonly Spot[]): Spot[] {
  const xs = spots.map(({ x }) => x);
  const ys = spots.map(({ y }) => y);
  const [x0, x1] = [Math.min(...xs), Math.max(...xs)];
  const [y0, y1] = [Math.min(...ys), Math.max(...ys)];
  return [
    { x: x0, y: y0 },
    { x: x1, y: y0 },
    { x: x1, y: y1 },
    { x: x0, y: y1 },
  ];
}

const middle = (box: readonly Spot[]) => ((box[0]?.x ?? 0) + (box[1]?.x ?? 0)) / 2;
