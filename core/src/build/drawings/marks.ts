import type { Shop } from '../../design/schema';
import type { DuctTree } from '../../design/topology';
import { pipeOutside } from '../../duct/pipes';
import type { Spot } from '../../room/plane';
import { type Wall, wallsOf } from '../../room/room-outline';
import { ductLines, pipePoints } from '../../routing/duct-lines';
import type { Point3 } from '../../routing/space';
import { hangingsAlong } from '../hanger-spacing';
import { pointAlong } from './along-line';

/** A point by the wall it is nearest to: what is marked with a tape. m */
export interface ByWall {
  /** The wall, counted as the outline goes from its first corner, 0 the first. */
  readonly wall: number;
  /** Along it from the corner on the left of whoever faces it, and off it. */
  readonly fromLeft: number;
  readonly off: number;
  /** Above the floor. */
  readonly height: number;
}

/** A point of a run's centerline. */
export interface PointToMark extends ByWall {
  readonly run: string;
  readonly what:
    | { readonly kind: 'begins' | 'ends' }
    /** The so-maniest corner from where the pipe begins. */
    | { readonly kind: 'corner'; readonly nth: number };
}

/** Where pipe is hung, or strapped to the wall it stands at. */
export interface Hanger extends ByWall {
  readonly run: string;
  /** The pipe stands there: it is strapped. */
  readonly isStrap: boolean;
  readonly at: Point3;
}

/** A hole for a pipe through a wall or through the ceiling, m. */
export interface Hole {
  readonly run: string;
  readonly through: 'wall' | 'ceiling' | 'floor';
  /** Of its center; of a hole through ceiling or floor the nearest wall. */
  readonly at: ByWall;
  readonly diameter: number;
}

/** Room around a pipe in a hole, on each side, m: an estimate. */
export const HOLE_ROOM = 0.006;

/** The point by the wall nearest to it; null: the room has no outline. */
export function byWall({ room }: Pick<Shop, 'room'>, { x, y, z }: Point3): ByWall | null {
  let best: ByWall | null = null;
  for (const [wall, each] of wallsOf(room).entries()) {
    const { along, off } = againstWall(each, { x, y });
    if (along < -NEAR || along > each.length + NEAR) continue;
    if (!best || Math.abs(off) < Math.abs(best.off)) {
      best = { wall, fromLeft: fromLeft(each, along), off, height: z };
    }
  }
  return best;
}

/** A point this far beyond a wall's end still lies by it, m. */
const NEAR = 0.001;

/** How far along a wall, from its start, and how far into the room from it, m. */
function againstWall({ from, to, length, inward }: Wall, { x, y }: Spot) {
  const [dx, dy] = [x - from.x, y - from.y];
  const along = length > 0 ? (dx * (to.x - from.x) + dy * (to.y - from.y)) / length : 0;
  return { along, off: dx * inward.x + dy * inward.y };
}

/** Whoever faces a wall of an outline that goes counter-clockwise has its end on the left. */
export function fromLeft({ from, to, inward, length }: Wall, along: number): number {
  const turn = (to.x - from.x) * inward.y - (to.y - from.y) * inward.x;
  return turn > 0 ? length - along : along;
}

/** Beginning, corners and end of every drawn run's pipe, from the collector out, by the walls they are nearest to. */
export function pointsToMark(shop: Shop, tree: DuctTree): PointToMark[] {
  const { lines } = ductLines(shop);
  return tree.upstreamFirst.toReversed().flatMap(({ id }) => {
    const line = lines.get(id);
    const points = line ? pipePoints(line) : [];
    return points.flatMap((point, i): PointToMark[] => {
      const place = byWall(shop, point);
      if (!place) return [];
      const isEnd = i === 0 || i === points.length - 1;
      const kind = i === 0 ? 'begins' : 'ends';
      const what = isEnd ? ({ kind } as const) : ({ kind: 'corner', nth: i } as const);
      return [{ run: id, what, ...place }];
    });
  });
}

/** Where every drawn run's pipe is hung: evenly, and where it begins behind a wye. As many as the parts list counts. */
export function hangersOf(shop: Shop, tree: DuctTree): Hanger[] {
  const { lines } = ductLines(shop);
  return tree.upstreamFirst.toReversed().flatMap((run) => {
    const line = lines.get(run.id);
    if (!line) return [];
    return hangingsAlong(run, line, tree).flatMap(({ along, isStrap }): Hanger[] => {
      const at = pointAlong(line, along);
      const place = at && byWall(shop, at);
      return at && place ? [{ run: run.id, at, isStrap, ...place }] : [];
    });
  });
}

/** Holes for the pipes that leave the room, each with room around the pipe. */
export function holesOf(shop: Shop, tree: DuctTree): Hole[] {
  const { lines } = ductLines(shop);
  const walls = wallsOf(shop.room);
  const { ceilingHeight } = shop.room;
  return tree.upstreamFirst.toReversed().flatMap(({ id, pipe, diameter }) => {
    const size = pipeOutside(pipe, diameter) + 2 * HOLE_ROOM;
    const legs = lines.get(id)?.legs ?? [];
    return legs.flatMap(({ from, to }): Hole[] => {
      const through = walls.flatMap((wall, index): Hole[] => {
        const share = crossing(againstWall(wall, from).off, againstWall(wall, to).off);
        if (share === null) return [];
        const at = between(from, to, share);
        const { along } = againstWall(wall, at);
        if (along < 0 || along > wall.length) return [];
        const place = { wall: index, fromLeft: fromLeft(wall, along), off: 0, height: at.z };
        return [{ run: id, through: 'wall', at: place, diameter: size }];
      });
      const level = (height: number | null, kind: 'ceiling' | 'floor'): Hole[] => {
        const share = height === null ? null : crossing(from.z - height, to.z - height);
        const place = share === null ? null : byWall(shop, between(from, to, share));
        return place ? [{ run: id, through: kind, at: place, diameter: size }] : [];
      };
      return [...through, ...level(ceilingHeight, 'ceiling'), ...level(0, 'floor')];
    });
  });
}

/** The share of the way at which a value goes through nothing; null: it stays on one side. */
function crossing(before: number, after: number): number | null {
  return before * after < 0 ? before / (before - after) : null;
}

const between = (from: Point3, to: Point3, share: number): Point3 => ({
  x: from.x + share * (to.x - from.x),
  y: from.y + share * (to.y - from.y),
  z: from.z + share * (to.z - from.z),
});
