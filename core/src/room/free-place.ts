import { MACHINE_KINDS, type MachineKindId } from '../design/machine-kinds';
import type { Machine, Shop } from '../design/schema';
import { floorConflicts } from './floor-conflicts';
import { GRID, snapTo } from './grid';
import { cornersOf, isInside, onFloor, overlapDepth, type Polygon, type Spot } from './plane';
import { extentOf } from './room-outline';
import {
  collectorBlock,
  machineBlock,
  machineSize,
  SIDE_DIRECTIONS,
  workingRoom,
} from './standing';

/** Steps in which a free place is sought, m, unless the room has too many of them. */
const STEP = 0.25;
const MOST_STEPS = 400;
/** What is kept clear about what stands, to get by and for a hose, m: common practice, no source. */
export const GAP = 0.4;
/** What stands at a wall stands so far off it, m. */
const OFF_WALL = 0.05;

/** Room for the straight duct and the elbow ahead of a collector's inlet, m. */
export const BEFORE_INLET = 1;

/** What a place is sought for. */
interface Wanted {
  readonly width: number;
  readonly depth: number;
  /** m kept clear of walls. */
  readonly fromWalls: number;
  /** Against the back wall rather than the front one. */
  readonly isAtBack: boolean;
  /** Whether it would be of use there; what is not is taken only where nothing else is free. */
  readonly isOfUse: (at: Spot) => boolean;
  /** The shop with it standing there. */
  readonly standing: (at: Spot) => Shop;
}

/**
 * Where a machine stands best as it is turned: clear of all by an arm's length if possible, where
 * boards reach it and it is in the way of none, or of as little as can be. Of places as good the
 * first from the front, for what is fed from one side from the back wall. The middle of the room
 * where nothing is free; in a row from the origin where there is no room at all.
 */
export function freeMachinePlace(shop: Shop, machine: Machine): Spot {
  const others = shop.machines.filter(({ id }) => id !== machine.id);
  const feed = Object.hasOwn(MACHINE_KINDS, machine.kind)
    ? MACHINE_KINDS[machine.kind as MachineKindId].feed
    : 'front';
  return bestPlace(shop, others, {
    ...machineSize(machine),
    fromWalls: feed === 'none' ? OFF_WALL : GAP,
    isAtBack: feed !== 'along',
    isOfUse: () => true,
    standing: (at) => ({ ...shop, machines: [...others, { ...machine, place: { ...at } }] }),
  });
}

/** As `freeMachinePlace`, for the collector: against the back wall, its inlet looking into the room. */
function freeCollectorPlace(shop: Shop): Spot {
  const standing = (at: Spot): Shop => ({
    ...shop,
    collector: { ...shop.collector, place: { ...at, z: 0 } },
  });
  const block = collectorBlock(standing({ x: 0, y: 0 }));
  const { outline } = shop.room;
  const { inlet, turn } = shop.collector;
  const half = inlet.side === 'left' || inlet.side === 'right' ? block?.width : block?.depth;
  const direction = SIDE_DIRECTIONS[inlet.side];
  const reach = (half ?? 0) / 2 + BEFORE_INLET;
  return bestPlace({ ...shop, collector: { ...shop.collector, place: null } }, shop.machines, {
    width: block?.width ?? 1,
    depth: block?.depth ?? 1,
    fromWalls: OFF_WALL,
    isAtBack: true,
    isOfUse: (at) =>
      outline.length < 3 ||
      isInside(outline, onFloor({ at, turn }, { x: direction.x * reach, y: direction.y * reach })),
    standing,
  });
}

