// Plans read back by the registry's `dxf` package, which has nothing to do with the writer's or the
// importer's own.
import { Helper } from 'dxf';
import { describe, expect, it } from 'vitest';
import type { Shop } from '../src/design/schema';
import { setRoomSize } from '../src/room/edit-floor';
import { outlineFromDxf } from '../src/room/outline-from-dxf';
import { floorArea } from '../src/room/room-outline';
import { ductLines } from '../src/routing/duct-lines';
import { elevationSheet } from '../src/routing/sheets/elevation-sheet';
import { isometricSheet } from '../src/routing/sheets/isometric-sheet';
import { planSheet } from '../src/routing/sheets/plan-sheet';
import { SHEET_LAYERS } from '../src/routing/sheets/sheet';
import { sheetDxf } from '../src/routing/sheets/sheet-dxf';
import { copyOf, drawnShop, threeBranchShop } from './sample-shops';

/** A room of 8 × 6 m with a door, a window, a post, a planer turned by a quarter, and a collector. */
function routedShop(): Shop {
  const shop = copyOf(threeBranchShop());
  setRoomSize(shop, 8, 6);
  shop.room.doors = [{ id: 'd', wall: 0, along: 2, width: 1 }];
  shop.room.windows = [{ id: 'w', wall: 2, along: 1, width: 2 }];
  shop.room.posts = [{ id: 'p', at: { x: 4, y: 3 }, width: 0.2 }];
  shop.room.boardLength = 2;
  const [planer] = shop.machines;
  if (planer) {
    Object.assign(planer, { name: 'Planer', kind: 'planer', place: { x: 2, y: 3 } });
    Object.assign(planer, { turn: Math.PI / 2, size: { width: 1, depth: 0.5 } });
  }
  shop.collector.place = { x: 6, y: 5, z: 0 };
  return shop;
}

interface Entity {
  readonly type: string;
  readonly layer: string;
  readonly closed?: boolean;
  readonly vertices?: readonly { x: number; y: number }[];
  readonly start?: { x: number; y: number };
  readonly end?: { x: number; y: number };
  readonly string?: string;
}

const read = (text: string) =>
  new Helper(text).parsed as unknown as {
    readonly header: Record<string, unknown>;
    readonly entities: readonly Entity[];
  };

describe('a plan as DXF, read by another program', () => {
  const { header, entities } = read(sheetDxf(planSheet(routedShop())));
  const on = (layer: keyof typeof SHEET_LAYERS) =>
    entities.filter((entity) => entity.layer === SHEET_LAYERS[layer].name);
  const lengths = (layer: keyof typeof SHEET_LAYERS) =>
    on(layer).map(({ start, end }) =>
      Math.hypot((end?.x ?? 0) - (start?.x ?? 0), (end?.y ?? 0) - (start?.y ?? 0)),
    );

  it('is in millimetres', () => {
    expect(header.insUnits).toBe(4);
  });

  it('has walls between its doors, and openings on their own layers', () => {
    expect(lengths('walls').map(Math.round)).toEqual([2000, 5000, 6000, 8000, 6000]);
    expect(lengths('doors').map(Math.round)).toEqual([1000]);
    expect(lengths('windows').map(Math.round)).toEqual([2000]);
  });

  it('has the room’s outline and machines as closed lines, at their true size', () => {
    const [outline] = on('outline');
    expect(outline?.closed).toBe(true);
    expect(floorArea(outline?.vertices ?? []) / 1e6).toBeCloseTo(48, 6);
    const [machine] = on('machines');
    // A quarter turn: 500 mm across, 1000 deep, its middle at 2000, 3000.
    const xs = machine?.vertices?.map(({ x }) => x) ?? [];
    expect(Math.min(...xs)).toBeCloseTo(1750, 6);
    expect(Math.max(...xs)).toBeCloseTo(2250, 6);
    expect(on('rooms')).toHaveLength(2);
    expect(on('collector')).toHaveLength(1);
    expect(on('posts')).toHaveLength(1);
    expect(on('names').map(({ string }) => string)).toEqual(['Planer', 'Collector']);
  });

  it('read in again gives the outline it was written from', () => {
    const again = outlineFromDxf(sheetDxf(planSheet(routedShop())));
    if (!again.ok) throw new Error(again.reason);
    expect(again.note).toBe('');
    expect(again.outline).toHaveLength(4);
    expect(floorArea(again.outline)).toBeCloseTo(48, 6);
  });
});

