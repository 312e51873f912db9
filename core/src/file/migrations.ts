import { VERSION } from '../design/schema';
import type { DocumentChange } from '../document/changes';
import { isJson, type Json } from '../document/json-walk';
import { changeWithRenames, withRenames } from '../document/rename';
import { isRecordKind, migrateRecord } from '../journal/journal';
import { fromVersion1 } from './from-version-1';
import { fromVersion2 } from './from-version-2';
import { fromVersion3 } from './from-version-3';
import { fromVersion4 } from './from-version-4';
import { fromVersion5 } from './from-version-5';
import { fromVersion6 } from './from-version-6';
import { fromVersion7 } from './from-version-7';
import { fromVersion8 } from './from-version-8';
import { fromVersion9 } from './from-version-9';
import { fromVersion10 } from './from-version-10';
import { fromVersion11 } from './from-version-11';
import { fromVersion12 } from './from-version-12';
import { fromVersion13 } from './from-version-13';
import { fromVersion14 } from './from-version-14';
import { fromVersion15 } from './from-version-15';
import { fromVersion16 } from './from-version-16';
import type { Migration } from './migration';
import type { Renewal } from './renewal';

/** In order, one for each version before the present. Version 1 is the first. */
const MIGRATIONS: readonly Migration[] = [
  fromVersion1,
  fromVersion2,
  fromVersion3,
  fromVersion4,
  fromVersion5,
  fromVersion6,
  fromVersion7,
  fromVersion8,
  fromVersion9,
  fromVersion10,
  fromVersion11,
  fromVersion12,
  fromVersion13,
  fromVersion14,
  fromVersion15,
  fromVersion16,
];

export type Migrated =
  | {
      readonly ok: true;
      readonly document: Record<string, unknown>;
      readonly renewed: readonly Renewal[];
    }
  | { readonly ok: false; readonly reason: string };

/**
 * Brings a document of any earlier version to the present one, or says in a sentence why it can't:
 * no whole-number version, a newer one than this program knows, or one no step leads on from.
 */
export function migrate(
  document: Record<string, unknown>,
  migrations: readonly Migration[] = MIGRATIONS,
  present: number = VERSION,
): Migrated {
  const { version } = document;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return { ok: false, reason: `its version, ${JSON.stringify(version)}, is not a whole number` };
  }
  if (version > present) {
    return {
      ok: false,
      reason: `it was written by a newer Frank Gauge (format version ${version}; this one reads up to ${present}). Update the program, then open it again`,
    };
  }
  let current = document;
  const renewed: Renewal[] = [];
  for (let at = version; at < present; at++) {
    const step = migrations.find(({ from }) => from === at);
    if (!step) return { ok: false, reason: `no way is known from its version ${at} to ${present}` };
    renewed.push(...(step.renews?.(current) ?? []));
    current = { ...step.migrate(withRecords(current, at)), version: at + 1 };
  }
  return { ok: true, document: current, renewed };
}

/** A document of version `from`, from 5 on, with the records of its journal brought one version further. */
function withRecords(document: Json, from: number): Json {
  const { journal } = document;
  if (!isJson(journal)) return document;
  const lists = Object.entries(journal).map(([kind, list]) => [
    kind,
    isRecordKind(kind) && Array.isArray(list)
      ? list.map((one) => (isJson(one) ? migrateRecord(kind, one, from, from + 1) : one))
      : list,
  ]);
  return { ...document, journal: Object.fromEntries(lists) };
}

const renamesSince = (version: number) =>
  MIGRATIONS.flatMap(({ from, renames }) => (from >= version && renames ? [renames] : []));

/** A design of an earlier version with what has taken another name since, and nothing else brought forward. */
export const renamedSince = <T>(version: number, design: T): T =>
  renamesSince(version).reduce((document, renames) => withRenames(document, renames), design);

/** A remembered change of a design of an earlier version, by the names its members have now. */
export const changeRenamedSince = (version: number, change: DocumentChange): DocumentChange =>
  renamesSince(version).reduce(changeWithRenames, change);
