import type { Fault } from '@frank-gauge/core/inference';
import type { Hunt } from '@frank-gauge/core/practice';
import Dexie, { type EntityTable } from 'dexie';

/** How far someone is with a practice shop. Nothing of it is in any real shop, nor in its files. */
export interface PracticeRow {
  /** The practice shop's. */
  readonly id: string;
  readonly changed: string;
  /** Null: not begun since the last time it was finished. */
  readonly hunt: Hunt | null;
  /** What was named; null: nothing yet. */
  readonly named: readonly Fault[] | null;
  /** The best score so far, of 100; null: it was never finished. */
  readonly best: number | null;
}

/** Tables of their own, apart from those the shops are in. */
class PracticeDatabase extends Dexie {
  readonly hunts!: EntityTable<PracticeRow, 'id'>;

  constructor() {
    super('frank-gauge-practice');
    this.version(1).stores({ hunts: 'id, changed' });
  }
}

let opened: PracticeDatabase | null = null;
const tables = (): PracticeDatabase => {
  opened ??= new PracticeDatabase();
  return opened;
};

/** Every practice shop that was begun, the latest first. Rejects where the browser stores nothing. */
export const practiceRows = (): Promise<PracticeRow[]> =>
  tables().hunts.orderBy('changed').reverse().toArray();

export const practiceRow = async (id: string): Promise<PracticeRow | null> =>
  (await tables().hunts.get(id)) ?? null;

/** Keeps how far a hunt is. Rejects where the browser stores nothing. */
export async function keepHunt(
  id: string,
  hunt: Hunt | null,
  named: readonly Fault[] | null,
): Promise<void> {
  await tables().transaction('rw', tables().hunts, async () => {
    const before = await practiceRow(id);
    await tables().hunts.put({
      ...{ id, hunt, named, changed: new Date().toISOString() },
      best: before?.best ?? null,
    });
  });
}

/** Keeps what a hunt came to: only the best score stays. Rejects where the browser stores nothing. */
export async function keepScore(id: string, score: number): Promise<void> {
  await tables().transaction('rw', tables().hunts, async () => {
    const before = await practiceRow(id);
    if (!before) return;
    await tables().hunts.put({ ...before, best: Math.max(score, before.best ?? 0) });
  });
}
