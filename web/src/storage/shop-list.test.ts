import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { database } from './database';
import { stepChange } from './history';
import { readJournal } from './journal-tables';
import { sampleJournal, sampleShop } from './sample-records';
import {
  addShop,
  deleteShop,
  demoOf,
  duplicateShop,
  emptyBin,
  listShops,
  noteExported,
  openDemo,
  readPhotoFiles,
  renameShop,
  restoreShop,
} from './shop-list';

const shop = sampleShop();
const journal = sampleJournal(3);
const photos = [{ id: 'p1', bytes: Uint8Array.from([1, 2, 3]) }];
const names = async () => (await listShops()).map(({ name }) => name).sort();
/** How many rows there are of all shops. */
const rowCount = async () =>
  (await Promise.all(database().shopTables.map((table) => table.count()))).reduce((a, b) => a + b);

beforeEach(() => Promise.all(database().tables.map((table) => table.clear())));

describe('the list of shops', () => {
  it('has the shop first that was changed last', async () => {
    for (const [i, id] of ['a', 'b', 'c'].entries()) {
      await addShop(sampleShop(id, id), { keepId: true });
      const changed = new Date(Date.UTC(2026, 0, 10 - i)).toISOString();
      await database().summaries.update(id, { changed });
    }
    expect((await listShops()).map(({ id }) => id)).toEqual(['a', 'b', 'c']);
    await database().summaries.update('b', {
      changed: new Date(Date.UTC(2026, 1, 1)).toISOString(),
    });
    expect((await listShops()).map(({ id }) => id)).toEqual(['b', 'a', 'c']);
  });

  it('duplicates under a name and an id of its own', async () => {
    const id = await addShop(shop, { keepId: true, journal, photos });
    const copy = await duplicateShop(id);
    expect(await names()).toEqual(['One', 'One, copy']);
    expect(copy).not.toBe(id);
    expect((await database().designs.get(copy ?? ''))?.document.id).toBe(copy);
    expect(await readJournal(database(), copy ?? '')).toEqual(journal);
    expect(await readPhotoFiles(database(), copy ?? '')).toEqual([{ ...photos[0], shop: copy }]);
    const longest = await addShop(sampleShop('long', 'x'.repeat(200)));
    await duplicateShop(longest);
    expect((await names()).at(-1)).toHaveLength(200);
    expect(await duplicateShop('none')).toBeNull();
  });

  it('deletes so that it can be brought back, for thirty days', async () => {
    const id = await addShop(shop, { keepId: true, journal, photos });
    await deleteShop(id);
    expect(await names()).toEqual([]);
    await emptyBin(new Date(Date.now() + 29 * 86_400_000));
    await restoreShop(id);
    expect(await names()).toEqual(['One']);
    await deleteShop(id);
    await emptyBin(new Date(Date.now() + 31 * 86_400_000));
    expect(await rowCount()).toBe(0);
  });

  it('remembers when a shop was exported, which is no edit of it', async () => {
    const id = await addShop(shop, { keepId: true });
    await renameShop(id, 'Another');
    const [before] = await listShops();
    const now = new Date('2026-05-04T10:00:00Z');
    await noteExported(id, now);
    const exported = { at: now.toISOString(), revision: before?.revision };
    expect(await listShops()).toEqual([{ ...before, exported }]);
    await noteExported('nothing', now);
    expect(await names()).toEqual(['Another']);
  });

  it('stores all of a shop or nothing', async () => {
    const twins = { ...journal, sounds: [...journal.sounds, ...journal.sounds] };
    await expect(addShop(shop, { journal: twins })).rejects.toThrow();
    expect(await rowCount()).toBe(0);
  });

  it('is read without any shop’s document', async () => {
    await addShop(shop, { journal });
    await database().designs.clear();
    expect(await listShops()).toMatchObject([{ name: 'One', readings: 3, units: 'us' }]);
  });

  it('renames as an edit that can be undone', async () => {
    const id = await addShop(shop, { keepId: true });
    await renameShop(id, 'Another');
    expect(await names()).toEqual(['Another']);
    await stepChange(database(), id, -1, new Date());
    expect(await names()).toEqual(['One']);
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

  it('may be any of those that come with the program; what is no demo is the first', async () => {
    expect([demoOf('tern-school'), demoOf('no such shop'), demoOf(null)]).toEqual([
      'tern-school',
      'heron-slip',
      'heron-slip',
    ]);
    for (const demo of ['heron-slip', 'wren-cellar', 'tern-school'] as const) {
      expect(await openDemo(demo)).toBe(demo);
    }
    expect((await names()).toSorted()).toEqual(['Heron Slip', 'Tern School', 'Wren Cellar']);
  });
});
