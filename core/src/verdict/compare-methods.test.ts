import { describe, expect, it } from 'vitest';
import { threeBranchShop } from '../../reference/sample-shops';
import { arrangeDucts } from '../layout/arrange-ducts';
import { solveTree } from '../network/solve-shop';
import { compareMethods, METHODS } from './compare-methods';
import { gatesOfDrop } from './gate-sets';

describe('the methods side by side', () => {
  const shop = threeBranchShop();
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error('no tree');
  const { tree } = arranged;

  it('each is the shop solved by that school; the spread is from least to most', () => {
    for (const drop of tree.drops) {
      const options = { view: 'found', openGates: gatesOfDrop(drop) } as const;
      const { flows, spread } = compareMethods(shop, tree, drop, options);
      expect(flows.map(({ method }) => method)).toEqual(METHODS);
      const known = flows.map(({ flow }) => flow ?? 0);
      expect(spread).toBeCloseTo(1 - Math.min(...known) / Math.max(...known), 12);
      for (const { method, flow } of flows) {
        const rules = { ...shop.shop.rules, ...method };
        const by = solveTree({ ...shop, shop: { ...shop.shop, rules } }, tree, options);
        if (by.kind !== 'solved') throw new Error(by.reason.kind);
        expect(by.airIn.get(drop.path[0]?.id ?? '')?.[0]?.flowIn).toBe(flow);
      }
    }
  });

  it('schools agree on a plain drop within a fifth, and do not agree to the last digit', () => {
    const [drop] = tree.drops;
    if (!drop) throw new Error('no drop');
    const options = { view: 'designed', openGates: gatesOfDrop(drop) } as const;
    const { spread } = compareMethods(shop, tree, drop, options);
    expect(spread).toBeGreaterThan(0.005);
    expect(spread).toBeLessThan(0.2);
  });
});
