import { describe, expect, it } from 'vitest';
import { threeBranchShop } from '../../reference/sample-shops';
import { shopSchema } from '../design/schema';
import { solveShop } from '../network/solve-shop';
import { hiddenCondition, withHidden } from './hidden-condition';

const shop = threeBranchShop();
const runs = shop.ducts.runs.map(({ id }) => id);
const seeds = Array.from({ length: 400 }, (_, seed) => seed);

describe('a hidden condition', () => {
  it('is the same for the same seed, and one of many', () => {
    expect(hiddenCondition(runs, 7)).toEqual(hiddenCondition(runs, 7));
    expect(hiddenCondition(runs, 7)).not.toEqual(hiddenCondition(runs, 8));
    const holes = seeds.map((seed) => hiddenCondition(runs, seed).hole);
    const share = holes.filter((hole) => hole === null).length / seeds.length;
    expect(share).toBeGreaterThan(0.18);
    expect(share).toBeLessThan(0.33);
    expect(new Set(holes.flatMap((hole) => hole?.run ?? []))).toEqual(new Set(runs));
    expect(hiddenCondition([], 7).hole).toBeNull();
  });

  it('makes a shop that stands up to its schema and solves', () => {
    for (const seed of seeds.slice(0, 40)) {
      const hidden = withHidden(shop, hiddenCondition(runs, seed));
      expect(shopSchema.safeParse(hidden).success).toBe(true);
      expect(solveShop(hidden, { view: 'found' }).kind).toBe('solved');
    }
  });
});
