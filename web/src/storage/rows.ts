import type { DocumentChange, Shop } from '@frank-gauge/core/design';
import type { JournalDiff, JournalRecord, RecordKind, Renewal } from '@frank-gauge/core/journal';

/** What the list says of a shop, worked out from the revision `of` of its design. */
export type Standing =
  | {
      readonly kind: 'judged';
      readonly of: number;
      readonly drops: number;
      /** The worst drop with its own gate open, as found; null: no drop has an answer. m³/s. */
      readonly worst: { readonly name: string; readonly margin: number } | null;
    }
  | { readonly kind: 'unreadable'; readonly of: number };

/**
 * A stored shop in short: all that the list shows, and what tabs know each other's news by. Its design
 * and the records of its journal lie in tables of their own.
 */
export interface SummaryRow {
  id: string;
  name: string;
  note: string;
  units: 'us' | 'metric';
  changed: string;
  /** When it was thrown away; null: it wasn't. */
  deleted: string | null;
  /** Counts its writes of any kind; those of the design and of the journal each besides. */
  revision: number;
  designRevision: number;
  journalRevision: number;
  /** What the last write changed of the journal; null: too much to keep here, read it anew. */
  lastDiff: JournalDiff | null;
  /** How many of its changes are in effect; those beyond were undone. */
  cursor: number;
  /** How many of its changes are remembered. */
  changes: number;
  readings: number;
  /** The last edits that were stored, by their ids: one that is sent again is stored once. */
  writes?: readonly string[];
  /** Estimates renewed with a newer version of the program, until whoever owns the shop has seen it. */
  renewed: readonly Renewal[];
  standing: Standing | null;
  /** When it was last saved as a file, and its revision then; absent: never in this browser. */
  exported?: Exported | undefined;
  /** Absent: it is a shop of its own. */
  tray?: TrayOf | undefined;
}

/** What makes a stored design a tray: a copy of a shop's in which something is tried. */
export interface TrayOf {
  /** Id of the shop. */
  readonly shop: string;
  readonly name: string;
}

export interface Exported {
  readonly at: string;
  readonly revision: number;
}

const isCount = (value: unknown) =>
  typeof value === 'number' && Number.isSafeInteger(value) && value >= 0;
const isText = (value: unknown) => typeof value === 'string';
const isDate = (value: unknown) => typeof value === 'string' && !Number.isNaN(Date.parse(value));

function isStanding(value: Partial<Extract<Standing, { kind: 'judged' }>> | null): boolean {
  if (value === null) return true;
  const { kind, of, drops, worst } = value;
  if (!isCount(of)) return false;
  if (kind !== 'judged') return (kind as unknown) === 'unreadable';
  return (
    isCount(drops) && (worst === null || (isText(worst?.name) && Number.isFinite(worst?.margin)))
  );
}

/** What each member of a summary has to be. */
const IS_RIGHT: { readonly [K in keyof SummaryRow]?: (value: never) => boolean } = {
  name: isText,
  note: isText,
  units: (value) => value === 'us' || value === 'metric',
  changed: isDate,
  deleted: (value) => value === null || isDate(value),
  revision: isCount,
  designRevision: isCount,
  journalRevision: isCount,
  cursor: isCount,
  changes: isCount,
  readings: isCount,
  renewed: Array.isArray,
  lastDiff: (value: SummaryRow['lastDiff']) =>
    value === null || [value?.added, value?.updated, value?.removed].every(Array.isArray),
  standing: (value: Standing | null) =>
    value === null || (typeof value === 'object' && isStanding(value as never)),
  exported: (value: Exported | undefined) =>
    value === undefined || (isDate(value?.at) && isCount(value.revision)),
};

/**
 * A stored summary as it should be: what is missing or nonsense in it is put right, so that one bad row never
 * hides the others. A row that is whole is answered as it is.
 */
export function mendedSummary(row: SummaryRow): SummaryRow {
  const wrong = Object.entries(IS_RIGHT).filter(
    ([key, isSo]) => !isSo(row[key as keyof SummaryRow] as never),
  );
  if (wrong.length === 0) return row;
  const whole = newSummary(row.id, {} as Shop, 0);
  const right = Object.fromEntries(wrong.map(([key]) => [key, whole[key as keyof SummaryRow]]));
  return { ...row, ...right };
}

export interface DesignRow {
  id: string;
  document: Shop;
}

/** A record of a shop's journal; its key is shop, time and id, so that records lie in their order. */
export interface RecordRow<K extends RecordKind = RecordKind> {
  shop: string;
  /** Milliseconds since 1970; 0 for records that have no time. */
  time: number;
  record: JournalRecord<K>;
}

/** The picture of a photo's record. */
export interface PhotoFileRow {
  shop: string;
  id: string;
  bytes: Uint8Array;
}

/** One change of a shop, design and journal alike: enough to undo it and to do it again. */
export interface ChangeRow {
  shop: string;
  position: number;
  label: string;
  design: readonly DocumentChange[];
  inverse: readonly DocumentChange[];
  journal: JournalDiff;
  /** Changes of the same thing in quick succession are one. */
  merge: string | null;
  at: number;
}

/** The summary of a shop that nothing was changed in yet; its document may be damaged. */
export function newSummary(id: string, document: Shop, readings: number): SummaryRow {
  const head: Partial<Shop['shop']> = document?.shop ?? {};
  return {
    id,
    name: typeof head.name === 'string' ? head.name : 'A damaged shop',
    note: typeof head.note === 'string' ? head.note : '',
    units: head.units === 'metric' ? 'metric' : 'us',
    changed: new Date(0).toISOString(),
    deleted: null,
    revision: 0,
    designRevision: 0,
    journalRevision: 0,
    lastDiff: null,
    cursor: 0,
    changes: 0,
    readings,
    renewed: [],
    standing: null,
  };
}
