import { PIPES } from '../duct/pipes';
import type { Spot } from '../floor/plane';
import { extentOf } from '../floor/room-outline';
import { arrangeDucts } from '../layout/arrange-ducts';
import { type DuctConflict, ductConflicts } from '../layout/duct-conflicts';
import { ductLines } from '../layout/duct-lines';
import { leadDrawn } from '../layout/lead-drawn';
import type { DuctEnd } from '../layout/lead-duct';
import { inletMouth, portMouth } from '../layout/places';
import { nearestOn, type Point3 } from '../layout/space';
import { aheadOf, ductHeight, riseFrom } from '../layout/usual-way';
import type { View } from '../network/assemble/setting';
import type { NewId } from '../shop/edit-ducts';
import type { Machine, Port, Run, Shop } from '../shop/schema';
import { widestCarrying } from '../verdict/findings/carrying-size';
import { judgeDrops, neededFlow } from '../verdict/judge-drops';
import {
  fromWalls,
  JOG,
  OFF_WALL,
  type OverheadGrid,
  overheadGrid,
  type Weighing,
} from './overhead-grid';
import { steinerTree } from './steiner-tree';

/** What a proposal is led by: least duct, walls, or one straight main. */
export type RouteWay = 'shortest' | 'walls' | 'main';

/** What a layout comes to. SI. */
export interface RouteScore {
  /** Least of what drops get over what they need, as a share, each with its own gate. */
  readonly worstMargin: number;
  readonly worstDrop: string;
  /** Pipe and hose, m. */
  readonly length: number;
  /** Elbows, wyes and tees. */
  readonly fittings: number;
  /** Wall of all pipe, m²: what stands for cost. */
  readonly wall: number;
  /** Slowest main over its settling velocity, with one drop drawing; under 1 it settles. */
  readonly slowestMain: number;
  /** What cannot be built as it is proposed, or works against the air. */
  readonly toMend: number;
}

export interface RouteProposal {
  readonly way: RouteWay;
  readonly ducts: Shop['ducts'];
  readonly score: RouteScore;
}

export type WhyNotRouted =
  /** No machine, or no collector, stands on the floor yet. */
  | 'nothing to join'
  /** Walls or posts shut something off. */
  | 'no way through'
  | 'unsolved';

export type Routed =
  | { readonly ok: true; readonly proposals: readonly RouteProposal[] }
  | { readonly ok: false; readonly why: WhyNotRouted };

const WAYS: readonly RouteWay[] = ['shortest', 'walls', 'main'];

/** What a leg in the open weighs against one along a wall, and one on the straight main. */
const OPEN_WEIGHTS = [1.8, 3];
/** Nearer than this to a wall a leg is along it, m. */
const ALONG_WALL = 0.5;
const MAIN_WEIGHT = 0.35;
/** And one beside the main, in its direction. */
const BESIDE_WEIGHT = 4;
/** Variants of a way that are tried. */
const MOST_VARIANTS = 6;

const TO_MEND: ReadonlySet<DuctConflict['kind']> = new Set([
  'no length',
  'one spot',
  'no room to bend',
  'against the flow',
  'elbow at the collector',
  'through a post',
  'through the collector',
  'above the ceiling',
]);

interface Terminal {
  readonly machine: Machine;
  readonly port: Port;
  readonly foot: Spot;
}

/**
 * Proposes ducts for the machines that stand and the collector: mains and branches square to each
 * other under the ceiling, around posts, with wyes turned with the flow, risers and hoses; in three
 * ways, each a least tree of its kind, sized by the shop's carrying velocity and scored. Drops keep
 * the make, gate and identity of those that are there.
 */
