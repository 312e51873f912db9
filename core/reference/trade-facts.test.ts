// What people find in small shops, and what shops measured. Common practice, no source; ranges, not
// values. The machines are built from the library alone (`shop-facts.ts`).
import { describe, expect, it } from 'vitest';
import { estimatedCurve } from '../src/collector/estimated-curve';
import { MEDIA } from '../src/collector/filter';
import { addDrop } from '../src/design/edit-ducts';
import { newShop } from '../src/design/new-shop';
import type { Shop } from '../src/design/schema';
import { solveShop } from '../src/network/solve-shop';
import { toSI } from '../src/quantity/units';
import { copyOf, counter } from './sample-shops';
import { bareFlow, bareMachine, shopFacts, tenDropsBuilt, withFilterArea } from './shop-facts';

describe('what shops measured, by defaults alone (common practice, no source)', () => {
  it.each(shopFacts())('$fact: $low to $high $unit', ({ low, high, model }) => {
    expect(model).toBeGreaterThanOrEqual(low);
    expect(model).toBeLessThanOrEqual(high);
  });

  it.each([100, 110, 200, 300])(
    'a cartridge of %i ft² instead of the stock bag: 13 to 18 %%',
    (area) => {
      const stock = bareFlow(bareMachine('two', 'cloth'));
      const cartridge = bareFlow(withFilterArea(bareMachine('two', 'spunBond'), toSI(area, 'ft2')));
      expect(100 * (cartridge / stock - 1)).toBeGreaterThanOrEqual(13);
      expect(100 * (cartridge / stock - 1)).toBeLessThanOrEqual(18);
    },
  );

  it('the ten-drop shop is as large as the one that was read: 150 ft and 95 joints', () => {
    const { joints, feet } = tenDropsBuilt();
    expect(joints).toBe(95);
    expect(feet).toBeCloseTo(150, 6);
  });
});

/** A 2 hp collector on one 5-in. drop with little duct: a small blower at its machine. */
function smallShop(): Shop {
  const curve = estimatedCurve(toSI(12, 'in'), toSI(3450, 'rpm'), toSI(1050, 'cfm'), 1.2014);
  const shop = newShop('s', 'Small', 'us', curve);
  Object.assign(shop.collector.separator, {
    kind: 'none',
    inletDiameter: toSI(5, 'in'),
    lossCoefficient: 0,
  });
  const id = addDrop(shop, 'inlet', 'lathe', counter());
  const run = shop.ducts.runs.find((candidate) => candidate.id === id);
  if (run) run.length = toSI(10, 'ft');
  return shop;
}

function flowOf(shop: Shop): number {
  const solved = solveShop(shop, { view: 'found' });
  if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
  return solved.blower.flow;
}

const lost = (before: number, after: number) => (100 * (before - after)) / before;

describe('trade facts', () => {
  it.each([
    ['a felt bag of 30 ft²', 'felt', 30, 5],
    ['a cartridge of 75 ft²', 'spunBond', 75, 6],
  ] as const)('a dirty filter costs 10–15 %%: %s', (_, media, area, loading) => {
    const shop = smallShop();
    const { name, permeability, seasoned } = MEDIA[media];
    const filter = { name, permeability, seasoned, area: toSI(area, 'ft2'), grade: null };
    shop.collector.exhaust = { kind: 'filter', filter };
    const clean = flowOf(shop);
    shop.condition.filterLoading.value = loading;
    const share = lost(clean, flowOf(shop));
    expect(share).toBeGreaterThan(10);
    expect(share).toBeLessThan(15);
  });

  it('length costs less than people fear, hose more', () => {
    const base = flowOf(smallShop());
    const longer = copyOf(smallShop());
    const bunched = copyOf(smallShop());
    const [run] = longer.ducts.runs;
    const [hosed] = bunched.ducts.runs;
    if (run) run.length = (run.length ?? 0) + toSI(10, 'ft');
    if (hosed?.hose) {
      hosed.hose.length += toSI(10, 'ft');
      hosed.hose.compression = 0.1;
    }
    expect(lost(base, flowOf(longer))).toBeLessThan(8);
    expect(lost(base, flowOf(bunched))).toBeGreaterThan(2 * lost(base, flowOf(longer)));
  });

  it('an unsealed 60-ft run loses more than a sealed one at its far end', () => {
    const shop = smallShop();
    const [run] = shop.ducts.runs;
    if (run) run.length = toSI(60, 'ft');
    const atMachine = (leakageClass: number) => {
      shop.condition.sealing.usual = leakageClass;
      const solved = solveShop(shop, { view: 'found' });
      if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
      return solved.airIn.get(run?.id ?? '')?.[0]?.flowIn ?? 0;
    };
    expect(lost(atMachine(3), atMachine(30))).toBeGreaterThan(3);
    expect(lost(atMachine(3), atMachine(200))).toBeGreaterThan(20);
  });

  it('a loaded filter costs flow, and a shop in the hills has thinner air to move', () => {
    const shop = smallShop();
    const clean = flowOf(shop);
    shop.condition.filterLoading.value = 10;
    expect(lost(clean, flowOf(shop))).toBeGreaterThan(5);
    shop.condition.filterLoading.value = 1;
    shop.shop.site.elevation = 1600;
    // Same volume, thinner air, less pressure: the fan laws keep flow within a few per cent.
    expect(Math.abs(lost(clean, flowOf(shop)))).toBeLessThan(4);
  });
});
