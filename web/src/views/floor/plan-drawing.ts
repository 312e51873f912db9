import type { Room } from '@frank-gauge/core/design';
import { extentOf, type Spot } from '@frank-gauge/core/room';

/** Metres on the floor to pixels of the plan; y goes up in the shop and down on the screen. */
export interface PlanDrawing {
  readonly spot: (at: Spot) => { readonly x: number; readonly y: number };
  /** Pixels of the plan to a spot on the floor. */
  readonly floor: (at: { readonly x: number; readonly y: number }) => Spot;
  readonly scale: number;
  /** What is in sight, m. */
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

/**
 * What stays free around the room, px: for its sizes to the left and below, for a name over the back wall, and for the
 * buttons along the bottom.
 */
const MARGIN = { left: 32, right: 14, top: 32, bottom: 56 } as const;
/** What is in sight of a shop that has no room yet, m. */
const BARE = { x0: 0, y0: 0, width: 6, depth: 5 } as const;

/** Fits the room, and what stands outside it, into so many pixels. */
export function planDrawing(
  room: Room,
  standing: readonly Spot[],
  width: number,
  height: number,
): PlanDrawing {
  const extent = extentOf(room) ?? BARE;
  const x0 = Math.min(extent.x0, ...standing.map(({ x }) => x));
  const y0 = Math.min(extent.y0, ...standing.map(({ y }) => y));
  const x1 = Math.max(extent.x0 + extent.width, ...standing.map(({ x }) => x));
  const y1 = Math.max(extent.y0 + extent.depth, ...standing.map(({ y }) => y));
  const scale = Math.max(
    1,
    Math.min(
      (width - MARGIN.left - MARGIN.right) / (x1 - x0),
      (height - MARGIN.top - MARGIN.bottom) / (y1 - y0),
    ),
  );
  const left = (width + MARGIN.left - MARGIN.right - scale * (x1 - x0)) / 2;
  const bottom = (height + MARGIN.top - MARGIN.bottom + scale * (y1 - y0)) / 2;
  return {
    spot: ({ x, y }) => ({ x: left + scale * (x - x0), y: bottom - scale * (y - y0) }),
    floor: ({ x, y }) => ({ x: x0 + (x - left) / scale, y: y0 + (bottom - y) / scale }),
    scale,
    x0,
    y0,
    x1,
    y1,
  };
}

/** As the drawing looks from nearer. */
export function zoomed(
  drawing: PlanDrawing,
  { k, x, y }: { k: number; x: number; y: number },
): PlanDrawing {
  return {
    ...drawing,
    scale: drawing.scale * k,
    spot: (at) => {
      const spot = drawing.spot(at);
      return { x: spot.x * k + x, y: spot.y * k + y };
    },
    floor: (at) => drawing.floor({ x: (at.x - x) / k, y: (at.y - y) / k }),
  };
}

/** A closed path around corners. */
export const pathOf = (corners: readonly Spot[], { spot }: PlanDrawing): string =>
  `${corners
    .map((corner, i) => {
      const { x, y } = spot(corner);
      return `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`;
    })
    .join(' ')} Z`;

/**
 * A closed path of points given along and across a way on the screen, about a spot there. Written
 * out rather than turned by an attribute: a browser paints every turned element by itself.
 */
export function turnedAbout(at: Spot, direction: Spot): (points: readonly Spot[]) => string {
  const length = Math.hypot(direction.x, direction.y);
  const [cos, sin] = length > 0 ? [direction.x / length, direction.y / length] : [1, 0];
  return (points) =>
    `${points
      .map(({ x, y }, i) => {
        const right = at.x + x * cos - y * sin;
        const down = at.y + x * sin + y * cos;
        return `${i === 0 ? 'M' : 'L'}${right.toFixed(1)} ${down.toFixed(1)}`;
      })
      .join(' ')} Z`;
}
