import { describe, expect, it } from 'vitest';
import { loneDuct } from '../../../reference/lone-duct';
import { copyOf, drawnShop } from '../../../reference/sample-shops';
import { smallRoom } from '../../../reference/small-room';
import { parseQuantity } from '../../quantity/parse-quantity';
import { ductLines } from '../duct-lines';
import { ductItems } from './duct-items';
import { ELEVATIONS, elevationSheet } from './elevation-sheet';
import { isometric, isometricSheet } from './isometric-sheet';
import { planSheet } from './plan-sheet';
import { type SHEET_LAYERS, type SheetItem, sheetExtent } from './sheet';
import { collectorPipes, machineHeight, solidsOf } from './solids';

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

/** An item of a sheet in a line: its layer, and where it lies, in millimetres. */
function inWords(item: SheetItem): string {
  const at = ({ x, y }: { readonly x: number; readonly y: number }) =>
    `${Math.round(x * 1000) || 0},${Math.round(y * 1000) || 0}`;
  switch (item.kind) {
    case 'line':
      return `${item.layer}${item.isClosed ? ' closed' : ''} ${item.points.map(at).join(' ')}`;
    case 'circle':
      return `${item.layer} circle ${at(item.at)} of ${Math.round(item.radius * 1000)}`;
    case 'text':
      return `${item.layer} “${item.text}” ${at(item.at)}`;
  }
}

