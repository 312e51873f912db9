import { standAssembly } from '../assembly/stand-assembly';
import type { Shop } from '../design/schema';
import { joinAngle } from '../fittings/joins/joins';
import {
  areApart,
  cornersOf,
  distanceTo,
  type Edge,
  edgesOf,
  isInside,
  type Polygon,
  type Round,
  roundOf,
  type Spot,
} from '../room/plane';
import { wallsOf } from '../room/room-outline';
import { collectorBlock, machineBlock } from '../room/standing';
import { AGAINST, deriveAlong, turnsOf } from './derive-runs';
import { type DuctLine, type DuctLines, ductLines } from './duct-lines';
import { BESIDE_WALL, FLOOR_DUCT, HEAD_HEIGHT, INLET_STRAIGHT, LONG_HOSE } from './layout-limits';
import { runFromPort } from './route-duct';
import { type Leg, legsOf, ONE_SPOT, type Point3, plus, times } from './space';

/** What is wrong with where a duct lies. SI; `run` is the run it is about. */
export type DuctConflict =
  | { readonly kind: 'no length'; readonly run: string }
  /** A bend, or a joint, stands on the one before. */
  | { readonly kind: 'one spot'; readonly run: string }
  /** Elbows want more of a leg than it has, by so much. */
  | { readonly kind: 'no room to bend'; readonly run: string; readonly short: number }
  | { readonly kind: 'against the flow'; readonly run: string; readonly angle: number }
  | {
      readonly kind: 'elbow at the collector';
      readonly run: string;
      readonly straight: number;
      readonly wanted: number;
    }
  | {
      readonly kind: 'long hose';
      readonly run: string;
      readonly length: number;
      readonly limit: number;
    }
  | { readonly kind: 'wider than what follows'; readonly run: string; readonly by: number }
  | { readonly kind: 'through a post'; readonly run: string }
  | { readonly kind: 'through a wall'; readonly run: string }
  | { readonly kind: 'through the collector'; readonly run: string }
  | { readonly kind: 'above the ceiling'; readonly run: string; readonly short: number }
  | { readonly kind: 'into the floor'; readonly run: string; readonly short: number }
  | {
      readonly kind: 'below head height';
      readonly run: string;
      readonly height: number;
      readonly wanted: number;
    }
  /** A machine that stands, and whose port neither a duct leads away from nor a collector of its own serves. */
  | { readonly kind: 'port without a duct'; readonly machine: string; readonly port: string };

const TOUCH = 0.005;

/**
 * Everything about the drawn ducts that cannot be built, is in the way, or works against the air:
 * from runs of no length to a branch turned against the flow. A run that is not drawn has nothing
 * wrong with where it lies.
 */
export function ductConflicts(shop: Shop, lines: DuctLines = ductLines(shop)): DuctConflict[] {
  const derived = new Map(deriveAlong(shop, lines).map((run) => [run.id, run]));
  const surroundings = surroundingsOf(shop);
  const nodes = new Map(shop.ducts.nodes.map((node) => [node.id, node.kind]));
  const outOf = new Map(shop.ducts.runs.map((run) => [run.from, run]));
  const found: DuctConflict[] = [];
  for (const line of lines.lines.values()) {
    const { id } = line.run;
    const run = derived.get(id);
    if (!run) continue;
    found.push(...shapeConflicts(line));
    const angle = joinAngle(run.joins);
    if (angle !== null && angle > AGAINST) {
      found.push({ kind: 'against the flow', run: id, angle });
    }
    if (run.hose && run.hose.length > LONG_HOSE + TOUCH) {
      found.push({ kind: 'long hose', run: id, length: run.hose.length, limit: LONG_HOSE });
    }
    const last = run.fittings.findLast(({ kind }) => kind === 'elbow');
    const wanted = INLET_STRAIGHT * run.diameter;
    const isInletRun = nodes.get(run.to)?.kind === 'inlet';
    if (isInletRun && last?.kind === 'elbow' && last.after !== null) {
      if (last.after < wanted - TOUCH) {
        found.push({ kind: 'elbow at the collector', run: id, straight: last.after, wanted });
      }
    }
    const following = outOf.get(run.to)?.diameter ?? shop.collector.separator.inletDiameter;
    if (run.diameter > following + 1e-4) {
      found.push({ kind: 'wider than what follows', run: id, by: run.diameter - following });
    }
    found.push(...placeConflicts(line, surroundings));
  }
  for (const machine of shop.machines) {
    if (!machine.place) continue;
    for (const port of machine.ports) {
      if (port.servedBy !== 'ducts' || runFromPort(shop, machine.id, port.id)) continue;
      found.push({ kind: 'port without a duct', machine: machine.id, port: port.id });
    }
  }
  return found;
}

/** Points on one spot, and legs their elbows do not leave room for. */
function shapeConflicts(line: DuctLine): DuctConflict[] {
  const { run, points, legs, hose } = line;
  if (legs.length === 0 && !hose) return [{ kind: 'no length', run: run.id }];
  const found: DuctConflict[] = [];
  const isDoubled = points.some((point, i) => {
    const before = points[i - 1];
    return before !== undefined && legsOf([before, point]).length === 0;
  });
  if (isDoubled) found.push({ kind: 'one spot', run: run.id });
  const turns = turnsOf(line);
  const whole = legs.reduce((sum, { length }) => sum + length, 0);
  const marks = [{ at: 0, reach: 0 }, ...turns, { at: whole, reach: 0 }];
  const short = Math.max(
    0,
    ...marks.slice(1).map((mark, i) => {
      const before = marks[i] ?? mark;
      return before.reach + mark.reach - (mark.at - before.at);
    }),
  );
  if (short > TOUCH) found.push({ kind: 'no room to bend', run: run.id, short });
  return found;
}

