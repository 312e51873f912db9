import type { Spot } from '../../floor/plane';
import { extentOf } from '../../floor/room-outline';
import type { Shop } from '../../shop/schema';
import type { Point3 } from '../space';
import { ductItems, type Projection } from './duct-items';
import { lineOf, type SheetItem, textOf } from './sheet';
import { solidsOf } from './solids';

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
 * The shop from one side: floor, ceiling and walls as the room's extent, what stands as upright
 * boxes (machines as high as their tables or ports), ducts at their heights, names.
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
  const solids = solidsOf(shop).map((solid) => ({
    ...solid,
    far: Math.max(...solid.corners.map(FAR[side])),
  }));
  for (const { layer, name, corners } of solids.toSorted((a, b) => b.far - a.far)) {
    const box = boxAround(corners.map(project));
    items.push(lineOf(layer, box, true));
    if (layer === 'machines') items.push(textOf('names', { x: middle(box), y: 0.08 }, name));
  }
  return [...items, ...ductItems(shop, project)];
}

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
