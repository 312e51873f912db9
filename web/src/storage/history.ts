import {
  changesBetween,
  type DocumentChange,
  type Shop,
  withChanges,
} from '@frank-gauge/core/design';
import {
  faultOfDesign,
  invertDiff,
  isEmptyDiff,
  type JournalDiff,
  joinDiffs,
  RECORD_KINDS,
  type RecordKind,
} from '@frank-gauge/core/journal';
import Dexie from 'dexie';
import type { Database } from './database';
import {
  Conflict,
  Invalid,
  noteRevisions,
  readingsMore,
  restoreDiff,
  storeDiff,
} from './journal-tables';
import type { ChangeRow, SummaryRow } from './rows';

/** Changes of one field within this many milliseconds are undone together. */
const MERGE_WITHIN = 1500;
const MOST_CHANGES = 500;
/** As many edits are remembered by their ids. */
const MOST_WRITES = 100;
/** A diff of more records than this is not handed on to other tabs, which read the journal anew. */
const MOST_HANDED_ON = 200;

/** What is to be changed of a shop, design and journal in one: one step to undo. */
export interface Change {
  readonly label: string;
  readonly design: readonly DocumentChange[];
  readonly journal: JournalDiff;
  readonly merge: string | null;
}

/** What a write answers: what is now stored, or that it could not be done. */
export type Written =
  | {
      readonly ok: true;
      readonly summary: SummaryRow;
      /** The design as it is now; null where this write left it as it was. */
      readonly design: Shop | null;
      /** What this write came to in the journal. */
      readonly journal: JournalDiff;
      readonly label: string;
    }
  /** `gone`: the shop, or what the change is about; `nothing`: there is no such change to step over. */
  | { readonly ok: false; readonly reason: 'gone' | 'nothing' | 'conflict' }
  /** What it would come to is no shop. */
  | { readonly ok: false; readonly reason: 'invalid'; readonly message: string };

const refused = (reason: 'gone' | 'nothing' | 'conflict'): Written => ({ ok: false, reason });

/** The changes of a shop at these positions. */
export const changesOf = (db: Database, shop: string, from: unknown, to: unknown) =>
  db.history.where('[shop+position]').between([shop, from], [shop, to]);

const kindsIn = ({ added, updated, removed }: JournalDiff): RecordKind[] => {
  const revised = [...updated, ...removed];
  const kinds = new Set([...added, ...revised].map(({ kind }) => kind));
  return revised.length > 0 ? [...kinds.add('revisions')] : [...kinds];
};

/** Runs a write in one transaction: all of it is stored, or nothing. */
async function inOne(
  db: Database,
  kinds: readonly RecordKind[],
  write: () => Promise<Written>,
): Promise<Written> {
  const tables = kinds.map((kind) => db.table(kind));
  try {
    return await db.transaction('rw', [db.summaries, db.designs, db.history, ...tables], write);
  } catch (error) {
    if (error instanceof Conflict) return refused('conflict');
    if (error instanceof Invalid) return { ok: false, reason: 'invalid', message: error.message };
    throw error;
  }
}

/** A summary after a write: who is notified, and of what. */
function next(
  summary: SummaryRow,
  design: Shop | null,
  journal: JournalDiff,
  now: Date,
): SummaryRow {
  const { added, updated, removed } = journal;
  const count = added.length + updated.length + removed.length;
  return {
    ...summary,
    ...(design && {
      name: design.shop.name,
      note: design.shop.note,
      units: design.shop.units,
      designRevision: summary.designRevision + 1,
    }),
    ...(count > 0 && {
      journalRevision: summary.journalRevision + 1,
      lastDiff: count > MOST_HANDED_ON ? null : journal,
      readings: summary.readings + readingsMore(journal),
    }),
    revision: summary.revision + 1,
    changed: now.toISOString(),
  };
}

/** The design with changes made to it, checked; what was stored, for its undo. */
async function changedDesign(db: Database, shop: string, changes: readonly DocumentChange[]) {
  const row = await db.designs.get(shop);
  const design = row && withChanges(row.document, changes);
  if (!design) throw new Conflict();
  const inverse = changesBetween(design, row.document);
  if (inverse.length === 0) return null;
  const fault = faultOfDesign(design);
  if (fault) throw new Invalid(`${fault.message} (${fault.path || 'the shop'})`);
  await db.designs.put({ id: shop, document: design });
  return { design, inverse };
}

