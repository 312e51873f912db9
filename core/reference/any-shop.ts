import fc from 'fast-check';
import { estimatedCurve } from '../src/collector/estimated-curve';
import { ELBOW_STYLE_IDS } from '../src/fitting/elbow';
import { toSI } from '../src/quantity/units';
import { addDrop, addRun } from '../src/shop/edit-ducts';
import { MACHINE_KIND_IDS } from '../src/shop/machine-kinds';
import { newShop } from '../src/shop/new-shop';
import type { Shop } from '../src/shop/schema';

/** How one piece of a random shop is made: what it is, where it joins, and its measures. */
const piece = fc.record({
  isDrop: fc.boolean(),
  kind: fc.constantFrom(...MACHINE_KIND_IDS),
  at: fc.nat(100),
  length: fc.double({ min: 0, max: 15, noNaN: true }),
  inches: fc.constantFrom(3, 4, 5, 6, 8),
  hose: fc.option(fc.double({ min: 0.2, max: 4, noNaN: true })),
  elbow: fc.constantFrom(...ELBOW_STYLE_IDS),
  degrees: fc.constantFrom(15, 30, 45, 60, 90, 135),
  isOpen: fc.boolean(),
  opening: fc.double({ min: 0.05, max: 1, noNaN: true }),
  gap: fc.constantFrom(0, 0.003, 0.05),
  leakageClass: fc.constantFrom(0, 3, 30, 100),
  hole: fc.constantFrom(0, 0, 1e-4, 2e-3),
});

/** For tests: any shop the document allows, within what a builder could put up. */
export const anyShop = (junctions: 'momentum' | 'handbook'): fc.Arbitrary<Shop> =>
  fc
    .record({
      pieces: fc.array(piece, { minLength: 1, maxLength: 25 }),
      loading: fc.double({ min: 1, max: 10, noNaN: true }),
      heads: fc.double({ min: 0, max: 12, noNaN: true }),
      elevation: fc.double({ min: 0, max: 3000, noNaN: true }),
      shutOff: fc.double({ min: 0.5, max: 2, noNaN: true }),
    })
    .map(({ pieces, loading, heads, elevation, shutOff }) => {
      let next = 0;
      const newId = () => `id${next++}`;
      const curve = estimatedCurve(toSI(12, 'in') * shutOff, toSI(3450, 'rpm'), 3, 1.2014);
      const shop = newShop('any', 'Any', 'us', curve);
      shop.shop.rules.junctions = junctions;
      shop.shop.site.elevation = elevation;
      shop.collector.separator.heads = heads;
      shop.condition.filterLoading.value = loading;
      const joints = ['inlet'];
      for (const made of pieces) {
        const joint = joints[made.at % joints.length] ?? 'inlet';
        const id = made.isDrop
          ? addDrop(shop, joint, made.kind, newId)
          : addRun(shop, joint, newId);
        const run = shop.ducts.runs.find((candidate) => candidate.id === id);
        if (!run) continue;
        if (!made.isDrop) joints.push(run.from);
        run.length = made.length;
        run.diameter = toSI(made.inches, 'in');
        if (run.joins.kind === 'branch') run.joins.angle = (made.degrees * Math.PI) / 180;
        run.fittings = [
          { kind: 'elbow', id: newId(), style: made.elbow, angle: 1.5, radiusRatio: 1.5, count: 1 },
        ];
        if (made.hose === null) run.hose = null;
        else if (run.hose) run.hose.length = made.hose;
        if (run.gate) {
          run.gate.open = made.isOpen;
          run.gate.opening = made.opening;
          run.gate.closedGap = made.gap;
        }
        const origin = { kind: 'assumed' } as const;
        const { leakageClass } = made;
        shop.condition.sealing.runs.push({ run: id, leakageClass, origin });
        if (made.hole > 0) shop.condition.holes.push({ run: id, area: made.hole, origin });
      }
      return shop;
    });
