import fc from 'fast-check';
import { ELBOW_STYLE_IDS } from '../src/catalogue/ids';
import { estimatedCurve } from '../src/collector/estimated-curve';
import { addDrop, addRun } from '../src/design/edit-ducts';
import { MACHINE_KIND_IDS } from '../src/design/machine-kinds';
import { newShop } from '../src/design/new-shop';
import type { Shop } from '../src/design/schema';
import { toSI } from '../src/quantity/units';

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
  after: fc.option(fc.double({ min: 0, max: 1, noNaN: true })),
  isPaired: fc.boolean(),
  isSymmetric: fc.boolean(),
  joints: fc.option(fc.nat(20)),
  isOpen: fc.boolean(),
  opening: fc.double({ min: 0.05, max: 1, noNaN: true }),
  gap: fc.constantFrom(0, 0.003, 0.05),
  leakageClass: fc.constantFrom(0, 3, 30, 100),
  hole: fc.constantFrom(0, 0, 1e-4, 2e-3),
});

const measure = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });

const filter = fc.record({
  name: fc.constant(''),
  area: measure(0.5, 40),
  permeability: measure(0.05, 0.4),
  seasoned: fc.constantFrom(1, 3),
  grade: fc.constantFrom(null, 8, 13, 16),
});

/** Every way there is for the air to go behind the blower. */
const anyExhaust: fc.Arbitrary<Shop['collector']['exhaust']> = fc.oneof(
  fc.record({ kind: fc.constant('filter' as const), filter }),
  fc.record({
    kind: fc.constant('outdoors' as const),
    diameter: measure(0.1, 0.4),
    length: fc.constantFrom(0, 3, 12),
    pipe: fc.constantFrom('galvanised' as const, 'drain' as const),
    lossCoefficient: measure(0, 5),
    end: fc.constantFrom('open' as const, 'lowCap' as const, 'louvre' as const),
    heating: fc.constant(null),
    makeUp: fc.constantFrom(null, 0.02, 0.2),
  }),
  fc.record({
    kind: fc.constant('room' as const),
    filter: fc.option(filter),
    opening: measure(0.02, 2),
  }),
  fc.record({
    kind: fc.constant('enclosure' as const),
    filter: fc.option(filter),
    returnFilter: fc.record({
      area: measure(0.1, 2),
      velocity: measure(0.5, 2.5),
      pressure: measure(10, 200),
    }),
    box: fc.constant(null),
  }),
);

export interface Methods {
  readonly junctions: 'momentum' | 'handbook';
  readonly friction?: Shop['shop']['rules']['friction'];
}

/** For tests: any shop the document allows, within what a builder could put up. */
export const anyShop = ({ junctions, friction = 'darcy' }: Methods): fc.Arbitrary<Shop> =>
  fc
    .record({
      pieces: fc.array(piece, { minLength: 1, maxLength: 25 }),
      loading: fc.double({ min: 1, max: 10, noNaN: true }),
      lossCoefficient: fc.double({ min: 0, max: 12, noNaN: true }),
      elevation: fc.double({ min: 0, max: 3000, noNaN: true }),
      shutOff: fc.double({ min: 0.5, max: 2, noNaN: true }),
      exhaust: anyExhaust,
      inletElbow: fc.option(fc.record({ radiusRatio: measure(0.5, 2), straight: measure(0, 2) })),
      pressureSide: fc.constantFrom(0, 0, 1e-3, 0.05),
      exponent: fc.constantFrom(0.5, 0.65, 1),
      gap: fc.constantFrom(0, 0, 5e-4, 2e-3),
      order: fc.constantFrom('pulled' as const, 'pushed' as const, 'cleanSide' as const),
    })
    .map(({ pieces, loading, lossCoefficient, elevation, shutOff, ...rest }) => {
      let next = 0;
      const newId = () => `id${next++}`;
      const curve = estimatedCurve(toSI(12, 'in') * shutOff, toSI(3450, 'rpm'), 3, 1.2014);
      const shop = newShop('any', 'Any', 'us', curve);
      Object.assign(shop.shop.rules, { junctions, friction });
      shop.collector.exhaust = rest.exhaust;
      shop.collector.assembly.order = rest.order;
      shop.collector.blower.inletElbow = rest.inletElbow;
      shop.condition.pressureSide.area = rest.pressureSide;
      shop.condition.sealing.exponent = rest.exponent;
      shop.condition.joints.usual = rest.gap;
      shop.shop.site.elevation = elevation;
      shop.collector.separator.lossCoefficient = lossCoefficient;
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
        const angle = (made.degrees * Math.PI) / 180;
        if (run.joins.kind !== 'straight') {
          const kind = made.isSymmetric && made.degrees <= 90 ? 'symmetric' : 'branch';
          run.joins = { kind, angle };
        }
        run.fittings = [
          {
            kind: 'elbow',
            id: newId(),
            style: made.elbow,
            angle: 1.5,
            radiusRatio: 1.5,
            count: 1,
            after: made.after,
          },
        ];
        if (made.isPaired) {
          run.fittings.push({
            kind: 'pair',
            id: newId(),
            style: made.elbow,
            radiusRatio: 1,
            spacer: 0.3,
            count: 1,
          });
          run.fittings.push({ kind: 'flapDamper', id: newId(), angle: 0.2, count: 1 });
        }
        run.joints = made.joints;
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
