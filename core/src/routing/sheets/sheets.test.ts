import { describe, expect, it } from 'vitest';
import { loneDuct } from '../../../reference/lone-duct';
import { copyOf, drawnShop } from '../../../reference/sample-shops';
import { ductLines } from '../duct-lines';
import { ductItems } from './duct-items';
import { ELEVATIONS, elevationSheet } from './elevation-sheet';
import { isometric, isometricSheet } from './isometric-sheet';
import { planSheet } from './plan-sheet';
import { type SHEET_LAYERS, type SheetItem, sheetExtent } from './sheet';
import { machineHeight, solidsOf } from './solids';

const on = (items: readonly SheetItem[], layer: keyof typeof SHEET_LAYERS) =>
  items.filter((item) => item.layer === layer);

const texts = (items: readonly SheetItem[], layer: keyof typeof SHEET_LAYERS) =>
  on(items, layer).flatMap((item) => (item.kind === 'text' ? [item.text] : []));

describe('the isometric projection', () => {
  it('keeps lengths along its three axes, which lie 120° apart', () => {
    const origin = isometric({ x: 0, y: 0, z: 0 });
    const axes = [
      { x: 1, y: 0, z: 0 },
      { x: 0, y: 1, z: 0 },
      { x: 0, y: 0, z: 1 },
    ].map((axis) => isometric(axis));
    expect(origin).toEqual({ x: 0, y: 0 });
    for (const { x, y } of axes) expect(Math.hypot(x, y)).toBeCloseTo(1, 12);
    const angles = axes.map(({ x, y }) => Math.round((Math.atan2(y, x) * 180) / Math.PI));
    expect(angles).toEqual([30, 150, 90]);
  });

  it('of a known point, by hand: 2 to the right, 1 back, 3 up', () => {
    // (2 − 1)·cos 30° = 0.866; (2 + 1)·sin 30° + 3 = 4.5.
    const { x, y } = isometric({ x: 2, y: 1, z: 3 });
    expect(x).toBeCloseTo(0.866, 3);
    expect(y).toBeCloseTo(4.5, 12);
  });
});

describe('the ducts on a sheet', () => {
  const seen = (items: readonly SheetItem[]) =>
    items.map((item) => ({
      ...item,
      ...(item.kind === 'line' && {
        points: item.points.map(({ x, y }) => [
          Math.round(x * 1e6) / 1e6,
          Math.round(y * 1e6) / 1e6,
        ]),
      }),
    }));
  const { shop, run, off } = loneDuct(
    [
      [-2, 1],
      [-2, 0],
    ],
    (_, own) => {
      own.hose = { kind: 'smooth', length: 1, diameter: 0.1, compression: 0 };
      own.gate = { opening: 1, open: true, closedGap: 0, end: 'upstream' };
    },
  );
  const from = (x: number, y: number) => {
    const at = off(x, y);
    return [Math.round(at.x * 1e6) / 1e6, Math.round(at.y * 1e6) / 1e6];
  };
  const above = ({ x, y }: { x: number; y: number }) => ({ x, y });

  it('are a strip as wide as each leg, the hose by its own diameter, a centreline and the gate', () => {
    expect(seen(ductItems(shop, above))).toEqual([
      {
        kind: 'line',
        layer: 'hoses',
        isClosed: true,
        run,
        points: [from(-1.95, 1), from(-1.95, 0), from(-2.05, 0), from(-2.05, 1)],
      },
      {
        kind: 'line',
        layer: 'ducts',
        isClosed: true,
        run,
        points: [from(-2, 0.075), from(0, 0.075), from(0, -0.075), from(-2, -0.075)],
      },
      {
        kind: 'line',
        layer: 'centrelines',
        isClosed: false,
        run,
        points: [from(-2, 0), from(0, 0)],
      },
      {
        kind: 'line',
        layer: 'gates',
        isClosed: false,
        run,
        points: [from(-2, 0.12), from(-2, -0.12)],
      },
    ]);
  });

  it('have a gate at the end where it sits, and are a circle seen from their end', () => {
    const other = structuredClone(shop);
    const own = other.ducts.runs.find(({ id }) => id === run);
    if (!own?.gate) throw new Error('no gate');
    own.gate.end = 'downstream';
    const gate = seen(ductItems(other, above)).find(({ layer }) => layer === 'gates');
    expect(gate).toMatchObject({ points: [from(0, 0.12), from(0, -0.12)] });
    // Looked at along x, the level leg is a circle as wide as the duct.
    const along = ductItems(other, ({ y, z }) => ({ x: y, y: z }));
    expect(on(along, 'ducts')).toEqual([
      {
        kind: 'circle',
        layer: 'ducts',
        at: { x: off(0, 0).y, y: off(0, 0).z },
        radius: 0.075,
        run,
      },
    ]);
  });
});

