/** A point in the shop, or a way in it: m from the room's corner, z up from the floor. */
export interface Point3 {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

export const plus = (a: Point3, b: Point3): Point3 => ({
  x: a.x + b.x,
  y: a.y + b.y,
  z: a.z + b.z,
});
export const minus = (a: Point3, b: Point3): Point3 => ({
  x: a.x - b.x,
  y: a.y - b.y,
  z: a.z - b.z,
});
export const times = ({ x, y, z }: Point3, by: number): Point3 => ({
  x: x * by,
  y: y * by,
  z: z * by,
});
export const dot = (a: Point3, b: Point3): number => a.x * b.x + a.y * b.y + a.z * b.z;
const lengthOf = (a: Point3): number => Math.hypot(a.x, a.y, a.z);
export const distance = (a: Point3, b: Point3): number => lengthOf(minus(a, b));

/** Points nearer than this are one, m. */
export const ONE_SPOT = 1e-3;

/** The way from one point to another, of length 1; null where they are one. */
export function directionOf(from: Point3, to: Point3): Point3 | null {
  const length = distance(from, to);
  return length < ONE_SPOT ? null : times(minus(to, from), 1 / length);
}

/**
 * What a duct turns through that goes on from `before` to `after`, rad, 0 to π: 0 is straight on, π
 * straight back. Both of length 1.
 */
export const turnBetween = (before: Point3, after: Point3): number =>
  Math.acos(Math.min(1, Math.max(-1, dot(before, after))));

/** A leg of a line, with where it begins along it, m. */
export interface Leg {
  readonly from: Point3;
  readonly to: Point3;
  readonly direction: Point3;
  readonly length: number;
  readonly start: number;
}

/** The legs between a line's points; those of no length are left out. */
export function legsOf(points: readonly Point3[]): Leg[] {
  const legs: Leg[] = [];
  let start = 0;
  for (let i = 1; i < points.length; i++) {
    const [from, to] = [points[i - 1], points[i]];
    const direction = from && to && directionOf(from, to);
    if (!from || !to || !direction) continue;
    const length = distance(from, to);
    legs.push({ from, to, direction, length, start });
    start += length;
  }
  return legs;
}

/** The spot of a line nearest to `at`, how far along it lies and how far off, m; null without legs. */
export function nearestOn(points: readonly Point3[], at: Point3) {
  let best: { point: Point3; along: number; off: number; direction: Point3 } | null = null;
  for (const { from, direction, length, start } of legsOf(points)) {
    const share = Math.min(length, Math.max(0, dot(minus(at, from), direction)));
    const point = plus(from, times(direction, share));
    const off = distance(point, at);
    if (!best || off < best.off - 1e-12) best = { point, along: start + share, off, direction };
  }
  return best;
}

/** As `nearestOn`, seen from above: heights do not count. */
export function nearestFromAbove(points: readonly Point3[], at: Pick<Point3, 'x' | 'y'>) {
  let best: { point: Point3; along: number; off: number; direction: Point3 } | null = null;
  for (const { from, direction, length, start } of legsOf(points)) {
    const level = direction.x * direction.x + direction.y * direction.y;
    // A riser is a dot from above; its foot stands for it.
    const reach =
      level < 1e-9 ? 0 : ((at.x - from.x) * direction.x + (at.y - from.y) * direction.y) / level;
    const share = Math.min(length, Math.max(0, reach));
    const point = plus(from, times(direction, share));
    const off = Math.hypot(point.x - at.x, point.y - at.y);
    if (!best || off < best.off - 1e-12) best = { point, along: start + share, off, direction };
  }
  return best;
}

/** Without points that stand on the one before. */
export function tidy(points: readonly Point3[]): Point3[] {
  const kept: Point3[] = [];
  for (const point of points) {
    const before = kept.at(-1);
    if (!before || distance(before, point) >= ONE_SPOT) kept.push(point);
  }
  return kept;
}
