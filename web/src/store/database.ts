import { type Renewal, readShop, type Shop } from '@frank-gauge/core';
import Dexie, { type EntityTable, type Table, type Transaction } from 'dexie';
import type { Patch } from 'immer';

/** A stored shop. `revision` counts its writes, so that tabs know whose news is newer. */
export interface ShopRow {
  id: string;
  document: Shop;
  revision: number;
  /** How many of its changes are in effect; those beyond were undone. */
  cursor: number;
  /** How many of its changes are remembered. */
  changes: number;
  changed: string;
  /** When it was thrown away; null: it wasn't. */
  deleted: string | null;
  /** Estimates renewed with a newer version of the program, until whoever owns the shop has seen it. */
  renewed?: readonly Renewal[];
}

/** One change of a shop: enough to undo it and to do it again. */
export interface ChangeRow {
  shop: string;
  position: number;
  label: string;
  patches: Patch[];
  inverse: Patch[];
  /** Changes of the same thing in quick succession are one. */
  merge: string | null;
  at: number;
}

export class Database extends Dexie {
  readonly shops!: EntityTable<ShopRow, 'id'>;
  readonly changes!: Table<ChangeRow, [string, number]>;

  constructor(name = 'frank-gauge') {
    super(name);
    const tables = { shops: 'id, changed', changes: '[shop+position], shop' };
    this.version(1).stores(tables);
    // Document versions 2, 3 and 4. A further one wants a further line like these.
    this.version(2).stores(tables).upgrade(renewDocuments);
    this.version(3).stores(tables).upgrade(renewDocuments);
    this.version(4).stores(tables).upgrade(renewDocuments);
  }
}

/**
 * Brings stored documents to the present version. Changes remembered for undo speak of the old
 * shape and are let go; a document that cannot be read stays as it lies, to be told of when opened.
 * What estimates were renewed is kept beside the document until it has been seen.
 */
async function renewDocuments(upgrade: Transaction): Promise<void> {
  const shops = upgrade.table<ShopRow, string>('shops');
  const changes = upgrade.table<ChangeRow>('changes');
  for (const row of await shops.toArray()) {
    const read = readShop(row.document);
    if (!read.ok || row.document.version === read.shop.version) continue;
    const revision = row.revision + 1;
    const { shop: document, renewed } = read;
    await shops.put({ ...row, document, revision, cursor: 0, changes: 0, renewed });
    await changes.where('shop').equals(row.id).delete();
  }
}

export const database = new Database();
