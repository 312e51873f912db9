import type { Shop } from '@frank-gauge/core';
import Dexie from 'dexie';
import { applyPatches, enablePatches, type Patch } from 'immer';
import type { ChangeRow, Database, ShopRow } from './database';

enablePatches();

/** Changes of one field within this many milliseconds are undone together. */
const MERGE_WITHIN = 1500;
const MOST_CHANGES = 500;

export interface Change {
  readonly label: string;
  readonly patches: Patch[];
  readonly inverse: Patch[];
  readonly merge: string | null;
}

/** What a write answers: the row as it is now stored, or that it could not be done. */
export type Written =
  | { readonly ok: true; readonly row: ShopRow; readonly label: string }
  | { readonly ok: false; readonly reason: 'gone' | 'nothing' | 'conflict' };

const REFUSED = {
  gone: { ok: false, reason: 'gone' },
  nothing: { ok: false, reason: 'nothing' },
  conflict: { ok: false, reason: 'conflict' },
} as const;

const shopChanges = (db: Database, shop: string) =>
  db.changes.where('[shop+position]').between([shop, Dexie.minKey], [shop, Dexie.maxKey]);

/** Applies patches made elsewhere; null where they no longer fit what is stored. */
function applied(document: Shop, patches: readonly Patch[]): Shop | null {
  try {
    return applyPatches(document, patches);
  } catch {
    return null;
  }
}

/**
 * Stores a change: applied to what is stored NOW, which another tab may have changed meanwhile, and
 * remembered for undo. What was undone before is forgotten.
 */
export function storeChange(
  db: Database,
  shop: string,
  change: Change,
  now: Date,
): Promise<Written> {
  return db.transaction('rw', db.shops, db.changes, async (): Promise<Written> => {
    const row = await db.shops.get(shop);
    if (!row) return REFUSED.gone;
    const document = applied(row.document, change.patches);
    if (!document) return REFUSED.conflict;

    await db.changes
      .where('[shop+position]')
      .between([shop, row.cursor], [shop, Dexie.maxKey])
      .delete();
    const last = row.cursor > 0 ? await db.changes.get([shop, row.cursor - 1]) : undefined;
    const at = now.getTime();
    const joins =
      last && change.merge !== null && last.merge === change.merge && at - last.at < MERGE_WITHIN;
    let cursor = row.cursor;
    if (joins) {
      await db.changes.put({
        ...last,
        at,
        patches: [...last.patches, ...change.patches],
        inverse: [...change.inverse, ...last.inverse],
      });
    } else {
      const position = cursor++;
      const { label, patches, inverse, merge } = change;
      const entry: ChangeRow = { shop, position, at, label, patches, inverse, merge };
      await db.changes.put(entry);
      await db.changes
        .where('[shop+position]')
        .between([shop, Dexie.minKey], [shop, cursor - MOST_CHANGES])
        .delete();
    }
    const next = {
      ...row,
      document,
      cursor,
      changes: cursor,
      revision: row.revision + 1,
      changed: now.toISOString(),
    };
    await db.shops.put(next);
    return { ok: true, row: next, label: change.label };
  });
}

/** Undoes (−1) or does again (+1) one change. */
export function stepChange(db: Database, shop: string, by: -1 | 1, now: Date): Promise<Written> {
  return db.transaction('rw', db.shops, db.changes, async (): Promise<Written> => {
    const row = await db.shops.get(shop);
    if (!row) return REFUSED.gone;
    const change = await db.changes.get([shop, by < 0 ? row.cursor - 1 : row.cursor]);
    if (!change) return REFUSED.nothing;
    const document = applied(row.document, by < 0 ? change.inverse : change.patches);
    if (!document) return REFUSED.conflict;
    const cursor = row.cursor + by;
    const next = {
      ...row,
      document,
      cursor,
      revision: row.revision + 1,
      changed: now.toISOString(),
    };
    await db.shops.put(next);
    return { ok: true, row: next, label: change.label };
  });
}

/** Forgets all changes of a shop. */
export const forgetChanges = (db: Database, shop: string): Promise<number> =>
  shopChanges(db, shop).delete();
