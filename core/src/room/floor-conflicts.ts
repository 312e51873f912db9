import type { Shop } from '../design/schema';
import {
  areApart,
  type Block,
  cornersOf,
  distanceTo,
  type Edge,
  edgesOf,
  freeUntil,
  isInside,
  overlapDepth,
  type Polygon,
  type Round,
  roundOf,
} from './plane';
import { doorClearance, solidOf, wallsOf } from './room-outline';
import {
  collectorBlock,
  edgeOn,
  machineBlock,
  roomFrame,
  type WorkingRoom,
  workingRoom,
} from './standing';

/** Who stands there: a machine by its id, the collector, a post, or a wall of the room. */
export type Occupant =
  | { readonly kind: 'machine'; readonly id: string }
  | { readonly kind: 'collector' | 'post' | 'wall' };

/** What is wrong with where things stand. SI. */
export type FloorConflict =
  /** Two stand in each other, by so much. */
  | {
      readonly kind: 'overlap';
      readonly who: Occupant;
      readonly other: Occupant;
      readonly short: number;
    }
  /** Outside the room, or through its wall, by so much. */
  | { readonly kind: 'outside'; readonly who: Occupant; readonly short: number }
  | {
      readonly kind: 'door blocked';
      readonly who: Occupant;
      readonly door: string;
      readonly short: number;
    }
  /** Boards, or a person, have less room than they want: by so much, of so much. */
  | {
      readonly kind: 'feed blocked';
      readonly who: Occupant;
      readonly room: WorkingRoom['kind'];
      readonly by: Occupant;
      readonly short: number;
      readonly wanted: number;
    };

/** Things nearer than this touch, and do no more, m. */
const TOUCH = 0.005;

interface Standing {
  readonly who: Occupant;
  readonly block: Block;
  readonly corners: Polygon;
  readonly round: Round;
}

/** What stands in a shop, and in which room. */
type Standings = Pick<Shop, 'machines' | 'collector' | 'room'>;

/**
 * Everything about the plan that cannot stand or be worked: machines in each other, in a post or
 * through a wall, a blocked door, and feeds shorter than the longest board (or no place to stand).
 * Boards may go out by a door. What is not placed yet has nothing wrong with it.
 */
export function floorConflicts(shop: Standings): FloorConflict[] {
  const standing = everyoneOn(shop);
  const { outline, posts } = shop.room;
  const doors = wallsOf(shop.room).flatMap((wall) =>
    wall.doors.map((door) => ({ door: door.id, clearance: doorClearance(wall, door) })),
  );
  const found: FloorConflict[] = [];

  standing.forEach((one, i) => {
    for (const other of standing.slice(i + 1)) {
      if (areApart(one.round, other.round)) continue;
      const short = overlapDepth(one.corners, other.corners);
      if (short > TOUCH) found.push({ kind: 'overlap', who: one.who, other: other.who, short });
    }
    for (const { at, width } of posts) {
      const short = overlapDepth(one.corners, cornersOf({ at, turn: 0, width, depth: width }));
      if (short > TOUCH) {
        found.push({ kind: 'overlap', who: one.who, other: { kind: 'post' }, short });
      }
    }
    if (outline.length >= 3) {
      const short = outsideBy(one.corners, outline);
      if (short > TOUCH) found.push({ kind: 'outside', who: one.who, short });
    }
    for (const { door, clearance } of doors) {
      const short = overlapDepth(one.corners, clearance);
      if (short > TOUCH) found.push({ kind: 'door blocked', who: one.who, door, short });
    }
  });
  return [...found, ...blockedFeeds(shop, standing)];
}

function everyoneOn(shop: Standings): Standing[] {
  const collector = collectorBlock(shop);
  const blocks: { who: Occupant; block: Block }[] = shop.machines.flatMap((machine) => {
    const block = machineBlock(machine);
    return block ? [{ who: { kind: 'machine', id: machine.id } as const, block }] : [];
  });
  if (collector) blocks.push({ who: { kind: 'collector' }, block: collector });
  return blocks.map((one) => {
    const corners = cornersOf(one.block);
    return { ...one, corners, round: roundOf(corners) };
  });
}

/** How far the farthest corner that lies outside is from the room, m; 0 where none does. */
function outsideBy(corners: Polygon, outline: Polygon): number {
  const walls = edgesOf(outline);
  const outside = corners.filter((corner) => !isInside(outline, corner));
  return Math.max(
    0,
    ...outside.map((corner) => Math.min(...walls.map((wall) => distanceTo(wall, corner)))),
  );
}

function blockedFeeds(shop: Standings, standing: readonly Standing[]): FloorConflict[] {
  const obstacles: { who: Occupant; edges: Edge[]; round: Round | null }[] = [
    ...standing.map(({ who, corners, round }) => ({ who, edges: edgesOf(corners), round })),
    ...shop.room.posts.map(({ at, width }) => ({
      who: { kind: 'post' } as const,
      edges: edgesOf(cornersOf({ at, turn: 0, width, depth: width })),
      round: { middle: at, reach: width },
    })),
    ...wallsOf(shop.room).map((wall) => ({
      who: { kind: 'wall' } as const,
      edges: solidOf(wall),
      round: null,
    })),
  ];
  return shop.machines.flatMap((machine) => {
    const block = machineBlock(machine);
    if (!block) return [];
    return workingRoom(machine, shop.room.boardLength).flatMap((room): FloorConflict[] => {
      const frame = roomFrame(block, room);
      const start = edgeOn(block, room);
      let free = room.length;
      let by: Occupant | null = null;
      const strip = { middle: block.at, reach: start + room.length + room.width / 2 };
      for (const { who, edges, round } of obstacles) {
        if (who.kind === 'machine' && who.id === machine.id) continue;
        if (round && areApart(strip, round)) continue;
        for (const edge of edges) {
          const until = freeUntil(frame, room.width, start, edge);
          if (until === null || until >= free) continue;
          free = until;
          by = who;
        }
      }
      const short = room.length - free;
      if (by === null || short <= TOUCH) return [];
      const who = { kind: 'machine', id: machine.id } as const;
      return [{ kind: 'feed blocked', who, room: room.kind, by, short, wanted: room.length }];
    });
  });
}
