import { type NewId, newMachine } from '../design/edit-ducts';
import type { MachineKindId } from '../design/machine-kinds';
import { freeName } from '../design/name-ducts';
import type { Machine, Run, Shop } from '../design/schema';
import { freeMachinePlace } from '../room/free-place';
import { cornersOf, overlapDepth, type Spot } from '../room/plane';
import { extentOf } from '../room/room-outline';
import { collectorBlock, machineBlock } from '../room/standing';
import { removeBranch } from './edit-route';
import { type RoutedDuct, rejoin, routeDuct, runFromPort } from './route-duct';
import { type Goal, usualRoute } from './usual-route';

/**
 * Leads a machine's port the usual way to a run, a joint or the collector: a new drop, or the one it
 * has, routed anew.
 */
export function routeUsual(
  shop: Shop,
  machineId: string,
  portId: string,
  goal: Goal,
  newId: NewId,
): RoutedDuct {
  const machine = shop.machines.find(({ id }) => id === machineId);
  const port = machine?.ports.find(({ id }) => id === portId);
  const route = machine && port && usualRoute(shop, machine, port, goal);
  if (!machine || !port || !route) return { ok: false, why: 'not placed' };
  const own = runFromPort(shop, machineId, portId);
  if (own) return rejoin(shop, own.id, route.to, route.between, newId);
  const from = { kind: 'port', machine: machineId, port: portId } as const;
  return routeDuct(shop, from, route.to, { between: route.between, hasHose: true }, newId);
}

/** Adds a machine of a kind where there is room for it. Returns its id. */
export function addMachine(shop: Shop, kindId: MachineKindId, newId: NewId): string {
  const own = newMachine(shop, kindId, newId);
  own.place = { ...freeMachinePlace(shop, own) };
  shop.machines.push(own);
  return own.id;
}

/** Takes a machine away with the drops that serve it. */
export function removeMachine(shop: Shop, machineId: string): void {
  const machine = shop.machines.find(({ id }) => id === machineId);
  for (const port of machine?.ports ?? []) {
    const run = runFromPort(shop, machineId, port.id);
    if (run) removeBranch(shop, run.id);
  }
  shop.machines = shop.machines.filter(({ id }) => id !== machineId);
  shop.ducts.nodes = shop.ducts.nodes.filter(
    ({ kind }) => kind.kind !== 'port' || kind.machine !== machineId,
  );
}

/**
 * A machine once more, at a place or where there is room for it, with a drop as each of its own and
 * routed the usual way to where that one goes. Returns the new machine's id, or null for no such machine.
 */
export function copyMachine(shop: Shop, machineId: string, newId: NewId, at?: Spot): string | null {
  const machine = shop.machines.find(({ id }) => id === machineId);
  if (!machine) return null;
  const id = newId();
  const copy: Machine = {
    ...machine,
    id,
    name: freeName(
      machine.name.replace(/ \d+$/, ''),
      shop.machines.map(({ name }) => name),
    ),
    place: { ...(at ?? freeMachinePlace(shop, { ...machine, id })) },
    size: machine.size && { ...machine.size },
    feed: machine.feed && { ...machine.feed },
    ports: machine.ports.map((port) => ({
      ...port,
      id: newId(),
      at: port.at && { ...port.at },
      need: { ...port.need },
    })),
  };
  shop.machines.push(copy);
  machine.ports.forEach((port, i) => {
    const own = runFromPort(shop, machineId, port.id);
    const other = copy.ports[i];
    if (!own?.route || !other) return;
    const main = shop.ducts.runs.find(({ from }) => from === own.to);
    const routed = routeUsual(
      shop,
      id,
      other.id,
      main ? { kind: 'run', run: main.id } : { kind: 'inlet' },
      newId,
    );
    const made = routed.ok ? shop.ducts.runs.find((run) => run.id === routed.run) : undefined;
    if (made) likeThat(made, own);
  });
  return id;
}

/** What copies stand clear of their patterns, m. */
const APART = 0.3;

/**
 * Several machines once more, standing to each other as they do, beside them if the room allows it;
 * else each where there is room. Those that are not placed are copied so. Returns the new ids.
 */
export function copyMachines(shop: Shop, ids: readonly string[], newId: NewId): string[] {
  const patterns = shop.machines.filter(({ id }) => ids.includes(id));
  const by = freeShift(shop, patterns);
  return patterns.flatMap(({ id, place }) => {
    const at = by && place ? { x: place.x + by.x, y: place.y + by.y } : undefined;
    return copyMachine(shop, id, newId, at) ?? [];
  });
}

/** How far copies of these can stand from them, within the room and clear of all; null: nowhere. */
function freeShift(shop: Shop, patterns: readonly Machine[]): Spot | null {
  const own = patterns.flatMap((machine) => machineBlock(machine) ?? []);
  const extent = extentOf(shop.room);
  const corners = own.flatMap(cornersOf);
  if (corners.length === 0) return null;
  const xs = corners.map(({ x }) => x);
  const ys = corners.map(({ y }) => y);
  const width = Math.max(...xs) - Math.min(...xs) + APART;
  const depth = Math.max(...ys) - Math.min(...ys) + APART;
  const others = [...shop.machines.map(machineBlock), collectorBlock(shop)].flatMap((block) =>
    block ? [cornersOf(block)] : [],
  );
  const directions = [
    { x: width, y: 0 },
    { x: -width, y: 0 },
    { x: 0, y: depth },
    { x: 0, y: -depth },
  ];
  const isFree = (by: Spot) =>
    own.every((block) => {
      const copy = cornersOf({ ...block, at: { x: block.at.x + by.x, y: block.at.y + by.y } });
      const isInRoom =
        !extent ||
        copy.every(
          ({ x, y }) =>
            x >= extent.x0 &&
            x <= extent.x0 + extent.width &&
            y >= extent.y0 &&
            y <= extent.y0 + extent.depth,
        );
      return isInRoom && others.every((other) => overlapDepth(copy, other) <= 0);
    });
  return directions.find(isFree) ?? null;
}

/** What a copied drop is made of is what its pattern is made of. */
function likeThat(made: Run, { pipe, diameter, hose, gate, route }: Run): void {
  Object.assign(made, { pipe, diameter });
  made.hose = hose && { ...made.hose, ...hose };
  made.gate = gate && { ...gate, open: false };
  if (made.route && route) made.route.slack = route.slack;
}
