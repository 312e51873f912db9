import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { treeOf } from '../../reference/plain-readings';
import type { Shop } from '../design/schema';
import { readShop } from '../file/shop-file';
import { judgeDrops } from './judge-drops';
import { CHIPS_SLOWER, LEAST_DELAY, switchPlan } from './switch-plan';

function demo(): Shop {
  const read = readShop(JSON.parse(readFileSync('demo/heron-slip.json', 'utf8')));
  if (!read.ok) throw new Error('no demo');
  return structuredClone(read.shop);
}
const planOf = (shop: Shop) => {
  const tree = treeOf(shop);
  return switchPlan(tree, judgeDrops(shop, tree, 'found', 'one'));
};
const namesOf = (shop: Shop, ids: readonly string[]) =>
  shop.ducts.runs.flatMap(({ id, name }) => (ids.includes(id) ? [name] : []));

describe('switches at gates', () => {
  it('stand at the gate nearest to each machine, and not at one that several lie behind', () => {
    const shop = demo();
    const plan = planOf(shop);
    expect(namesOf(shop, plan.switched).toSorted()).toEqual([
      'Band saw drop',
      'Drum sander drop',
      'Floor sweep drop',
      'Planer drop',
      'Table saw drop',
    ]);
    expect(namesOf(shop, plan.left)).toEqual(['Far end']);
    expect(plan.ungated).toEqual([]);
  });

  it('let the blower run on until the farthest chips are in the bin', () => {
    const shop = demo();
    const { slowest, delay } = planOf(shop);
    const tree = treeOf(shop);
    const drop = tree.drops.find(({ id }) => id === slowest?.drop);
    const length = (drop?.path ?? []).reduce((sum, run) => sum + (run.length ?? 0), 0);
    // Air of 15 to 30 m/s, chips half as fast.
    expect(slowest?.seconds).toBeGreaterThan((CHIPS_SLOWER * length) / 30);
    expect(slowest?.seconds).toBeLessThan((CHIPS_SLOWER * (length + 3)) / 12);
    expect(delay).toBe(Math.max(LEAST_DELAY, Math.ceil(slowest?.seconds ?? Number.NaN)));
  });

  it('name a machine that no gate shuts, and keep to the least delay without air', () => {
    const shop = demo();
    for (const run of shop.ducts.runs) if (run.name === 'Table saw drop') run.gate = null;
    const tree = treeOf(shop);
    const plan = planOf(shop);
    expect(tree.drops.flatMap(({ id, name }) => (plan.ungated.includes(id) ? [name] : []))).toEqual(
      ['Table saw'],
    );
    expect(switchPlan(tree, [])).toMatchObject({ slowest: null, delay: LEAST_DELAY });
  });
});
