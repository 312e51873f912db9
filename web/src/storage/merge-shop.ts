import {
  changesBetween,
  type DesignDifference,
  designDifferences,
  type Shop,
} from '@frank-gauge/core/design';
import { type Merge, mergeJournals, readShop } from '@frank-gauge/core/journal';
import type { Bundle } from './bundle';
import type { Database } from './database';
import { storeChange } from './history';
import { readJournal } from './journal-tables';

/** What merging a file into the shop it is a copy of would do. */
export interface MergeReport extends Omit<Merge, 'diff'> {
  readonly differences: readonly DesignDifference[];
  /** What test points are called, by their ids, to name readings by. */
  readonly placeNames: Readonly<Record<string, string>>;
}

/** Which design stays where the two differ. */
export type KeptDesign = 'here' | 'there';

interface Copies {
  readonly merge: Merge;
  readonly stored: Shop;
  readonly report: MergeReport;
}

/** A stored shop beside another copy of it; null where it is not here, thrown away, or damaged. */
async function besideStored(db: Database, { shop, journal }: Bundle): Promise<Copies | null> {
  const summary = await db.summaries.get(shop.id);
  const row = summary?.deleted === null ? await db.designs.get(shop.id) : undefined;
  if (!row) return null;
  const read = readShop(row.document);
  if (!read.ok) return null;
  const here = await readJournal(db, shop.id);
  const merge = mergeJournals(here, journal);
  const { diff: _, ...outcome } = merge;
  const points = [...journal.testPoints, ...here.testPoints];
  return {
    merge,
    stored: read.shop,
    report: {
      ...outcome,
      differences: designDifferences(read.shop, shop),
      placeNames: Object.fromEntries(points.map(({ id, name }) => [id, name])),
    },
  };
}

/** What merging it into the shop it is a copy of would do; null where there is none to merge into. */
export const reportMerge = async (db: Database, bundle: Bundle): Promise<MergeReport | null> =>
  (await besideStored(db, bundle))?.report ?? null;

/**
 * Merges another copy of a stored shop into it, its pictures too, as one edit that can be undone. Answers what
 * it did; null where there is no shop to merge into any more.
 * @throws where storage fails, or what it would come to is no shop; nothing of it is then stored
 */
export async function mergeShop(
  db: Database,
  bundle: Bundle,
  design: KeptDesign,
  now: Date,
): Promise<MergeReport | null> {
  const copies = await besideStored(db, bundle);
  if (!copies) return null;
  const { merge, stored, report } = copies;
  const { shop, photos } = bundle;
  await db.photoFiles.bulkPut(photos.map((photo) => ({ ...photo, shop: shop.id })));
  const change = {
    label: 'merge another copy',
    design: design === 'there' ? changesBetween(stored, shop) : [],
    journal: merge.diff,
    merge: null,
  };
  const written = await storeChange(db, shop.id, change, now);
  if (written.ok || written.reason === 'nothing') return report;
  throw new Error(
    written.reason === 'invalid' ? written.message : 'the shop was changed meanwhile',
  );
}
