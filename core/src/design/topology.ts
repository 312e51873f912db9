import { isStraight } from '../fittings/joins/joins';
import type { DuctNode, Machine, Port, Run, Shop } from './schema';

/** A port at the end of a run, with what stands there. */
export interface Drop {
  /** The node's id, which names the drop. */
  readonly id: string;
  readonly name: string;
  readonly machine: Machine;
  readonly port: Port;
  /** From the machine to the blower. */
  readonly path: readonly Run[];
}

/** The ducts as the tree they are: every run once, upstream before downstream. */
export interface DuctTree {
  readonly inlet: DuctNode;
  readonly nodes: ReadonlyMap<string, DuctNode>;
  /** Runs, each before the one it flows into. */
  readonly upstreamFirst: readonly Run[];
  /** Runs that end at a node, straight ones first. */
  readonly into: ReadonlyMap<string, readonly Run[]>;
  /** The run that leaves a node towards the blower. */
  readonly outOf: ReadonlyMap<string, Run>;
  readonly drops: readonly Drop[];
}

/** Something that keeps the ducts from being a tree, with the document path of the culprit. */
export interface Problem {
  readonly path: readonly (string | number)[];
  readonly message: string;
}

export type Arranged =
  | { readonly ok: true; readonly tree: DuctTree }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** Runs by the node they flow into, straight ones first. */
function byDownstreamNode(runs: readonly Run[]): Map<string, Run[]> {
  const into = new Map<string, Run[]>();
  for (const run of runs) {
    const list = into.get(run.to);
    if (!list) into.set(run.to, [run]);
    else if (isStraight(run.joins)) list.unshift(run);
    else list.push(run);
  }
  return into;
}

/** Names a port as people do: by its machine, and by itself where the machine has several. */
const dropName = (machine: Machine, port: Port): string =>
  machine.ports.length > 1 && port.name !== '' ? `${machine.name}, ${port.name}` : machine.name;

/**
 * Arranges runs of a shop as a converging tree that ends at the collector's inlet, or says with
 * paths what keeps them from being one: a missing node, a run that leads nowhere, a loop, a node
 * that air leaves by two ways, an unknown port. The runs are the document's, or those as they lie.
 */