describe('ducts as DXF, read by another program', () => {
  const shop = drawnShop(3);
  const lines = [...ductLines(shop).lines.values()];
  const entitiesOf = (items: Parameters<typeof sheetDxf>[0], layer: keyof typeof SHEET_LAYERS) =>
    read(sheetDxf(items)).entities.filter((entity) => entity.layer === SHEET_LAYERS[layer].name);
  const length = ({ vertices, start, end }: Entity) => {
    const points = vertices ?? [start, end];
    return points.slice(1).reduce((sum, at, i) => {
      const before = points[i];
      return at && before ? sum + Math.hypot(at.x - before.x, at.y - before.y) : sum;
    }, 0);
  };

  it('each run is one centreline in millimetres: in the elevation as high as it rises', () => {
    const items = elevationSheet(shop, 'front');
    const centrelines = entitiesOf(items, 'centrelines');
    expect(centrelines).toHaveLength(lines.length);
    const drawn = lines.map(({ legs }) =>
      legs.reduce((sum, { from, to }) => sum + Math.hypot(to.x - from.x, to.z - from.z), 0),
    );
    expect(centrelines.map((each) => length(each) / 1000)).toEqual(
      drawn.map((each) => expect.closeTo(each, 6)),
    );
  });

  it('in isometric legs along the room’s axes keep their length; sizes stand on their own layer', () => {
    const items = isometricSheet(shop);
    const level = lines.filter(({ legs }) =>
      legs.every(
        ({ direction }) =>
          Math.max(Math.abs(direction.x), Math.abs(direction.y), Math.abs(direction.z)) > 0.999,
      ),
    );
    expect(level.length).toBeGreaterThan(0);
    const drawn = entitiesOf(items, 'centrelines').map((each) => length(each) / 1000);
    for (const { legs } of level) {
      const whole = legs.reduce((sum, leg) => sum + leg.length, 0);
      expect(Math.min(...drawn.map((each) => Math.abs(each - whole)))).toBeLessThan(1e-6);
    }
    const texts = entitiesOf(items, 'sizes').map(({ string }) => string);
    expect(texts.filter((text) => text?.startsWith('hose'))).toHaveLength(3);
    expect(entitiesOf(items, 'gates')).toHaveLength(3);
  });
});

describe('an outline from a DXF drawing', () => {
  /** A drawing of lines, in a unit of the format's. */
  const drawing = (unit: number | null, ...lines: readonly (readonly number[])[]) =>
    [
      '0\nSECTION\n2\nHEADER',
      unit === null ? '' : `9\n$INSUNITS\n70\n${unit}`,
      '0\nENDSEC\n0\nSECTION\n2\nENTITIES',
      ...lines.map(
        ([x0, y0, x1, y1]) => `0\nLINE\n8\n0\n10\n${x0}\n20\n${y0}\n11\n${x1}\n21\n${y1}`,
      ),
      '0\nENDSEC\n0\nEOF',
    ]
      .filter((part) => part !== '')
      .join('\n');

  it('is walked from line to line, whichever way each was drawn, in feet', () => {
    const read = outlineFromDxf(
      drawing(2, [30, 10, 10, 10], [10, 10, 10, 30], [30, 30, 10, 30], [30, 10, 30, 30]),
    );
    if (!read.ok) throw new Error(read.reason);
    expect(floorArea(read.outline)).toBeCloseTo((20 * 0.3048) ** 2, 9);
    // Its corner stands at the origin, and it goes counter-clockwise.
    expect(Math.min(...read.outline.map(({ x }) => x))).toBe(0);
    expect(read.note).toBe('');
  });

  it('without a unit is taken for millimetres, and says so', () => {
    const read = outlineFromDxf(
      drawing(null, [0, 0, 5000, 0], [5000, 0, 5000, 4000], [5000, 4000, 0, 0]),
    );
    expect(read.ok && read.note).toMatch(/millimetres/);
    expect(read.ok && floorArea(read.outline)).toBeCloseTo(10, 9);
  });

  it.each([
    ['no drawing at all', 'hello', /not a DXF drawing/],
    ['lines that never meet', drawing(6, [0, 0, 5, 0], [5, 1, 5, 4], [6, 4, 0, 0]), /closes/],
    [
      'a room of a millimetre',
      drawing(4, [0, 0, 1, 0], [1, 0, 1, 1], [1, 1, 0, 0]),
      /closes|units/,
    ],
    [
      'a room of a mile',
      drawing(6, [0, 0, 1600, 0], [1600, 0, 1600, 900], [1600, 900, 0, 0]),
      /units/,
    ],
  ])('%s is refused in a sentence', (_, text, says) => {
    const read = outlineFromDxf(text);
    expect(read.ok ? '' : read.reason).toMatch(says);
  });
});
