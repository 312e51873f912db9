import { changesBetween, isSame, withChanges } from '../document/changes';
import {
  byTime,
  type Journal,
  type JournalRecord,
  migrateRecord,
  RECORD_KINDS,
  type RecordKind,
} from './journal';

/** A record with the kind of list it stands in. */
export interface Entry {
  readonly kind: RecordKind;
  readonly record: JournalRecord;
}

/** One change of a journal: enough to undo it, at the cost of what it touched. */
export interface JournalDiff {
  readonly added: readonly Entry[];
  readonly updated: readonly {
    readonly kind: RecordKind;
    readonly before: JournalRecord;
    readonly after: JournalRecord;
  }[];
  readonly removed: readonly Entry[];
}

export const NO_DIFF: JournalDiff = { added: [], updated: [], removed: [] };

export const isEmptyDiff = ({ added, updated, removed }: JournalDiff): boolean =>
  added.length + updated.length + removed.length === 0;

export const invertDiff = ({ added, updated, removed }: JournalDiff): JournalDiff => ({
  added: removed,
  updated: updated.map(({ kind, before, after }) => ({ kind, before: after, after: before })),
  removed: added,
});

/** Lists of records by kind, some kinds left out. */
type SomeLists = Partial<Journal>;

/** What was added, updated and removed between two states of some lists. */
export function diffBetween(before: SomeLists, after: SomeLists): JournalDiff {
  const added: Entry[] = [];
  const updated: JournalDiff['updated'][number][] = [];
  const removed: Entry[] = [];
  for (const kind of RECORD_KINDS) {
    const [old, now] = [before[kind] ?? [], after[kind] ?? []] as const;
    if (old === now) continue;
    const was = new Map<string, JournalRecord>(old.map((record) => [record.id, record]));
    for (const record of now) {
      const earlier = was.get(record.id);
      if (!earlier) added.push({ kind, record });
      else if (!isSame(earlier, record)) updated.push({ kind, before: earlier, after: record });
      was.delete(record.id);
    }
    for (const record of was.values()) removed.push({ kind, record });
  }
  return { added, updated, removed };
}

/**
 * What an update meant for one state of a record makes of another, which may have changed elsewhere: the
 * fields it changed, and no others. Null where it no longer fits.
 */
export const updateOnto = (
  now: JournalRecord,
  { before, after }: JournalDiff['updated'][number],
): JournalRecord | null => withChanges(now, changesBetween(before, after));

/**
 * Lists with a diff made to them, as they stand in memory, in the order of their times; kinds they leave out
 * are passed over.
 */
export function withDiff<T extends SomeLists>(lists: T, diff: JournalDiff): T {
  const next: Record<string, readonly JournalRecord[]> = {};
  const listOf = (kind: RecordKind): readonly JournalRecord[] | undefined =>
    next[kind] ?? lists[kind];
  const change = (
    kind: RecordKind,
    make: (list: readonly JournalRecord[]) => readonly JournalRecord[],
  ) => {
    const list = listOf(kind);
    if (list) next[kind] = make(list);
  };
  for (const { kind, record } of diff.removed) {
    change(kind, (list) => list.filter(({ id }) => id !== record.id));
  }
  for (const { kind, after } of diff.updated) {
    change(kind, (list) => list.map((record) => (record.id === after.id ? after : record)));
  }
  for (const { kind, record } of diff.added) {
    change(kind, (list) => {
      if (list.some(({ id }) => id === record.id)) return list;
      const place = list.findLastIndex((other) => byTime(other, record) < 0) + 1;
      return list.toSpliced(place, 0, record);
    });
  }
  return { ...lists, ...next };
}

/** A remembered diff with its records brought from one version of the file to a later one. */
export function migrateDiff(diff: JournalDiff, from: number, to: number): JournalDiff {
  const brought = (kind: RecordKind, record: JournalRecord) =>
    migrateRecord(kind, record, from, to) as JournalRecord;
  const entry = ({ kind, record }: Entry): Entry => ({ kind, record: brought(kind, record) });
  return {
    added: diff.added.map(entry),
    updated: diff.updated.map(({ kind, before, after }) => ({
      kind,
      before: brought(kind, before),
      after: brought(kind, after),
    })),
    removed: diff.removed.map(entry),
  };
}

/** Two diffs in succession as one: what was added and then updated was added so. */
export function joinDiffs(first: JournalDiff, then: JournalDiff): JournalDiff {
  const added = new Map(first.added.map((entry) => [keyOf(entry), entry]));
  const updated = new Map(
    first.updated.map((update) => [`${update.kind} ${update.before.id}`, update]),
  );
  const removed = new Map(first.removed.map((entry) => [keyOf(entry), entry]));
  for (const entry of then.added) {
    const was = removed.get(keyOf(entry));
    removed.delete(keyOf(entry));
    if (!was) added.set(keyOf(entry), entry);
    else if (!isSame(was.record, entry.record)) {
      updated.set(keyOf(entry), { kind: entry.kind, before: was.record, after: entry.record });
    }
  }
  for (const { kind, before, after } of then.updated) {
    const key = `${kind} ${after.id}`;
    const earlier = updated.get(key);
    if (added.has(key)) added.set(key, { kind, record: after });
    else updated.set(key, { kind, before: earlier?.before ?? before, after });
  }
  for (const entry of then.removed) {
    const key = keyOf(entry);
    const earlier = updated.get(key);
    updated.delete(key);
    if (added.has(key)) added.delete(key);
    else removed.set(key, earlier ? { kind: entry.kind, record: earlier.before } : entry);
  }
  return {
    added: [...added.values()],
    updated: [...updated.values()].filter(({ before, after }) => !isSame(before, after)),
    removed: [...removed.values()],
  };
}

const keyOf = ({ kind, record }: Entry) => `${kind} ${record.id}`;
