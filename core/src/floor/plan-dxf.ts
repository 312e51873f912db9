import { DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf';
import type { Shop } from '../shop/schema';
import { cornersOf, onFloor, type Polygon, type Spot } from './plane';
import { onWall, solidOf, wallsOf } from './room-outline';
import { collectorBlock, edgeOn, machineBlock, roomFrame, workingRoom } from './standing';

/** Layers of a plan, by what they hold; colours are the format's own numbers. */
export const PLAN_LAYERS = {
  walls: { name: 'WALLS', color: 7 },
  outline: { name: 'ROOM_OUTLINE', color: 8 },
  doors: { name: 'DOORS', color: 8 },
  windows: { name: 'WINDOWS', color: 8 },
  posts: { name: 'POSTS', color: 7 },
  machines: { name: 'MACHINES', color: 7 },
  rooms: { name: 'WORKING_ROOM', color: 9 },
  collector: { name: 'COLLECTOR', color: 7 },
  names: { name: 'NAMES', color: 8 },
} as const;

const MILLIMETRES = 1000;
/** Height of a name on the floor, m. */
const LETTERS = 0.12;

/**
 * The plan as a DXF drawing in millimetres, one to one: walls between their doors, the room's outline
 * as one closed line, doors, windows, posts, machines with the room their work takes, the collector,
 * and names, each on a layer of its own.
 */
export function planDxf(shop: Shop): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const { name, color } of Object.values(PLAN_LAYERS)) dxf.addLayer(name, color, 'CONTINUOUS');
  const flat = ({ x, y }: Spot) => point3d(x * MILLIMETRES, y * MILLIMETRES, 0);
  const on = (layer: keyof typeof PLAN_LAYERS) => ({ layerName: PLAN_LAYERS[layer].name });
  const line = (layer: keyof typeof PLAN_LAYERS, from: Spot, to: Spot) =>
    dxf.addLine(flat(from), flat(to), on(layer));
  const closed = (layer: keyof typeof PLAN_LAYERS, corners: Polygon) =>
    dxf.addLWPolyline(
      corners.map(({ x, y }) => ({ point: point2d(x * MILLIMETRES, y * MILLIMETRES) })),
      { flags: LWPolylineFlags.Closed, ...on(layer) },
    );
  const write = (at: Spot, name: string) =>
    dxf.addText(flat(at), LETTERS * MILLIMETRES, name, on('names'));

  if (shop.room.outline.length >= 3) closed('outline', shop.room.outline);
  for (const wall of wallsOf(shop.room)) {
    for (const { from, to } of solidOf(wall)) line('walls', from, to);
    for (const { from, to } of wall.doors) line('doors', onWall(wall, from), onWall(wall, to));
    for (const { from, to } of wall.windows) line('windows', onWall(wall, from), onWall(wall, to));
  }
  for (const { at, width } of shop.room.posts) {
    closed('posts', cornersOf({ at, turn: 0, width, depth: width }));
  }
  for (const machine of shop.machines) {
    const block = machineBlock(machine);
    if (!block) continue;
    closed('machines', cornersOf(block));
    write(block.at, machine.name);
    for (const room of workingRoom(machine, shop.room.boardLength)) {
      const start = edgeOn(block, room);
      const frame = roomFrame(block, room);
      const corners = [
        { x: -room.width / 2, y: start },
        { x: room.width / 2, y: start },
        { x: room.width / 2, y: start + room.length },
        { x: -room.width / 2, y: start + room.length },
      ].map((corner) => onFloor(frame, corner));
      closed('rooms', corners);
    }
  }
  const collector = collectorBlock(shop);
  if (collector) {
    closed('collector', cornersOf(collector));
    write(collector.at, 'Collector');
  }
  return dxf.stringify();
}
