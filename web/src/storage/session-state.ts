import type { Shop } from '@frank-gauge/core/design';
import type { Fault, Journal, JournalDiff, Renewal } from '@frank-gauge/core/journal';
import type { OpenJournal } from './journal-tables';
import type { TrayOf } from './rows';

/** The shop that is open. What is edited shows at once and is stored right behind. */
export type Session =
  | { readonly status: 'closed' | 'loading' }
  | { readonly status: 'missing'; readonly id: string }
  | {
      readonly status: 'broken';
      readonly id: string;
      /** What is wrong, and where in the document; at least one thing. */
      readonly faults: readonly Fault[];
      /** As it is stored; null: the storage itself failed. */
      readonly document: unknown;
    }
  | OpenSession;

export interface OpenSession {
  readonly status: 'open';
  readonly id: string;
  readonly shop: Shop;
  /** The journal but for its readings, which may be tens of thousands: those, `ReadingList` reads. */
  readonly journal: OpenJournal;
  readonly readings: number;
  /** Counts what was stored of the journal: another number, other records. */
  readonly journalRevision: number;
  /** `failed` stays until everything that was edited is stored. */
  readonly saved: 'saved' | 'saving' | 'failed';
  readonly cursor: number;
  readonly changes: number;
  /** Estimates renewed since an older version, not yet acknowledged. */
  readonly renewed: readonly Renewal[];
  /** Of what shop this design is a tray; null: it is that shop itself. */
  readonly tray: TrayOf | null;
}

/** An edit that was shown but could not be kept, and why. */
export interface Refusal {
  readonly label: string;
  /** Null: what it changes is no longer there, since another tab took it out. */
  readonly reason: string | null;
  /** What is wrong with what it would come to, where that was seen before it was shown. */
  readonly fault?: Fault;
}

export type Recipe = (shop: Shop) => void;
export type Draft<T> = { -readonly [K in keyof T]: T[K] extends readonly (infer R)[] ? R[] : T[K] };
/** Changes lists of records; `readings` is empty, and takes those to add. */
export type JournalRecipe = (journal: Draft<Journal>) => void;

export interface EditOptions {
  /** Names the thing edited: quick edits of the same one are undone together. */
  readonly merge?: string;
}

/** News of the journal: what changed of it, or that it is to be read anew. */
export type JournalNews = JournalDiff | 'anew';
