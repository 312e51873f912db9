import type { Run, Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { isStraight } from '../fittings/joins/joins';
import type { Spot } from '../room/plane';
import { arrangeDucts } from './arrange-ducts';
import { type DuctLine, ductLines } from './duct-lines';
import { LEAST_LEG } from './layout-limits';
import { directionOf, type Point3 } from './space';

/** What is moved at once: machines, the collector, runs with all their points. */
export interface SelectedTogether {
  readonly machines: ReadonlySet<string>;
  readonly isCollector: boolean;
  readonly runs: ReadonlySet<string>;
}

const STILL: Spot = { x: 0, y: 0 };
/** Less than this is no movement, m. */
const LEAST = 1e-9;

const isStill = ({ x, y }: Spot) => Math.abs(x) < LEAST && Math.abs(y) < LEAST;
/** To the nanometre: sums of steps end where they were meant to. */
const tidied = (value: number, by: number) =>
  Math.abs(by) < LEAST ? value : Math.round((value + by) * 1e9) / 1e9;
const added = ({ x, y }: Spot, by: Spot): Spot => ({ x: tidied(x, by.x), y: tidied(y, by.y) });
const less = (a: Spot, b: Spot): Spot => ({ x: a.x - b.x, y: a.y - b.y });
const isSame = (a: Spot, b: Spot) => isStill(less(a, b));
const shifted = ({ x, y, z }: Point3, by: Spot): Point3 => ({ ...added({ x, y }, by), z });

/** A move that is under way: to and fro, it ends where it began. */
export interface Move {
  /** The shop as it was when it began. */
  readonly before: Shop;
  readonly selected: SelectedTogether;
  /** The joints and bends that go along, each with how far, when what is selected moves so far. */
  readonly along: (by: Spot) => ReadonlyMap<string, Spot>;
  /** Where joints and bends were. */
  readonly points: ReadonlyMap<string, DuctPoint>;
  /** Those that have gone along so far. */
  readonly touched: Set<string>;
}

/** A joint that has a place, or a bend: where it is, and where in the document it stands. */
interface DuctPoint {
  readonly at: Point3;
  readonly own: (shop: Shop) => { readonly id: string; at: Point3 | null } | undefined;
}

/** Begins to move what is selected. */
export function beginMove(before: Shop, selected: SelectedTogether): Move {
  return {
    before,
    selected,
    along: ductsAlong(before, selected),
    points: pointsOf(before),
    touched: new Set(),
  };
}

/**
 * Puts what is selected so far from where it stood, and its ducts with it: risers stay over their
 * machines, level legs grow or shrink, a branch slides along its main. Where that cannot be, its hose
 * alone stretches.
 *
 * @param shop the shop the move began in, changed by nothing but this move since
 * @param isAlone leaves all ducts where they are: only hoses stretch
 */
export function moveBy(shop: Shop, move: Move, by: Spot, isAlone = false): void {
  const { before, selected, points, touched } = move;
  before.machines.forEach(({ id, place }, i) => {
    const own = selected.machines.has(id) && place ? shop.machines[i] : undefined;
    if (own && place) own.place = added(place, by);
  });
  const { place } = before.collector;
  if (selected.isCollector && place) shop.collector.place = { ...added(place, by), z: place.z };
  const along = isAlone ? new Map<string, Spot>() : move.along(by);
  for (const id of along.keys()) touched.add(id);
  for (const id of touched) {
    const point = points.get(id);
    const own = point?.own(shop);
    if (point && own?.id === id) own.at = shifted(point.at, along.get(id) ?? STILL);
  }
}

function pointsOf({ ducts }: Shop): ReadonlyMap<string, DuctPoint> {
  const points = new Map<string, DuctPoint>();
  ducts.nodes.forEach(({ id, at }, i) => {
    if (at) points.set(id, { at, own: (shop) => shop.ducts.nodes[i] });
  });
  ducts.runs.forEach(({ route }, i) => {
    route?.bends.forEach(({ id, at }, k) => {
      points.set(id, { at, own: (shop) => shop.ducts.runs[i]?.route?.bends[k] });
    });
  });
  return points;
}

/**
 * The joints and bends that go along when what is selected moves, each with how far it goes, m. Taken
 * whole, from all machines to the collector, ducts go as one; else from each machine downstream as far
 * as it takes for every leg to keep its way.
 */
function ductsAlong(shop: Shop, selected: SelectedTogether): Move['along'] {
  const joints = new Set(shop.ducts.nodes.flatMap(({ id, at }) => (at ? [id] : [])));
  const drawn = ductLines(shop);
  const { lines } = drawn;
  const arranged = arrangeDucts(shop, drawn);
  const isWhole =
    arranged.ok &&
    selected.isCollector &&
    arranged.tree.drops.every(({ machine }) => selected.machines.has(machine.id));
  return (by) => {
    const goes = new Map<string, Spot>();
    if (isStill(by)) return goes;
    for (const run of shop.ducts.runs) {
      if (!isWhole && !selected.runs.has(run.id)) continue;
      for (const node of [run.from, run.to]) if (joints.has(node)) goes.set(node, by);
      for (const { id } of run.route?.bends ?? []) goes.set(id, by);
    }
    if (arranged.ok && !isWhole) followDownstream(lines, arranged.tree, selected, by, goes);
    return goes;
  };
}

/** How a run's points would go: its bends in the order of the air, and its downstream end. */
interface MovedRoute {
  readonly run: Run;
  readonly bends: readonly Spot[];
  readonly end: Spot;
}

function followDownstream(
  lines: ReadonlyMap<string, DuctLine>,
  tree: DuctTree,
  selected: SelectedTogether,
  by: Spot,
  goes: Map<string, Spot>,
): void {
  const shiftOf = (id: string): Spot => {
    const kind = tree.nodes.get(id)?.kind;
    if (kind?.kind === 'port') return selected.machines.has(kind.machine) ? by : STILL;
    if (kind?.kind === 'inlet') return selected.isCollector ? by : STILL;
    return goes.get(id) ?? STILL;
  };
  const forced = new Set(goes.keys());
  const accept = ({ run, bends }: MovedRoute) =>
    (run.route?.bends ?? []).forEach(({ id }, i) => {
      const shift = bends[i] ?? STILL;
      if (!isStill(shift) && !forced.has(id)) goes.set(id, shift);
    });

  const met = new Set<string>();
  for (const { to } of tree.upstreamFirst) {
    // Each node once, when all that flows into it is known.
    if (met.has(to)) continue;
    const into = tree.into.get(to) ?? [];
    if (!into.every(({ from }) => (tree.into.get(from) ?? []).every(() => met.has(from)))) continue;
    met.add(to);
    meet(to, into);
  }

  function meet(node: string, into: readonly Run[]): void {
    const isMoved = into.map((run) => !isStill(shiftOf(run.from)));
    if (!isMoved.includes(true) && isStill(shiftOf(node))) return;
    const isFixed = node === tree.inlet.id || forced.has(node);
    const out = tree.outOf.get(node);
    const next = out && lines.get(out.id);
    const after = isFixed || !next ? null : (directionOf(...firstTwo(next)) ?? null);
    const moved = into.map((run): MovedRoute | null => {
      const line = lines.get(run.id);
      if (!line || selected.runs.has(run.id)) return null;
      const [start, end] = [shiftOf(run.from), isFixed ? shiftOf(node) : STILL];
      const slides = into.length === 1 || !isStraight(run.joins);
      return shiftAlong(line, start, end, isFixed ? 'fixed' : after, slides);
    });
    const found = moved.flatMap((route) => route ?? []);
    const slide = found.find(({ end }) => !isStill(end))?.end ?? null;
    if (isFixed || slide === null) {
      found.forEach(accept);
      return;
    }
    const isLone = into.length === 1;
    const slides = into.every((run, i) => {
      const route = moved[i];
      if (isStraight(run.joins) && !isLone) return !isMoved[i] || isStill(route?.end ?? by);
      return route != null && isSame(route.end, slide);
    });
    const through = isLone ? null : (into.find(({ joins }) => isStraight(joins)) ?? null);
    const back = through && lines.get(through.id);
    const isRoomy =
      (next === undefined || keepsLength(firstTwo(next), slide, STILL)) &&
      (!back || keepsLength(lastTwo(back), lastShift(back), slide));
    if (slides && isRoomy && next) {
      found.forEach(accept);
      goes.set(node, slide);
    } else {
      for (const route of found) if (isStill(route.end)) accept(route);
    }
  }

  function lastShift({ run }: DuctLine): Spot {
    const last = run.route?.bends.at(-1);
    return last ? (goes.get(last.id) ?? STILL) : shiftOf(run.from);
  }
}

type Two = readonly [Point3, Point3];
const ORIGIN: Point3 = { x: 0, y: 0, z: 0 };
const firstTwo = ({ points }: DuctLine): Two => [points[0] ?? ORIGIN, points[1] ?? ORIGIN];
const lastTwo = ({ points }: DuctLine): Two => [points.at(-2) ?? ORIGIN, points.at(-1) ?? ORIGIN];

/** Whether a leg whose ends go so far still leads the way it did. */
function keepsLength([from, to]: Two, a: Spot, b: Spot): boolean {
  const direction = directionOf(from, to);
  if (!direction) return true;
  const [p, q] = [shifted(from, a), shifted(to, b)];
  const left = (q.x - p.x) * direction.x + (q.y - p.y) * direction.y + (q.z - p.z) * direction.z;
  return left >= LEAST_LEG;
}

/**
 * How the points of a line go along when its upstream end goes by `start` and its downstream end by
 * `end`: each leg keeps its way. What follows it may let its end slide along: `after`, or not, where
 * it is fixed. Null where it cannot be.
 *
 * @param slides its last leg would rather go along whole than grow or shrink, as a branch does; not what goes
 *   straight through, whose end is another's to move
 */
function shiftAlong(
  line: DuctLine,
  start: Spot,
  end: Spot,
  after: Point3 | 'fixed' | null,
  slides: boolean,
): MovedRoute | null {
  const { run, points } = line;
  const seen = less(start, end);
  if (isStill(seen)) return { run, bends: points.slice(1, -1).map(() => end), end };
  // A collector that moves alone draws on its last run from behind.
  if (isStill(start)) {
    const shifts = carriedOn(points.toReversed(), end, [], 'fixed');
    return shifts && { run, bends: shifts.slice(0, -1).toReversed(), end };
  }
  const hose = run.hose ? [1] : [];
  // First with the lean of a wye kept, so that the whole branch slides; then by its growing.
  const slid = slides ? carriedOn(points, seen, [...hose, points.length - 1], after) : null;
  const shifts = slid ?? carriedOn(points, seen, hose, after);
  if (!shifts) return null;
  return {
    run,
    bends: shifts.slice(0, -1).map((shift) => added(shift, end)),
    end: added(shifts.at(-1) ?? STILL, end),
  };
}

/**
 * How far each point after the first goes, so that every leg keeps its way.
 *
 * @param whole points whose legs go as they are, neither longer nor shorter: a hose, a wye's lean
 */
function carriedOn(
  points: readonly Point3[],
  start: Spot,
  whole: readonly number[],
  after: Point3 | 'fixed' | null,
): Spot[] | null {
  const shifts: Spot[] = [];
  const follows = after === 'fixed' ? null : after;
  let carried = start;
  for (let i = 1; i < points.length; i++) {
    const [from, to, next] = [points[i - 1], points[i], points[i + 1]];
    if (!from || !to) return null;
    const direction = directionOf(from, to);
    const before = carried;
    if (direction && !whole.includes(i) && !isStill(carried)) {
      const isNextWhole = whole.includes(i + 1);
      const ahead = next ? directionOf(to, next) : follows;
      carried = turnedInto(carried, direction, isNextWhole ? null : ahead);
      if (!keepsLength([from, to], before, carried)) return null;
    }
    shifts.push(carried);
  }
  const isTakenUp = follows
    ? Math.abs(follows.x * carried.y - follows.y * carried.x) < LEAST
    : false;
  return isStill(carried) || isTakenUp || after === null ? shifts : null;
}

/** Level within so much, as a share. */
const LEVEL = 0.01;

/**
 * What a leg hands on of a movement: all of it where it is upright; else what its own length does not
 * take up, along the way of the next leg if that can take it.
 */
function turnedInto(by: Spot, direction: Point3, next: Point3 | null): Spot {
  if (Math.abs(direction.z) > LEVEL) return by;
  const across = direction.x * by.y - direction.y * by.x;
  const turn = next && Math.abs(next.z) < LEVEL ? direction.x * next.y - direction.y * next.x : 0;
  if (next && Math.abs(turn) > LEVEL) {
    return { x: (across / turn) * next.x, y: (across / turn) * next.y };
  }
  return { x: -across * direction.y, y: across * direction.x };
}
