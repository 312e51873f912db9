import { widestCarrying } from '../analysis/findings/carrying-size';
import { neededFlow } from '../analysis/judge-drops';
import { kindOfRun, minimumTransport } from '../analysis/transport';
import type { NewId } from '../design/edit-ducts';
import { MAIN, nameDucts } from '../design/name-ducts';
import type { Machine, Port, Run, Shop } from '../design/schema';
import { PIPES } from '../duct/pipes';
import type { Spot } from '../room/plane';
import { arrangeDucts } from '../routing/arrange-ducts';
import { ductLines, pipePoints } from '../routing/duct-lines';
import { routeDrawn } from '../routing/route-drawn';
import type { DuctEnd } from '../routing/route-duct';
import { nearestOn, type Point3 } from '../routing/space';
import type { OverheadGrid } from './overhead-grid';

/** A port to be joined, and where its riser stands. */
export interface Terminal {
  readonly machine: Machine;
  readonly port: Port;
  readonly foot: Spot;
}

/** Makes ducts of a tree: the greediest machine's way first, each other to what is there already. */
export function drawTree(
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
  const drawn: Shop = {
    ...shop,
    ducts: {
      ...structuredClone(shop.ducts),
      nodes: shop.ducts.nodes
        .filter(({ kind }) => kind.kind !== 'joint')
        .map((node) => structuredClone(node)),
      runs: [],
    },
  };
  const toRoot = routesToRoot(grid, edges, grid.at(root));
  const passed = new Set<number>();
  const byNeed = terminals.toSorted((a, b) => neededFlow(b.port) - neededFlow(a.port));
  for (const { machine, port, foot } of byNeed) {
    const route = routeFrom(grid.at(foot), toRoot, passed);
    const spots = corners(route.flatMap((number) => grid.spots[number] ?? []));
    const points = spots.map(({ x, y }): Point3 => ({ x, y, z: height }));
    const isFirst = drawn.ducts.runs.length === 0;
    const end = points.at(-1);
    const goal: DuctEnd | null = isFirst
      ? { kind: 'inlet' }
      : end
        ? { kind: 'run', run: runAt(drawn, end), at: end }
        : null;
    if (!goal) return null;
    // The first is the riser's own, and the last the run's that it ends on.
    const between = isFirst ? points.slice(1) : points.slice(1, -1);
    const from: DuctEnd = { kind: 'port', machine: machine.id, port: port.id };
    const routed = routeDrawn(drawn, from, goal, between, newId, points[0]);
    if (!routed.ok) return null;
    for (const number of route) passed.add(number);
  }
  keepMakes(drawn, before);
  sizeByVelocity(drawn);
  nameMains(drawn);
  return drawn;
}

/** For every spot of the tree, the next one toward the root. */
function routesToRoot(
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
function routeFrom(
  start: number,
  toRoot: ReadonlyMap<number, number>,
  passed: ReadonlySet<number>,
): number[] {
  const route = [start];
  for (let at = start; !passed.has(at); ) {
    const next = toRoot.get(at);
    if (next === undefined) break;
    route.push(next);
    at = next;
  }
  return route;
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
  for (const line of ductLines(shop).lines.values()) {
    const near = nearestOn(pipePoints(line), at);
    if (near && near.off < best.off) best = { run: line.run.id, off: near.off };
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
  const { rules } = shop.shop;
  const { gates } = rules;
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
    const velocity = minimumTransport(rules, kindOfRun(tree, id));
    const wanted = widestCarrying(pipe, flow, velocity) ?? sizes[0] ?? most;
    const widestIn = Math.max(
      0,
      ...shop.ducts.runs.filter(({ to }) => to === run.from).map(({ diameter }) => diameter),
    );
    run.diameter = Math.max(widestIn, Math.min(wanted, sizes.at(-1) ?? wanted));
    if (run.hose) run.hose.diameter = run.diameter;
  }
}

/** What no machine's port begins is a shared duct, and named anew. */
function nameMains(shop: Shop): void {
  const ports = new Set(
    shop.ducts.nodes.filter(({ kind }) => kind.kind === 'port').map(({ id }) => id),
  );
  for (const run of shop.ducts.runs) if (!ports.has(run.from)) run.name = MAIN;
  nameDucts(shop);
}
