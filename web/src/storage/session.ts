'use client';

import { emptyJournal } from '@frank-gauge/core/journal';
import { useStore } from 'zustand';
import { database } from './database';
import type { OpenJournal } from './journal-tables';
import { keepWrites, type Shelf } from './kept-writes';
import type { Session } from './session-state';
import { ShopSession } from './shop-session';
import { findPlace, hasOnlyInMemory, isInMemory } from './storage-place';

/**
 * A place that takes something at once, where the browser lets this page have one. Edits of what is in memory
 * are not kept: they would be taken for edits of what is stored.
 */
function shelf(): Shelf | null {
  if (isInMemory()) return null;
  try {
    return window.localStorage;
  } catch {
    return null;
  }
}

/** The session of this page. */
export const shopSession = new ShopSession(database, () => new Date(), shelf);

export const { edit, record, apply, undo, redo, acknowledgeRenewed } = shopSession;

const sentence = (message: string) => `${message.charAt(0).toUpperCase()}${message.slice(1)}.`;

/** Runs an edit of a field; answers why the shop cannot take it, null where it does. */
export function tryEdit(act: () => void): string | null {
  let why: string | null = null;
  const { onRefused } = shopSession;
  shopSession.onRefused = ({ reason, fault }) => {
    // A limit in the file's own units needs its place; a sentence stands by itself in its field.
    why = fault && !/^\d/.test(fault.message) ? sentence(fault.message) : reason;
  };
  try {
    act();
  } finally {
    shopSession.onRefused = onRefused;
  }
  return why;
}

/** Something of the session, anew whenever it changes. */
export const useSession = <T>(select: (state: Session) => T): T =>
  useStore(shopSession.state, select);

const NO_RECORDS: OpenJournal = emptyJournal();

/** Something of the open shop's journal (all but its readings), anew whenever it changes. */
export const useJournal = <T>(select: (journal: OpenJournal) => T): T =>
  useSession((state) => select(state.status === 'open' ? state.journal : NO_RECORDS));

/** Id of the open shop; empty where none is open. */
export function openShopId(): string {
  const state = shopSession.state.getState();
  return state.status === 'open' ? state.id : '';
}

if (typeof window !== 'undefined') {
  void findPlace();
  // A page that is left keeps what is on its way, at once; one that cannot store it asks before it goes.
  window.addEventListener('pagehide', () => {
    // What is gathered goes on its way, whether or not there is a place to keep it.
    const writes = shopSession.unstored();
    const place = shelf();
    if (place) keepWrites(place, writes);
  });
  window.addEventListener('beforeunload', (event) => {
    if (shopSession.hasUnstored || hasOnlyInMemory()) event.preventDefault();
  });
}
