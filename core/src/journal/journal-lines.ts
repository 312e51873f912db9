import { faultsOf, MOST_FAULTS } from '../document/fault';
import { isJson } from '../document/json-walk';
import {
  emptyJournal,
  isRecordKind,
  type Journal,
  type JournalRecord,
  migrateRecord,
  RECORD_KINDS,
  RECORD_TYPES,
  type RecordKind,
} from './journal';

/** What the first line of a journal's file says it is. */
const FORMAT = 'frank-gauge-journal';

/** A line of a journal's file that cannot be read, counted from 1, and why. */
export interface LineFault {
  readonly line: number;
  readonly message: string;
}

export type ReadLines =
  | { readonly kind: 'whole'; readonly journal: Journal }
  /** It ends before all its records: `whole` of the `promised` ones are there, and are good. */
  | {
      readonly kind: 'cut off';
      readonly journal: Journal;
      readonly whole: number;
      readonly promised: number;
    }
  | { readonly kind: 'refused'; readonly faults: readonly [LineFault, ...LineFault[]] };

/**
 * The text of a journal's file, line by line: a head that says how many records follow, then one record
 * a line, `{"list":"readings","record":{…}}`.
 */
export function* writeJournalLines(journal: Journal, version: number): Generator<string> {
  const records = RECORD_KINDS.reduce((count, kind) => count + journal[kind].length, 0);
  yield `${JSON.stringify({ format: FORMAT, version, records })}\n`;
  for (const list of RECORD_KINDS) {
    for (const record of journal[list]) yield `${JSON.stringify({ list, record })}\n`;
  }
}

/**
 * Reads a journal's file. Cut off in the middle, it gives the whole records before the cut and says how
 * many were promised. Anything else that is wrong refuses it as a whole, with the lines.
 * @param present version of the file this program writes; an older one is migrated, a newer one refused
 */
export function readJournalLines(text: string, present: number): ReadLines {
  const lines = text.split('\n');
  const head = headOf(lines[0] ?? '', present);
  if ('message' in head) return { kind: 'refused', faults: [{ line: 1, message: head.message }] };
  const lists = new Map<RecordKind, JournalRecord[]>(RECORD_KINDS.map((kind) => [kind, []]));
  const ids = new Map<RecordKind, Set<string>>(RECORD_KINDS.map((kind) => [kind, new Set()]));
  const faults: LineFault[] = [];
  let whole = 0;
  let isCut = false;
  for (let i = 1; i < lines.length && faults.length < MOST_FAULTS; i++) {
    const line = lines[i] ?? '';
    const isLast = i === lines.length - 1;
    if (line.trim() === '') continue;
    const read = recordOf(line, head.version, present);
    if ('message' in read) {
      // The last line of a file that was cut off stops in the middle of a record.
      if (isLast && read.isNoJson && whole < head.records) isCut = true;
      else faults.push({ line: i + 1, message: read.message });
      continue;
    }
    const { kind, record } = read;
    const list = lists.get(kind) ?? [];
    if (ids.get(kind)?.has(record.id)) {
      faults.push({ line: i + 1, message: `two records of ${kind} have the id '${record.id}'` });
    } else if (list.length >= RECORD_TYPES[kind].most) {
      faults.push({ line: i + 1, message: `more than ${RECORD_TYPES[kind].most} ${kind}` });
      break;
    }
    ids.get(kind)?.add(record.id);
    list.push(record);
    whole++;
  }
  const [first, ...rest] = faults;
  if (first) return { kind: 'refused', faults: [first, ...rest] };
  const journal = { ...emptyJournal(), ...Object.fromEntries(lists) } as Journal;
  if (!isCut && whole >= head.records) return { kind: 'whole', journal };
  return { kind: 'cut off', journal, whole, promised: head.records };
}

type Head = { readonly version: number; readonly records: number } | { readonly message: string };

function headOf(line: string, present: number): Head {
  const head = parsed(line);
  if (!isJson(head) || head.format !== FORMAT) {
    return { message: 'it does not begin like a journal of Frank Gauge' };
  }
  const { version, records } = head;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return { message: `its version, ${JSON.stringify(version)}, is not a whole number` };
  }
  if (version > present) {
    return {
      message: `it was written by a newer Frank Gauge (version ${version}; this one reads up to ${present}). Update the program, then open it again`,
    };
  }
  if (typeof records !== 'number' || !Number.isInteger(records) || records < 0) {
    return { message: 'it does not say how many records it has' };
  }
  return { version, records };
}

type ReadRecord =
  | { readonly kind: RecordKind; readonly record: JournalRecord }
  | { readonly message: string; readonly isNoJson: boolean };

function recordOf(line: string, version: number, present: number): ReadRecord {
  const entry = parsed(line);
  if (entry === undefined) return { message: 'it is not JSON', isNoJson: true };
  const refuse = (message: string) => ({ message, isNoJson: false });
  if (!isJson(entry) || !isRecordKind(entry.list)) {
    return refuse(`no list of records is called ${JSON.stringify(isJson(entry) && entry.list)}`);
  }
  if (!isJson(entry.record)) return refuse('it has no record');
  const migrated = migrateRecord(entry.list, entry.record, version, present);
  const checked = RECORD_TYPES[entry.list].schema.safeParse(migrated);
  if (checked.success) return { kind: entry.list, record: checked.data };
  const [fault] = faultsOf(checked.error);
  return refuse(`${fault?.path || entry.list}: ${fault?.message}`);
}

/** JSON, or undefined where it is none. */
function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
