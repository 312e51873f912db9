import { z } from 'zod';
import type { Json } from '../document/json-walk';
import { eventType } from './event';
import { fieldTestType } from './field-test';
import { instrumentType } from './instrument';
import { photoType } from './photo';
import { readingType } from './reading';
import type { RecordType } from './record-type';
import { revisionType } from './revision';
import { roundType } from './round';
import { soundType } from './sound';
import { testPointType } from './test-point';
import { weighingType } from './weighing';

/**
 * The journal of a shop: what was measured and done, as records apart from the design. By the name of
 * the list (and of the table) each kind of record stands in.
 */
export const RECORD_TYPES = {
  instruments: instrumentType,
  testPoints: testPointType,
  rounds: roundType,
  readings: readingType,
  events: eventType,
  weighings: weighingType,
  sounds: soundType,
  fieldTests: fieldTestType,
  photos: photoType,
  revisions: revisionType,
} as const satisfies Record<string, RecordType>;

export type RecordKind = keyof typeof RECORD_TYPES;
export type JournalRecord<K extends RecordKind = RecordKind> = z.infer<
  (typeof RECORD_TYPES)[K]['schema']
>;
/** What a record of a kind is made from: fields that have a default may be left out. */
export type RecordFields<K extends RecordKind> = z.input<(typeof RECORD_TYPES)[K]['schema']>;
/** All records of a shop, each kind in a list of its own. */
export type Journal = { readonly [K in RecordKind]: readonly JournalRecord<K>[] };

export const RECORD_KINDS = Object.keys(RECORD_TYPES) as readonly RecordKind[];

/**
 * A record of a kind, with the defaults of its schema for what is left out.
 * @throws ZodError where the schema refuses a field
 * @example recordWith('instruments', { id: 'v', name: 'Vane', kind: 'vane', accuracy: 0.03 }).hold // 'live'
 */
export const recordWith = <K extends RecordKind>(kind: K, fields: RecordFields<K>) =>
  RECORD_TYPES[kind].schema.parse(fields) as JournalRecord<K>;

export const isRecordKind = (kind: unknown): kind is RecordKind =>
  typeof kind === 'string' && Object.hasOwn(RECORD_TYPES, kind);

type ListSchemas = {
  [K in RecordKind]: z.ZodDefault<z.ZodArray<(typeof RECORD_TYPES)[K]['schema']>>;
};

/** The journal as it stands in a shop's file: a list a kind, each left out where it is empty. */
export const journalSchema = z.strictObject(
  Object.fromEntries(
    Object.entries(RECORD_TYPES).map(([kind, { most, schema }]) => [
      kind,
      z.array<z.ZodType>(schema).max(most).default([]),
    ]),
  ) as unknown as ListSchemas,
);

export const emptyJournal = (): Journal => journalSchema.parse({});

/** How many records a journal has, of all kinds together. */
export const recordCount = (journal: Journal): number =>
  RECORD_KINDS.reduce((count, kind) => count + journal[kind].length, 0);

/** Milliseconds since 1970 of a record's time; 0 for the kinds that have none. */
export const timeOf = (record: object): number =>
  'at' in record && typeof record.at === 'string' ? Date.parse(record.at) : 0;

/** The order of records of one kind: by time, and of one time by id. */
export function byTime(a: JournalRecord, b: JournalRecord): number {
  return timeOf(a) - timeOf(b) || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);
}

/** Brings a record of an earlier version of the file to a later one; what is no record of then, as it is. */
export function migrateRecord(kind: RecordKind, record: Json, from: number, to: number): Json {
  let migrated = record;
  for (let version = from; version < to; version++) {
    migrated = RECORD_TYPES[kind].migrations[version]?.(migrated) ?? migrated;
  }
  return migrated;
}