export function routeDucts(
  shop: Shop,
  view: View,
  newId: NewId,
  onProgress: (done: number, of: number) => void = () => {},
): Routed {
  const mouth = inletMouth(shop);
  const height = ductHeight(shop);
  const terminals = shop.machines.flatMap((machine): Terminal[] =>
    machine.ports.flatMap((port): Terminal[] => {
      const own = portMouth(machine, port);
      const [foot] = own ? riseFrom(own, height) : [];
      return foot ? [{ machine, port, foot }] : [];
    }),
  );
  if (!mouth || terminals.length === 0) return { ok: false, why: 'nothing to join' };
  const root = aheadOf(shop, mouth);
  const places = [root, ...terminals.map(({ foot }) => foot)];
  const proposals: RouteProposal[] = [];
  const known = new Set<string>();
  let why: WhyNotRouted = 'no way through';
  const layOn = (grid: OverheadGrid): Shop | null => {
    const tree = steinerTree(grid.graph, places.map(grid.at));
    return tree && lay(shop, terminals, root, height, grid, tree.edges, newId);
  };
  for (const [i, way] of WAYS.entries()) {
    // Of a kind, the one with the least to mend, then the least wall, that is none of those before.
    let best: RouteProposal | null = null;
    for (const weigh of weighings(shop, way, places).slice(0, MOST_VARIANTS)) {
      const laid =
        layOn(overheadGrid(shop, places, height, weigh)) ??
        layOn(overheadGrid(shop, places, height, weigh, true));
      const score = laid && scoreOf(laid, view);
      if (laid && !score) why = 'unsolved';
      if (!laid || !score || known.has(drawnAs(laid))) continue;
      if (!best || isBetter(score, best.score)) best = { way, ducts: laid.ducts, score };
    }
    if (best) {
      known.add(drawnAs({ ...shop, ducts: best.ducts }));
      proposals.push(best);
    }
    onProgress(i + 1, WAYS.length);
  }
  return proposals.length > 0 ? { ok: true, proposals } : { ok: false, why };
}

const isBetter = (a: RouteScore, b: RouteScore) =>
  a.toMend !== b.toMend ? a.toMend < b.toMend : a.wall < b.wall;

/** Where the ducts of a layout lie, to a centimetre: layouts that agree in it are one. */
const drawnAs = (shop: Shop): string =>
  [...ductLines(shop).lines.values()]
    .flatMap(({ points }) =>
      points.map(({ x, y, z }) => [x, y, z].map((m) => m.toFixed(2)).join(',')),
    )
    .sort()
    .join(' ');

/** What legs weigh, from the mildest to the most pronounced of a way. */
function weighings(shop: Shop, way: RouteWay, places: readonly Spot[]): Weighing[] {
  const length = (a: Spot, b: Spot) => Math.hypot(a.x - b.x, a.y - b.y);
  switch (way) {
    case 'shortest':
      return [length];
    case 'walls':
      return [
        ...mainsOn(places, wallLines(shop, places)).map(onMain),
        ...OPEN_WEIGHTS.map(
          (open): Weighing =>
            (a, b) => {
              const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
              return length(a, b) * (fromWalls(shop, middle) < ALONG_WALL ? 1 : open);
            },
        ),
      ];
    case 'main':
      return mainsOn(places, placeLines(places)).map(onMain);
  }
}

/** A line along the room or across it. */
interface RoomLine {
  readonly key: 'x' | 'y';
  readonly value: number;
}

/** A leg weighs its length: less on a main's line, more beside it, so that branches lead straight to it. */
const onMain =
  ({ key, value }: RoomLine): Weighing =>
  (a, b) => {
    const isOn = [a, b].every((at) => Math.abs(at[key] - value) < 0.03);
    const isBeside = !isOn && Math.abs(a[key] - b[key]) < 1e-6;
    const length = Math.hypot(a.x - b.x, a.y - b.y);
    return length * (isOn ? MAIN_WEIGHT : isBeside ? BESIDE_WEIGHT : 1);
  };

/** Lines along the four sides of the room, as far from them as ducts hang, or through what is near. */
function wallLines({ room }: Shop, places: readonly Spot[]): RoomLine[] {
  const extent = extentOf(room);
  if (!extent) return [];
  const { x0, y0, width, depth } = extent;
  const line = (key: 'x' | 'y', value: number): RoomLine => {
    // The grid keeps the first of lines that are near each other, and so does this.
    const near = places.map((at) => at[key]).find((each) => Math.abs(each - value) < JOG);
    return { key, value: near ?? value };
  };
  return [
    line('x', x0 + OFF_WALL),
    line('x', x0 + width - OFF_WALL),
    line('y', y0 + OFF_WALL),
    line('y', y0 + depth - OFF_WALL),
  ];
}

/** Lines through what is to be joined, of those near each other the first. */
function placeLines(places: readonly Spot[]): RoomLine[] {
  const lines: RoomLine[] = [];
  for (const key of ['x', 'y'] as const) {
    for (const at of places) {
      const isKnown = lines.some(
        (line) => line.key === key && Math.abs(line.value - at[key]) < JOG,
      );
      if (!isKnown) lines.push({ key, value: at[key] });
    }
  }
  return lines;
}