/**
 * Stores a change: made to what is stored NOW, which another tab may have changed meanwhile, checked, and
 * remembered for undo. What was undone before is forgotten. Throws where the storage fails.
 *
 * @param write the edit's own id: one that was stored already changes nothing
 */
export function storeChange(
  db: Database,
  shop: string,
  change: Change,
  now: Date,
  write?: string,
): Promise<Written> {
  return inOne(db, kindsIn(change.journal), async () => {
    const summary = await db.summaries.get(shop);
    if (!summary) return refused('gone');
    const writes = summary.writes ?? [];
    if (write !== undefined && writes.includes(write)) return refused('nothing');
    const made = change.design.length > 0 ? await changedDesign(db, shop, change.design) : null;
    const stored = await storeDiff(db, shop, change.journal);
    const journal = await noteRevisions(db, shop, stored, now);
    if (!made && isEmptyDiff(journal)) return refused('nothing');

    await changesOf(db, shop, summary.cursor, Dexie.maxKey).delete();
    const entry: ChangeRow = {
      shop,
      position: summary.cursor,
      at: now.getTime(),
      label: change.label,
      merge: change.merge,
      design: made ? change.design : [],
      inverse: made?.inverse ?? [],
      journal,
    };
    const last = summary.cursor > 0 ? await db.history.get([shop, summary.cursor - 1]) : undefined;
    const joins =
      last &&
      change.merge !== null &&
      last.merge === change.merge &&
      entry.at - last.at < MERGE_WITHIN;
    await db.history.put(joins ? joined(last, entry) : entry);
    const cursor = joins ? summary.cursor : summary.cursor + 1;
    if (!joins) await changesOf(db, shop, Dexie.minKey, cursor - MOST_CHANGES).delete();
    const design = made?.design ?? null;
    const after = {
      ...next(summary, design, journal, now),
      cursor,
      changes: cursor,
      ...(write !== undefined && { writes: [...writes, write].slice(-MOST_WRITES) }),
    };
    return storeSummary(db, after, { design, journal, label: change.label });
  });
}

type Stored = Extract<Written, { ok: true }>;

/** Ends a write: its summary is stored, and it answers what it came to. */
async function storeSummary(
  db: Database,
  summary: SummaryRow,
  what: Pick<Stored, 'design' | 'journal' | 'label'>,
): Promise<Stored> {
  await db.summaries.put(summary);
  return { ok: true, summary, ...what };
}

const joined = (last: ChangeRow, entry: ChangeRow): ChangeRow => ({
  ...last,
  at: entry.at,
  design: [...last.design, ...entry.design],
  inverse: [...entry.inverse, ...last.inverse],
  journal: joinDiffs(last.journal, entry.journal),
});

/** Undoes (−1) or does again (+1) one change. Throws where the storage fails. */
export function stepChange(db: Database, shop: string, by: -1 | 1, now: Date): Promise<Written> {
  return inOne(db, RECORD_KINDS, async () => {
    const summary = await db.summaries.get(shop);
    if (!summary) return refused('gone');
    const change = await db.history.get([shop, by < 0 ? summary.cursor - 1 : summary.cursor]);
    if (!change) return refused('nothing');
    const steps = by < 0 ? change.inverse : change.design;
    const made = steps.length > 0 ? await changedDesign(db, shop, steps) : null;
    const journal = by < 0 ? invertDiff(change.journal) : change.journal;
    await restoreDiff(db, shop, journal);
    const design = made?.design ?? null;
    const after = { ...next(summary, design, journal, now), cursor: summary.cursor + by };
    return storeSummary(db, after, { design, journal, label: change.label });
  });
}

/** Forgets all changes of a shop. */
export const forgetChanges = (db: Database, shop: string): Promise<number> =>
  changesOf(db, shop, Dexie.minKey, Dexie.maxKey).delete();
