'use client';

import {
  LARGEST_FILE,
  type Renewal,
  readShop,
  readShopFile,
  type Shop,
  writeShopFile,
} from '@frank-gauge/core';
import { produceWithPatches } from 'immer';
import { nanoid } from 'nanoid';
import { forgetChanges, storeChange } from './change-log';
import { database, type ShopRow } from './database';
import { saveFile } from './save-file';

const DAY = 24 * 60 * 60 * 1000;
/** Shops thrown away are kept this long. */
const KEEP_DELETED = 30 * DAY;

/** Shops in the list, the one changed last first. */
export async function listShops(): Promise<ShopRow[]> {
  const rows = await database.shops.orderBy('changed').reverse().toArray();
  return rows.filter((row) => row.deleted === null);
}

interface AddOptions {
  readonly keepId?: boolean;
  /** Estimates renewed while its file was read, to be told of when it is opened. */
  readonly renewed?: readonly Renewal[];
}

/** Stores a shop as a new one under a fresh id, or under its own where that is wanted and free. */
export async function addShop(
  shop: Shop,
  { keepId = false, renewed = [] }: AddOptions = {},
): Promise<string> {
  const isFree = keepId && (await database.shops.get(shop.id)) === undefined;
  const id = isFree ? shop.id : nanoid(12);
  await database.shops.add({
    id,
    document: { ...shop, id },
    revision: 0,
    cursor: 0,
    changes: 0,
    changed: new Date().toISOString(),
    deleted: null,
    renewed,
  });
  return id;
}

async function changeRow(id: string, change: (row: ShopRow) => Partial<ShopRow>): Promise<void> {
  await database.transaction('rw', database.shops, async () => {
    const row = await database.shops.get(id);
    if (row) await database.shops.put({ ...row, ...change(row), revision: row.revision + 1 });
  });
}

/** Renames a shop as an edit like any other: it can be undone once the shop is open. */
export async function renameShop(id: string, name: string): Promise<void> {
  const row = await database.shops.get(id);
  if (!row) return;
  const [, patches, inverse] = produceWithPatches(row.document, (draft) => {
    draft.shop.name = name;
  });
  const change = { label: 'rename the shop', patches, inverse, merge: 'shop name' };
  if (patches.length > 0) await storeChange(database, id, change, new Date());
}

/** Copies a shop under a name of its own; answers the copy's id. */
export async function duplicateShop(id: string): Promise<string | null> {
  const row = await database.shops.get(id);
  if (!row) return null;
  const { document } = row;
  return addShop({ ...document, shop: { ...document.shop, name: `${document.shop.name}, copy` } });
}

export const deleteShop = (id: string): Promise<void> =>
  changeRow(id, () => ({ deleted: new Date().toISOString() }));

export const restoreShop = (id: string): Promise<void> => changeRow(id, () => ({ deleted: null }));

/** Lets go of shops thrown away long ago. */
export async function emptyBin(now: Date): Promise<void> {
  const rows = await database.shops.toArray();
  const isOld = ({ deleted }: ShopRow) =>
    deleted !== null && now.getTime() - Date.parse(deleted) > KEEP_DELETED;
  for (const row of rows.filter(isOld)) {
    await database.shops.delete(row.id);
    await forgetChanges(database, row.id);
  }
}

export type Imported =
  | { readonly ok: true; readonly id: string; readonly name: string }
  | { readonly ok: false; readonly reason: string };

/** Reads a file into a new shop. Anything wrong with it: a sentence, and nothing is stored. */
export async function importShop(file: File): Promise<Imported> {
  const refuse = (reason: string): Imported => ({ ok: false, reason: `${file.name}: ${reason}.` });
  if (file.size > LARGEST_FILE) {
    const size = Math.round(file.size / 1e6);
    return refuse(`at ${size} MB it is larger than any shop; the most is ${LARGEST_FILE / 1e6} MB`);
  }
  const read = readShopFile(await file.text());
  if (!read.ok) {
    const [{ path, message }, ...others] = read.faults;
    const more = others.length > 0 ? ` (and ${others.length} more)` : '';
    return refuse(path === '' ? message : `at ${path}, ${message}${more}`);
  }
  const id = await addShop(read.shop, { keepId: true, renewed: read.renewed });
  return { ok: true, id, name: read.shop.shop.name };
}

const fileName = (shop: Shop) =>
  `${
    shop.shop.name
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-|-$/g, '') || 'shop'
  }.frank-gauge.json`;

export const exportShop = (shop: Shop): void =>
  saveFile(fileName(shop), writeShopFile(shop), 'application/json');

/** Puts the demo shop in storage if it is not there, or brings it back; answers its id. */
export async function openDemo(): Promise<string> {
  const { default: document } = await import('../../../demo/heron-slip.json');
  const read = readShop(document);
  if (!read.ok) throw new Error(`the demo shop is broken: ${read.faults[0].message}`);
  const row = await database.shops.get(read.shop.id);
  if (!row) return addShop(read.shop, { keepId: true });
  if (row.deleted !== null) await restoreShop(row.id);
  return row.id;
}