/** Lines a straight main may take, the one that asks least duct first. */
function mainsOn(places: readonly Spot[], lines: readonly RoomLine[]): RoomLine[] {
  const takes = ({ key, value }: RoomLine) => {
    const other = key === 'x' ? 'y' : 'x';
    const along = places.map((at) => at[other]);
    const branches = places.reduce((sum, at) => sum + Math.abs(at[key] - value), 0);
    return branches + Math.max(...along) - Math.min(...along);
  };
  return lines.toSorted((a, b) => takes(a) - takes(b));
}

/** Makes ducts of a tree: the greediest machine's way first, each other to what is there already. */
function lay(
  shop: Shop,
  terminals: readonly Terminal[],
  root: Spot,
  height: number,
  grid: OverheadGrid,
  edges: readonly { readonly a: number; readonly b: number }[],
  newId: NewId,
): Shop | null {
  const before = new Map(
    shop.ducts.nodes.flatMap((node) => {
      const run = shop.ducts.runs.find(({ from }) => from === node.id);
      return node.kind.kind === 'port' && run ? [[node.id, run] as const] : [];
    }),
  );
  const laid: Shop = {
    ...shop,
    ducts: {
      ...structuredClone(shop.ducts),
      nodes: shop.ducts.nodes
        .filter(({ kind }) => kind.kind !== 'joint')
        .map((node) => structuredClone(node)),
      runs: [],
    },
  };
  const toRoot = waysToRoot(grid, edges, grid.at(root));
  const passed = new Set<number>();
  const byNeed = terminals.toSorted((a, b) => neededFlow(b.port) - neededFlow(a.port));
  for (const { machine, port, foot } of byNeed) {
    const way = wayFrom(grid.at(foot), toRoot, passed);
    const spots = corners(way.flatMap((number) => grid.spots[number] ?? []));
    const points = spots.map(({ x, y }): Point3 => ({ x, y, z: height }));
    const isFirst = laid.ducts.runs.length === 0;
    const end = points.at(-1);
    const goal: DuctEnd | null = isFirst
      ? { kind: 'inlet' }
      : end
        ? { kind: 'run', run: runAt(laid, end), at: end }
        : null;
    if (!goal) return null;
    // The first is the riser's own, and the last the run's that it ends on.
    const between = isFirst ? points.slice(1) : points.slice(1, -1);
    const from: DuctEnd = { kind: 'port', machine: machine.id, port: port.id };
    const led = leadDrawn(laid, from, goal, between, newId, points[0]);
    if (!led.ok) return null;
    for (const number of way) passed.add(number);
  }
  keepMakes(laid, before);
  sizeByVelocity(laid);
  nameMains(laid);
  return laid;
}

/** For every spot of the tree, the next one toward the root. */
function waysToRoot(
  grid: OverheadGrid,
  edges: readonly { readonly a: number; readonly b: number }[],
  root: number,
): ReadonlyMap<number, number> {
  const around = new Map<number, number[]>();
  for (const { a, b } of edges) {
    around.set(a, [...(around.get(a) ?? []), b]);
    around.set(b, [...(around.get(b) ?? []), a]);
  }
  const toRoot = new Map<number, number>();
  const waiting = [root];
  const seen = new Set(waiting);
  for (let at = waiting.shift(); at !== undefined; at = waiting.shift()) {
    for (const next of around.get(at) ?? []) {
      if (seen.has(next) || !grid.spots[next]) continue;
      seen.add(next);
      toRoot.set(next, at);
      waiting.push(next);
    }
  }
  return toRoot;
}

/** The spots from a terminal on, up to and with the first that a way passed before, or the root. */
function wayFrom(
  start: number,
  toRoot: ReadonlyMap<number, number>,
  passed: ReadonlySet<number>,
): number[] {
  const way = [start];
  for (let at = start; !passed.has(at); ) {
    const next = toRoot.get(at);
    if (next === undefined) break;
    way.push(next);
    at = next;
  }
  return way;
}

/** Without the spots a way goes straight through. */
function corners(spots: readonly Spot[]): Spot[] {
  return spots.filter((spot, i) => {
    const [before, after] = [spots[i - 1], spots[i + 1]];
    if (!before || !after) return true;
    const cross =
      (spot.x - before.x) * (after.y - spot.y) - (spot.y - before.y) * (after.x - spot.x);
    return Math.abs(cross) > 1e-9;
  });
}

/** The run that passes nearest to a point. */
function runAt(shop: Shop, at: Point3): string {
  let best = { run: '', off: Infinity };
  for (const { run, legs } of ductLines(shop).lines.values()) {
    const first = legs[0];
    const near = first && nearestOn([first.from, ...legs.map(({ to }) => to)], at);
    if (near && near.off < best.off) best = { run: run.id, off: near.off };
  }
  return best.run;
}

