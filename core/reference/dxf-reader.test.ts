// Plans read back by the registry's `dxf-parser`, which has nothing to do with the packages that the
// writer and the importer use.
import DxfParser from 'dxf-parser';
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
  readonly shape?: boolean;
  readonly vertices: readonly { x: number; y: number }[];
  readonly text?: string;
}

function read(text: string) {
  const drawing = new DxfParser().parseSync(text);
  if (!drawing) throw new Error('no drawing');
  return { header: drawing.header, entities: drawing.entities as readonly unknown[] as Entity[] };
}

const lengthOf = ({ vertices }: Entity) =>
  vertices.slice(1).reduce((sum, at, i) => {
    const before = vertices[i];
    return before ? sum + Math.hypot(at.x - before.x, at.y - before.y) : sum;
  }, 0);

describe('a plan as DXF, read by another program', () => {
  const { header, entities } = read(sheetDxf(planSheet(routedShop())));
  const on = (layer: keyof typeof SHEET_LAYERS) =>
    entities.filter((entity) => entity.layer === SHEET_LAYERS[layer].name);
  const lengths = (layer: keyof typeof SHEET_LAYERS) => on(layer).map(lengthOf);

  it('is in millimetres', () => {
    expect(header.$INSUNITS).toBe(4);
  });

  it('has walls between its doors, and openings on their own layers', () => {
    expect(lengths('walls').map(Math.round)).toEqual([2000, 5000, 6000, 8000, 6000]);
    expect(lengths('doors').map(Math.round)).toEqual([1000]);
    expect(lengths('windows').map(Math.round)).toEqual([2000]);
  });

  it('has the room’s outline and machines as closed lines, at their true size', () => {
    const [outline] = on('outline');
    expect(outline?.shape).toBe(true);
    expect(floorArea(outline?.vertices ?? []) / 1e6).toBeCloseTo(48, 6);
    const [machine] = on('machines');
    // A quarter turn: 500 mm across, 1000 deep, its middle at 2000, 3000.
    const xs = machine?.vertices.map(({ x }) => x) ?? [];
    expect(Math.min(...xs)).toBeCloseTo(1750, 6);
    expect(Math.max(...xs)).toBeCloseTo(2250, 6);
    expect(on('rooms')).toHaveLength(2);
    expect(on('collector')).toHaveLength(1);
    expect(on('posts')).toHaveLength(1);
    expect(on('names').map(({ text }) => text)).toEqual(['Planer', 'Collector']);
  });

  it('takes nothing out of a name but its letters, whatever is in it', () => {
    const hostile = 'Saw\n0\nENDSEC\r\n0\rEOF\u2028\u0000\t%%c';
    const shop = routedShop();
    for (const machine of shop.machines) machine.name = hostile;
    const plain = read(sheetDxf(planSheet(routedShop())));
    const named = read(sheetDxf(planSheet(shop)));
    expect(named.entities.map(({ type, layer }) => [type, layer])).toEqual(
      plain.entities.map(({ type, layer }) => [type, layer]),
    );
    const texts = named.entities.flatMap(({ text }) => text ?? []);
    expect(texts).toContain('Saw 0 ENDSEC 0 EOF %%c');
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
  it('each run is one centreline in millimetres: in the elevation as high as it rises', () => {
    const items = elevationSheet(shop, 'front');
    const centrelines = entitiesOf(items, 'centrelines');
    expect(centrelines).toHaveLength(lines.length);
    const drawn = lines.map(({ legs }) =>
      legs.reduce((sum, { from, to }) => sum + Math.hypot(to.x - from.x, to.z - from.z), 0),
    );
    expect(centrelines.map((each) => lengthOf(each) / 1000)).toEqual(
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
    const drawn = entitiesOf(items, 'centrelines').map((each) => lengthOf(each) / 1000);
    for (const { legs } of level) {
      const whole = legs.reduce((sum, leg) => sum + leg.length, 0);
      expect(Math.min(...drawn.map((each) => Math.abs(each - whole)))).toBeLessThan(1e-6);
    }
    const texts = entitiesOf(items, 'sizes').map(({ text }) => text);
    expect(texts.filter((text) => text?.startsWith('hose'))).toHaveLength(3);
    expect(entitiesOf(items, 'gates')).toHaveLength(3);
  });
});
