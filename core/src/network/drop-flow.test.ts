import { describe, expect, it } from 'vitest';
import { copyOf, threeBranchShop } from '../../reference/sample-shops';
import type { Shop } from '../design/schema';
import { arrangeDucts } from '../routing/arrange-ducts';
import { dropFlow } from './drop-flow';
import { outletPressure } from './outlet-pressure';
import { solveTree } from './solve-shop';

function solved(shop: Shop, open: string) {
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error('no tree');
  const { tree } = arranged;
  const solution = solveTree(shop, tree, { view: 'found', openGates: new Set([open]) });
  if (solution.kind !== 'solved') throw new Error(solution.reason.kind);
  const flowOf = (run: string) => {
    const drop = tree.drops.find(({ path }) => path[0]?.id === run);
    return drop ? dropFlow(solution, drop) : Number.NaN;
  };
  return { tree, solution, flowOf };
}

describe('the flow of a drop', () => {
  it('is what enters its own run; nothing behind an airtight gate', () => {
    const { solution, flowOf } = solved(threeBranchShop(), 'saw');
    expect(flowOf('saw')).toBe(solution.airIn.get('saw')?.[0]?.flowIn);
    expect(flowOf('saw')).toBeGreaterThan(0.1);
    expect(flowOf('planer')).toBe(0);
  });

  it('is null, not nothing, for a drop the solution does not know', () => {
    const { tree, solution } = solved(threeBranchShop(), 'saw');
    const [drop] = tree.drops;
    if (!drop) throw new Error('no drop');
    expect(dropFlow(solution, { ...drop, id: 'gone' })).toBeNull();
    expect(dropFlow(solution, { ...drop, path: [] })).toBeNull();
  });
});

describe('leaks of a run', () => {
  /** What leaks into the saw's run with its gate open, m³/s. */
  const leakWith = (change: (condition: Shop['condition']) => void) => {
    const shop = copyOf(threeBranchShop());
    change(shop.condition);
    const segments = solved(shop, 'saw').solution.airIn.get('saw') ?? [];
    return segments.reduce((sum, { leak }) => sum + leak, 0);
  };
  const origin = { kind: 'assumed' } as const;

  it('go by its own class, its own gaps and its own holes where it has them', () => {
    const usual = leakWith(() => {});
    expect(usual).toBeGreaterThan(0);
    const own = (run: string, leakageClass: number) =>
      leakWith(({ sealing }) => {
        sealing.runs.push({ run, leakageClass, origin });
      });
    expect(own('saw', 300)).toBeGreaterThan(5 * usual);
    expect(own('saw', 3)).toBeLessThan(0.5 * usual);
    // What another run leaks changes this one's leak only by the pressure that is left.
    const isElsewhere = (leak: number) => leak > 0.8 * usual && leak <= usual;
    expect(isElsewhere(own('id1', 300))).toBe(true);
    const gapped = (run: string) =>
      leakWith(({ joints }) => {
        joints.runs.push({ run, gap: 5e-4, origin });
      });
    expect(gapped('saw')).toBeGreaterThan(1.2 * usual);
    expect(isElsewhere(gapped('id1'))).toBe(true);
    const holed = (run: string) =>
      leakWith(({ holes }) => {
        holes.push({ run, area: 5e-4, origin });
      });
    expect(holed('saw')).toBeGreaterThan(1.5 * usual);
    expect(isElsewhere(holed('id1'))).toBe(true);
  });
});

describe('the pressure behind the blower', () => {
  it('is what the filter takes at a flow, clean as designed and loaded as found', () => {
    const shop = threeBranchShop();
    shop.collector.exhaust = {
      kind: 'filter',
      filter: { name: '', area: 10, permeability: 0.1, seasoned: 1, grade: null },
    };
    shop.condition.filterLoading.value = 3;
    // 125 Pa at its permeability, by ten square metres.
    expect(outletPressure(shop, 0.4)).toBeCloseTo(3 * 125 * 0.4, 6);
    expect(outletPressure(shop, 0.4, 'found')).toBeCloseTo(150, 6);
    expect(outletPressure(shop, 0.4, 'designed')).toBeCloseTo(50, 6);
    expect(outletPressure(shop, 0)).toBe(0);
  });
});