/** A drop that was there keeps its identity, name, pipe, gate and kind of hose. */
function keepMakes({ ducts }: Shop, before: ReadonlyMap<string, Run>): void {
  for (const run of ducts.runs) {
    const was = before.get(run.from);
    if (!was) continue;
    Object.assign(run, { id: was.id, name: was.name, pipe: was.pipe });
    run.gate = was.gate ?? run.gate;
    if (run.hose && was.hose) {
      const { kind, diameter, compression } = was.hose;
      Object.assign(run.hose, { kind, diameter, compression });
    }
  }
  const kept = new Set(ducts.runs.map(({ id }) => id));
  ducts.measuredEnds = ducts.measuredEnds.filter(({ joint }) =>
    kept.has(joint.split(' ')[0] ?? ''),
  );
}

/**
 * Every run as wide as still carries: a drop what its machine needs at the carrying velocity, a main
 * what the neediest behind it does, or as many of them as may draw at once, without settling; never
 * narrower than what flows into it.
 */
function sizeByVelocity(shop: Shop): void {
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) return;
  const { tree } = arranged;
  const { gates, carryingVelocity, settlingVelocity } = shop.shop.rules;
  const atOnce = gates.kind === 'atMost' ? gates.count : 1;
  const most = shop.collector.separator.inletDiameter;
  for (const { id, pipe } of tree.upstreamFirst) {
    const run = shop.ducts.runs.find((each) => each.id === id);
    if (!run) continue;
    const needs = tree.drops
      .filter(({ path }) => path.some((each) => each.id === id))
      .map(({ port }) => neededFlow(port))
      .sort((a, b) => b - a);
    const flow = needs.slice(0, atOnce).reduce((sum, need) => sum + need, 0);
    const sizes = PIPES[pipe].sizes
      .map(({ inside }) => inside)
      .filter((size) => size <= most * 1.05);
    const isDrop = tree.drops.some(({ path }) => path[0]?.id === id);
    const velocity = isDrop ? carryingVelocity : settlingVelocity;
    const wanted = widestCarrying(pipe, flow, velocity) ?? sizes[0] ?? most;
    const widestIn = Math.max(
      0,
      ...shop.ducts.runs.filter(({ to }) => to === run.from).map(({ diameter }) => diameter),
    );
    run.diameter = Math.max(widestIn, Math.min(wanted, sizes.at(-1) ?? wanted));
    if (run.hose) run.hose.diameter = run.diameter;
  }
}

/** What no machine's port begins is a main. */
function nameMains(shop: Shop): void {
  const ports = new Set(
    shop.ducts.nodes.filter(({ kind }) => kind.kind === 'port').map(({ id }) => id),
  );
  let count = 0;
  for (const run of shop.ducts.runs) {
    if (ports.has(run.from)) continue;
    count++;
    run.name = count === 1 ? 'Main' : `Main ${count}`;
  }
}

/** What a layout comes to; null where it does not solve. */
export function scoreOf(shop: Shop, view: View): RouteScore | null {
  const arranged = arrangeDucts(shop);
  if (!arranged.ok || arranged.tree.drops.length === 0) return null;
  const { tree } = arranged;
  const { settlingVelocity } = shop.shop.rules;
  let worst: { margin: number; drop: string } | null = null;
  let slowestMain = Infinity;
  for (const verdict of judgeDrops(shop, tree, view, 'one')) {
    if (verdict.kind !== 'judged') return null;
    const margin = verdict.margin / verdict.need;
    if (!worst || margin < worst.margin) worst = { margin, drop: verdict.drop.name };
    if (verdict.main) slowestMain = Math.min(slowestMain, verdict.main.velocity / settlingVelocity);
  }
  const sum = (of: (run: Run) => number) =>
    tree.upstreamFirst.reduce((all, run) => all + of(run), 0);
  return {
    worstMargin: worst?.margin ?? 0,
    worstDrop: worst?.drop ?? '',
    length: sum(({ length, hose }) => (length ?? 0) + (hose?.length ?? 0)),
    fittings: sum(({ fittings, joins }) => fittings.length + (joins.kind === 'branch' ? 1 : 0)),
    wall: sum(({ length, diameter }) => Math.PI * diameter * (length ?? 0)),
    slowestMain,
    toMend: ductConflicts(shop).filter(({ kind }) => TO_MEND.has(kind)).length,
  };
}
