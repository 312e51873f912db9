import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { copyOf, threeBranchShop } from '../../reference/sample-shops';
import { type Shop, shopSchema } from '../design/schema';
import { toSI } from '../quantity/units';
import { addCorner, isRectangular, removeCorner, setRoomSize, turnedBy } from './edit-floor';
import { type FloorConflict, floorConflicts } from './floor-conflicts';
import {
  type Block,
  cornersOf,
  distanceTo,
  freeUntil,
  inBlock,
  isInside,
  onFloor,
  overlapDepth,
  type Polygon,
} from './plane';
import {
  doorClearance,
  extentOf,
  floorArea,
  rectangularRoom,
  solidOf,
  wallsOf,
} from './room-outline';
import { collectorBlock, machineSize, workingRoom } from './standing';

const QUARTER = Math.PI / 2;
const block = (x: number, y: number, width: number, depth: number, turn = 0): Block => ({
  at: { x, y },
  turn,
  width,
  depth,
});

/** A room of 8 × 6 m with the sample's three machines, none placed. */
function roomy(change: (shop: Shop) => void = () => {}): Shop {
  const shop = copyOf(threeBranchShop());
  setRoomSize(shop, 8, 6);
  shop.room.boardLength = 2;
  change(shop);
  return shop;
}

/** Puts the n-th machine, of a kind, somewhere. */
function put(shop: Shop, index: number, kind: string, x: number, y: number, turn = 0): void {
  const machine = shop.machines[index];
  if (!machine) throw new Error('no machine');
  Object.assign(machine, { kind, place: { x, y }, turn, size: { width: 1, depth: 0.8 } });
}

const conflictsOf = (shop: Shop, kind: FloorConflict['kind']) =>
  floorConflicts(shop).filter((conflict) => conflict.kind === kind);

describe('the plane', () => {
  it('turns a block’s corners, worked by hand: a quarter turn swaps width and depth', () => {
    const corners = cornersOf(block(2, 1, 4, 2, QUARTER));
    expect(corners.map(({ x, y }) => [Number(x.toFixed(9)), Number(y.toFixed(9))])).toEqual([
      [3, -1],
      [3, 3],
      [1, 3],
      [1, -1],
    ]);
  });

  it('there and back again is the same spot', () => {
    const measure = fc.double({ min: -20, max: 20, noNaN: true });
    fc.assert(
      fc.property(measure, measure, measure, measure, measure, (x, y, turn, px, py) => {
        const frame = { at: { x, y }, turn };
        const back = inBlock(frame, onFloor(frame, { x: px, y: py }));
        expect(back.x).toBeCloseTo(px, 9);
        expect(back.y).toBeCloseTo(py, 9);
      }),
    );
  });

  it('says how deep two lie in each other, worked by hand', () => {
    const at = (x: number, turn = 0) => cornersOf(block(x, 0, 2, 2, turn));
    expect(overlapDepth(at(0), at(1.5))).toBeCloseTo(0.5, 9);
    expect(overlapDepth(at(0), at(2))).toBeCloseTo(0, 9);
    expect(overlapDepth(at(0), at(3))).toBeCloseTo(-1, 9);
    // Turned by 45° its corner reaches √2 to the side.
    expect(overlapDepth(at(0), at(2, Math.PI / 4))).toBeCloseTo(1 + Math.SQRT2 - 2, 9);
  });

  it('is the same from either side, and no deeper further off', () => {
    const measure = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const any = fc
      .tuple(measure(-3, 3), measure(-3, 3), measure(0.2, 3), measure(0.2, 3), measure(-4, 4))
      .map(([x, y, width, depth, turn]) => block(x, y, width, depth, turn));
    fc.assert(
      fc.property(any, any, (a, b) => {
        const depth = overlapDepth(cornersOf(a), cornersOf(b));
        expect(overlapDepth(cornersOf(b), cornersOf(a))).toBeCloseTo(depth, 9);
        // Whoever has the other's middle in it lies in it.
        if (isInside(cornersOf(a), b.at)) expect(depth).toBeGreaterThan(0);
        const away = { ...b, at: { x: b.at.x + 20, y: b.at.y } };
        expect(overlapDepth(cornersOf(a), cornersOf(away))).toBeLessThan(0);
      }),
      { numRuns: 300 },
    );
  });

  it('a strip is free until an edge stands in it', () => {
    const frame = { at: { x: 0, y: 0 }, turn: 0 };
    const edge = (x0: number, y0: number, x1: number, y1: number) => ({
      from: { x: x0, y: y0 },
      to: { x: x1, y: y1 },
    });
    expect(freeUntil(frame, 1, 0.5, edge(-2, 3, 2, 3))).toBeCloseTo(2.5, 9);
    expect(freeUntil(frame, 1, 0.5, edge(0.6, 3, 2, 3))).toBeNull();
    // A slanting edge, 3 at the middle and a slope of one: 2.5 at the strip's side.
    expect(freeUntil(frame, 1, 0.5, edge(-2, 1, 2, 5))).toBeCloseTo(2, 8);
    expect(freeUntil(frame, 1, 0.5, edge(-2, -3, 2, -3))).toBeNull();
    expect(freeUntil(frame, 1, 0.5, edge(0, 0, 0, 2))).toBe(0);
  });

  it('distances to an edge are to its nearest point', () => {
    const edge = { from: { x: 0, y: 0 }, to: { x: 4, y: 0 } };
    expect(distanceTo(edge, { x: 2, y: 3 })).toBe(3);
    expect(distanceTo(edge, { x: 7, y: 4 })).toBe(5);
  });
});

