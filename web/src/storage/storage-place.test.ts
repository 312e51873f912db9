import { newShop } from '@frank-gauge/core/design';
import { RECORD_KINDS, readShop } from '@frank-gauge/core/journal';
import Dexie from 'dexie';
import { IDBFactory, IDBKeyRange } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import version5 from '../../../core/src/file/kept/version-5.json';
import { Database, database, replaceDatabase } from './database';
import { eventually } from './eventually';
import { addShop, listShops } from './shop-list';
import {
  findPlace,
  hasOnlyInMemory,
  isInMemory,
  openTables,
  useStoragePlace,
} from './storage-place';

const QUICK = { held: 10, silent: 200 };

/** Tables in a storage of their own. */
const tablesIn = (indexedDB: { open: IDBFactory['open'] }, read = readShop) =>
  new Database('frank-gauge', read, { indexedDB, IDBKeyRange });

/** A storage as a browser has it whose settings block it. */
const blocked = () => {
  const indexedDB = new IDBFactory();
  indexedDB.open = () => {
    throw new DOMException('The operation is insecure.', 'SecurityError');
  };
  return indexedDB;
};

/** The tables as another page holds them: of an earlier version, and deaf to whoever asks for them. */
function heldTables(indexedDB: IDBFactory, version = 10): Promise<{ close: () => void }> {
  return new Promise((resolve) => {
    const open = indexedDB.open('frank-gauge', version);
    open.onsuccess = () => resolve(open.result);
  });
}

describe('tables that are opened', () => {
  it('are open where nothing stands in the way', async () => {
    const db = tablesIn(new IDBFactory());
    expect(await openTables(db)).toBeNull();
    expect(db.isOpen()).toBe(true);
  });

  it('are refused in the browser’s own words', async () => {
    expect(await openTables(tablesIn(blocked()))).toEqual({
      kind: 'refused',
      message: expect.stringContaining('The operation is insecure.'),
    });
  });

  it('are held by an earlier version until it lets go of them', async () => {
    const indexedDB = new IDBFactory();
    const other = await heldTables(indexedDB);
    const openAfterAll = vi.fn();
    expect(await openTables(tablesIn(indexedDB), openAfterAll, QUICK)).toEqual({ kind: 'held' });
    expect(openAfterAll).not.toHaveBeenCalled();
    other.close();
    await eventually(() => expect(openAfterAll).toHaveBeenCalledOnce());
  });

  it('are not called held where the earlier version lets go at once', async () => {
    const indexedDB = new IDBFactory();
    const other = await heldTables(indexedDB);
    setTimeout(() => other.close(), 5);
    expect(
      await openTables(tablesIn(indexedDB), undefined, { held: 150, silent: 1000 }),
    ).toBeNull();
  });

  it('are silent where no answer comes', async () => {
    const indexedDB = new IDBFactory();
    indexedDB.open = () => new EventTarget() as ReturnType<IDBFactory['open']>;
    expect(await openTables(tablesIn(indexedDB), undefined, { held: 10, silent: 20 })).toEqual({
      kind: 'silent',
    });
  });

  it('are waited for while what they hold is brought forward', async () => {
    const indexedDB = new IDBFactory();
    const old = new Dexie('frank-gauge', { indexedDB, IDBKeyRange });
    const records = RECORD_KINDS.map((kind) => [kind, '[shop+time+record.id]']);
    old.version(5).stores({
      ...Object.fromEntries(records),
      ...{ shops: 'id, changed', changes: '[shop+position], shop', summaries: 'id, changed' },
      ...{ designs: 'id', history: '[shop+position]', photoFiles: '[shop+id]' },
      readings: '[shop+time+record.id], [shop+record.testPoint+time]',
    });
    const { journal: _, ...design } = version5;
    await old.table('designs').put({ id: design.id, document: design });
    old.close();
    // As long as a large log takes.
    const read: typeof readShop = (document) => {
      const end = performance.now() + 300;
      while (performance.now() < end);
      return readShop(document);
    };
    const db = tablesIn(indexedDB, read);
    expect(await openTables(db, undefined, QUICK)).toBeNull();
    expect(db.isBringingForward).toBe(true);
  });
});

describe('the place of what is stored', () => {
  beforeEach(() => useStoragePlace.setState({ kind: 'opening' }, true));
  // Those of one page tell one another of a newer version.
  afterEach(() => database().close());

  it('is the browser where its tables open', async () => {
    replaceDatabase(tablesIn(new IDBFactory()));
    await findPlace();
    expect(useStoragePlace.getState()).toEqual({ kind: 'browser' });
    expect(isInMemory()).toBe(false);
    await addShop(newShop('one', 'A shop', 'us', []));
    expect(hasOnlyInMemory()).toBe(false);
  });

  it('is memory where they do not, and knows whether anything is in it', async () => {
    replaceDatabase(tablesIn(blocked()));
    await findPlace();
    expect(useStoragePlace.getState()).toMatchObject({
      kind: 'memory',
      why: { kind: 'refused' },
      isOpenNow: false,
    });
    expect(isInMemory()).toBe(true);
    expect(hasOnlyInMemory()).toBe(false);
    await addShop(newShop('one', 'A shop', 'us', []));
    expect(hasOnlyInMemory()).toBe(true);
    expect((await listShops()).map(({ name }) => name)).toEqual(['A shop']);
  });

  it('is none where the tables belong to a newer version', async () => {
    const indexedDB = new IDBFactory();
    (await heldTables(indexedDB, 990)).close();
    const db = tablesIn(indexedDB);
    replaceDatabase(db);
    await findPlace();
    expect(useStoragePlace.getState()).toEqual({ kind: 'outdated' });
    expect(database()).toBe(db);
  });

  it('says so when the browser’s tables open after all', async () => {
    const indexedDB = new IDBFactory();
    const other = await heldTables(indexedDB);
    replaceDatabase(tablesIn(indexedDB));
    await findPlace();
    expect(useStoragePlace.getState()).toMatchObject({ kind: 'memory', isOpenNow: false });
    other.close();
    await eventually(() =>
      expect(useStoragePlace.getState()).toMatchObject({ kind: 'memory', isOpenNow: true }),
    );
  });
});