describe('every line of a small room’s sheets, worked by hand', () => {
  it('from above', () => {
    expect(planSheet(smallRoom()).map(inWords)).toEqual([
      'outline closed 0,0 6000,0 6000,4000 0,4000',
      'walls 0,0 1000,0',
      'walls 1800,0 6000,0',
      'doors 1000,0 1800,0',
      'walls 6000,0 6000,4000',
      'windows 6000,1000 6000,2500',
      'walls 6000,4000 0,4000',
      'walls 0,4000 0,0',
      'posts closed 4900,2900 5100,2900 5100,3100 4900,3100',
      'machines closed 1500,750 2500,750 2500,1250 1500,1250',
      'names “Near” 2000,1000',
      // Whoever works at it stands 1.2 m ahead of it.
      'rooms closed 2500,750 1500,750 1500,-450 2500,-450',
      'machines closed 2450,2500 2450,3500 1950,3500 1950,2500',
      'names “Far” 2200,3000',
      'rooms closed 2450,3500 2450,2500 2450,2500 2450,3500',
    ]);
  });

  it('from the front: the far machine first, the near one over it, and its name a row lower', () => {
    expect(elevationSheet(smallRoom(), 'front').map(inWords)).toEqual([
      'walls 0,0 6000,0',
      'walls 0,0 0,2500',
      'walls 6000,0 6000,2500',
      'walls 0,2500 6000,2500',
      'machines closed 1950,0 2450,0 2450,860 1950,860',
      'posts closed 4900,0 5100,0 5100,2500 4900,2500',
      'machines closed 1500,0 2500,0 2500,860 1500,860',
      'names “Near” 2000,-200',
      'names “Far” 2200,-420',
    ]);
  });

  it('from the other sides', () => {
    const seen = (side: keyof typeof ELEVATIONS) => {
      const items = elevationSheet(smallRoom(), side).map(inWords);
      expect(items[0]).toBe(
        {
          front: '',
          back: 'walls -6000,0 0,0',
          left: 'walls -4000,0 0,0',
          right: 'walls 0,0 4000,0',
        }[side],
      );
      return items.slice(4);
    };
    expect(seen('right')).toEqual([
      'machines closed 750,0 1250,0 1250,860 750,860',
      'machines closed 2500,0 3500,0 3500,860 2500,860',
      'posts closed 2900,0 3100,0 3100,2500 2900,2500',
      // They are far enough apart to stand in one row.
      'names “Far” 3000,-200',
      'names “Near” 1000,-200',
    ]);
    expect(seen('back')).toEqual([
      'machines closed -2500,0 -1500,0 -1500,860 -2500,860',
      'machines closed -2450,0 -1950,0 -1950,860 -2450,860',
      'posts closed -5100,0 -4900,0 -4900,2500 -5100,2500',
      'names “Far” -2200,-200',
      'names “Near” -2000,-420',
    ]);
    expect(seen('left')).toEqual([
      'posts closed -3100,0 -2900,0 -2900,2500 -3100,2500',
      'machines closed -1250,0 -750,0 -750,860 -1250,860',
      'machines closed -3500,0 -2500,0 -2500,860 -3500,860',
      'names “Far” -3000,-200',
      'names “Near” -1000,-200',
    ]);
  });

  it('names that would meet stand in as many rows as they need, and in the highest that is free', () => {
    const shop = smallRoom();
    const [pattern] = shop.machines;
    if (!pattern) throw new Error('no machine');
    // Letters 90 mm wide: ‘Saw’ takes 270 mm. Behind each other from the near one to the far one.
    const places = [2, 2.2, 2.26, 2.28, 2.5];
    shop.machines = places.map((x, i) => ({
      ...pattern,
      id: `${i}`,
      name: 'Saw',
      place: { x, y: 1 + i / 10 },
    }));
    const rows = elevationSheet(shop, 'front').flatMap((item) =>
      item.kind === 'text' ? [Math.round((-item.at.y - 0.2) / 0.22)] : [],
    );
    expect(rows).toEqual([0, 1, 2, 0, 1]);
  });

  it('without a ceiling has a floor only, and studs as high as walls usually are', () => {
    const shop = smallRoom();
    shop.room.ceilingHeight = null;
    expect(on(elevationSheet(shop, 'front'), 'walls').map(inWords)).toEqual(['walls 0,0 6000,0']);
    shop.room.walls = [0, 1, 2, 3].map((i) => ({ studSpacing: i === 2 ? 2 : null }));
    expect(on(elevationSheet(shop, 'front'), 'studs').map(inWords)).toEqual([
      'studs 4000,0 4000,2400',
      'studs 2000,0 2000,2400',
    ]);
    shop.room.outline = shop.room.outline.slice(0, 2);
    expect(on(planSheet(shop), 'outline')).toEqual([]);
    expect(on(isometricSheet(shop), 'outline')).toEqual([]);
  });

  it('in isometric: each box by its nearest edge, however it is turned', () => {
    expect(isometricSheet(smallRoom()).map(inWords)).toEqual([
      'outline closed 0,0 5196,3000 1732,5000 -3464,2000',
      'posts closed 1732,3900 1905,4000 1905,6500 1732,6400',
      'posts closed 1732,3900 1559,4000 1559,6500 1732,6400',
      'posts closed 1732,6400 1905,6500 1732,6600 1559,6500',
      'machines closed 650,1125 1516,1625 1516,2485 650,1985',
      'machines closed 650,1125 217,1375 217,2235 650,1985',
      'machines closed 650,1985 1516,2485 1083,2735 217,2235',
      // Turned by a quarter, its nearest edge is that at (1.95, 2.5).
      'machines closed -476,2225 -43,2475 -43,3335 -476,3085',
      'machines closed -476,2225 -1342,2725 -1342,3585 -476,3085',
      'machines closed -476,3085 -43,3335 -909,3835 -1342,3585',
      'names “Near” 866,1450',
      'names “Far” -693,2550',
    ]);
  });

  it('the collector stands where it is, a part over another, raised with its foot', () => {
    const shop = smallRoom();
    shop.collector.place = { x: 4, y: 1, z: 0 };
    const seen = (foot: number) => {
      if (shop.collector.place) shop.collector.place.z = foot;
      return on(elevationSheet(shop, 'front'), 'collector').flatMap((item) =>
        item.kind === 'line' ? [item.points] : [],
      );
    };
    const [low, high] = [seen(0), seen(0.3)];
    expect(low.length).toBeGreaterThan(1);
    for (const [i, box] of low.entries()) {
      for (const [k, { x, y }] of box.entries()) {
        expect(high[i]?.[k]?.x).toBeCloseTo(x, 9);
        expect((high[i]?.[k]?.y ?? 0) - y).toBeCloseTo(0.3, 9);
      }
    }
    // The plan has its whole footprint, and its middle is where it was put.
    const [footprint] = on(planSheet(shop), 'collector');
    const xs = footprint?.kind === 'line' ? footprint.points.map(({ x }) => x) : [];
    expect((Math.min(...xs) + Math.max(...xs)) / 2).toBeCloseTo(4, 9);
    expect(Math.min(...low.flat().map(({ x }) => x))).toBeCloseTo(Math.min(...xs), 9);
    expect(Math.max(...low.flat().map(({ x }) => x))).toBeCloseTo(Math.max(...xs), 9);
    expect(texts(planSheet(shop), 'names')).toContain('Collector');
    expect(texts(elevationSheet(shop, 'front'), 'names')).toContain('Collector');
    // From above each part is as deep as it is wide from the front: they are round, or as deep as wide.
    for (const { layer, corners } of solidsOf(shop)) {
      if (layer !== 'collector') continue;
      const [wide, deep] = (['x', 'y'] as const).map((axis) => {
        const all = corners.map((corner) => corner[axis]);
        return Math.max(...all) - Math.min(...all);
      });
      expect(deep).toBeCloseTo(wide ?? 0, 9);
    }
  });
});