interface Surroundings {
  readonly shop: Shop;
  readonly walls: readonly Edge[];
  readonly posts: readonly { readonly at: Spot; readonly half: number }[];
  readonly collector: Polygon | null;
  readonly collectorTop: number;
  /** Where nobody walks: on machines and the collector. */
  readonly taken: readonly { readonly polygon: Polygon; readonly round: Round }[];
}

function surroundingsOf(shop: Shop): Surroundings {
  const block = collectorBlock(shop);
  const collector = block && cornersOf(block);
  const machines = shop.machines.flatMap((machine) => machineBlock(machine) ?? []);
  return {
    shop,
    walls: wallsOf(shop.room),
    posts: shop.room.posts.map(({ at, width }) => ({ at, half: width / 2 })),
    collector,
    collectorTop: block ? standAssembly(shop.collector, shop.room.ceilingHeight).height : 0,
    taken: [...machines.map(cornersOf), ...(collector ? [collector] : [])].map((polygon) => ({
      polygon,
      round: roundOf(polygon),
    })),
  };
}

/** What a duct goes through, over or under that it shouldn't. */
function placeConflicts(line: DuctLine, around: Surroundings): DuctConflict[] {
  const { run, legs, hose } = line;
  const { shop } = around;
  const radius = run.diameter / 2;
  const all = hose ? [hose, ...legs] : legs;
  const found: DuctConflict[] = [];
  const report = (kind: 'through a post' | 'through a wall' | 'through the collector') =>
    found.push({ kind, run: run.id });

  if (around.posts.some(({ at, half }) => all.some((leg) => passes(leg, at) < half + radius))) {
    report('through a post');
  }
  if (around.walls.some((wall) => all.some((leg) => crosses(leg, wall)))) report('through a wall');
  const { collector } = around;
  if (collector && legs.some((leg) => isWithin(leg, collector, around.collectorTop, radius))) {
    report('through the collector');
  }
  const { ceilingHeight } = shop.room;
  const top = Math.max(...all.flatMap(({ from, to }) => [from.z, to.z])) + radius;
  if (ceilingHeight !== null && top > ceilingHeight + TOUCH) {
    found.push({ kind: 'above the ceiling', run: run.id, short: top - ceilingHeight });
  }
  const low = Math.min(...legs.flatMap(({ from, to }) => [from.z, to.z])) - radius;
  if (low < -TOUCH) found.push({ kind: 'into the floor', run: run.id, short: -low });
  const under = Math.min(
    ...legs.filter((leg) => isOverhead(leg, radius, around)).map(underside(radius)),
  );
  if (under < HEAD_HEIGHT - TOUCH) {
    found.push({ kind: 'below head height', run: run.id, height: under, wanted: HEAD_HEIGHT });
  }
  return found;
}

const underside =
  (radius: number) =>
  ({ from, to }: Leg) =>
    Math.min(from.z, to.z) - radius;

/** From 45° on a leg goes up rather than across: it is part of its riser. The sine. */
const STEEP = 0.69;

/** A leg somebody could run into: not steep, not on the floor, not over what stands or by a wall. */
function isOverhead(leg: Leg, radius: number, { taken, walls, shop }: Surroundings): boolean {
  const { from, to, direction } = leg;
  if (Math.abs(direction.z) > STEEP || Math.max(from.z, to.z) < FLOOR_DUCT) return false;
  const outline = shop.room.outline;
  // Well above every head it is in nobody's way.
  if (Math.min(from.z, to.z) - radius >= HEAD_HEIGHT) return false;
  const around = roundOf([from, to]);
  const near = taken.filter(({ round }) => !areApart(around, round));
  const spots = alongLeg(leg).filter(({ z }) => z > FLOOR_DUCT);
  return spots.some(
    (spot) =>
      (outline.length < 3 || isInside(outline, spot)) &&
      !near.some(({ polygon }) => isInside(polygon, spot)) &&
      !walls.some((wall) => distanceTo(wall, spot) < BESIDE_WALL),
  );
}

/** Where a leg is asked whether someone could walk there, m apart. */
const STEP = 0.15;

function alongLeg({ from, direction, length }: Leg): Point3[] {
  const steps = Math.max(1, Math.ceil(length / STEP));
  return Array.from({ length: steps + 1 }, (_, i) =>
    plus(from, times(direction, (length * i) / steps)),
  );
}

/** How near a leg comes to a spot on the floor, seen from above, m. */
const passes = ({ from, to }: Leg, at: Spot) => distanceTo({ from, to }, at);

/** Whether a leg goes through a wall, seen from above; one that only touches it does not. */
function crosses({ from, to }: Leg, wall: Edge): boolean {
  const side = (a: Spot, b: Spot, p: Spot) => (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x);
  const [a, b] = [side(wall.from, wall.to, from), side(wall.from, wall.to, to)];
  const [c, d] = [side(from, to, wall.from), side(from, to, wall.to)];
  const touching = ONE_SPOT * ONE_SPOT;
  return a * b < -touching && c * d < -touching;
}

/** Whether a leg passes within a footprint, below its top; its very end may meet it. */
function isWithin(leg: Leg, polygon: Polygon, top: number, radius: number): boolean {
  if (areApart(roundOf([leg.from, leg.to]), roundOf(polygon))) return false;
  return alongLeg(leg).some(
    (spot) =>
      spot.z - radius < top &&
      isInside(polygon, spot) &&
      edgesOf(polygon).every((edge) => distanceTo(edge, spot) > radius + 0.02),
  );
}
