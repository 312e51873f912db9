'use client';

import { emptyJournal } from '@frank-gauge/core/journal';
import { create, useStore } from 'zustand';
import { database } from './database';
import type { HeldJournal } from './journal-tables';
import type { Session } from './session-state';
import { ShopSession } from './shop-session';

/** The session of this page. */
export const shopSession = new ShopSession(database);

export const { edit, record, apply, undo, redo, acknowledgeRenewed } = shopSession;

/** Something of the session, anew whenever it changes. */
export const useSession = <T>(select: (state: Session) => T): T =>
  useStore(shopSession.state, select);

const NO_RECORDS: HeldJournal = emptyJournal();

/** Something of the open shop's journal (all but its readings), anew whenever it changes. */
export const useJournal = <T>(select: (journal: HeldJournal) => T): T =>
  useSession((state) => select(state.status === 'open' ? state.journal : NO_RECORDS));

/** The stored shops belong to another version of the program than this page: it can store nothing. */
export const useOutdated = create<boolean>(() => false);
database.onOutdated = () => useOutdated.setState(true, true);

/** Id of the open shop; empty where none is open. */
export function openShopId(): string {
  const state = shopSession.state.getState();
  return state.status === 'open' ? state.id : '';
}

if (typeof window !== 'undefined') {
  // A page that is left stores what waits, at once; one that cannot asks before it goes.
  window.addEventListener('pagehide', shopSession.release);
  window.addEventListener('beforeunload', (event) => {
    if (shopSession.hasUnstored) event.preventDefault();
  });
}
