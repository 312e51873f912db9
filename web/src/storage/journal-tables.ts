import {
  type Entry,
  faultOfRecord,
  type Journal,
  type JournalDiff,
  type JournalRecord,
  RECORD_KINDS,
  RECORD_TYPES,
  type Reading,
  type RecordKind,
  revisionsOf,
  timeOf,
  updateOnto,
} from '@frank-gauge/core/journal';
import Dexie, { type Table } from 'dexie';
import type { RecordRow } from './rows';

/** What records are found in: a database, or the transaction of an upgrade. */
interface Tables {
  table(name: string): RecordTable;
}

const rowOf = (shop: string, record: JournalRecord): RecordRow => ({
  shop,
  time: timeOf(record),
  record,
});

type Key = [shop: string, time: number, id: string];
type RecordTable = Table<RecordRow, Key>;

const keyOf = (shop: string, record: JournalRecord): Key => [shop, timeOf(record), record.id];

/** Records of a shop in a table in the order of their times, from one on and before another. */
function ofShop(table: RecordTable, shop: string, from?: Key, before?: Key) {
  const range = table.where(':id');
  return range.between(from ?? [shop], before ?? [shop, Dexie.maxKey], true, false);
}

/**
 * Stores a whole journal of a shop that has none yet, in the transaction that is under way.
 * @throws where the shop has records already, two records are one, or storage fails; the transaction is
 *   then broken off
 */
export async function addRecords(shop: string, journal: Journal): Promise<void> {
  for (const kind of RECORD_KINDS) {
    const rows = journal[kind].map((record) => rowOf(shop, record));
    if (rows.length === 0) continue;
    const stored = () => ofShop(Dexie.currentTransaction.table(kind), shop).count();
    if ((await stored()) > 0) throw new Error(`the shop has ${kind} already`);
    await putRows(kind, rows);
    if ((await stored()) < rows.length) throw new Error(`two ${kind} have one time and one id`);
  }
}

/**
 * Puts rows by the browser's own store, past what the library works out of each for whoever watches it:
 * nobody watches a shop that is just being stored, and 50,000 readings are in half a second sooner. A store
 * told to add would look for every row first, which takes a tenth longer; they are counted instead.
 */
function putRows(table: string, rows: readonly RecordRow[]): PromiseLike<void> {
  const store = Dexie.currentTransaction.idbtrans.objectStore(table);
  return new Dexie.Promise<void>((resolve, reject) => {
    for (const [i, row] of rows.entries()) {
      const request = store.put(row);
      request.onerror = () => reject(request.error);
      if (i === rows.length - 1) request.onsuccess = () => resolve();
    }
  });
}

/** How many readings a shop has. */
export const readingCount = (db: Tables, shop: string): Promise<number> =>
  ofShop(db.table('readings'), shop).count();

export async function deleteRecords(db: Tables, shop: string): Promise<void> {
  for (const kind of RECORD_KINDS) await ofShop(db.table(kind), shop).delete();
}

/** Records that are checked within one task. */
const CHECKED_AT_ONCE = 400;

/** Lets the browser draw and hear the user before more is done. */
function nextTask(): Promise<void> {
  const { scheduler } = globalThis as { scheduler?: { yield?: () => Promise<void> } };
  return scheduler?.yield?.() ?? new Promise((resolve) => setTimeout(resolve));
}

/** A record as it is stored, with defaults for fields that are newer; null where it is damaged. */
function recordOf<K extends RecordKind>(kind: K, row: RecordRow): JournalRecord<K> | null {
  const checked = RECORD_TYPES[kind].schema.safeParse(row.record);
  return checked.success ? (checked.data as JournalRecord<K>) : null;
}

const recordsOf = <K extends RecordKind>(kind: K, rows: readonly RecordRow[]): JournalRecord<K>[] =>
  rows.flatMap((row) => recordOf(kind, row) ?? []);

/** All records of one kind, in the order of their times. */
export async function readRecords<K extends RecordKind>(
  db: Tables,
  shop: string,
  kind: K,
): Promise<JournalRecord<K>[]> {
  return recordsOf(kind, await ofShop(db.table(kind), shop).toArray());
}

