import { standAssembly } from '../../assembly/stand-assembly';
import { MACHINE_KINDS, type MachineKindId } from '../../design/machine-kinds';
import type { Machine, Shop } from '../../design/schema';
import { onFloor } from '../../room/plane';
import { collectorBlock, machineBlock } from '../../room/standing';
import { portMouth } from '../places';
import type { Point3 } from '../space';

/** Something that stands in the shop, as an upright box by its eight corners: four low, four high. */
export interface Solid {
  readonly layer: 'machines' | 'collector' | 'posts';
  readonly name: string;
  readonly corners: readonly Point3[];
}

/** A machine of a kind of one's own is drawn as high as a table, m. */
const TABLE = 0.86;
/** Every machine a little higher than its port, m. */
const OVER_PORT = 0.05;

/** How high a machine is drawn, m: as its kind usually is, and no lower than its ports. */
export const machineHeight = (machine: Machine): number =>
  Math.max(
    Object.hasOwn(MACHINE_KINDS, machine.kind)
      ? MACHINE_KINDS[machine.kind as MachineKindId].height
      : TABLE,
    ...machine.ports.map((port) => (portMouth(machine, port)?.at.z ?? 0) + OVER_PORT),
  );

/** Machines, the parts of the collector and posts, as boxes; what has no place is left out. */
export function solidsOf(shop: Shop): Solid[] {
  const machines = shop.machines.flatMap((machine): Solid[] => {
    const block = machineBlock(machine);
    if (!block) return [];
    const { width, depth } = block;
    const corners = boxOn(block, -width / 2, width / 2, depth / 2, 0, machineHeight(machine));
    return [{ layer: 'machines', name: machine.name, corners }];
  });
  const posts = shop.room.posts.map(({ at, width }): Solid => {
    const half = width / 2;
    const top = shop.room.ceilingHeight ?? 2.4;
    return { layer: 'posts', name: '', corners: boxOn({ at, turn: 0 }, -half, half, half, 0, top) };
  });
  return [...posts, ...machines, ...collectorSolids(shop)];
}

function collectorSolids(shop: Shop): Solid[] {
  const block = collectorBlock(shop);
  if (!block) return [];
  const { placed, floor } = standAssembly(shop.collector, shop.room.ceilingHeight);
  const foot = shop.collector.place?.z ?? 0;
  const middle = floor.x0 + floor.width / 2;
  return placed
    .filter(({ isElsewhere }) => !isElsewhere)
    .map(({ part, x0, x1, z0, z1 }): Solid => {
      const corners = boxOn(block, x0 - middle, x1 - middle, (x1 - x0) / 2, foot + z0, foot + z1);
      return { layer: 'collector', name: part, corners };
    });
}

/** A pipe or hose of the collector itself, along its centre. */
export interface CollectorPipe {
  readonly part: 'coupling' | 'transition';
  readonly points: readonly Point3[];
  readonly diameter: number;
}

/** What joins the parts of the collector to each other; nothing while it has no place. */
export function collectorPipes({
  collector,
  room,
}: Pick<Shop, 'collector' | 'room'>): CollectorPipe[] {
  const block = collectorBlock({ collector, room });
  if (!block) return [];
  const { joints, floor } = standAssembly(collector, room.ceilingHeight);
  const foot = collector.place?.z ?? 0;
  const middle = floor.x0 + floor.width / 2;
  return joints.map(({ part, points, diameter }) => ({
    part,
    diameter,
    points: points.map(({ x, z }) => ({
      ...onFloor(block, { x: x - middle, y: 0 }),
      z: foot + z,
    })),
  }));
}

/** A box about a frame's x axis, `half` deep to either side. */
function boxOn(
  frame: Parameters<typeof onFloor>[0],
  x0: number,
  x1: number,
  half: number,
  z0: number,
  z1: number,
): Point3[] {
  const foot = [
    { x: x0, y: -half },
    { x: x1, y: -half },
    { x: x1, y: half },
    { x: x0, y: half },
  ].map((corner) => onFloor(frame, corner));
  return [...foot.map((at) => ({ ...at, z: z0 })), ...foot.map((at) => ({ ...at, z: z1 }))];
}
