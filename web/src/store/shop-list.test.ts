import 'fake-indexeddb/auto';
import { newShop, writeShopFile } from '@frank-gauge/core';
import { beforeEach, describe, expect, it } from 'vitest';
import { stepChange } from './change-log';
import { database } from './database';
import {
  addShop,
  deleteShop,
  duplicateShop,
  emptyBin,
  importShop,
  listShops,
  openDemo,
  renameShop,
  restoreShop,
} from './shop-list';

const curve = [
  { flow: 0, pressure: 2000 },
  { flow: 0.5, pressure: 0 },
];
const shop = newShop('one', 'One', 'us', curve);
const names = async () => (await listShops()).map((row) => row.document.shop.name).sort();
const file = (text: string, name = 'shop.json') => new File([text], name);

beforeEach(async () => {
  await Promise.all([database.shops.clear(), database.changes.clear()]);
});

describe('the list of shops', () => {
  it('duplicates under a name and an id of its own', async () => {
    const id = await addShop(shop, { keepId: true });
    const copy = await duplicateShop(id);
    expect(await names()).toEqual(['One', 'One, copy']);
    expect(copy).not.toBe(id);
    expect((await database.shops.get(copy ?? ''))?.document.id).toBe(copy);
    expect(await duplicateShop('none')).toBeNull();
  });

  it('deletes so that it can be brought back, for thirty days', async () => {
    const id = await addShop(shop, { keepId: true });
    await deleteShop(id);
    expect(await names()).toEqual([]);
    await emptyBin(new Date(Date.now() + 29 * 86_400_000));
    await restoreShop(id);
    expect(await names()).toEqual(['One']);
    await deleteShop(id);
    await emptyBin(new Date(Date.now() + 31 * 86_400_000));
    expect(await database.shops.count()).toBe(0);
  });

  it('renames as an edit that can be undone', async () => {
    const id = await addShop(shop, { keepId: true });
    await renameShop(id, 'Another');
    expect(await names()).toEqual(['Another']);
    await stepChange(database, id, -1, new Date());
    expect(await names()).toEqual(['One']);
  });
});

describe('importing', () => {
  it('stores what was exported, under its own id where that is free', async () => {
    const imported = await importShop(file(writeShopFile(shop)));
    expect(imported).toEqual({ ok: true, id: 'one', name: 'One' });
    expect((await database.shops.get('one'))?.document).toEqual(shop);
    const again = await importShop(file(writeShopFile(shop)));
    expect(again.ok && again.id).not.toBe('one');
    expect(await names()).toEqual(['One', 'One']);
  });

  it.each([
    ['nonsense', /shop\.json: it is not JSON/],
    ['{"a":1}', /shop\.json: at format, it is JSON, but not a Frank Gauge shop/],
    [JSON.stringify({ ...shop, version: 99 }), /shop\.json: at version, .* newer Frank Gauge/],
    [
      JSON.stringify({ ...shop, machines: 'none', room: 3 }),
      /shop\.json: at room, .*and 1 more\)\./,
    ],
  ])('%.20s is refused with place and reason, and nothing is stored', async (text, reason) => {
    const imported = await importShop(file(text));
    expect(imported.ok ? '' : imported.reason).toMatch(reason);
    expect(await database.shops.count()).toBe(0);
  });

  it('does not even read a file that is far too large', async () => {
    const huge = file('');
    Object.defineProperty(huge, 'size', { value: 60_000_000 });
    Object.defineProperty(huge, 'text', {
      value: () => {
        throw new Error('was read');
      },
    });
    const imported = await importShop(huge);
    expect(imported.ok ? '' : imported.reason).toMatch(/at 60 MB it is larger than any shop/);
  });
});

describe('the demo', () => {
  it('is put in once, kept as it was changed, and comes back when it was deleted', async () => {
    const id = await openDemo();
    await renameShop(id, 'Mine now');
    expect(await openDemo()).toBe(id);
    expect(await names()).toEqual(['Mine now']);
    await deleteShop(id);
    await openDemo();
    expect(await names()).toEqual(['Mine now']);
  });
});