describe('a room', () => {
  it('of 8 × 6 m has four walls, 48 m², and keeps its studs when it grows', () => {
    const shop = roomy();
    shop.room.walls[1] = { studSpacing: 0.4 };
    expect(wallsOf(shop.room).map(({ length }) => length)).toEqual([8, 6, 8, 6]);
    expect(floorArea(shop.room.outline)).toBeCloseTo(48, 9);
    expect(extentOf(shop.room)).toEqual({ x0: 0, y0: 0, width: 8, depth: 6 });
    setRoomSize(shop, 9, 6);
    expect(shop.room.walls[1]).toEqual({ studSpacing: 0.4 });
    expect(floorArea(shop.room.outline)).toBeCloseTo(54, 9);
    expect(shopSchema.safeParse(shop).success).toBe(true);
  });

  it('an L by corners has its area, worked by hand: 8 × 6 less 3 × 2', () => {
    const outline: Polygon = [
      { x: 0, y: 0 },
      { x: 8, y: 0 },
      { x: 8, y: 4 },
      { x: 5, y: 4 },
      { x: 5, y: 6 },
      { x: 0, y: 6 },
    ];
    expect(floorArea(outline)).toBeCloseTo(42, 9);
    expect(isInside(outline, { x: 6, y: 5 })).toBe(false);
    expect(isInside(outline, { x: 4, y: 5 })).toBe(true);
  });

  it('a door leaves two pieces of its wall, and keeps a square of floor clear inside', () => {
    const { room } = roomy((shop) => {
      shop.room.doors = [{ id: 'd', wall: 0, along: 2, width: 1.5 }];
    });
    const [wall] = wallsOf(room);
    if (!wall) throw new Error('no wall');
    expect(solidOf(wall)).toEqual([
      { from: { x: 0, y: 0 }, to: { x: 2, y: 0 } },
      { from: { x: 3.5, y: 0 }, to: { x: 8, y: 0 } },
    ]);
    const [door] = wall.doors;
    if (!door) throw new Error('no door');
    const clear = doorClearance(wall, door);
    expect(floorArea(clear)).toBeCloseTo(1.5 * 0.9, 9);
    expect(clear.every(({ y }) => y >= 0)).toBe(true);
    // Whichever way round the outline was drawn, it is inside.
    const turned = [...room.outline].reverse();
    const other = wallsOf({
      ...room,
      outline: turned,
      doors: [{ ...room.doors[0], wall: 2 } as never],
    });
    const back = other[2];
    const span = back?.doors[0];
    if (!back || !span) throw new Error('no door');
    for (const spot of doorClearance(back, span)) {
      expect(isInside(rectangularRoom(8.001, 6.001), { x: spot.x + 1e-4, y: spot.y + 1e-4 })).toBe(
        true,
      );
    }
  });

  it('gains a corner on a wall and loses it again, its openings staying with their walls', () => {
    const shop = roomy((each) => {
      each.room.doors = [{ id: 'd', wall: 1, along: 1, width: 1 }];
      each.room.windows = [{ id: 'w', wall: 3, along: 1, width: 1 }];
      each.room.walls[0] = { studSpacing: 0.4 };
    });
    expect(isRectangular(shop.room.outline)).toBe(true);
    const before = copyOf(shop);
    addCorner(shop, 0);
    expect(shop.room.outline[1]).toEqual({ x: 4, y: 0 });
    expect(shop.room.walls.map(({ studSpacing }) => studSpacing)).toEqual([
      0.4,
      0.4,
      null,
      null,
      null,
    ]);
    expect(shop.room.doors[0]?.wall).toBe(2);
    expect(shop.room.windows[0]?.wall).toBe(4);
    expect(isRectangular(shop.room.outline)).toBe(false);
    removeCorner(shop, 1);
    expect(shop).toEqual(before);
    removeCorner(shop, 1);
    expect(shop.room.doors).toEqual([]);
    removeCorner(shop, 0);
    expect(shop.room.outline).toHaveLength(3);
    expect(shopSchema.safeParse(shop).success).toBe(true);
  });

  it('a door that reaches beyond its wall is held within it', () => {
    const { room } = roomy((shop) => {
      shop.room.doors = [
        { id: 'a', wall: 1, along: 5, width: 3 },
        { id: 'b', wall: 1, along: 9, width: 1 },
      ];
    });
    expect(wallsOf(room)[1]?.doors).toEqual([{ id: 'a', from: 5, to: 6 }]);
  });
});

