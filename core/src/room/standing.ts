import { standAssembly } from '../assembly/stand-assembly';
import { sizesOf } from '../assembly/usual-sizes';
import { type Feed, MACHINE_KINDS, type MachineKindId } from '../design/machine-kinds';
import type { Machine, Shop } from '../design/schema';
import type { Block, Spot } from './plane';

/** The way out of each side, in a thing's own axes: its front looks toward −y. */
export const SIDE_DIRECTIONS = {
  left: { x: -1, y: 0 },
  right: { x: 1, y: 0 },
  front: { x: 0, y: -1 },
  back: { x: 0, y: 1 },
} as const satisfies Record<string, Spot>;

/** Room a person wants at a machine's front, m: common practice, no source. */
export const STANDING_ROOM = 0.75;

const UNKNOWN = { width: 0.6, depth: 0.6, feed: 'front' } as const satisfies {
  width: number;
  depth: number;
  feed: Feed;
};

const kindOf = ({ kind }: Pick<Machine, 'kind'>) =>
  Object.hasOwn(MACHINE_KINDS, kind) ? MACHINE_KINDS[kind as MachineKindId] : UNKNOWN;

/** A machine's size across and along the way boards go, m: as typed, or usual for its kind. */
export function machineSize(machine: Pick<Machine, 'kind' | 'size'>) {
  const { width, depth } = machine.size ?? kindOf(machine);
  return { width, depth };
}

/** Room to work that a machine wants around it, in its own axes, m. */
export interface WorkingRoom {
  readonly kind: 'infeed' | 'outfeed' | 'stand';
  /** Way it goes from the machine: −y and +y are its front and back, −x and +x its sides. */
  readonly toward: 'front' | 'back' | 'left' | 'right';
  readonly length: number;
  /** Across that way. */
  readonly width: number;
}

/**
 * The room a machine's work takes: boards ahead of it and behind for the longest board of the shop,
 * or across it, or a place to stand; nothing for what only takes dust.
 */
export function workingRoom(machine: Machine, boardLength: number): WorkingRoom[] {
  const { feed } = kindOf(machine);
  const { width, depth } = machineSize(machine);
  const ahead = machine.feed?.ahead ?? boardLength;
  const behind = machine.feed?.behind ?? boardLength;
  switch (feed) {
    case 'along':
      return [
        { kind: 'infeed', toward: 'front', length: ahead, width },
        { kind: 'outfeed', toward: 'back', length: behind, width },
      ];
    case 'across':
      return [
        { kind: 'infeed', toward: 'left', length: ahead, width: depth },
        { kind: 'outfeed', toward: 'right', length: behind, width: depth },
      ];
    case 'front':
      return [
        { kind: 'stand', toward: 'front', length: machine.feed?.ahead ?? STANDING_ROOM, width },
      ];
    case 'none':
      return [];
  }
}

const TURNS = { back: 0, left: Math.PI / 2, front: Math.PI, right: -Math.PI / 2 } as const;

/** The way a working room goes, as a frame whose y leads away from the machine's middle. */
export function roomFrame(block: Block, { toward }: WorkingRoom): Pick<Block, 'at' | 'turn'> {
  return { at: block.at, turn: block.turn + TURNS[toward] };
}

/** From a machine's middle to its edge on that way, m. */
export const edgeOn = ({ width, depth }: Block, { toward }: WorkingRoom): number =>
  (toward === 'front' || toward === 'back' ? depth : width) / 2;

/** A machine on the floor; null: it is not placed yet. */
export function machineBlock(machine: Machine): Block | null {
  const { place, turn } = machine;
  return place && { at: place, turn, ...machineSize(machine) };
}

/** The collector on the floor, as wide and deep as it stands; null: it is not placed yet. */
export function collectorBlock({
  collector,
  room,
}: Pick<Shop, 'collector' | 'room'>): Block | null {
  if (!collector.place) return null;
  const { floor } = standAssembly(collector, room.ceilingHeight);
  const least = sizesOf(collector).blower.housing;
  return {
    at: collector.place,
    turn: collector.turn,
    width: floor.width || least,
    depth: floor.depth || least,
  };
}
