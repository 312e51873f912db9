'use client';

import { type Renewal, readShop, type Shop } from '@frank-gauge/core';
import { liveQuery, type Subscription } from 'dexie';
import { enablePatches, type Patch, produceWithPatches } from 'immer';
import { create } from 'zustand';
import { type Change, stepChange, storeChange, type Written } from './change-log';
import { database, type ShopRow } from './database';

enablePatches();

/** The shop that is open. Its document is shown at once as edited and stored right behind. */
export type Session =
  | { readonly status: 'closed' | 'loading' }
  | { readonly status: 'missing'; readonly id: string }
  | {
      readonly status: 'broken';
      readonly id: string;
      readonly reason: string;
      readonly document: unknown;
    }
  | {
      readonly status: 'open';
      readonly id: string;
      readonly shop: Shop;
      readonly saved: 'saved' | 'saving' | 'failed';
      readonly cursor: number;
      readonly changes: number;
      /** Estimates renewed since an older version, not yet acknowledged. */
      readonly renewed: readonly Renewal[];
    };

export type Recipe = (shop: Shop) => void;

interface EditOptions {
  /** Names the thing edited: quick edits of the same one are undone together. */
  readonly merge?: string;
}

export const useSession = create<Session>(() => ({ status: 'closed' }));

/** Id of the open shop; empty where none is open. */
export function openShopId(): string {
  const session = useSession.getState();
  return session.status === 'open' ? session.id : '';
}

/** Replaces the whole state: it is one of several kinds, never a mixture. */
const set = (session: Session) => useSession.setState(session, true);

let watching: { readonly id: string; readonly subscription: Subscription } | null = null;
/** Writes wait for each other; while any waits, news from the database is older than the screen. */
let queue: Promise<unknown> = Promise.resolve();
let waiting = 0;
let known = -1;
/** The screen lacks something that is stored: an undo, or another tab's change. */
let isBehind = false;

/** Opens a shop and follows its changes in other tabs until another is opened or it is closed. */
export function openShop(id: string): void {
  const session = useSession.getState();
  if (session.status === 'open' && session.id === id && watching?.id === id) return;
  closeShop();
  set({ status: 'loading' });
  const subscription = liveQuery(() => database.shops.get(id)).subscribe({
    next: (row) => adopt(id, row),
    error: (error: unknown) =>
      set({
        status: 'broken',
        id,
        reason: `The browser's storage failed: ${String(error)}`,
        document: null,
      }),
  });
  watching = { id, subscription };
}

export function closeShop(): void {
  releaseGathered();
  watching?.subscription.unsubscribe();
  watching = null;
  known = -1;
  isBehind = false;
  set({ status: 'closed' });
}

function adopt(id: string, row: ShopRow | undefined): void {
  if (waiting > 0 || watching?.id !== id) return;
  if (!row || row.deleted !== null) {
    set({ status: 'missing', id });
    return;
  }
  if (row.revision === known) return;
  const isFirst = known < 0;
  known = row.revision;
  // What another tab wrote was valid there; what lay in storage may be older than this program.
  const read = isFirst
    ? readShop(row.document)
    : ({ ok: true, shop: row.document, renewed: [] } as const);
  if (read.ok)
    set({
      status: 'open',
      id,
      shop: read.shop,
      saved: 'saved',
      cursor: row.cursor,
      changes: row.changes,
      renewed: row.renewed ?? read.renewed,
    });
  else {
    const [fault] = read.faults;
    set({
      status: 'broken',
      id,
      reason: `${fault.path || 'the document'}: ${fault.message}`,
      document: row.document,
    });
  }
}

/**
 * Changes the open shop: on screen in this very frame, in storage right behind. A recipe that
 * changes nothing leaves no trace.
 */
export function edit(label: string, recipe: Recipe, { merge }: EditOptions = {}): void {
  const session = useSession.getState();
  if (session.status !== 'open') return;
  const [shop, patches, inverse] = produceWithPatches(session.shop, (draft) => {
    recipe(draft);
  });
  if (patches.length === 0) return;
  set({ ...session, shop, saved: 'saving' });
  if (joinGathered(session.id, merge, patches, inverse)) return;
  const change = { label, patches, inverse, merge: merge ?? null };
  const store = () => storeChange(database, session.id, change, new Date());
  if (merge === undefined) enqueue(session.id, true, store);
  else gather(session.id, change, store);
}

