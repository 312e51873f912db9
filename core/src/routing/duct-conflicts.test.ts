// Every conflict is stated whole, and held to its limit: just on the other side of it nothing is said.
import { describe, expect, it } from 'vitest';
import { LONE_DUCT, loneDuct } from '../../reference/lone-duct';
import type { Shop } from '../design/schema';
import { ductConflicts } from './duct-conflicts';
import { addMachine } from './edit-machines';
import { BESIDE_WALL, FLOOR_DUCT, HEAD_HEIGHT, INLET_STRAIGHT, LONG_HOSE } from './layout-limits';
import { plus } from './space';

const DIAMETER = LONE_DUCT;
const RADIUS = DIAMETER / 2;
/** What an elbow of 1½ diameters takes of each leg at a right angle, m. */
const REACH = 1.5 * DIAMETER;

/** All conflicts of a shop with this one duct. */
const conflictsOf = (...given: Parameters<typeof loneDuct>) => {
  const { shop, run, inlet } = loneDuct(...given);
  return { conflicts: ductConflicts(shop), run, inlet };
};

describe('where a duct lies', () => {
  it('is right straight into the collector, and is not asked of one that is not drawn', () => {
    expect(conflictsOf([[-6, 0]]).conflicts).toEqual([]);
    const undrawn = conflictsOf([[-6, 0, -9]], (_, run) => {
      run.route = null;
    });
    expect(undrawn.conflicts).toEqual([]);
  });

  it('has some length, and no two points on one spot', () => {
    const none = conflictsOf([[0, 0]]);
    expect(none.conflicts).toEqual([{ kind: 'no length', run: none.run }]);
    const twice = conflictsOf([
      [-6, 0],
      [-6, 0],
    ]);
    expect(twice.conflicts).toEqual([{ kind: 'one spot', run: twice.run }]);
    const later = conflictsOf([
      [-6, 0],
      [-3, 0],
      [-3, 0],
    ]);
    expect(later.conflicts).toEqual([{ kind: 'one spot', run: later.run }]);
  });

  it('leaves room for its elbows, between each other and to its ends', () => {
    const jog = (wide: number) =>
      conflictsOf([
        [-6, wide],
        [-3, wide],
        [-3, 0],
      ]);
    const tight = jog(0.3);
    expect(tight.conflicts).toEqual([
      { kind: 'no room to bend', run: tight.run, short: expect.closeTo(2 * REACH - 0.3, 9) },
    ]);
    expect(jog(2 * REACH).conflicts).toEqual([]);
    const atItsStart = conflictsOf([
      [-3, 0.1],
      [-3, 0],
    ]);
    expect(atItsStart.conflicts).toEqual([
      { kind: 'no room to bend', run: atItsStart.run, short: expect.closeTo(REACH - 0.1, 9) },
    ]);
    const atItsEnd = conflictsOf([
      [-0.1, 3],
      [-0.1, 0],
    ]);
    expect(atItsEnd.conflicts).toContainEqual({
      kind: 'no room to bend',
      run: atItsEnd.run,
      short: expect.closeTo(REACH - 0.1, 9),
    });
  });

  it('has enough straight duct between its last elbow and the collector', () => {
    const withStraight = (straight: number) =>
      conflictsOf([
        [-straight - REACH, 3],
        [-straight - REACH, 0],
      ]);
    const wanted = INLET_STRAIGHT * DIAMETER;
    const close = withStraight(0.5 * wanted);
    expect(close.conflicts).toEqual([
      {
        kind: 'elbow at the collector',
        run: close.run,
        straight: expect.closeTo(0.5 * wanted, 9),
        wanted,
      },
    ]);
    expect(withStraight(wanted).conflicts).toEqual([]);
  });

  it('is no wider than the inlet it leads into', () => {
    const wide = conflictsOf([[-6, 0]], ({ collector }) => {
      collector.separator.inletDiameter = 0.125;
    });
    expect(wide.conflicts).toEqual([
      { kind: 'wider than what follows', run: wide.run, by: expect.closeTo(0.025, 9) },
    ]);
    const narrow = conflictsOf([[-6, 0]], ({ collector }) => {
      collector.separator.inletDiameter = 0.2;
    });
    expect(narrow.conflicts).toEqual([]);
  });

  it('has no long hose, counting its slack', () => {
    const hosed = (length: number, slack: number) =>
      conflictsOf(
        [
          [-6, 0],
          [-6 + length, 0],
        ],
        (_, run) => {
          run.hose = { kind: 'smooth', length: 1, diameter: DIAMETER, compression: 0 };
          if (run.route) run.route.slack = slack;
        },
      );
    const long = hosed(1.8, 0.1);
    expect(long.conflicts).toEqual([
      { kind: 'long hose', run: long.run, length: expect.closeTo(1.98, 9), limit: LONG_HOSE },
    ]);
    expect(hosed(1.8, 0).conflicts).toEqual([]);
    // A run that is all hose has a length.
    const all = conflictsOf([[-1, 0]], (_, run) => {
      run.hose = { kind: 'smooth', length: 1, diameter: DIAMETER, compression: 0 };
    });
    expect(all.conflicts).toEqual([]);
  });

  it('does not lean back against the flow of what it joins', () => {
    const joining = (x: number) => {
      const set = loneDuct([[-6, 0]]);
      const main = set.shop.ducts.runs.find(({ id }) => id === set.run);
      if (!main) throw new Error('no main');
      // A joint half way, straight through, and a branch that comes down to it from ahead or behind.
      const newId = set.newId;
      const upper = { ...structuredClone(main), id: newId(), name: 'Upper' };
      const half = {
        id: newId(),
        kind: { kind: 'joint' } as const,
        at: plus(set.inlet, { x: -3, y: 0, z: 0 }),
        style: {},
      };
      const start = {
        id: newId(),
        kind: { kind: 'joint' } as const,
        at: plus(set.inlet, { x: -3 + x, y: 2, z: 0 }),
        style: {},
      };
      set.shop.ducts.nodes.push(half, start);
      upper.to = half.id;
      const branch = {
        ...structuredClone(main),
        id: newId(),
        name: 'Branch',
        from: start.id,
        to: half.id,
      };
      main.from = half.id;
      set.shop.ducts.runs.push(upper, branch);
      return { conflicts: ductConflicts(set.shop), branch: branch.id };
    };
    const back = joining(2);
    expect(back.conflicts).toEqual([
      { kind: 'against the flow', run: back.branch, angle: expect.closeTo((3 * Math.PI) / 4, 9) },
    ]);
    expect(joining(-2).conflicts).toEqual([]);
    expect(joining(0).conflicts).toEqual([]);
  });
});

