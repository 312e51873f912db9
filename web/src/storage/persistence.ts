'use client';

import { create } from 'zustand';
import { shopSession } from './session';
import { useStoragePlace } from './storage-place';

/** Whether the browser has promised to keep what is stored, even when its disk runs short. */
export type Persistence =
  /** There was nothing worth asking for yet. */
  | 'not asked'
  | 'granted'
  /** It may clear what is stored when it needs the room. */
  | 'refused'
  /** This browser makes no such promises. */
  | 'unknown';

export const usePersistence = create<{ readonly persistence: Persistence }>(() => ({
  persistence: 'not asked',
}));

const set = (persistence: Persistence) => usePersistence.setState({ persistence });

/** So many edits of a shop are worth keeping. */
const WORTH_KEEPING = 3;

let isAsked = false;

/** Asks the browser to keep what is stored for good, once in a page's life. */
export async function askToPersist(storage = navigator.storage): Promise<void> {
  if (isAsked) return;
  isAsked = true;
  if (!storage?.persist) {
    set('unknown');
    return;
  }
  const isGranted = await storage.persist().catch(() => false);
  set(isGranted ? 'granted' : 'refused');
}

/**
 * Finds out whether the promise was made earlier, and asks for it as soon as there is work worth keeping; answers
 * what ends that.
 */
export function watchPersistence(): () => void {
  let isOver = false;
  void Promise.resolve(navigator.storage?.persisted?.())
    .catch(() => false)
    .then((isPersisted) => {
      if (!isPersisted || isOver) return;
      isAsked = true;
      set('granted');
    });
  const stop = shopSession.state.subscribe((session) => {
    if (isAsked || session.status !== 'open' || session.changes < WORTH_KEEPING) return;
    if (useStoragePlace.getState().kind === 'browser') void askToPersist();
  });
  return () => {
    isOver = true;
    stop();
  };
}
