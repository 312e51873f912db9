import 'fake-indexeddb/auto';
import { judgeDrops, worstDrop } from '@frank-gauge/core/analysis';
import { addDrop, newShop } from '@frank-gauge/core/design';
import { arrangeDucts } from '@frank-gauge/core/routing';
import { beforeEach, describe, expect, it } from 'vitest';
import { database } from './database';
import { addShop, renameShop } from './shop-list';
import { storeStanding } from './standing';

const curve = [
  { flow: 0, pressure: 2500 },
  { flow: 0.6, pressure: 0 },
];
function shopWithDrop() {
  const shop = newShop('one', 'One', 'us', curve);
  let next = 0;
  addDrop(shop, 'inlet', 'planer', () => `id${next++}`);
  return shop;
}
const standing = async () => (await database().summaries.get('one'))?.standing;

beforeEach(() => Promise.all(database().tables.map((table) => table.clear())));

describe('how a shop stands', () => {
  it('is kept with its summary: its drops, and the worst of them', async () => {
    await addShop(shopWithDrop(), { keepId: true });
    expect(await standing()).toBeNull();
    await storeStanding(database(), 'one');
    expect(await standing()).toMatchObject({ kind: 'judged', of: 0, drops: 1 });
    const kept = await standing();
    expect(kept?.kind === 'judged' && kept.worst?.name).toBe('Thickness planer');
  });

  it('is judged as found, each drop with its own gate open', async () => {
    const shop = shopWithDrop();
    let next = 100;
    addDrop(shop, 'inlet', 'tableSaw', () => `id${next++}`);
    // All gates stand open now, and its filter is loaded.
    for (const run of shop.ducts.runs) if (run.gate) run.gate.open = true;
    shop.condition.filterLoading.value = 6;
    await addShop(shop, { keepId: true });
    await storeStanding(database(), 'one');
    const arranged = arrangeDucts(shop);
    if (!arranged.ok) throw new Error('no tree');
    const worstBy = (view: 'found' | 'designed', rule: 'one' | 'now') =>
      worstDrop(judgeDrops(shop, arranged.tree, view, rule));
    const kept = await standing();
    if (kept?.kind !== 'judged') throw new Error('not judged');
    const worst = worstBy('found', 'one');
    expect(kept.drops).toBe(2);
    expect(kept.worst?.margin).toBeCloseTo(worst?.margin ?? Number.NaN, 12);
    expect(kept.worst?.name).toBe(worst?.drop.name);
    expect(worst?.margin).toBeLessThan((worstBy('designed', 'one')?.margin ?? 0) - 1e-4);
    expect(worst?.margin).toBeGreaterThan((worstBy('found', 'now')?.margin ?? 0) + 1e-4);
  });

  it('is of a revision of its design: after an edit it is known to be old', async () => {
    await addShop(shopWithDrop(), { keepId: true });
    await storeStanding(database(), 'one');
    await renameShop('one', 'Two');
    const summary = await database().summaries.get('one');
    expect(summary?.standing?.of).not.toBe(summary?.designRevision);
    await storeStanding(database(), 'one');
    expect((await standing())?.of).toBe(summary?.designRevision);
  });

  it('of a damaged shop says that it cannot be read; of none there, nothing', async () => {
    const damaged = { ...shopWithDrop(), machines: 'none' } as never;
    await addShop(damaged, { keepId: true });
    await storeStanding(database(), 'one');
    expect(await standing()).toEqual({ kind: 'unreadable', of: 0 });
    const loose = { ...shopWithDrop(), id: 'loose' };
    for (const run of loose.ducts.runs) run.from = 'nowhere';
    await addShop(loose, { keepId: true });
    await storeStanding(database(), 'loose');
    expect((await database().summaries.get('loose'))?.standing).toEqual({
      kind: 'unreadable',
      of: 0,
    });
    await database().summaries.delete('loose');
    await database().designs.delete('loose');
    await storeStanding(database(), 'none');
    expect(await database().summaries.count()).toBe(1);
  });
});