describe('what is in a duct’s way', () => {
  it('a post, unless it passes beside it', () => {
    const beside = (y: number) =>
      conflictsOf([[-6, 0]], ({ room }) => {
        const { x, y: own } = { x: 6, y: 4 };
        room.posts = [{ id: 'p', at: { x, y: own + y }, width: 0.2 }];
      });
    const through = beside(0);
    expect(through.inlet.y).toBeCloseTo(4, 9);
    expect(through.conflicts).toEqual([{ kind: 'through a post', run: through.run }]);
    expect(beside(0.1 + RADIUS - 0.01).conflicts).toHaveLength(1);
    expect(beside(0.1 + RADIUS + 0.01).conflicts).toEqual([]);
  });

  it('a wall, unless it ends at it', () => {
    const { inlet } = loneDuct([[-6, 0]]);
    const beyond = conflictsOf([[-inlet.x - 0.5, 0]]);
    expect(beyond.conflicts).toEqual([{ kind: 'through a wall', run: beyond.run }]);
    expect(conflictsOf([[-inlet.x, 0]]).conflicts).toEqual([]);
    expect(conflictsOf([[-inlet.x + 0.1, 0]]).conflicts).toEqual([]);
  });

  it('a slanting wall, where it crosses it and not where only its line goes on', () => {
    const slanted = (x: number) =>
      conflictsOf([[x - loneDuct([[-6, 0]]).inlet.x, 0]], ({ room }) => {
        room.outline = [
          { x: 0, y: 0 },
          { x: 12, y: 0 },
          { x: 12, y: 8 },
          { x: 4, y: 8 },
          { x: 0, y: 2 },
        ];
      });
    // From (0, 2) to (4, 8): at the duct's height on the plan, y = 4, the wall stands at x = 1.33.
    expect(slanted(1.4).conflicts).toEqual([]);
    const through = slanted(1.27);
    expect(through.conflicts).toEqual([{ kind: 'through a wall', run: through.run }]);
    // A room with a nook: the duct passes in front of the nook's wall, or goes through it.
    const nook = (y: number) =>
      conflictsOf(
        [
          [-6, y],
          [-1.5, y],
          [-1.5, 0],
        ],
        ({ room }) => {
          room.outline = [
            { x: 0, y: 0 },
            { x: 12, y: 0 },
            { x: 12, y: 8 },
            { x: 6, y: 8 },
            { x: 6, y: 5 },
            { x: 0, y: 5 },
          ];
        },
      ).conflicts.map(({ kind }) => kind);
    expect(nook(0.5)).not.toContain('through a wall');
    expect(nook(2)).toContain('through a wall');
  });

  it('the collector itself, unless it passes over it', () => {
    // The duct begins on the far side, crosses the collector and comes back to the inlet.
    const across = (z: number) =>
      conflictsOf(
        [
          [1.6, 0, z],
          [-1.5, 0, z],
          [-1.5, 1.5, z],
          [-1.5, 1.5],
          [-1.5, 0],
        ],
        ({ room }) => {
          room.ceilingHeight = null;
        },
      );
    const through = across(-0.5).conflicts.map(({ kind }) => kind);
    expect(through).toContain('through the collector');
    expect(across(3).conflicts.map(({ kind }) => kind)).not.toContain('through the collector');
  });

  it('the ceiling: how much higher it would have to be', () => {
    const rising = (z: number, ceiling: number | null = 2.7) =>
      conflictsOf(
        [
          [-6, 0, z],
          [-3, 0, z],
          [-3, 0],
        ],
        ({ room }, run) => {
          room.ceilingHeight = ceiling;
          for (const bend of run.route?.bends ?? []) bend.style.radiusRatio = 0.75;
        },
      );
    const high = rising(0.4);
    expect(high.conflicts).toEqual([
      { kind: 'above the ceiling', run: high.run, short: expect.closeTo(2.7 + RADIUS - 2.7, 9) },
    ]);
    expect(rising(0.4 - RADIUS).conflicts).toEqual([]);
    expect(rising(0.4, null).conflicts).toEqual([]);
  });

  it('the floor: how deep it would lie in it', () => {
    const lying = (z: number) =>
      conflictsOf([
        [-6, 0, z - 2.3],
        [-3, 0, z - 2.3],
        [-3, 0],
      ]);
    const deep = lying(RADIUS - 0.02);
    expect(deep.conflicts).toEqual([
      { kind: 'into the floor', run: deep.run, short: expect.closeTo(0.02, 9) },
    ]);
    expect(lying(RADIUS).conflicts).toEqual([]);
  });

  it('heads: how high it hangs where one walks, and where that does not count', () => {
    const hanging = (z: number, y = 0, change: (shop: Shop) => void = () => {}) =>
      conflictsOf(
        [[-6, y, z - 2.3], [-3, y, z - 2.3], [-3, y], ...(y === 0 ? [] : [[-3, 0] as const])],
        change,
      );
    const low = hanging(1.5);
    expect(low.conflicts).toEqual([
      {
        kind: 'below head height',
        run: low.run,
        height: expect.closeTo(1.5 - RADIUS, 9),
        wanted: HEAD_HEIGHT,
      },
    ]);
    expect(hanging(HEAD_HEIGHT + RADIUS, 0).conflicts.map(({ kind }) => kind)).not.toContain(
      'below head height',
    );
    expect(hanging(HEAD_HEIGHT + RADIUS - 0.02).conflicts.map(({ kind }) => kind)).toContain(
      'below head height',
    );
    // A duct on the floor is stepped over, and nobody walks close to a wall.
    expect(hanging(FLOOR_DUCT - 0.01).conflicts).toEqual([]);
    const { inlet } = loneDuct([[-6, 0]]);
    const toWall = (off: number) => hanging(1.5, off - inlet.y);
    expect(toWall(BESIDE_WALL - 0.02).conflicts).toEqual([]);
    expect(toWall(BESIDE_WALL + 0.05).conflicts.map(({ kind }) => kind)).toEqual([
      'below head height',
    ]);
  });

  it('not heads where a machine stands under it, nor outside the room', () => {
    const over = loneDuct([
      [-3.1, 0, -0.8],
      [-2.9, 0, -0.8],
      [-2.9, 0],
    ]);
    const kinds = () => ductConflicts(over.shop).map(({ kind }) => kind);
    const before = kinds();
    const id = addMachine(over.shop, 'tableSaw', over.newId);
    const machine = over.shop.machines.find((each) => each.id === id);
    if (!machine) throw new Error('no machine');
    machine.place = { x: over.inlet.x - 3, y: over.inlet.y };
    expect(before).toContain('below head height');
    expect(kinds()).not.toContain('below head height');
  });

  it('not heads on a leg that rises, that goes on high, or outside the room’s walls', () => {
    const kinds = (points: Parameters<typeof conflictsOf>[0], change?: (shop: Shop) => void) =>
      conflictsOf(points, change).conflicts.map(({ kind }) => kind);
    const low = 'below head height';
    // 45° and steeper is part of a riser.
    expect(
      kinds([
        [-3.3, 0, -1],
        [-2.3, 0, 0],
        [0, 0],
      ]),
    ).not.toContain(low);
    expect(
      kinds([
        [-4.3, 0, -1],
        [-2.3, 0, 0],
        [0, 0],
      ]),
    ).toContain(low);
    // Beyond the walls nobody is in the shop.
    const beyond = (shop: Shop) => {
      shop.room.outline = shop.room.outline.map(({ x, y }) => ({ x, y: y / 4 }));
    };
    const outside: Parameters<typeof conflictsOf>[0] = [
      [-6, 0, -0.8],
      [-3, 0, -0.8],
      [-3, 0],
    ];
    expect(kinds(outside)).toContain(low);
    expect(kinds(outside, beyond)).not.toContain(low);
    // Without a room anywhere may be walked on.
    const nowhere = (shop: Shop) => Object.assign(shop.room, { outline: [] });
    expect(kinds(outside, nowhere)).toContain(low);
  });

  it('is missing at a port of a machine that has a place', () => {
    const { shop, newId } = loneDuct([[-6, 0]]);
    const id = addMachine(shop, 'bandSaw', newId);
    const machine = shop.machines.find((each) => each.id === id);
    if (!machine) throw new Error('no machine');
    machine.place = { x: 2, y: 2 };
    const wanted = machine.ports.map((port) => ({
      kind: 'port without a duct',
      machine: id,
      port: port.id,
    }));
    expect(wanted.length).toBeGreaterThan(0);
    expect(ductConflicts(shop)).toEqual(wanted);
    machine.place = null;
    expect(ductConflicts(shop)).toEqual([]);
  });
});