describe('the collector’s own pipes', () => {
  it('join its parts in every elevation: each leg with its two sides, as wide as the pipe', () => {
    const shop = smallRoom();
    shop.collector.place = { x: 4, y: 1, z: 0 };
    const pipes = collectorPipes(shop);
    expect(pipes.map(({ part }) => part)).toEqual(['coupling', 'transition']);
    const legs = pipes.flatMap(({ points, diameter }) =>
      points.slice(1).map((to, i) => ({ from: points[i] ?? to, to, diameter })),
    );
    const parts = solidsOf(shop).filter(({ layer }) => layer === 'collector');
    const shapes = on(elevationSheet(shop, 'front'), 'collector').slice(parts.length);
    expect(shapes).toHaveLength(legs.length);
    for (const [i, { from, to, diameter }] of legs.entries()) {
      const shape = shapes[i];
      const points = shape?.kind === 'line' ? shape.points : [];
      const [a, b, c, d] = points;
      if (!a || !b || !c || !d) throw new Error('no outline');
      expect(Math.hypot(a.x - d.x, a.y - d.y)).toBeCloseTo(diameter, 9);
      expect((a.x + d.x) / 2).toBeCloseTo(from.x, 9);
      expect((a.y + d.y) / 2).toBeCloseTo(from.z, 9);
      expect((b.x + c.x) / 2).toBeCloseTo(to.x, 9);
      expect((b.y + c.y) / 2).toBeCloseTo(to.z, 9);
    }
  });
});

describe('a duct in isometric, worked by hand', () => {
  it('its hose, its centreline, its bends, its gate, and what is written of it, the longest first', () => {
    const { shop, run } = loneDuct(
      [
        [-3, 2],
        [-3, 0],
        [-0.2, 0],
        [-0.2, 0],
      ],
      (own, duct) => {
        own.room.outline = [];
        duct.hose = { kind: 'smooth', length: 1, diameter: 0.1, compression: 0 };
        duct.route?.bends.pop();
        if (duct.route) duct.route.slack = 0.1;
        duct.gate = { opening: 1, open: true, closedGap: 0, end: 'upstream' };
      },
    );
    const { inlet } = loneDuct([[-1, 0]]);
    const spot = (x: number, y: number) => {
      const { x: right, y: up } = isometric({ x: inlet.x + x, y: inlet.y + y, z: inlet.z });
      return `${Math.round(right * 1000)},${Math.round(up * 1000)}`;
    };
    const label = (x: number, y: number) => {
      const { x: right, y: up } = isometric({ x: inlet.x + x, y: inlet.y + y, z: inlet.z });
      return `${Math.round((right + 0.06) * 1000)},${Math.round((up + 0.05) * 1000)}`;
    };
    const items = isometricSheet(shop).filter(
      (item) => item.layer === 'sizes' || (item.kind !== 'text' && item.run === run),
    );
    const gate = isometric({ x: inlet.x - 3, y: inlet.y, z: inlet.z });
    const mark = [-0.09, 0.09].map(
      (by) => `${Math.round((gate.x + by) * 1000)},${Math.round(gate.y * 1000)}`,
    );
    expect(items.map(inWords)).toEqual([
      `hoses ${spot(-3, 2)} ${spot(-3, 0)}`,
      `centrelines ${spot(-3, 0)} ${spot(-0.2, 0)} ${spot(0, 0)}`,
      `ducts circle ${spot(-0.2, 0)} of 40`,
      `gates ${mark.join(' ')}`,
      // The last 200 mm are not worth saying; the hose is a tenth longer than the straight line it hangs along.
      `sizes “150 mm, 2.8 m” ${label(-1.6, 0)}`,
      `sizes “hose 2.2 m” ${label(-3, 1)}`,
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
    const lengths = sizes.map((text) => {
      const read = parseQuantity(text.split(/in\., |hose /).at(-1) ?? '', 'ft');
      return read.ok ? read.value : Number.NaN;
    });
    expect(lengths).toEqual(lengths.toSorted((a, b) => b - a));
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