/** Quick edits of one thing are gathered until they rest so long, or have gone on so long, ms. */
const GATHER_REST = 200;
const GATHER_MOST = 2000;

/** Quick edits of one thing, shown already, that will be stored as one: a drag writes once. */
interface Gathered {
  readonly id: string;
  readonly change: Change;
  readonly since: number;
  readonly release: () => void;
  timer: ReturnType<typeof setTimeout>;
}

let gathered: Gathered | null = null;

/** Stores at once what is gathered. */
function releaseGathered(): void {
  const released = gathered;
  if (!released) return;
  clearTimeout(released.timer);
  gathered = null;
  released.release();
}

function gather(id: string, change: Change, store: () => Promise<Written>): void {
  let release = () => {};
  const rested = new Promise<void>((resolve) => {
    release = resolve;
  });
  enqueue(id, true, () => rested.then(store));
  const timer = setTimeout(releaseGathered, GATHER_REST);
  gathered = { id, change, since: performance.now(), release, timer };
}

/** Adds an edit to those of the same thing that wait to be stored; false where none does. */
function joinGathered(
  id: string,
  merge: string | undefined,
  patches: Patch[],
  inverse: Patch[],
): boolean {
  if (merge === undefined || gathered?.id !== id || gathered.change.merge !== merge) return false;
  gathered.change.patches.push(...patches);
  gathered.change.inverse.unshift(...inverse);
  clearTimeout(gathered.timer);
  if (performance.now() - gathered.since > GATHER_MOST) releaseGathered();
  else gathered.timer = setTimeout(releaseGathered, GATHER_REST);
  return true;
}

// A page that is left stores what waits, at once.
if (typeof window !== 'undefined') window.addEventListener('pagehide', releaseGathered);

/** Lets go of the notice of renewed estimates, here and in storage. */
export async function acknowledgeRenewed(): Promise<void> {
  const session = useSession.getState();
  if (session.status !== 'open') return;
  set({ ...session, renewed: [] });
  await database.shops.update(session.id, { renewed: [] });
}

/** Undoes the last change; answers its label, or null where there is none. */
export const undo = (): Promise<string | null> => step(-1);
/** Does the last undone change again. */
export const redo = (): Promise<string | null> => step(1);

async function step(by: -1 | 1): Promise<string | null> {
  const session = useSession.getState();
  if (session.status !== 'open') return null;
  const written = await enqueue(session.id, false, () =>
    stepChange(database, session.id, by, new Date()),
  );
  return written?.ok ? written.label : null;
}

/** Runs a write after those before it; `isShown` says that the screen has its effect already. */
function enqueue(
  id: string,
  isShown: boolean,
  write: () => Promise<Written>,
): Promise<Written | null> {
  releaseGathered();
  waiting++;
  const done = queue.then(write).then(
    (written) => finish(id, isShown, written),
    () => finish(id, isShown, null),
  );
  queue = done;
  return done;
}

/** Adopts what is stored of the shop that is watched. */
function lookAgain(): void {
  if (!watching) return;
  const { id } = watching;
  void database.shops.get(id).then((row) => adopt(id, row));
}

function finish(id: string, isShown: boolean, written: Written | null): Written | null {
  waiting--;
  const session = useSession.getState();
  if (session.status !== 'open' || session.id !== id) {
    // Another shop is being opened: what came of it while this write was on its way was passed over.
    if (waiting === 0) lookAgain();
    return written;
  }
  const saved = waiting === 0 ? 'saved' : 'saving';
  if (!written) {
    set({ ...session, saved: 'failed' });
  } else if (written.ok) {
    const { row } = written;
    isBehind ||= !isShown || row.revision !== known + 1;
    known = row.revision;
    const shop = isBehind && waiting === 0 ? row.document : session.shop;
    if (waiting === 0) isBehind = false;
    // News from another tab that came while this write was on its way was passed over: look again.
    if (waiting === 0) lookAgain();
    set({ ...session, shop, cursor: row.cursor, changes: row.changes, saved });
  } else if (written.reason === 'nothing') {
    set({ ...session, saved });
  } else {
    // What is stored no longer takes this change: show what is stored.
    known = -1;
    lookAgain();
  }
  return written;
}
