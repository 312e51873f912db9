import {
  diameterAt,
  joinsAt,
  type NewId,
  newGate,
  runsBehind,
  usualPipe,
} from '../design/edit-ducts';
import { freeName, MAIN, nameDucts, runNames } from '../design/name-ducts';
import type { DuctNode, Run, Shop } from '../design/schema';
import { bendsAt } from './bend-geometry';
import { nodePlaces } from './places';
import { legsOf, type Point3 } from './space';
import { splitAt } from './split-at';

/** Where a duct begins, or ends. */
export type DuctEnd =
  | { readonly kind: 'port'; readonly machine: string; readonly port: string }
  /** Nothing yet: an end to go on from. */
  | { readonly kind: 'free'; readonly at: Point3 }
  | { readonly kind: 'inlet' }
  | { readonly kind: 'node'; readonly node: string }
  /** The spot of a run nearest to `at`. */
  | { readonly kind: 'run'; readonly run: string; readonly at: Point3 };

export type WhyNoRoute =
  /** Both ends bring air, or both take it away. */
  | 'no way to the blower'
  | 'port has its duct'
  | 'into itself'
  | 'no length'
  /** The machine, the collector or the duct it should meet has no place yet. */
  | 'not placed';

export type RoutedDuct =
  | { readonly ok: true; readonly run: string }
  | { readonly ok: false; readonly why: WhyNoRoute };

const no = (why: WhyNoRoute): RoutedDuct => ({ ok: false, why });

/** What a hose is longer by than the straight line between its ends: common practice, no source. */
export const USUAL_SLACK = 0.1;
/** How short hoses are pushed together when they hang: an estimate. */
const USUAL_COMPRESSION = 0.05;

/** What a duct is made of and how. */
export interface DuctMaking {
  /** Points it passes on its way, in the order it is drawn. */
  readonly between: readonly Point3[];
  /** Its first leg from a port is a hose. */
  readonly hasHose: boolean;
}

/**
 * Leads a duct from one end to the other, whichever way it is drawn: a drop from a port, a main or
 * branch with an end to go on from. It joins a run by cutting it there. Changes nothing where it
 * can't be routed, and says why.
 */
export function routeDuct(
  shop: Shop,
  from: DuctEnd,
  to: DuctEnd,
  { between, hasHose }: DuctMaking,
  newId: NewId,
): RoutedDuct {
  const isForward = isSource(from);
  if (isForward === isSource(to)) return no('no way to the blower');
  const [source, target] = isForward ? [from, to] : [to, from];
  const points = isForward ? between : between.toReversed();

  if (source.kind === 'port' && runFromPort(shop, source.machine, source.port)) {
    return no('port has its duct');
  }
  const start = sourcePlace(shop, source);
  const end = targetPlace(shop, target);
  if (!start || !end) return no('not placed');
  if (legsOf([start, ...points, end]).length === 0) return no('no length');

  const node = targetNode(shop, target, newId);
  if (node === null) return no('not placed');
  const upstream = sourceNode(shop, source, newId);
  const run = newRun(shop, source, upstream, node, newId);
  const isHosed = hasHose && source.kind === 'port' && points.length > 0;
  run.route = {
    bends: bendsAt(points, newId),
    slack: isHosed ? USUAL_SLACK : 0,
    isFollowed: true,
  };
  if (!isHosed) run.hose = null;
  shop.ducts.runs.push(run);
  nameDucts(shop);
  return { ok: true, run: run.id };
}

/** Leads a run's downstream end to somewhere else, by other points; it keeps all it is made of. */
export function rejoin(
  shop: Shop,
  runId: string,
  target: DuctEnd,
  between: readonly Point3[],
  newId: NewId,
): RoutedDuct {
  const run = shop.ducts.runs.find(({ id }) => id === runId);
  if (!run || isSource(target)) return no('no way to the blower');
  const behind = new Set(runsBehind(shop, runId).flatMap(({ id, from }) => [id, from]));
  const into = target.kind === 'run' ? target.run : target.kind === 'node' ? target.node : '';
  if (behind.has(into)) return no('into itself');
  const start = nodePlaces(shop).get(run.from);
  const end = targetPlace(shop, target);
  if (!start || !end) return no('not placed');
  if (legsOf([start, ...between, end]).length === 0) return no('no length');
  const node = targetNode(shop, target, newId);
  if (node === null) return no('not placed');
  run.joins = joinsAt(shop, node, runId);
  run.to = node;
  run.route = {
    bends: bendsAt(between, newId),
    slack: run.route?.slack ?? (run.hose ? USUAL_SLACK : 0),
    isFollowed: true,
  };
  nameDucts(shop);
  return { ok: true, run: runId };
}

