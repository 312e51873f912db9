import { estimatedCurve } from '../src/collector/estimated-curve';
import { addRun } from '../src/design/edit-ducts';
import { newShop } from '../src/design/new-shop';
import type { Run, Shop } from '../src/design/schema';
import { setRoomSize } from '../src/room/edit-floor';
import { bendsAt } from '../src/routing/bend-geometry';
import { inletMouth } from '../src/routing/places';
import { type Point3, plus } from '../src/routing/space';
import { counter } from './sample-shops';

/** Its diameter, m. */
export const LONE_DUCT = 0.15;

/**
 * A room of 12 by 8 m and 2.7 m high; the collector at (10, 4), its inlet 2.3 m up and looking toward −x;
 * and one run of 150 mm into it, through points given from the inlet.
 */
export function loneDuct(
  points: readonly (readonly [x: number, y: number, z?: number])[],
  change: (shop: Shop, run: Run) => void = () => {},
) {
  const shop = newShop('s', 'S', 'metric', estimatedCurve(0.35, 57, 0.5, 1.2));
  setRoomSize(shop, 12, 8);
  shop.room.ceilingHeight = 2.7;
  shop.collector.place = { x: 10, y: 4, z: 0 };
  shop.collector.inlet = { side: 'left', height: 2.3 };
  shop.collector.separator.inletDiameter = LONE_DUCT;
  const inlet = inletMouth(shop)?.at;
  if (!inlet) throw new Error('no inlet');
  const newId = counter();
  const id = addRun(shop, 'inlet', newId);
  const run = shop.ducts.runs.find((each) => each.id === id);
  const joint = shop.ducts.nodes.find((node) => node.id === run?.from);
  if (!run || !joint) throw new Error('no run');
  const off = (x: number, y: number, z = 0): Point3 => plus(inlet, { x, y, z });
  const [first, ...bends] = points.map((point) => off(...point));
  joint.at = first ?? null;
  run.route = { bends: bendsAt(bends, newId), slack: 0, isFollowed: true };
  Object.assign(run, { diameter: LONE_DUCT, hose: null, gate: null });
  change(shop, run);
  return { shop, run: run.id, inlet, off, newId };
}
