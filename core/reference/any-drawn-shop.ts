import fc from 'fast-check';
import { estimatedCurve } from '../src/collector/estimated-curve';
import { MACHINE_KIND_IDS } from '../src/design/machine-kinds';
import { newShop } from '../src/design/new-shop';
import type { Shop } from '../src/design/schema';
import { routeDucts } from '../src/improve/route-ducts';
import { toSI } from '../src/quantity/units';
import { setRoomSize } from '../src/room/edit-floor';
import { placeCollector } from '../src/room/free-place';
import { addMachine, routeUsual } from '../src/routing/edit-machines';
import { counter } from './sample-shops';

const feet = (least: number, most: number) =>
  fc.integer({ min: least, max: most }).map((length) => toSI(length, 'ft'));

/**
 * For tests of drawings: a room of any size with two to eight machines where there is room for them, a collector of
 * any order, and ducts as they come: each machine's routed the usual way, or all by one tree.
 */
export const anyDrawnShop: fc.Arbitrary<Shop> = fc
  .record({
    units: fc.constantFrom('us' as const, 'metric' as const),
    width: feet(14, 44),
    depth: feet(12, 32),
    ceiling: feet(8, 13),
    kinds: fc.array(fc.constantFrom(...MACHINE_KIND_IDS), { minLength: 2, maxLength: 8 }),
    order: fc.constantFrom('pulled' as const, 'pushed' as const, 'cleanSide' as const),
    style: fc.constantFrom(null, null, 0, 1, 2),
  })
  .map(({ units, width, depth, ceiling, kinds, order, style }) => {
    const newId = counter();
    const curve = estimatedCurve(toSI(14, 'in'), toSI(3450, 'rpm'), 0.5, 1.2);
    const shop = newShop('any-drawn', 'Any', units, curve);
    setRoomSize(shop, width, depth);
    shop.room.ceilingHeight = ceiling;
    shop.collector.assembly.order = order;
    placeCollector(shop);
    for (const kind of kinds) addMachine(shop, kind, newId);
    if (style !== null) {
      const routed = routeDucts(shop, 'designed', newId);
      const proposal = routed.ok ? (routed.proposals[style] ?? routed.proposals[0]) : undefined;
      if (proposal) shop.ducts = { ...proposal.ducts };
      return shop;
    }
    let main: string | null = null;
    for (const { id, ports } of shop.machines) {
      const goal =
        main === null ? ({ kind: 'inlet' } as const) : { kind: 'run' as const, run: main };
      const routed = routeUsual(shop, id, ports[0]?.id ?? '', goal, newId);
      if (!routed.ok) continue;
      main = shop.ducts.runs.find(({ to }) => to === 'inlet')?.id ?? main;
    }
    return shop;
  });
