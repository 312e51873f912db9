import { describe, expect, it } from 'vitest';
import { counter, threeBranchShop } from '../../reference/sample-shops';
import { bareFlow, bareMachine } from '../../reference/shop-facts';
import { airAtSite } from '../air/air-at-site';
import { BLOWER_CLASS_IDS, BLOWER_CLASSES, blowerOfClass } from '../collector/blower-classes';
import { curveFromTests } from '../collector/estimated-curve';
import { addDrop } from '../design/edit-ducts';
import { newShop } from '../design/new-shop';
import { type Shop, shopSchema } from '../design/schema';
import { outletPressure } from '../network/outlet-pressure';
import { solveShop } from '../network/solve-shop';
import { toSI } from '../quantity/units';
import { collectorLoad } from './collector-load';

function loadOf(shop: Shop) {
  const solved = solveShop(shop, { view: 'found' });
  if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
  return collectorLoad(shop, solved, 'found');
}

describe('the library of blowers', () => {
  it.each(BLOWER_CLASS_IDS)('%s is one the document takes, in both parts of the world', (id) => {
    for (const system of ['us', 'metric'] as const) {
      const shop = threeBranchShop();
      shop.collector.blower = blowerOfClass(id, system);
      expect(shopSchema.safeParse(shop).success).toBe(true);
    }
  });

  it.each(BLOWER_CLASS_IDS)('%s moves bare what it says it does', (id) => {
    const { inletDiameter, bareFlow } = BLOWER_CLASSES[id];
    const shop = newShop('s', 'Bare', 'us', []);
    shop.collector.blower = blowerOfClass(id, 'us');
    Object.assign(shop.collector.separator, { kind: 'none', lossCoefficient: 0, inletDiameter });
    shop.collector.exhaust = { kind: 'room', filter: null, opening: 100 };
    addDrop(shop, 'inlet', 'floorSweep', counter());
    const [run] = shop.ducts.runs;
    const port = shop.machines[0]?.ports[0];
    if (!run || !port) throw new Error('no drop');
    Object.assign(run, {
      diameter: inletDiameter,
      length: 0,
      fittings: [],
      hose: null,
      gate: null,
    });
    Object.assign(port, { diameter: inletDiameter, entryLoss: 0.93 });
    const solved = solveShop(shop, { view: 'designed' });
    if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
    expect(solved.blower.flow / bareFlow).toBeCloseTo(1, 3);
  });

  it.each(BLOWER_CLASS_IDS)(
    '%s does not ask for a larger circuit or plug than it comes with',
    (id) => {
      for (const units of ['us', 'metric'] as const) {
        const shop = threeBranchShop();
        shop.shop.units = units;
        shop.collector.blower = blowerOfClass(id, units);
        const load = loadOf(shop);
        expect(load.circuit.code).toBe(units === 'us' ? 'nec' : 'other');
        expect(load.circuit.isSmall).toBe(false);
        expect(load.circuit.isBreakerLarge).toBe(false);
        // By a plug as large as its breaker.
        const { breaker } = load.circuit;
        const plug = units === 'us' ? null : breaker > 16 ? 'blue32' : 'eu16';
        shop.collector.blower.plug = plug;
        const { fullLoadCurrent, plugCarries } = loadOf(shop);
        if (plugCarries !== null) expect(fullLoadCurrent).toBeLessThanOrEqual(plugCarries);
      }
    },
  );

  it('a metric shop is not held to American conductors: full load is enough', () => {
    const shop = threeBranchShop();
    shop.shop.units = 'metric';
    shop.collector.blower = blowerOfClass('three', 'metric');
    shop.collector.blower.breaker = 16;
    expect(loadOf(shop).circuit).toMatchObject({
      code: 'other',
      isSmall: false,
      largestBreaker: null,
    });
    shop.collector.blower.breaker = 13;
    expect(loadOf(shop).circuit.isSmall).toBe(true);
  });

  it('two machines sold as 2 hp differ by their wheels', () => {
    const shutOff = (id: 'two' | 'smallWheelTwo' | 'one') =>
      blowerOfClass(id, 'us').curve[0]?.pressure ?? 0;
    expect(BLOWER_CLASSES.smallWheelTwo.power).toBe(BLOWER_CLASSES.two.power);
    expect(shutOff('smallWheelTwo')).toBeLessThan(0.9 * shutOff('two'));
    expect(Math.abs(shutOff('smallWheelTwo') / shutOff('one') - 1)).toBeLessThan(0.1);
  });

  it('900 CFM typed as read bare come back bare, with the shop’s own filter behind', () => {
    const inletDiameter = toSI(5, 'in');
    const flow = toSI(900, 'cfm');
    for (const media of ['cloth', 'spunBond'] as const) {
      const shop = bareMachine('two', media);
      const open = { flow, inletDiameter, entryLoss: 0.93, outlet: outletPressure(shop, flow) };
      const made = curveFromTests(2900, open, airAtSite(shop.shop.site).density);
      if (!made.ok) throw new Error(made.reason);
      const { blower } = shop.collector;
      blower.curve = made.points;
      blower.measured = { ...blower.measured, density: airAtSite(shop.shop.site).density };
      expect(bareFlow(shop)).toBeCloseTo(900, 6);
    }
  });

  it('the stronger, the more pressure and air; on 50 Hz less of both', () => {
    const ends = (system: 'us' | 'metric') =>
      BLOWER_CLASS_IDS.filter((id) => id !== 'smallWheelTwo').map((id) => {
        const { curve } = blowerOfClass(id, system);
        return [curve[0]?.pressure ?? 0, curve.at(-1)?.flow ?? 0] as const;
      });
    ends('us').forEach(([pressure, flow], i, all) => {
      const before = all[i - 1];
      if (before) expect(pressure > before[0] && flow > before[1]).toBe(true);
      const [lower, less] = ends('metric')[i] ?? [0, 0];
      expect(lower / pressure).toBeCloseTo((2850 / 3450) ** 2, 6);
      expect(less / flow).toBeCloseTo(2850 / 3450, 6);
    });
  });
});
