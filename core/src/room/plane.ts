/** A place on the floor, m. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** Corners in order, counter-clockwise; at least three. */
export type Polygon = readonly Spot[];

export interface Edge {
  readonly from: Spot;
  readonly to: Spot;
}

/** A rectangle that stands turned. */
export interface Block {
  readonly at: Spot;
  readonly turn: number;
  readonly width: number;
  readonly depth: number;
}

export const edgesOf = (polygon: Polygon): Edge[] =>
  polygon.flatMap((from, i) => {
    const to = polygon[(i + 1) % polygon.length];
    return to ? [{ from, to }] : [];
  });

/** A circle around a polygon, to tell soon what is far away from it. */
export interface Round {
  readonly middle: Spot;
  readonly reach: number;
}

export function roundOf(polygon: Polygon): Round {
  const [first] = polygon;
  if (!first) return { middle: { x: 0, y: 0 }, reach: 0 };
  const count = polygon.length;
  const middle = {
    x: polygon.reduce((sum, { x }) => sum + x, 0) / count,
    y: polygon.reduce((sum, { y }) => sum + y, 0) / count,
  };
  const reach = Math.max(...polygon.map(({ x, y }) => Math.hypot(x - middle.x, y - middle.y)));
  return { middle, reach };
}

/** Whether two circles are clear of each other. */
export function areApart(a: Round, b: Round): boolean {
  const [dx, dy, reach] = [a.middle.x - b.middle.x, a.middle.y - b.middle.y, a.reach + b.reach];
  return dx * dx + dy * dy > reach * reach;
}

/** A point of a block's own (x across, y along its depth, from its middle) on the floor. */
export function onFloor({ at, turn }: Pick<Block, 'at' | 'turn'>, { x, y }: Spot): Spot {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return { x: at.x + x * cos - y * sin, y: at.y + x * sin + y * cos };
}

/** A point of the floor as a block sees it. */
export function inBlock({ at, turn }: Pick<Block, 'at' | 'turn'>, spot: Spot): Spot {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const [dx, dy] = [spot.x - at.x, spot.y - at.y];
  return { x: dx * cos + dy * sin, y: -dx * sin + dy * cos };
}

/** A block's corners, counter-clockwise from its front left. */
export function cornersOf(block: Block): Polygon {
  const [w, d] = [block.width / 2, block.depth / 2];
  return [
    { x: -w, y: -d },
    { x: w, y: -d },
    { x: w, y: d },
    { x: -w, y: d },
  ].map((corner) => onFloor(block, corner));
}

/**
 * How deep two convex polygons lie in each other, m: the least way one has to move to be clear (the
 * separating axis theorem); 0 or less where they are clear of each other.
 */
export function overlapDepth(a: Polygon, b: Polygon): number {
  let least = Number.POSITIVE_INFINITY;
  for (const { from, to } of [...edgesOf(a), ...edgesOf(b)]) {
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    if (length === 0) continue;
    const axis = { x: (to.y - from.y) / length, y: (from.x - to.x) / length };
    const along = (polygon: Polygon) => polygon.map(({ x, y }) => x * axis.x + y * axis.y);
    const [pa, pb] = [along(a), along(b)];
    const depth = Math.min(Math.max(...pa) - Math.min(...pb), Math.max(...pb) - Math.min(...pa));
    least = Math.min(least, depth);
  }
  return least;
}

/** Whether a spot lies in a polygon of any shape (crossings of a ray). */
export function isInside(polygon: Polygon, { x, y }: Spot): boolean {
  let inside = false;
  let from = polygon.at(-1);
  for (const to of polygon) {
    if (!from) break;
    const crosses = from.y > y !== to.y > y;
    if (crosses && x < from.x + ((y - from.y) / (to.y - from.y)) * (to.x - from.x)) {
      inside = !inside;
    }
    from = to;
  }
  return inside;
}

/** Distance of a spot from an edge, m. */
export function distanceTo({ from, to }: Edge, { x, y }: Spot): number {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const square = dx * dx + dy * dy;
  const share = square === 0 ? 0 : ((x - from.x) * dx + (y - from.y) * dy) / square;
  const clamped = Math.min(1, Math.max(0, share));
  const [ax, ay] = [x - from.x - clamped * dx, y - from.y - clamped * dy];
  return Math.sqrt(ax * ax + ay * ay);
}

/**
 * How far a strip goes before an edge stands in it, m; null: it never does. The strip is `width` wide
 * about the y axis of `frame` and goes on from y = `start`.
 */
export function freeUntil(
  frame: Pick<Block, 'at' | 'turn'>,
  width: number,
  start: number,
  { from, to }: Edge,
): number | null {
  const half = width / 2 - 1e-9;
  let [a, b] = [inBlock(frame, from), inBlock(frame, to)];
  if (a.x > b.x) [a, b] = [b, a];
  if (b.x < -half || a.x > half) return null;
  const at = (x: number) =>
    b.x - a.x < 1e-12 ? a.y : a.y + ((x - a.x) / (b.x - a.x)) * (b.y - a.y);
  const ys = b.x - a.x < 1e-12 ? [a.y, b.y] : [at(Math.max(a.x, -half)), at(Math.min(b.x, half))];
  const ahead = ys.filter((y) => y >= start - 1e-9);
  if (ahead.length === 0) return null;
  // An edge that crosses the start is in the way at once.
  return ahead.length < ys.length ? 0 : Math.max(0, Math.min(...ahead) - start);
}