describe('what cannot stand or be worked', () => {
  it('nothing, of machines that are not placed, or stand well apart', () => {
    expect(floorConflicts(roomy())).toEqual([]);
    const apart = roomy((shop) => {
      put(shop, 0, 'drillPress', 1, 2);
      put(shop, 1, 'drillPress', 4, 2);
    });
    expect(floorConflicts(apart)).toEqual([]);
  });

  it('two machines in each other, by how much', () => {
    const shop = roomy((each) => {
      put(each, 0, 'floorSweep', 2, 2);
      put(each, 1, 'floorSweep', 2.9, 2);
    });
    const [overlap] = conflictsOf(shop, 'overlap');
    expect(overlap?.short).toBeCloseTo(0.1, 9);
    expect(floorConflicts(shop)).toHaveLength(1);
  });

  it('a machine through a wall, in a post, and before a door', () => {
    const shop = roomy((each) => {
      put(each, 0, 'floorSweep', 0.3, 3);
      each.room.posts = [{ id: 'p', at: { x: 4, y: 3 }, width: 0.2 }];
      put(each, 1, 'floorSweep', 4.4, 3);
      each.room.doors = [{ id: 'd', wall: 1, along: 0, width: 1 }];
      put(each, 2, 'floorSweep', 7.2, 0.6);
    });
    expect(conflictsOf(shop, 'outside')[0]?.short).toBeCloseTo(0.2, 9);
    // A metre wide from 3.9 on, the post to 4.1.
    expect(conflictsOf(shop, 'overlap')[0]).toMatchObject({ other: { kind: 'post' } });
    expect(conflictsOf(shop, 'overlap')[0]?.short).toBeCloseTo(0.2, 9);
    expect(conflictsOf(shop, 'door blocked')[0]).toMatchObject({ door: 'd' });
  });

  it('a saw whose boards meet a wall, worked by hand: 2 m wanted, 1.1 there', () => {
    const shop = roomy((each) => put(each, 0, 'tableSaw', 4, 1.5));
    const feeds = conflictsOf(shop, 'feed blocked');
    expect(feeds).toHaveLength(1);
    expect(feeds[0]).toMatchObject({ room: 'infeed', by: { kind: 'wall' }, wanted: 2 });
    expect(feeds[0]?.short).toBeCloseTo(2 - (1.5 - 0.4), 9);
  });

  it('boards go out by a door; a shorter board needs less', () => {
    const shop = roomy((each) => {
      put(each, 0, 'tableSaw', 4, 1.5);
      each.room.doors = [{ id: 'd', wall: 0, along: 3.4, width: 1.2 }];
    });
    expect(conflictsOf(shop, 'feed blocked')).toEqual([]);
    shop.room.doors = [];
    shop.room.boardLength = 1;
    expect(conflictsOf(shop, 'feed blocked')).toEqual([]);
    const [saw] = shop.machines;
    if (saw) saw.feed = { ahead: 3, behind: 0 };
    expect(conflictsOf(shop, 'feed blocked')[0]).toMatchObject({ wanted: 3 });
  });

  it('a feed meets another machine, whichever way both are turned', () => {
    fc.assert(
      fc.property(fc.double({ min: -Math.PI, max: Math.PI, noNaN: true }), (turn) => {
        const shop = roomy((each) => {
          setRoomSize(each, 40, 40);
          put(each, 0, 'planer', 20, 20, turn);
          // A bin of 1 × 0.8 m, 1.5 m beyond the planer's back.
          const ahead = 0.4 + 1.5 + 0.4;
          const { x, y } = onFloor({ at: { x: 20, y: 20 }, turn }, { x: 0, y: ahead });
          put(each, 1, 'floorSweep', x, y, turn);
        });
        const feeds = conflictsOf(shop, 'feed blocked');
        expect(feeds).toHaveLength(1);
        expect(feeds[0]).toMatchObject({ room: 'outfeed', by: { kind: 'machine' } });
        expect(feeds[0]?.short).toBeCloseTo(0.5, 6);
      }),
      { numRuns: 50 },
    );
  });

  it('the collector stands there too', () => {
    const shop = roomy((each) => {
      each.collector.place = { x: 4, y: 3, z: 0 };
      put(each, 0, 'floorSweep', 4, 3);
    });
    expect(conflictsOf(shop, 'overlap')[0]).toMatchObject({ other: { kind: 'collector' } });
    expect(collectorBlock(shop)?.width).toBeGreaterThan(0.4);
  });
});