export async function readJournal(db: Tables, shop: string): Promise<Journal> {
  const lists: [RecordKind, JournalRecord[]][] = [];
  for (const kind of RECORD_KINDS) lists.push([kind, await readRecords(db, shop, kind)]);
  return Object.fromEntries(lists) as unknown as Journal;
}

/** What of a journal is held in memory while its shop is open: all but the readings, and when what was revised. */
export type OpenJournal = Omit<Journal, 'readings' | 'revisions'>;

export const HELD_KINDS = RECORD_KINDS.filter(
  (kind) => kind !== 'readings' && kind !== 'revisions',
);

export async function readOpenJournal(db: Tables, shop: string): Promise<OpenJournal> {
  const lists = await Promise.all(
    HELD_KINDS.map(async (kind) => [kind, await readRecords(db, shop, kind)] as const),
  );
  return Object.fromEntries(lists) as unknown as OpenJournal;
}

/**
 * Readings newest first, in pieces: a long journal shows its first rows before all of it is read, and no piece keeps
 * the page long. About so many are found by stepping over an index and read at once, then checked a few at a time.
 */
export async function* readingsNewestFirst(
  db: Tables,
  shop: string,
  sizes: { readonly first: number; readonly next: number },
): AsyncGenerator<readonly Reading[]> {
  const table = db.table('readings');
  const newest = await ofShop(table, shop).reverse().limit(sizes.first).toArray();
  let oldest = newest.at(-1);
  if (newest.length > 0) yield recordsOf('readings', newest);
  while (oldest) {
    const before = keyOf(shop, oldest.record);
    const [from] = await ofShop(table, shop, undefined, before)
      .reverse()
      .offset(sizes.next - 1)
      .limit(1)
      .primaryKeys();
    const rows: RecordRow[] = await ofShop(table, shop, from, before).toArray();
    for (let end = rows.length; end > 0; end -= CHECKED_AT_ONCE) {
      yield recordsOf('readings', rows.slice(Math.max(0, end - CHECKED_AT_ONCE), end)).reverse();
      await nextTask();
    }
    oldest = from && rows[0];
  }
}

/** The instrument the latest reading at a test point was taken with; null where there is none. */
export async function lastInstrumentAt(
  db: Tables,
  shop: string,
  testPoint: string,
): Promise<string | null> {
  const row = await db
    .table('readings')
    .where('[shop+record.testPoint+time]')
    .between([shop, testPoint, Dexie.minKey], [shop, testPoint, Dexie.maxKey])
    .last();
  return (row?.record as Partial<Reading> | undefined)?.instrument ?? null;
}

/** Whether any reading of a shop was taken with an instrument. */
export async function isInstrumentUsed(
  db: Tables,
  shop: string,
  instrument: string,
): Promise<boolean> {
  const isOf = ({ record }: RecordRow) => (record as Partial<Reading>).instrument === instrument;
  return (await ofShop(db.table('readings'), shop).filter(isOf).first()) !== undefined;
}

/**
 * The readings since a time, the newest so many of them, and what they were taken with.
 * @param since Unix time in ms; null: of all times
 */
export async function measuredSince(db: Tables, shop: string, since: number | null, most: number) {
  const [instruments, testPoints, rounds] = await Promise.all([
    readRecords(db, shop, 'instruments'),
    readRecords(db, shop, 'testPoints'),
    readRecords(db, shop, 'rounds'),
  ]);
  const from: Key | undefined = since === null ? undefined : [shop, since, ''];
  const rows = await ofShop(db.table('readings'), shop, from).reverse().limit(most).toArray();
  const readings = recordsOf('readings', rows);
  return { meters: { instruments, testPoints, rounds }, readings };
}

/** Thrown inside a transaction to break it off: what a diff is about is no longer so. */
export class Conflict extends Error {}
/** Thrown inside a transaction to break it off: a record its schema refuses. */
export class Invalid extends Error {}