function bestPlace(shop: Shop, machines: readonly Machine[], wanted: Wanted): Spot {
  const { width, depth } = wanted;
  const extent = extentOf(shop.room);
  const blocks = [...machines.map(machineBlock), collectorBlock(shop)];
  const taken = blocks.flatMap((block) => (block ? [cornersOf(block)] : []));
  const clear = (at: Spot, gap: number) => isClear(shop.room.outline, taken, at, wanted, gap);
  if (!extent) {
    const right = Math.max(0, ...taken.flat().map(({ x }) => x + GAP));
    return { x: right + width / 2, y: depth / 2 };
  }

  const exact = placesIn(extent, wanted);
  const grid = GRID[shop.shop.units];
  const onGrid = exact.map(({ x, y }) => ({ x: snapTo(grid, x), y: snapTo(grid, y) }));
  // On the shop's grid if there is room for it there; else wherever there is.
  const free = firstWithPlaces([
    () => onGrid.filter((at) => clear(at, GAP) && wanted.isOfUse(at)),
    () => exact.filter((at) => clear(at, GAP) && wanted.isOfUse(at)),
    () => onGrid.filter((at) => clear(at, 0) && wanted.isOfUse(at)),
    () => exact.filter((at) => clear(at, 0) && wanted.isOfUse(at)),
    () => onGrid.filter((at) => clear(at, 0)),
    () => exact.filter((at) => clear(at, 0)),
  ]);
  if (!free) return { x: extent.x0 + extent.width / 2, y: extent.y0 + extent.depth / 2 };
  const before = blocked({ ...shop, machines: [...machines] });
  let best = free[0] ?? { x: 0, y: 0 };
  let least = Number.POSITIVE_INFINITY;
  for (const at of free) {
    const more = blocked(wanted.standing(at)) - before;
    if (more < least - 1e-6) [best, least] = [at, more];
    if (least <= 1e-6) break;
  }
  return best;
}

/** The first list that has anything in it; those after it are not made. */
function firstWithPlaces(lists: readonly (() => Spot[])[]): Spot[] | null {
  for (const list of lists) {
    const found = list();
    if (found.length > 0) return found;
  }
  return null;
}

/** All that is in the way of something, m; a door, or one in another, weighs as a long board. */
function blocked(shop: Shop): number {
  return floorConflicts(shop).reduce(
    (sum, conflict) => sum + (conflict.kind === 'feed blocked' ? conflict.short : 10),
    0,
  );
}

/** Middles of places in the room's extent, row by row. */
function placesIn(
  { x0, y0, width, depth }: NonNullable<ReturnType<typeof extentOf>>,
  wanted: Wanted,
): Spot[] {
  const step = Math.max(STEP, Math.sqrt((width * depth) / MOST_STEPS));
  const along = (from: number, length: number, size: number) => {
    const [first, last] = [from + size / 2, from + length - size / 2];
    if (last <= first) return [from + length / 2];
    const count = Math.floor((last - first) / step + 1e-9);
    const steps = Array.from({ length: count + 1 }, (_, i) => first + i * step);
    // The far side and the middle are places too, wherever the steps fall.
    return [...steps, from + length / 2, last].sort((a, b) => a - b);
  };
  const edge = wanted.fromWalls;
  const rows = along(y0 + edge, depth - 2 * edge, wanted.depth);
  const columns = along(x0 + edge, width - 2 * edge, wanted.width);
  return (wanted.isAtBack ? rows.toReversed() : rows).flatMap((y) =>
    columns.map((x) => ({ x, y })),
  );
}

function isClear(
  outline: Polygon,
  taken: readonly Polygon[],
  at: Spot,
  { width, depth }: Wanted,
  gap: number,
): boolean {
  const own = (more: number) =>
    cornersOf({ at, turn: 0, width: width + 2 * more, depth: depth + 2 * more });
  return (
    own(-1e-6).every((corner) => isInside(outline, corner)) &&
    taken.every((other) => overlapDepth(own(gap), other) <= 1e-9)
  );
}

/** Puts a machine that has no place yet where it stands best. */
export function placeMachine(shop: Shop, id: string): void {
  const machine = shop.machines.find((each) => each.id === id);
  if (machine && !machine.place) machine.place = { ...freeMachinePlace(shop, machine) };
}

/** Puts a collector that has no place yet against the back wall. */
export function placeCollector(shop: Shop): void {
  if (!shop.collector.place) shop.collector.place = { ...freeCollectorPlace(shop), z: 0 };
}

/** Places all that has no place yet: the collector, then what wants most room to work first. */
export function placeAll(shop: Shop): void {
  placeCollector(shop);
  const room = (machine: Machine) =>
    workingRoom(machine, shop.room.boardLength).reduce((sum, { length }) => sum + length, 0);
  for (const { id } of shop.machines.toSorted((a, b) => room(b) - room(a))) placeMachine(shop, id);
}
