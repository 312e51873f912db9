import {
  changesBetween,
  type DesignDifference,
  designDifferences,
  type Shop,
  withChanges,
} from '@frank-gauge/core/design';
import { NO_DIFF, readShop } from '@frank-gauge/core/journal';
import { nanoid } from 'nanoid';
import { type Database, database } from './database';
import { storeChange } from './history';
import { newSummary, type SummaryRow } from './rows';
import { addShop, baseOfTray, withSuffix } from './shop-list';

/**
 * Trays: copies of a shop's design in which something is tried, beside the shop, which stays as it is. A tray is
 * stored as a shop is, so that all of its views, undo and other tabs work in it; it has no journal, since what is
 * measured belongs to the shop.
 */

/** So many trays of a shop at a time, by their names. */
const NAMES = ['A', 'B', 'C', 'D'] as const;
export const MOST_TRAYS = NAMES.length;

/** A shop with a tray's design. */
export interface Tray {
  readonly id: string;
  readonly name: string;
  readonly design: Shop;
  /** What it has otherwise than the shop had when it was made. */
  readonly differences: readonly DesignDifference[];
}

const summariesOf = async (shop: string, db: Database): Promise<SummaryRow[]> =>
  (await db.summaries.toArray())
    .filter(({ tray, deleted }) => tray?.shop === shop && deleted === null)
    .sort((a, b) => (a.tray?.name ?? '').localeCompare(b.tray?.name ?? ''));

/** A design as it is stored; null: there is none, or it cannot be read. */
export async function readDesign(id: string, db: Database = database()): Promise<Shop | null> {
  const row = await db.designs.get(id);
  const read = row && readShop(row.document);
  return read?.ok ? read.shop : null;
}

/** The trays of a shop that can be read, by name. */
export async function listTrays(shop: string, db: Database = database()): Promise<Tray[]> {
  const trays: Tray[] = [];
  for (const { id, tray } of await summariesOf(shop, db)) {
    const [design, base] = [await readDesign(id, db), await readDesign(baseOfTray(id), db)];
    if (!design || !tray) continue;
    const differences = base ? designDifferences(base, design) : [];
    trays.push({ id, name: tray.name, design, differences });
  }
  return trays;
}

/**
 * Makes a tray of a shop as it is stored now; answers its id. Null: the shop is not there, or has as many trays as it
 * may have.
 * @param change what the tray begins with
 */
export function addTray(
  shop: string,
  change: (design: Shop) => Shop = (design) => design,
  db: Database = database(),
): Promise<string | null> {
  return db.transaction('rw', db.summaries, db.designs, async () => {
    const taken = new Set((await summariesOf(shop, db)).map(({ tray }) => tray?.name));
    const name = NAMES.find((each) => !taken.has(each));
    const read = await readDesign(shop, db);
    if (!name || !read) return null;
    const id = nanoid(12);
    const base = { ...read, id };
    const document = change(base);
    await db.designs.bulkAdd([
      { id, document },
      { id: baseOfTray(id), document: base },
    ]);
    await db.summaries.add({
      ...newSummary(id, document, 0),
      changed: new Date().toISOString(),
      tray: { shop, name },
    });
    return id;
  });
}

/** How keeping a tray ended. */
export type Kept =
  | {
      readonly kind: 'kept';
      readonly shop: string;
      /** False: the shop had it all already, and nothing is there to undo. */
      readonly isStep: boolean;
    }
  /** The tray has nothing otherwise than the shop it was made of. */
  | { readonly kind: 'nothing to keep' }
  /** The shop was changed since where the tray changes it too, or is not there any more. */
  | { readonly kind: 'does not fit' };

/**
 * Makes a tray's changes in its shop, as one step to undo, and puts the tray away. What was changed in the shop since
 * the tray was made stays, unless the tray changes the same.
 */
export async function keepTray(id: string, now: Date, db: Database = database()): Promise<Kept> {
  const tray = (await db.summaries.get(id))?.tray;
  const [design, base] = [await readDesign(id, db), await readDesign(baseOfTray(id), db)];
  const before = tray ? await readDesign(tray.shop, db) : null;
  const isDeleted = tray ? (await db.summaries.get(tray.shop))?.deleted !== null : true;
  if (!tray || !design || !base || !before || isDeleted) return { kind: 'does not fit' };
  const changes = changesBetween(base, design);
  if (changes.length === 0) return { kind: 'nothing to keep' };
  if (!withChanges(before, changes)) return { kind: 'does not fit' };
  const written = await storeChange(
    db,
    tray.shop,
    { label: keepingOf(tray.name), design: changes, journal: NO_DIFF, merge: null },
    now,
  );
  if (!written.ok && written.reason !== 'nothing') return { kind: 'does not fit' };
  await discardTray(id, now, db);
  return { kind: 'kept', shop: tray.shop, isStep: written.ok };
}

/** What the shop's history calls keeping a tray. */
export const keepingOf = (name: string): string => `keep tray ${name}`;

/** Throws a tray away, so that it can be brought back. */
export async function discardTray(id: string, now: Date, db: Database = database()): Promise<void> {
  await db.transaction('rw', db.summaries, async () => {
    const row = await db.summaries.get(id);
    if (!row?.tray) return;
    const deleted = now.toISOString();
    await db.summaries.put({ ...row, deleted, revision: row.revision + 1 });
  });
}

/** Brings a tray back, under another name where its own is taken; false: there is no room for it. */
export function restoreTray(id: string, db: Database = database()): Promise<boolean> {
  return db.transaction('rw', db.summaries, async () => {
    const row = await db.summaries.get(id);
    if (!row?.tray) return false;
    const { shop, name: before } = row.tray;
    const taken = new Set((await summariesOf(shop, db)).map(({ tray }) => tray?.name));
    const name = [before, ...NAMES].find((each) => !taken.has(each));
    if (!name || taken.size >= MOST_TRAYS) return false;
    const tray = { shop, name };
    await db.summaries.put({ ...row, tray, deleted: null, revision: row.revision + 1 });
    return true;
  });
}

/** Stores a tray's design as a shop of its own, with an empty journal; answers its id. Null: it cannot be read. */
export async function trayAsShop(id: string, db: Database = database()): Promise<string | null> {
  const row = await db.summaries.get(id);
  const design = await readDesign(id, db);
  if (!row?.tray || !design) return null;
  return addShop(withSuffix(design, `, tray ${row.tray.name}`), { db });
}