const isSource = ({ kind }: DuctEnd) => kind === 'port' || kind === 'free';

/** What of a shop its ducts' ends are looked for in. */
type Ducts = {
  readonly ducts: { readonly nodes: readonly DuctNode[]; readonly runs: readonly Run[] };
};

const portNode = (shop: Ducts, machine: string, port: string): DuctNode | undefined =>
  shop.ducts.nodes.find(
    ({ kind }) => kind.kind === 'port' && kind.machine === machine && kind.port === port,
  );

/** The run that leaves a machine's port, if it has one. */
export function runFromPort(shop: Ducts, machine: string, port: string): Run | undefined {
  const node = portNode(shop, machine, port);
  return node && shop.ducts.runs.find(({ from }) => from === node.id);
}

function sourcePlace(shop: Shop, source: DuctEnd): Point3 | null {
  if (source.kind === 'free') return source.at;
  if (source.kind !== 'port') return null;
  const { machine, port } = source;
  const id = 'the port';
  const node: DuctNode = { id, kind: { kind: 'port', machine, port }, at: null, style: {} };
  return nodePlaces({ ...shop, ducts: { ...shop.ducts, nodes: [node] } }).get(id) ?? null;
}

function targetPlace(shop: Shop, target: DuctEnd): Point3 | null {
  const places = nodePlaces(shop);
  switch (target.kind) {
    case 'inlet': {
      const inlet = shop.ducts.nodes.find(({ kind }) => kind.kind === 'inlet');
      return places.get(inlet?.id ?? '') ?? null;
    }
    case 'node':
      return places.get(target.node) ?? null;
    case 'run':
      return target.at;
    case 'port':
    case 'free':
      return null;
  }
}

function targetNode(shop: Shop, target: DuctEnd, newId: NewId): string | null {
  switch (target.kind) {
    case 'inlet':
      return shop.ducts.nodes.find(({ kind }) => kind.kind === 'inlet')?.id ?? null;
    case 'node':
      return target.node;
    case 'run':
      return splitAt(shop, target.run, target.at, newId);
    case 'port':
    case 'free':
      return null;
  }
}

function sourceNode(shop: Shop, source: DuctEnd, newId: NewId): string {
  if (source.kind === 'port') {
    const machine = shop.machines.find(({ id }) => id === source.machine);
    const port = machine?.ports.find(({ id }) => id === source.port);
    // From now on ducts serve it.
    if (port) port.servedBy = 'ducts';
  }
  const known = source.kind === 'port' ? portNode(shop, source.machine, source.port) : undefined;
  if (known) return known.id;
  const id = newId();
  shop.ducts.nodes.push(
    source.kind === 'port'
      ? {
          id,
          kind: { kind: 'port', machine: source.machine, port: source.port },
          at: null,
          style: {},
        }
      : {
          id,
          kind: { kind: 'joint' },
          at: source.kind === 'free' ? { ...source.at } : null,
          style: {},
        },
  );
  return id;
}

function newRun(shop: Shop, source: DuctEnd, from: string, to: string, newId: NewId): Run {
  const machine =
    source.kind === 'port' ? shop.machines.find(({ id }) => id === source.machine) : undefined;
  const port =
    source.kind === 'port' ? machine?.ports.find(({ id }) => id === source.port) : undefined;
  const beyond = shop.ducts.runs.find((run) => run.from === to);
  const diameter = port?.diameter ?? diameterAt(shop, to);
  const isDrop = machine !== undefined;
  return {
    id: newId(),
    name: isDrop ? freeName(`${machine.name} drop`, runNames(shop)) : MAIN,
    from,
    to,
    joins: joinsAt(shop, to),
    pipe: (beyond ?? shop.ducts.runs[0])?.pipe ?? usualPipe(shop),
    route: null,
    length: null,
    diameter,
    fittings: [],
    joints: null,
    hose: isDrop ? { kind: 'ribbed', length: 1, diameter, compression: USUAL_COMPRESSION } : null,
    gate: isDrop ? newGate(shop.ducts.runs.every((run) => !run.gate?.open)) : null,
  };
}
