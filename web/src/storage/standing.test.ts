import 'fake-indexeddb/auto';
import { addDrop, newShop } from '@frank-gauge/core/design';
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
const standing = async () => (await database.summaries.get('one'))?.standing;

beforeEach(() => Promise.all(database.tables.map((table) => table.clear())));

describe('how a shop stands', () => {
  it('is kept with its summary: its drops, and the worst of them', async () => {
    await addShop(shopWithDrop(), { keepId: true });
    expect(await standing()).toBeNull();
    await storeStanding(database, 'one');
    expect(await standing()).toMatchObject({ kind: 'judged', of: 0, drops: 1 });
    const kept = await standing();
    expect(kept?.kind === 'judged' && kept.worst?.name).toBe('Thickness planer');
  });

  it('is of a revision of its design: after an edit it is known to be old', async () => {
    await addShop(shopWithDrop(), { keepId: true });
    await storeStanding(database, 'one');
    await renameShop('one', 'Two');
    const summary = await database.summaries.get('one');
    expect(summary?.standing?.of).not.toBe(summary?.designRevision);
    await storeStanding(database, 'one');
    expect((await standing())?.of).toBe(summary?.designRevision);
  });

  it('of a damaged shop says that it cannot be read; of none there, nothing', async () => {
    const damaged = { ...shopWithDrop(), machines: 'none' } as never;
    await addShop(damaged, { keepId: true });
    await storeStanding(database, 'one');
    expect(await standing()).toEqual({ kind: 'unreadable', of: 0 });
    await storeStanding(database, 'none');
    expect(await database.summaries.count()).toBe(1);
  });
});
