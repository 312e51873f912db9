import { estimatedCurve } from '../src/collector/estimated-curve';
import { newMachine } from '../src/design/edit-ducts';
import { newShop } from '../src/design/new-shop';
import type { Shop } from '../src/design/schema';
import { setRoomSize } from '../src/room/edit-floor';
import { counter } from './sample-shops';

/**
 * A room of 6 by 4 m and 2.5 m high, with a door, a window and a post; two machines of no known kind, 1 by 0.5 m
 * and 0.86 m high, the second turned by a quarter behind the first; no collector, no ducts. Small enough to work
 * every line of its drawings out by hand.
 */
export function smallRoom(): Shop {
  const shop = newShop('s', 'S', 'metric', estimatedCurve(0.35, 57, 0.5, 1.2));
  setRoomSize(shop, 6, 4);
  shop.room.ceilingHeight = 2.5;
  shop.room.doors = [{ id: 'd', wall: 0, along: 1, width: 0.8 }];
  shop.room.windows = [{ id: 'w', wall: 1, along: 1, width: 1.5 }];
  shop.room.posts = [{ id: 'p', at: { x: 5, y: 3 }, width: 0.2 }];
  shop.collector.place = null;
  const newId = counter();
  for (const [name, place, turn, feed] of [
    ['Near', { x: 2, y: 1 }, 0, { ahead: 1.2, behind: 0.8 }],
    ['Far', { x: 2.2, y: 3 }, Math.PI / 2, { ahead: 0, behind: 0 }],
  ] as const) {
    const machine = newMachine(shop, 'bandSaw', newId);
    Object.assign(machine, { name, kind: 'own', place: { ...place }, turn, feed: { ...feed } });
    Object.assign(machine, { size: { width: 1, depth: 0.5 } });
    for (const port of machine.ports) port.at = { x: 0, y: -0.25, z: 0.3 };
    shop.machines.push(machine);
  }
  return shop;
}
