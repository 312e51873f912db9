import { describe, expect, it } from 'vitest';
import { bagMachineOnHose, untapedShop } from '../../reference/advice-shops';
import { enumerateBest } from '../../reference/enumerate-packages';
import { chanceShop } from '../../reference/hidden-shops';
import { treeOf } from '../../reference/plain-readings';
import type { Shop } from '../design/schema';
import { chanceOf } from '../simulate/chance';
import { evaluate } from './evaluate';
import { improved, improvementsOf } from './improvements-of';
import { type Packages, packImprovements, withinBudget } from './pack';
import { rankImprovements } from './rank';

/** Packages of a shop's best few, and those few. */
function packed(shop: Shop, few: number) {
  const tree = treeOf(shop);
  const all = improvementsOf(shop, tree);
  const ranked = rankImprovements(shop, tree)?.ranked.filter(({ worth }) => worth.air > 0.3) ?? [];
  const chosen = ranked.slice(0, few);
  const choices = chosen.flatMap(({ id }) => all.find((each) => each.id === id) ?? []);
  const packages = packImprovements(shop, all, chosen, { most: 1e6 });
  if (!packages) throw new Error('no packages');
  return { packages, choices };
}

const SHOPS: readonly (readonly [string, Shop])[] = [
  ['a bag machine', bagMachineOnHose()],
  ['a shop where a second gate helps until a duct is wider', chanceShop(4, chanceOf(1017))],
  ...[3, 11, 19, 27].map((seed) => [`shop ${seed}`, chanceShop(5, chanceOf(seed))] as const),
];

describe('packages', () => {
  it.each(SHOPS)('of %s bring as much as the best of all sets, for any budget', (_, shop) => {
    const { packages, choices } = packed(shop, 6);
    expect(packages.isExact).toBe(true);
    for (const budget of [0, 20, 60, 150, 400, 1500]) {
      const air = withinBudget(packages, budget)?.air ?? 0;
      const best = enumerateBest(shop, choices, budget);
      expect(air).toBeGreaterThan(0.99 * best - 0.06);
      expect(air).toBeLessThan(best + 1e-6);
    }
  });

  it('bring what one solve of the whole says, which is not the sum of their parts', () => {
    const shop = untapedShop();
    const { packages, choices } = packed(shop, 5);
    const largest = packages.line.toSorted((a, b) => b.ids.length - a.ids.length)[0];
    const set = choices.filter(({ id }) => largest?.ids.includes(id));
    const after = evaluate(improved(shop, set));
    expect(largest?.worst).toBe(after?.worst);
    expect(largest?.met).toBe(after?.met);
  });

  it('make a line that costs more and brings more, from nothing on', () => {
    const { line }: Packages = packed(chanceShop(6, chanceOf(5)), 8).packages;
    expect(line[0]).toMatchObject({ cost: 0 });
    for (const [i, each] of line.entries()) {
      const before = line[i - 1];
      if (!before) continue;
      expect(each.cost).toBeGreaterThan(before.cost);
      expect(each.air).toBeGreaterThan(before.air);
    }
  });

  it('end when as many sets were solved as may be, and say so', () => {
    const shop = untapedShop();
    const tree = treeOf(shop);
    const ranked = rankImprovements(shop, tree)?.ranked ?? [];
    const packages = packImprovements(shop, improvementsOf(shop, tree), ranked, { most: 5 });
    expect(packages?.isExact).toBe(false);
    expect(packages?.tried).toBeLessThan(10);
    expect(packages?.line.length).toBeGreaterThan(1);
  });
});