export function arrangeRuns(shop: Shop, runs: readonly Run[] = shop.ducts.runs): Arranged {
  const problems: Problem[] = [];
  const nodes = new Map(shop.ducts.nodes.map((node) => [node.id, node]));
  const inlets = shop.ducts.nodes.filter((node) => node.kind.kind === 'inlet');
  const inlet = inlets[0];
  const report = (path: Problem['path'], message: string) => problems.push({ path, message });

  if (!inlet || inlets.length > 1) {
    report(
      ['ducts', 'nodes'],
      inlets.length === 0
        ? 'the ducts have no collector inlet to lead to'
        : `a shop has one blower, and one inlet to it; this one has ${inlets.length}. Give each blower a shop of its own`,
    );
  }
  const runIds = new Set<string>();
  const outOf = new Map<string, Run>();
  runs.forEach((run, i) => {
    const at = ['ducts', 'runs', i];
    if (runIds.has(run.id)) report([...at, 'id'], `two runs have the id '${run.id}'`);
    runIds.add(run.id);
    for (const end of ['from', 'to'] as const) {
      if (!nodes.has(run[end])) {
        report(
          [...at, end],
          `'${run.name}' is attached to nothing: there is no node '${run[end]}'`,
        );
      }
    }
    const other = outOf.get(run.from);
    if (other) {
      report([...at, 'from'], `air would leave by two ways: '${other.name}' and '${run.name}'`);
    }
    outOf.set(run.from, run);
    if (nodes.get(run.to)?.kind.kind === 'port') {
      report([...at, 'to'], `'${run.name}' flows into a machine's port`);
    }
  });
  if (inlet && outOf.has(inlet.id)) {
    const index = runs.findIndex((run) => run.from === inlet.id);
    report(['ducts', 'runs', index, 'from'], 'a run leads air out of the collector inlet');
  }
  const findPort = portFinder(shop);
  checkPorts(shop, findPort, report);
  if (problems.length > 0 || !inlet) return { ok: false, problems };

  const into = byDownstreamNode(runs);
  for (const [node, list] of into) {
    const straight = list.filter((run) => isStraight(run.joins));
    if (list.length > 1 && straight.length > 1) {
      const index = runs.indexOf(straight[1] as Run);
      report(
        ['ducts', 'runs', index, 'joins'],
        `'${straight[0]?.name}' and '${straight[1]?.name}' both run straight into node '${node}'; one has to branch`,
      );
    }
  }

  const downstreamFirst: Run[] = [];
  const waiting = [...(into.get(inlet.id) ?? [])];
  for (let run = waiting.shift(); run; run = waiting.shift()) {
    downstreamFirst.push(run);
    waiting.push(...(into.get(run.from) ?? []));
  }
  if (downstreamFirst.length < runs.length) {
    const reached = new Set(downstreamFirst);
    runs.forEach((run, i) => {
      if (reached.has(run)) return;
      const message = isInLoop(run, outOf)
        ? `'${run.name}' is part of a loop: its air never reaches the blower`
        : `'${run.name}' is attached to nothing that leads to the blower`;
      report(['ducts', 'runs', i], message);
    });
  }
  if (problems.length > 0) return { ok: false, problems };

  const drops = shop.ducts.nodes.flatMap((node): Drop[] => {
    if (node.kind.kind !== 'port' || !outOf.has(node.id)) return [];
    const { machine, port } = findPort(node.kind.machine, node.kind.port);
    if (!machine || !port) return [];
    return [
      { id: node.id, name: dropName(machine, port), machine, port, path: pathFrom(node.id, outOf) },
    ];
  });
  const tree = { inlet, nodes, upstreamFirst: downstreamFirst.reverse(), into, outOf, drops };
  return { ok: true, tree };
}

function pathFrom(node: string, outOf: ReadonlyMap<string, Run>): Run[] {
  const path: Run[] = [];
  for (let run = outOf.get(node); run; run = outOf.get(run.to)) path.push(run);
  return path;
}

function isInLoop(start: Run, outOf: ReadonlyMap<string, Run>): boolean {
  const seen = new Set<Run>();
  for (let run: Run | undefined = start; run; run = outOf.get(run.to)) {
    if (seen.has(run)) return true;
    seen.add(run);
  }
  return false;
}

type FindPort = (
  machine: string,
  port: string,
) => { readonly machine: Machine | undefined; readonly port: Port | undefined };

function portFinder({ machines }: Shop): FindPort {
  const byId = new Map(machines.map((machine) => [machine.id, machine]));
  return (machineId, portId) => {
    const machine = byId.get(machineId);
    return { machine, port: machine?.ports.find(({ id }) => id === portId) };
  };
}

function checkPorts(
  shop: Shop,
  findPort: FindPort,
  report: (path: Problem['path'], message: string) => void,
): void {
  const nodeIds = new Set<string>();
  shop.ducts.nodes.forEach((node, i) => {
    if (nodeIds.has(node.id))
      report(['ducts', 'nodes', i, 'id'], `two nodes have the id '${node.id}'`);
    nodeIds.add(node.id);
    if (node.kind.kind !== 'port') return;
    const { machine, port } = findPort(node.kind.machine, node.kind.port);
    if (!machine) {
      report(
        ['ducts', 'nodes', i, 'kind', 'machine'],
        `there is no machine '${node.kind.machine}'`,
      );
    } else if (!port) {
      report(
        ['ducts', 'nodes', i, 'kind', 'port'],
        `${machine.name} has no port '${node.kind.port}'`,
      );
    }
  });
}