/**
 * Makes a diff to what is stored NOW, which another tab may have changed meanwhile: what was added there
 * stays, and of an updated record the fields this diff changed, no others. Answers what it came to, by
 * which it can be undone exactly.
 * @throws Conflict where a record it updates is gone; Invalid where a record breaks its schema
 */
export async function storeDiff(db: Tables, shop: string, diff: JournalDiff): Promise<JournalDiff> {
  const added: Entry[] = [];
  const updated: JournalDiff['updated'][number][] = [];
  const removed: Entry[] = [];
  // As it is read: with what its schema fills in, so that an undo brings that back too.
  const storedOf = async ({ kind, record }: Entry): Promise<JournalRecord | undefined> => {
    const raw = (await db.table(kind).get(keyOf(shop, record)))?.record;
    const checked = RECORD_TYPES[kind].schema.safeParse(raw);
    return checked.success ? checked.data : raw;
  };
  for (const entry of diff.removed) {
    const record = await storedOf(entry);
    if (!record) continue;
    await remove(db, shop, { kind: entry.kind, record });
    removed.push({ kind: entry.kind, record });
  }
  for (const update of diff.updated) {
    const before = await storedOf({ kind: update.kind, record: update.before });
    const after = before && updateOnto(before, update);
    if (!after) throw new Conflict();
    await remove(db, shop, { kind: update.kind, record: before });
    await put(db, shop, { kind: update.kind, record: after });
    updated.push({ kind: update.kind, before, after });
  }
  for (const entry of diff.added) {
    if (await storedOf(entry)) continue;
    await put(db, shop, entry);
    added.push(entry);
  }
  return { added, updated, removed };
}

/**
 * Notes when the records a stored diff changed or took out were revised, unless it says so itself; answers the
 * diff with that in it, so that an undo takes it back too.
 */
export async function noteRevisions(
  db: Tables,
  shop: string,
  diff: JournalDiff,
  now: Date,
): Promise<JournalDiff> {
  const { added, updated, removed } = diff;
  const own = new Set(
    [...added, ...updated.map(({ kind, after: record }) => ({ kind, record }))].flatMap(
      ({ kind, record }) => (kind === 'revisions' ? [record.id] : []),
    ),
  );
  const first: Entry[] = [];
  const again: JournalDiff['updated'][number][] = [];
  for (const record of revisionsOf(diff, now.toISOString())) {
    if (own.has(record.id)) continue;
    const before = (await db.table('revisions').get(keyOf(shop, record)))?.record;
    await put(db, shop, { kind: 'revisions', record });
    if (before) again.push({ kind: 'revisions', before, after: record });
    else first.push({ kind: 'revisions', record });
  }
  return { added: [...added, ...first], updated: [...updated, ...again], removed };
}

/** Makes a diff as it stands: of undo and redo, which go back over what was stored. */
export async function restoreDiff(db: Tables, shop: string, diff: JournalDiff): Promise<void> {
  for (const entry of diff.removed) await remove(db, shop, entry);
  for (const { kind, before, after } of diff.updated) {
    await remove(db, shop, { kind, record: before });
    await put(db, shop, { kind, record: after });
  }
  for (const entry of diff.added) await put(db, shop, entry);
}

async function put(db: Tables, shop: string, entry: Entry): Promise<void> {
  const fault = faultOfRecord(entry.kind, entry.record);
  if (fault) throw new Invalid(`${fault.message} (${fault.path})`);
  await db.table(entry.kind).put(rowOf(shop, entry.record));
}

/** A record is found by its time as well as its id: one whose time is changed is stored anew. */
const remove = (db: Tables, shop: string, { kind, record }: Entry): PromiseLike<void> =>
  db.table(kind).delete(keyOf(shop, record));

/** How many readings more a diff leaves. */
export const readingsMore = ({ added, removed }: JournalDiff): number => {
  const count = (entries: readonly Entry[]) =>
    entries.filter(({ kind }) => kind === 'readings').length;
  return count(added) - count(removed);
};
