import { describe, expect, it } from 'vitest';
import { chanceShop } from '../../reference/hidden-shops';
import { treeOf } from '../../reference/plain-readings';
import type { Shop } from '../design/schema';
import { chanceOf } from '../simulate/chance';
import { type Evaluation, evaluateTree } from './evaluate';
import { foreseeing } from './first-order';
import { improved, improvementsOf } from './improvements-of';

const SHOPS = [1, 2, 3, 4, 5, 6, 7, 8];

const shopOf = (seed: number) => {
  const shop = chanceShop(5 + (seed % 4), chanceOf(seed));
  return { shop, tree: treeOf(shop) };
};

/** What is foreseen, and what an exact solve of the whole says. */
function both(shop: Shop, change: (shop: Shop) => void) {
  const tree = treeOf(shop);
  const changed = structuredClone(shop);
  change(changed);
  return {
    foreseen: foreseeing(shop, tree, tree.drops)?.(changed) ?? null,
    exact: evaluateTree(changed, treeOf(changed)),
  };
}

const flows = (evaluation: Evaluation | null) =>
  new Map(evaluation?.drops.map(({ drop, flow }) => [drop, flow]));

describe('what a change brings, to first order', () => {
  it('is nothing where nothing is changed', () => {
    for (const seed of SHOPS) {
      const { foreseen, exact } = both(shopOf(seed).shop, () => {});
      expect(foreseen?.drops.length).toBe(exact?.drops.length);
      for (const [drop, flow] of flows(foreseen)) {
        expect(flow).toBeCloseTo(flows(exact).get(drop) ?? Number.NaN, 9);
      }
      expect(foreseen?.current).toBeCloseTo(exact?.current ?? Number.NaN, 6);
      expect(foreseen?.slow).toBe(exact?.slow);
    }
  });

  it('agrees with an exact solve, the better the smaller the change', () => {
    // The error of a straight line goes with the square of the change: a tenth of it leaves a hundredth.
    const errorAt = (seed: number, by: number) => {
      const { foreseen, exact } = both(shopOf(seed).shop, (shop) => {
        shop.condition.filterLoading.value *= 1 + by;
        for (const run of shop.ducts.runs) if (run.hose) run.hose.length *= 1 + by;
      });
      const own = flows(foreseen);
      return Math.max(
        ...[...flows(exact)].map(([drop, flow]) => Math.abs((own.get(drop) ?? 0) / flow - 1)),
      );
    };
    for (const seed of SHOPS) {
      const [large, small] = [errorAt(seed, 0.2), errorAt(seed, 0.02)];
      expect(large).toBeLessThan(0.02);
      expect(small).toBeLessThan(large / 30 + 1e-7);
    }
  });

  it('foresees which way the worst drop goes, whatever is done', () => {
    let compared = 0;
    for (const seed of SHOPS) {
      const { shop, tree } = shopOf(seed);
      const foresee = foreseeing(shop, tree, tree.drops);
      const now = evaluateTree(shop, tree);
      for (const improvement of improvementsOf(shop, tree)) {
        const changed = improved(shop, [improvement]);
        const after = foresee?.(changed);
        const exact = after && evaluateTree(changed, treeOf(changed));
        if (!after || !exact || !now) continue;
        const [gain, wanted] = [after.worst - now.worst, exact.worst - now.worst];
        if (Math.abs(wanted) < 0.02) continue;
        compared++;
        expect(Math.sign(gain)).toBe(Math.sign(wanted));
        // What is removed or added as a whole is bent into shape: near enough to screen by.
        expect(gain / wanted).toBeGreaterThan(0.7);
        expect(gain / wanted).toBeLessThan(1.5);
      }
    }
    expect(compared).toBeGreaterThan(50);
  });

  it('says nothing of a second gate left open, nor of a drop that has gone', () => {
    const { shop, tree } = shopOf(1);
    const foresee = foreseeing(shop, tree, tree.drops);
    const without = improvementsOf(shop, tree).find(({ work }) => work.kind === 'own collector');
    if (without) expect(foresee?.(improved(shop, [without]))).toBeNull();
    const [one, other] = tree.drops;
    const bleeding = structuredClone(shop);
    bleeding.shop.rules.bleeds = [{ drop: one?.id ?? '', open: other?.id ?? '' }];
    expect(foresee?.(bleeding)).toBeNull();
    const bare = structuredClone(shop);
    bare.ducts.runs = [];
    expect(foresee?.(bare)).toBeNull();
  });
});
