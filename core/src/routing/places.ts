import { inletOfAssembly } from '../assembly/inlet-of-assembly';
import { MACHINE_KINDS, type MachineKindId } from '../design/machine-kinds';
import type { Machine, Port, Shop } from '../design/schema';
import { inBlock, onFloor } from '../room/plane';
import { collectorBlock, machineBlock, machineSize, SIDE_DIRECTIONS } from '../room/standing';
import type { Point3 } from './space';

/** Where a duct meets a machine or the collector, and the way out of it, level and of length 1. */
export interface Mouth {
  readonly at: Point3;
  readonly out: Point3;
}

const UNKNOWN = { portSide: 'back', portHeight: 0.9 } as const;
/** Between ports of one machine that nobody has placed, m. */
const BESIDE = 0.25;

/** Where a machine of its kind usually has its port, in its own axes, m. */
function usualPort(machine: Machine, port: Port): Point3 {
  const { portSide, portHeight } = Object.hasOwn(MACHINE_KINDS, machine.kind)
    ? MACHINE_KINDS[machine.kind as MachineKindId]
    : UNKNOWN;
  const { width, depth } = machineSize(machine);
  const side = SIDE_DIRECTIONS[portSide];
  const nth = machine.ports.filter(({ at }) => at === null).findIndex(({ id }) => id === port.id);
  const beside = Math.max(0, nth) * BESIDE;
  return {
    x: (side.x * width) / 2 + (side.x === 0 ? beside : 0),
    y: (side.y * depth) / 2 + (side.x === 0 ? 0 : beside),
    z: portHeight,
  };
}

/** A port where it stands, facing out of the side of its machine it is nearest to; null: not placed. */
export function portMouth(machine: Machine, port: Port): Mouth | null {
  const block = machineBlock(machine);
  if (!block) return null;
  const own = port.at ?? usualPort(machine, port);
  const reach = { x: own.x / block.width, y: own.y / block.depth };
  const side =
    Math.abs(reach.x) > Math.abs(reach.y)
      ? SIDE_DIRECTIONS[reach.x < 0 ? 'left' : 'right']
      : SIDE_DIRECTIONS[reach.y < 0 ? 'front' : 'back'];
  return {
    at: { ...onFloor(block, own), z: own.z },
    out: { ...onFloor({ at: { x: 0, y: 0 }, turn: block.turn }, side), z: 0 },
  };
}

/** A place on the floor as a machine has it in its own axes. */
export function inMachine(machine: Machine, at: Point3): Point3 | null {
  const block = machineBlock(machine);
  return block && { ...inBlock(block, at), z: at.z };
}

/** The collector's inlet, facing out of the side its ducts arrive from; null: it is not placed. */
export function inletMouth(shop: Shop): Mouth | null {
  const block = collectorBlock(shop);
  if (!block) return null;
  const { collector, room } = shop;
  const { side, height } = collector.inlet;
  const own = inletOfAssembly(collector, room.ceilingHeight, side);
  const z = height ?? own.z;
  return {
    at: { ...onFloor(block, own), z: z + (collector.place?.z ?? 0) },
    out: { ...onFloor({ at: { x: 0, y: 0 }, turn: block.turn }, SIDE_DIRECTIONS[side]), z: 0 },
  };
}

/** Where every node is: ports and inlet by what they are part of, joints where they were put. */
export function nodePlaces(shop: Shop): ReadonlyMap<string, Point3> {
  const places = new Map<string, Point3>();
  const machines = new Map(shop.machines.map((machine) => [machine.id, machine]));
  const inlet = inletMouth(shop)?.at ?? null;
  for (const { id, kind, at } of shop.ducts.nodes) {
    const place = placeOf(machines, inlet, kind, at);
    if (place) places.set(id, place);
  }
  return places;
}

function placeOf(
  machines: ReadonlyMap<string, Machine>,
  inlet: Point3 | null,
  kind: Shop['ducts']['nodes'][number]['kind'],
  at: Point3 | null,
): Point3 | null {
  switch (kind.kind) {
    case 'joint':
      return at;
    case 'inlet':
      return inlet;
    case 'port': {
      const machine = machines.get(kind.machine);
      const port = machine?.ports.find(({ id }) => id === kind.port);
      return machine && port ? (portMouth(machine, port)?.at ?? null) : null;
    }
  }
}
