'use client';

import { type DocumentChange, type Shop, withChanges } from '@frank-gauge/core/design';
import type { PromisedFlow } from '@frank-gauge/core/reading';
import Dexie from 'dexie';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { engine } from '@/model/engine';
import { useDesign } from '@/model/use-design';
import { database } from '@/storage/database';
import { useSession } from '@/storage/session';

/** An edit of the design that is remembered, and in effect. */
export interface DesignEdit {
  readonly position: number;
  readonly label: string;
  /** ms since 1970 */
  readonly at: number;
  readonly inverse: readonly DocumentChange[];
}

/** So many of the latest are offered. */
const MOST_OFFERED = 30;

/** The latest edits of the design, the last one first. */
export function useDesignEdits(shop: string): readonly DesignEdit[] {
  const cursor = useSession((state) => (state.status === 'open' ? state.cursor : 0));
  const edits = useLiveQuery(
    () =>
      database()
        .history.where('[shop+position]')
        .between([shop, Dexie.minKey], [shop, cursor])
        .reverse()
        .filter(({ design }) => design.length > 0)
        .limit(MOST_OFFERED)
        .toArray()
        .catch(() => []),
    [shop, cursor],
  );
  return edits ?? [];
}

/** `asking`: the engine works; `unknown`: the design has changed too much since to take the edit back. */
export type Promised = readonly PromisedFlow[] | 'asking' | 'unknown' | null;

/** What the model says an edit did to each drop: the present design beside the same without the edit. */
export function usePromise(edit: DesignEdit | null): Promised {
  const after = useDesign();
  const [promised, setPromised] = useState<{ edit: DesignEdit; flows: Promised } | null>(null);
  useEffect(() => {
    if (!edit) return;
    const before: Shop | null = withChanges(after, edit.inverse);
    if (!before) {
      setPromised({ edit, flows: 'unknown' });
      return;
    }
    const asked = engine.ask('promise', (remote) => remote.promise(before, after));
    void asked.outcome.then((outcome) => {
      if (outcome.kind === 'superseded') return;
      const flows = outcome.kind === 'answered' ? outcome.answer : null;
      setPromised({ edit, flows: flows ?? 'unknown' });
    });
    return () => asked.cancel();
  }, [edit, after]);
  if (!edit) return null;
  return promised?.edit === edit ? promised.flows : 'asking';
}
