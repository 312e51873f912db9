import type { Shop } from '@frank-gauge/core/design';
import { emptyJournal, type Journal, type Renewal, readShop } from '@frank-gauge/core/journal';
import Dexie from 'dexie';
import { nanoid } from 'nanoid';
import { type Database, database } from './database';
import { forgetChanges, storeChange } from './history';
import { addRecords, deleteRecords, readJournal } from './journal-tables';
import { newSummary, type PhotoFileRow, type SummaryRow } from './rows';

const DAY = 24 * 60 * 60 * 1000;
/** Shops thrown away are kept this long. */
const KEEP_DELETED = 30 * DAY;
const LONGEST_NAME = 200;
/** A shop's id stands in the address of its pages: what means something there is no id. */
const ADDRESS = /^[\w-]+$/;
/** The row that keeps the design a tray began with; no shop's own has such an id. */
export const baseOfTray = (tray: string): string => `${tray}.base`;

/**
 * Shops in the list, the one changed last first: every one that is stored, whatever is wrong with it. Trays are no
 * shops.
 */
export async function listShops(db: Database = database()): Promise<SummaryRow[]> {
  const [rows, ids] = await Promise.all([
    db.summaries.toArray(),
    db.designs.toCollection().primaryKeys(),
  ]);
  const known = new Set(rows.map(({ id }) => id));
  const lost = await db.designs.bulkGet(ids.filter((id) => !known.has(id) && ADDRESS.test(id)));
  // Opened, such a one is given its summary back.
  const made = lost.flatMap((row) => (row ? [newSummary(row.id, row.document, 0)] : []));
  return [...rows, ...made]
    .filter(({ deleted, tray }) => deleted === null && !tray)
    .sort((a, b) => Date.parse(b.changed) - Date.parse(a.changed));
}

interface AddOptions {
  readonly keepId?: boolean;
  readonly journal?: Journal;
  readonly photos?: readonly Omit<PhotoFileRow, 'shop'>[];
  /** Estimates renewed while its file was read, to be reported when it is opened. */
  readonly renewed?: readonly Renewal[];
  readonly db?: Database;
}

/**
 * Stores a shop as a new one under a fresh id, or under its own where that is wanted, free, and can stand in an
 * address: all of it, or, where the storage fails, nothing.
 */
export function addShop(
  shop: Shop,
  {
    keepId = false,
    journal = emptyJournal(),
    photos = [],
    renewed = [],
    db = database(),
  }: AddOptions = {},
): Promise<string> {
  return db.transaction('rw', db.shopTables, async () => {
    const isFree =
      keepId && ADDRESS.test(shop.id) && (await db.summaries.get(shop.id)) === undefined;
    const id = isFree ? shop.id : nanoid(12);
    const document = { ...shop, id };
    const changed = new Date().toISOString();
    await db.summaries.add({
      ...newSummary(id, document, journal.readings.length),
      changed,
      renewed,
    });
    await db.designs.add({ id, document });
    await addRecords(id, journal);
    await db.photoFiles.bulkAdd(photos.map((photo) => ({ ...photo, shop: id })));
    return id;
  });
}

async function changeSummary(
  id: string,
  change: (row: SummaryRow) => Partial<SummaryRow>,
): Promise<void> {
  const db = database();
  await db.transaction('rw', db.summaries, async () => {
    const row = await db.summaries.get(id);
    if (row) await db.summaries.put({ ...row, ...change(row), revision: row.revision + 1 });
  });
}

/** Renames a shop as an edit like any other: it can be undone once the shop is open. */
export async function renameShop(id: string, name: string): Promise<void> {
  const change = {
    label: 'rename the shop',
    design: [{ op: 'set', path: ['shop', 'name'], value: name }],
    journal: { added: [], updated: [], removed: [] },
    merge: 'shop name',
  } as const;
  await storeChange(database(), id, change, new Date());
}

/** The pictures of a shop's photos. */
export async function readPhotoFiles(db: Database, shop: string): Promise<PhotoFileRow[]> {
  const ids = (await readJournal(db, shop)).photos.map(({ id }): [string, string] => [shop, id]);
  return (await db.photoFiles.bulkGet(ids)).filter((row) => row !== undefined);
}

/** Copies a shop, its journal and photos with it, under a name of its own; answers the copy's id. */
export async function duplicateShop(id: string): Promise<string | null> {
  const db = database();
  const row = await db.designs.get(id);
  if (!row) return null;
  const { document } = row;
  return addShop(withSuffix(document, ', copy'), {
    journal: await readJournal(db, id),
    photos: await readPhotoFiles(db, id),
    db,
  });
}

/** A shop under its own name with something behind it, cut so that it is no longer than a name may be. */
export function withSuffix(shop: Shop, suffix: string): Shop {
  const name = shop.shop.name.slice(0, LONGEST_NAME - suffix.length) + suffix;
  return { ...shop, shop: { ...shop.shop, name } };
}

export const deleteShop = (id: string): Promise<void> =>
  changeSummary(id, () => ({ deleted: new Date().toISOString() }));

export const restoreShop = (id: string): Promise<void> =>
  changeSummary(id, () => ({ deleted: null }));

/** Remembers that a shop was saved as a file, as it is now. It is no edit: nobody else hears of it. */
export async function noteExported(id: string, now: Date, db = database()): Promise<void> {
  await db.transaction('rw', db.summaries, async () => {
    const row = await db.summaries.get(id);
    if (!row) return;
    await db.summaries.put({ ...row, exported: { at: now.toISOString(), revision: row.revision } });
  });
}

/** Lets go of shops thrown away long ago, with their trays, and of trays. */
export async function emptyBin(now: Date): Promise<void> {
  const db = database();
  const rows = await db.summaries.toArray();
  const isOld = ({ deleted }: SummaryRow) =>
    deleted !== null && now.getTime() - Date.parse(deleted) > KEEP_DELETED;
  const old = new Set(rows.filter(isOld).map(({ id }) => id));
  for (const { id } of rows.filter(({ id, tray }) => old.has(id) || old.has(tray?.shop ?? ''))) {
    await db.transaction('rw', db.shopTables, async () => {
      // Also pictures whose photo was taken out, or never came to be stored.
      await db.photoFiles
        .where('[shop+id]')
        .between([id, Dexie.minKey], [id, Dexie.maxKey])
        .delete();
      await deleteRecords(db, id);
      await forgetChanges(db, id);
      await db.designs.bulkDelete([id, baseOfTray(id)]);
      await db.summaries.delete(id);
    });
  }
}

/** Invented shops that come with the program, by their ids. */
const DEMOS = {
  'heron-slip': () => import('../../../demo/heron-slip.json'),
  'wren-cellar': () => import('../../../demo/wren-cellar.json'),
  'tern-school': () => import('../../../demo/tern-school.json'),
} as const;

export type DemoId = keyof typeof DEMOS;

/** The demo of a name; without one that is known, the first. */
export const demoOf = (name: string | null): DemoId =>
  (Object.keys(DEMOS) as DemoId[]).find((id) => id === name) ?? 'heron-slip';

/** Puts a demo shop in storage if it is not there, or brings it back; answers its id. */
export async function openDemo(demo: DemoId = 'heron-slip'): Promise<string> {
  const { default: document } = await DEMOS[demo]();
  const read = readShop(document);
  if (!read.ok) throw new Error(`the demo shop is broken: ${read.faults[0].message}`);
  const row = await database().summaries.get(read.shop.id);
  if (!row) return addShop(read.shop, { keepId: true, journal: read.journal });
  if (row.deleted !== null) await restoreShop(row.id);
  return row.id;
}