describe('machines by their kind', () => {
  it('have a size and room to work: boards along, across, a person in front, or nothing', () => {
    const [machine] = roomy().machines;
    if (!machine) throw new Error('no machine');
    const rooms = (kind: string) =>
      workingRoom({ ...machine, kind }, 2.4).map(({ kind: room, toward }) => `${room} ${toward}`);
    expect(rooms('planer')).toEqual(['infeed front', 'outfeed back']);
    expect(rooms('mitreSaw')).toEqual(['infeed left', 'outfeed right']);
    expect(rooms('lathe')).toEqual(['stand front']);
    expect(rooms('floorSweep')).toEqual([]);
    expect(rooms('of my own')).toEqual(['stand front']);
    expect(machineSize({ kind: 'planer', size: null }).width).toBeCloseTo(toSI(24, 'in'), 9);
    expect(machineSize({ kind: 'planer', size: { width: 2, depth: 1 } }).width).toBe(2);
  });
});

describe('turning', () => {
  it('four quarter turns are none', () => {
    let turn = 0;
    for (let i = 0; i < 4; i++) turn = turnedBy(turn, QUARTER);
    expect(turn).toBe(0);
    expect(turnedBy(QUARTER, QUARTER)).toBeCloseTo(Math.PI, 9);
    expect(turnedBy(Math.PI, QUARTER)).toBeCloseTo(-QUARTER, 9);
  });
});
