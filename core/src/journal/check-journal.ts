import { type Fault, faultsOf, MOST_FAULTS } from '../document/fault';
import { isJson } from '../document/json-walk';
import {
  type Journal,
  journalSchema,
  RECORD_KINDS,
  RECORD_TYPES,
  type RecordKind,
} from './journal';
import type { JournalDiff } from './journal-diff';

/** What is wrong with a record that is to be stored, by its schema; null: nothing. */
export function faultOfRecord(kind: RecordKind, record: unknown): Fault | null {
  const checked = RECORD_TYPES[kind].schema.safeParse(record);
  return checked.success ? null : (faultsOf(checked.error, [kind])[0] ?? null);
}

/** What is wrong with the records a change of the journal would store; null: nothing. */
export function faultOfDiff({ added, updated }: JournalDiff): Fault | null {
  for (const { kind, record } of added) {
    const fault = faultOfRecord(kind, record);
    if (fault) return fault;
  }
  for (const { kind, after } of updated) {
    const fault = faultOfRecord(kind, after);
    if (fault) return fault;
  }
  return null;
}

export type CheckedJournal =
  | { readonly ok: true; readonly journal: Journal }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/**
 * Checks a journal as it stands in a shop's file: every record, and that no two of a kind share an id. What
 * is wrong is listed up to twenty faults, and the rest is not looked at: a file of nothing but faults takes no
 * longer than a good one.
 */
export function checkJournal(value: unknown): CheckedJournal {
  const lists = isJson(value)
    ? Object.fromEntries(
        Object.entries(value).map(([key, list]) => [key, Array.isArray(list) ? [] : list]),
      )
    : value;
  const shape = journalSchema.safeParse(lists);
  if (!shape.success) return { ok: false, faults: faultsOf(shape.error, ['journal']) };
  const faults: Fault[] = [];
  const journal: Record<string, unknown[]> = { ...shape.data };
  for (const kind of RECORD_KINDS) {
    const given = isJson(value) ? value[kind] : undefined;
    if (!Array.isArray(given)) continue;
    const { most, schema } = RECORD_TYPES[kind];
    const path = `journal.${kind}`;
    if (given.length > most) {
      faults.push({ path, message: `there are ${given.length} of them; ${most} are the most` });
      continue;
    }
    const ids = new Set<string>();
    const list: unknown[] = [];
    for (let i = 0; i < given.length && faults.length < MOST_FAULTS; i++) {
      const checked = schema.safeParse(given[i]);
      if (!checked.success) {
        faults.push(...faultsOf(checked.error, ['journal', kind, i]));
        continue;
      }
      const { id } = checked.data;
      if (ids.has(id)) {
        faults.push({ path: `${path}.${i}.id`, message: `two records have the id '${id}'` });
      }
      ids.add(id);
      list.push(checked.data);
    }
    journal[kind] = list;
  }
  return faults.length > 0
    ? { ok: false, faults: faults.slice(0, MOST_FAULTS) }
    : { ok: true, journal: journal as unknown as Journal };
}
