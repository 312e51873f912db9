import type { JournalRecord, RecordKind } from '@frank-gauge/core/journal';
import { format } from 'date-fns';
import { EVENT_NAMES } from './change-words';

const NAMES: Readonly<Record<RecordKind, readonly [one: string, many: string]>> = {
  instruments: ['instrument', 'instruments'],
  testPoints: ['test point', 'test points'],
  rounds: ['round', 'rounds'],
  readings: ['reading', 'readings'],
  events: ['change', 'changes'],
  weighings: ['weighing', 'weighings'],
  sounds: ['sound reading', 'sound readings'],
  fieldTests: ['field test', 'field tests'],
  photos: ['photo', 'photos'],
  revisions: ['revision', 'revisions'],
};

/** How many records of a kind: “1 reading”, “3 readings”. */
const recordsWords = (kind: RecordKind, count: number): string =>
  `${count} ${NAMES[kind][count === 1 ? 0 : 1]}`;

/** How many records of each kind a list of them has: “12 readings, 1 change”. */
export function countsWords(entries: readonly { readonly kind: RecordKind }[]): string {
  const counts = new Map<RecordKind, number>();
  for (const { kind } of entries) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  return [...counts].map(([kind, count]) => recordsWords(kind, count)).join(', ');
}

const day = (at: string) => format(new Date(at), 'MMM d, yyyy');
const moment = (at: string) => format(new Date(at), 'MMM d, yyyy, h:mm a');

/** What a record is called in a list of records of all kinds. */
export function recordTitle(
  kind: RecordKind,
  record: JournalRecord,
  placeNames: Readonly<Record<string, string>>,
): string {
  const is = <K extends RecordKind>(wanted: K, _: JournalRecord): _ is JournalRecord<K> =>
    kind === wanted;
  if (is('readings', record)) {
    const place = placeNames[record.testPoint] ?? 'a place that is gone';
    return `reading at ${place}, ${moment(record.at)}`;
  }
  if (is('events', record)) return `${EVENT_NAMES[record.kind]}, ${day(record.at)}`;
  if (is('instruments', record)) return `instrument ${record.name}`;
  if (is('testPoints', record)) return `test point ${record.name}`;
  if (is('rounds', record)) return `round of ${day(record.at)}`;
  if (is('weighings', record)) return `weighing of the ${record.bin} bin, ${day(record.at)}`;
  if (is('sounds', record)) return `sound at ${record.place}, ${moment(record.at)}`;
  if (is('fieldTests', record)) return `field test, ${moment(record.at)}`;
  return is('photos', record) ? `photo ${record.file}` : NAMES[kind][0];
}
