import { describe, expect, it } from 'vitest';
import { copyOf, threeBranchShop } from '../../reference/sample-shops';
import { gatesOfDrop } from '../analysis/gate-sets';
import { filterResistance } from '../collector/filter';
import { solveShop } from '../network/solve-shop';
import { fromSI } from '../quantity/units';
import { arrangeDucts } from '../routing/arrange-ducts';
import { expectedPressure } from './expected-pressure';

const shop = copyOf(threeBranchShop());
shop.collector.exhaust = {
  kind: 'filter',
  filter: {
    ...{ area: 8, permeability: 0.1, seasoned: 1, grade: null, name: 'Cartridge' },
    ...{ media: 'spunbond' },
  } as never,
};
const arranged = arrangeDucts(shop);
if (!arranged.ok) throw new Error('no tree');
const { tree } = arranged;
const at = (tap: Parameters<typeof expectedPressure>[2], gates: ReadonlySet<string>) =>
  expectedPressure(shop, tree, tap, gates);

describe('what a manometer should show at the collector', () => {
  const [drop] = tree.drops;
  const open = drop ? gatesOfDrop(drop) : new Set<string>();

  it('across the filter is its resistance times the flow (ASTM D737, laminar)', () => {
    const solved = solveShop(shop, { view: 'found', openGates: open });
    if (solved.kind !== 'solved' || shop.collector.exhaust.kind !== 'filter') throw new Error();
    const { value } = shop.condition.filterLoading;
    const resistance = filterResistance(shop.collector.exhaust.filter, value);
    expect(at('filter', open)).toBeCloseTo(resistance * solved.blower.flow, 6);
    // What the blower gives is what both sides of it differ by.
    const gauges = (at('blower inlet', open) ?? 0) + (at('blower outlet', open) ?? 0);
    expect(Math.abs(gauges / solved.blower.rise - 1)).toBeLessThan(0.15);
  });

  it('with all gates shut is near the blower’s shut-off pressure, and more than with one open', () => {
    const shut = at('separator inlet', new Set()) ?? 0;
    const most = Math.max(...shop.collector.blower.curve.map(({ pressure }) => pressure));
    expect(shut).toBeGreaterThan(at('separator inlet', open) ?? 0);
    expect(shut / most).toBeGreaterThan(0.8);
    expect(fromSI(shut, 'inwg')).toBeLessThan(fromSI(most, 'inwg') * 1.05);
  });

  it('is nothing across a filter that is not there, nor without a drop', () => {
    const outdoors = copyOf(threeBranchShop());
    expect(outdoors.collector.exhaust.kind).not.toBe('filter');
    expect(expectedPressure(outdoors, tree, 'filter', open)).toBeNull();
    expect(expectedPressure(shop, { ...tree, drops: [] }, 'filter', open)).toBeNull();
  });
});
