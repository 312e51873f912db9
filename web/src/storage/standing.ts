import { judgeDrops, worstDrop } from '@frank-gauge/core/analysis';
import type { Shop } from '@frank-gauge/core/design';
import { readShop } from '@frank-gauge/core/journal';
import { arrangeDucts } from '@frank-gauge/core/routing';
import type { Database } from './database';
import { restoreSummary } from './repair';
import type { Standing } from './rows';

/** How a shop stands, for the list: how many drops it has, and its worst. */
function standingOf(document: Shop, of: number): Standing {
  const read = readShop(document);
  if (!read.ok) return { kind: 'unreadable', of };
  const arranged = arrangeDucts(read.shop);
  if (!arranged.ok) return { kind: 'unreadable', of };
  const worst = worstDrop(judgeDrops(read.shop, arranged.tree, 'found', 'one'));
  return {
    kind: 'judged',
    of,
    drops: arranged.tree.drops.length,
    worst: worst && { name: worst.drop.name, margin: worst.margin },
  };
}

/** Works out how a stored shop stands and keeps it in its summary, unless its design changed meanwhile. */
export async function storeStanding(db: Database, id: string): Promise<void> {
  // One that has lost its summary is given it back: there is nowhere else to keep it.
  await restoreSummary(db, id);
  const found = await db.transaction('r', db.summaries, db.designs, async () => ({
    summary: await db.summaries.get(id),
    row: await db.designs.get(id),
  }));
  if (!found.summary || !found.row) return;
  const of = found.summary.designRevision;
  const standing = standingOf(found.row.document, of);
  await db.transaction('rw', db.summaries, async () => {
    const now = await db.summaries.get(id);
    if (now?.designRevision === of) await db.summaries.update(id, { standing });
  });
}
