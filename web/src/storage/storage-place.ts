import { create } from 'zustand';
import { Database, database, replaceDatabase } from './database';

/** Why the browser's storage could not be opened. */
export type Unopened =
  /** The browser refuses it: a private window, or storage blocked in its settings. */
  | { readonly kind: 'refused'; readonly message: string }
  /** A page with an earlier version of the program holds the tables and does not let go of them. */
  | { readonly kind: 'held' }
  /** No answer came. */
  | { readonly kind: 'silent' };

/** Where what is edited is stored. */
export type StoragePlace =
  | { readonly kind: 'opening' }
  | { readonly kind: 'browser' }
  | {
      readonly kind: 'memory';
      readonly why: Unopened;
      /** The browser's storage opened after all: the page, loaded again, finds it. */
      readonly isOpenNow: boolean;
    }
  /** The tables belong to a newer version of the program than this page: it can store nothing. */
  | { readonly kind: 'outdated' };

/** How long another page may take to let go of the tables, and the storage to answer at all, ms. */
const PATIENCE = { held: 1000, silent: 5000 } as const;

/**
 * Opens tables; answers null once they are open, or why they cannot be. Tables that are being brought forward
 * from an earlier version are waited for.
 *
 * @param isOpenAfterAll called where they open after this has answered that they do not
 */
export function openTables(
  db: Database,
  isOpenAfterAll: () => void = () => {},
  patience: { readonly held: number; readonly silent: number } = PATIENCE,
): Promise<Unopened | null> {
  return new Promise((resolve) => {
    let isAnswered = false;
    const answer = (why: Unopened | null) => {
      clearTimeout(silence);
      if (isAnswered && why === null) isOpenAfterAll();
      isAnswered = true;
      resolve(why);
    };
    const silence = setTimeout(() => {
      if (!db.isBringingForward) answer({ kind: 'silent' });
    }, patience.silent);
    db.on('blocked', () => {
      setTimeout(() => {
        if (!db.isOpen() && !db.isBringingForward) answer({ kind: 'held' });
      }, patience.held);
    });
    db.open().then(
      () => answer(null),
      (error: unknown) =>
        answer({
          kind: 'refused',
          message: error instanceof Error ? error.message : String(error),
        }),
    );
  });
}

/** Tables in memory: they are as good as the browser's own, and gone with the page. */
async function memoryTables(): Promise<Database> {
  const { indexedDB, IDBKeyRange } = await import('fake-indexeddb');
  return new Database('frank-gauge-in-memory', undefined, { indexedDB, IDBKeyRange });
}

export const useStoragePlace = create<StoragePlace>(() => ({ kind: 'opening' }));

export const isInMemory = (): boolean => useStoragePlace.getState().kind === 'memory';

/** Something was stored in memory, which is gone once the page is. */
let isMemoryUsed = false;
export const hasOnlyInMemory = (): boolean => isMemoryUsed;

/** Opens the browser's storage, or, where that cannot be, has everything stored in memory from then on. */
export async function findPlace(): Promise<void> {
  const set = (place: StoragePlace) => useStoragePlace.setState(place, true);
  database().onOutdated = () => set({ kind: 'outdated' });
  const why = await openTables(database(), () => {
    const place = useStoragePlace.getState();
    if (place.kind === 'memory') set({ ...place, isOpenNow: true });
  });
  if (useStoragePlace.getState().kind === 'outdated') return;
  if (!why) {
    set({ kind: 'browser' });
    return;
  }
  const memory = await memoryTables();
  memory.summaries.hook('creating', () => {
    isMemoryUsed = true;
  });
  replaceDatabase(memory);
  set({ kind: 'memory', why, isOpenNow: false });
}
