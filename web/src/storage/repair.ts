import { type Shop, withChanges } from '@frank-gauge/core/design';
import { readShop } from '@frank-gauge/core/journal';
import Dexie from 'dexie';
import type { Database } from './database';
import { changesOf } from './history';
import { readingCount } from './journal-tables';
import { newSummary } from './rows';

/** Gives a design that has lost its summary a new one; answers whether there is such a design. */
export function restoreSummary(db: Database, id: string): Promise<boolean> {
  const tables = [db.summaries, db.designs, db.history, db.table('readings')];
  return db.transaction('rw', tables, async () => {
    const row = await db.designs.get(id);
    if (!row) return false;
    if (await db.summaries.get(id)) return true;
    const readings = await readingCount(db, id);
    const changes = await changesOf(db, id, Dexie.minKey, Dexie.maxKey).count();
    await db.summaries.add({ ...newSummary(id, row.document, readings), cursor: changes, changes });
    return true;
  });
}

/** How a shop that could not be read was mended. */
export type Repaired =
  /** Its design is again what it was before so many changes; its journal is as it was. */
  | { readonly kind: 'repaired'; readonly undone: readonly string[] }
  /** None of the changes that are remembered leads back to a design that can be read. */
  | { readonly kind: 'no way back' };

/**
 * Takes back changes of a design that cannot be read, the last first, until it can be. What was measured stays;
 * the changes taken back are forgotten, since done again they would break it again.
 */
export function repairShop(db: Database, id: string, now: Date): Promise<Repaired> {
  return db.transaction('rw', [db.summaries, db.designs, db.history], async () => {
    const [summary, row] = [await db.summaries.get(id), await db.designs.get(id)];
    if (!summary || !row) return { kind: 'no way back' };
    const changes = await changesOf(db, id, Dexie.minKey, summary.cursor).toArray();
    let document: Shop = row.document;
    const undone: string[] = [];
    for (const change of changes.toReversed()) {
      const before = stepBack(document, change.inverse);
      if (!before) break;
      document = before;
      undone.push(change.label);
      const read = readShop(document);
      if (!read.ok) continue;
      await db.designs.put({ id, document: read.shop });
      await changesOf(db, id, change.position, Dexie.maxKey).delete();
      await db.summaries.put({
        ...summary,
        name: read.shop.shop.name,
        note: read.shop.shop.note,
        units: read.shop.shop.units,
        revision: summary.revision + 1,
        designRevision: summary.designRevision + 1,
        cursor: change.position,
        changes: change.position,
        changed: now.toISOString(),
      });
      return { kind: 'repaired', undone };
    }
    return { kind: 'no way back' };
  });
}

/** The document before a change; null where it has no place for it, whatever it is. */
function stepBack(document: Shop, inverse: Parameters<typeof withChanges>[1]): Shop | null {
  try {
    return withChanges(document, inverse);
  } catch {
    return null;
  }
}