describe('sheets of a drawn shop', () => {
  const shop = drawnShop(4);
  const { lines } = ductLines(shop);

  it('the plan has every run’s centreline, as long seen from above as it is level', () => {
    const items = on(planSheet(shop), 'centrelines');
    expect(items).toHaveLength(lines.size);
    for (const item of items) {
      if (item.kind !== 'line') throw new Error('no line');
      const legs = lines.get(item.run ?? '')?.legs ?? [];
      const level = legs.reduce(
        (sum, { from, to }) => sum + Math.hypot(to.x - from.x, to.y - from.y),
        0,
      );
      const drawn = item.points.reduce((sum, at, i) => {
        const before = item.points[i - 1];
        return before ? sum + Math.hypot(at.x - before.x, at.y - before.y) : sum;
      }, 0);
      expect(drawn).toBeCloseTo(level, 9);
    }
  });

  it('a riser is its duct’s circle in the plan, and a strip as wide as it in an elevation', () => {
    const riser = [...lines.values()].find(({ legs }) =>
      legs.some(({ direction }) => direction.z > 0.99),
    );
    const leg = riser?.legs.find(({ direction }) => direction.z > 0.99);
    if (!riser || !leg) throw new Error('no riser');
    const { diameter, id } = riser.run;
    const above = on(planSheet(shop), 'ducts').filter(
      (item) => item.kind !== 'text' && item.run === id,
    );
    expect(above.some((item) => item.kind === 'circle' && item.radius === diameter / 2)).toBe(true);
    const strips = on(elevationSheet(shop, 'front'), 'ducts').flatMap((item) =>
      item.kind === 'line' && item.run === id ? [item.points] : [],
    );
    const widths = strips.map(
      (points) => Math.max(...points.map(({ x }) => x)) - Math.min(...points.map(({ x }) => x)),
    );
    expect(Math.min(...widths)).toBeCloseTo(diameter, 9);
  });

  it('elevations are as wide as the room is from there, and as high', () => {
    for (const [side, width] of [
      ['front', Math.max(...shop.room.outline.map(({ x }) => x))],
      ['left', Math.max(...shop.room.outline.map(({ y }) => y))],
    ] as const) {
      const extent = sheetExtent(on(elevationSheet(shop, side), 'walls'));
      expect(extent?.width).toBeCloseTo(width, 9);
      expect(extent?.height).toBeCloseTo(shop.room.ceilingHeight ?? 0, 9);
    }
    // What is left from the front is right from the back.
    const at = { x: 3, y: 2, z: 1 };
    expect(ELEVATIONS.back(at).x).toBe(-ELEVATIONS.front(at).x);
    expect(ELEVATIONS.right(at).x).toBe(-ELEVATIONS.left(at).x);
  });

  it('the isometric says each hose, each leg worth saying and each run’s size, the longest first', () => {
    const sizes = texts(isometricSheet(shop), 'sizes');
    expect(sizes.filter((text) => text.startsWith('hose'))).toHaveLength(4);
    const sized = sizes.filter((text) => text.includes(' in., '));
    expect(sized.length).toBeGreaterThanOrEqual(4);
    const feet = sizes.flatMap((text) =>
      Number.parseFloat(text.split(/in\., |hose /).at(-1) ?? ''),
    );
    expect(feet).toEqual(feet.toSorted((a, b) => b - a));
  });

  it('studs are on centre from the corner, none in a door, and seen where one faces their wall', () => {
    const studded = copyOf(shop);
    const [width = 0, depth = 0] = [
      Math.max(...shop.room.outline.map(({ x }) => x)),
      Math.max(...shop.room.outline.map(({ y }) => y)),
    ];
    // The back wall: it begins at the right and goes left.
    studded.room.walls = [0, 1, 2, 3].map((i) => ({ studSpacing: i === 2 ? 0.4 : null }));
    studded.room.doors = [{ id: 'd', wall: 2, along: 0.9, width: 0.8 }];
    const seen = on(elevationSheet(studded, 'front'), 'studs');
    const at = seen.flatMap((item) => (item.kind === 'line' ? [item.points[0]?.x ?? 0] : []));
    const all = Math.ceil(width / 0.4 - 1e-6) - 1;
    // Those at 1.2 and 1.6 m would stand in the door, from 0.9 to 1.7 m.
    expect(at).toHaveLength(all - 2);
    const fromCorner = at.slice(0, 3).map((x) => Number((width - x).toFixed(9)));
    expect(fromCorner).toEqual([0.4, 0.8, 2]);
    for (const side of ['back', 'left', 'right'] as const) {
      expect(on(elevationSheet(studded, side), 'studs')).toEqual([]);
    }
    // Drawn the other way round, the same wall faces the same way.
    studded.room.outline.reverse();
    studded.room.doors = [];
    studded.room.walls = studded.room.walls.map(() => ({ studSpacing: 0.4 }));
    for (const [side, span] of [
      ['front', width],
      ['left', depth],
    ] as const) {
      const extent = sheetExtent(on(elevationSheet(studded, side), 'studs'));
      expect(extent?.width).toBeGreaterThan(span - 0.9);
      expect(on(elevationSheet(studded, side), 'studs')).toHaveLength(
        Math.ceil(span / 0.4 - 1e-6) - 1,
      );
    }
    // On the plan they go outward from the room.
    const extent = sheetExtent(on(planSheet(studded), 'studs'));
    expect(extent).toMatchObject({ x0: -0.09, y0: -0.09 });
  });

  it('machines are as high as their kind or their port; a floor sweep is low', () => {
    const heights = new Map(shop.machines.map((machine) => [machine.kind, machineHeight(machine)]));
    expect(heights.get('tableSaw')).toBeCloseTo(0.889, 9);
    expect(heights.get('sawGuard')).toBeGreaterThan(2);
    const [machine] = shop.machines;
    if (!machine) throw new Error('no machine');
    const own = { ...machine, kind: 'sweep of my own', ports: [] };
    expect(machineHeight(own)).toBe(0.86);
    expect(machineHeight({ ...own, kind: 'floorSweep' })).toBeLessThan(0.2);
    const solids = solidsOf(shop);
    expect(solids.filter(({ layer }) => layer === 'machines')).toHaveLength(4);
    expect(solids.filter(({ layer }) => layer === 'collector').map(({ name }) => name)).toContain(
      'separator',
    );
  });

  it('a post is as wide as it is and reaches the ceiling, or 2.4 m where that is not known', () => {
    const room = { ...shop.room, posts: [{ id: 'p', at: { x: 3, y: 2 }, width: 0.2 }] };
    const posts = (ceilingHeight: number | null) =>
      solidsOf({ ...shop, room: { ...room, ceilingHeight } }).filter(
        ({ layer }) => layer === 'posts',
      );
    const foot = [
      [2.9, 1.9],
      [3.1, 1.9],
      [3.1, 2.1],
      [2.9, 2.1],
    ] as const;
    for (const [ceiling, top] of [
      [3.1, 3.1],
      [null, 2.4],
    ] as const) {
      const [post, ...more] = posts(ceiling);
      expect(more).toEqual([]);
      expect(post?.name).toBe('');
      const wanted = [0, top].flatMap((z) => foot.map(([x, y]) => ({ x, y, z })));
      for (const [i, corner] of (post?.corners ?? []).entries()) {
        const { x = 99, y = 99, z = 99 } = wanted[i] ?? {};
        expect(Math.hypot(corner.x - x, corner.y - y, corner.z - z)).toBeLessThan(1e-9);
      }
      expect(post?.corners).toHaveLength(8);
    }
  });

  it('a sheet with only letters on it takes up the place they stand at', () => {
    const text = { kind: 'text', layer: 'sizes', at: { x: 3, y: 4 }, text: 'a', size: 1 } as const;
    expect(sheetExtent([text])).toEqual({ x0: 3, y0: 4, width: 0, height: 0 });
  });

  it('the isometric marks a gate at whichever end it is', () => {
    for (const [end, spot] of [
      ['upstream', [-2, 1]],
      ['downstream', [0, 0]],
    ] as const) {
      const lone = loneDuct(
        [
          [-2, 1],
          [-2, 0],
        ],
        (_, own) => {
          own.gate = { opening: 1, open: true, closedGap: 0, end };
        },
      );
      const at = isometric(lone.off(spot[0], spot[1]));
      const [gate, ...more] = on(isometricSheet(lone.shop), 'gates');
      expect(more).toEqual([]);
      expect(gate).toMatchObject({
        kind: 'line',
        points: [
          { x: expect.closeTo(at.x - 0.09, 9), y: expect.closeTo(at.y, 9) },
          { x: expect.closeTo(at.x + 0.09, 9), y: expect.closeTo(at.y, 9) },
        ],
      });
    }
  });

  it('of an empty shop nothing is drawn', () => {
    const bare = { ...shop, machines: [], room: { ...shop.room, outline: [], posts: [] } };
    const nowhere = {
      ...bare,
      collector: { ...shop.collector, place: null },
      ducts: { ...shop.ducts, runs: [], nodes: [] },
    };
    expect(sheetExtent(planSheet(nowhere))).toBeNull();
    expect(sheetExtent(isometricSheet(nowhere))).toBeNull();
    expect(elevationSheet(nowhere, 'front')).toEqual([]);
  });
});
