import type { Shop } from '../../design/schema';
import { cornersOf, onFloor, type Spot } from '../../room/plane';
import { onWall, solidOf, type Wall, wallsOf } from '../../room/room-outline';
import { collectorBlock, edgeOn, machineBlock, roomFrame, workingRoom } from '../../room/standing';
import { ductItems, type Projection } from './duct-items';
import { lineOf, type SheetItem, textOf } from './sheet';

/** Seen from above. */
const FROM_ABOVE: Projection = ({ x, y }) => ({ x, y });

/** A stud is drawn so deep into the wall, m. */
const STUD_DEPTH = 0.09;

/** A stud from above: a stroke from the room's side of its wall outward. */
function studOnPlan(wall: Wall, along: number): [Spot, Spot] {
  const at = onWall(wall, along);
  const { x, y } = wall.inward;
  return [at, { x: at.x - x * STUD_DEPTH, y: at.y - y * STUD_DEPTH }];
}

/**
 * The plan: walls between their doors with their studs, the room's outline as one closed line, doors, windows, posts,
 * machines with the room their work takes, the collector, ducts with their centrelines, and names.
 */
export function planSheet(shop: Shop): SheetItem[] {
  const items: SheetItem[] = [];
  if (shop.room.outline.length >= 3) items.push(lineOf('outline', shop.room.outline, true));
  for (const wall of wallsOf(shop.room)) {
    for (const { from, to } of solidOf(wall)) items.push(lineOf('walls', [from, to]));
    for (const at of wall.studs) items.push(lineOf('studs', studOnPlan(wall, at)));
    for (const { from, to } of wall.doors) {
      items.push(lineOf('doors', [onWall(wall, from), onWall(wall, to)]));
    }
    for (const { from, to } of wall.windows) {
      items.push(lineOf('windows', [onWall(wall, from), onWall(wall, to)]));
    }
  }
  for (const { at, width } of shop.room.posts) {
    items.push(lineOf('posts', cornersOf({ at, turn: 0, width, depth: width }), true));
  }
  for (const machine of shop.machines) {
    const block = machineBlock(machine);
    if (!block) continue;
    items.push(lineOf('machines', cornersOf(block), true));
    items.push(textOf('names', block.at, machine.name));
    for (const room of workingRoom(machine, shop.room.boardLength)) {
      const start = edgeOn(block, room);
      const frame = roomFrame(block, room);
      const corners = [
        { x: -room.width / 2, y: start },
        { x: room.width / 2, y: start },
        { x: room.width / 2, y: start + room.length },
        { x: -room.width / 2, y: start + room.length },
      ].map((corner) => onFloor(frame, corner));
      items.push(lineOf('rooms', corners, true));
    }
  }
  const collector = collectorBlock(shop);
  if (collector) {
    items.push(lineOf('collector', cornersOf(collector), true));
    items.push(textOf('names', collector.at, 'Collector'));
  }
  return [...items, ...ductItems(shop, FROM_ABOVE)];
}
