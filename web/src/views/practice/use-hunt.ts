'use client';

import type { DuctTree } from '@frank-gauge/core/design';
import type { Fault } from '@frank-gauge/core/inference';
import {
  type AskedOfMeter,
  beginHunt,
  type HeldAgainst,
  type Hunt,
} from '@frank-gauge/core/practice';
import { arrangeDucts } from '@frank-gauge/core/routing';
import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { engine } from '@/model/engine';
import { keepHunt, practiceRow } from '@/storage/practice-progress';
import type { PracticeSheet } from '@/workers/engine.worker';

/** A practice shop that is open, and how far the hunt in it is. */
export interface OpenHunt extends PracticeSheet {
  readonly id: string;
  readonly tree: DuctTree;
  readonly hunt: Hunt;
  /** Null: no cause was named yet. */
  readonly named: readonly Fault[] | null;
  /** What the readings measured, and what was expected; of new ones a moment later. */
  readonly held: ReadonlyMap<string, HeldAgainst>;
}

export type HuntState =
  | { readonly kind: 'opening' }
  /** No practice shop has that id. */
  | { readonly kind: 'missing' }
  /** The worker broke off. */
  | { readonly kind: 'broken' }
  | { readonly kind: 'open'; readonly open: OpenHunt };

export interface HuntActions {
  readonly change: (hunt: Hunt) => void;
  /** Answers why no reading was taken; null: it was noted. */
  readonly read: (asked: AskedOfMeter) => Promise<string | null>;
  readonly name: (causes: readonly Fault[]) => void;
  readonly startOver: () => void;
}

const NO_HELD: ReadonlyMap<string, HeldAgainst> = new Map();

/** Said once of a page: the hunt goes on in it all the same. */
let isSaid = false;
const cannotKeep = () => {
  if (isSaid) return;
  isSaid = true;
  toast('This browser stores nothing: the hunt is gone when you leave the page.');
};

async function opened(id: string): Promise<HuntState> {
  const [asked, row] = await Promise.all([
    engine.ask('practice', (remote) => remote.practice(id), { isShort: true }).outcome,
    practiceRow(id).catch(() => null),
  ]);
  if (asked.kind !== 'answered') return { kind: 'broken' };
  const arranged = asked.answer && arrangeDucts(asked.answer.shop);
  if (!asked.answer || !arranged?.ok) return { kind: 'missing' };
  return {
    kind: 'open',
    open: {
      ...asked.answer,
      ...{ id, tree: arranged.tree, held: NO_HELD },
      hunt: row?.hunt ?? beginHunt(asked.answer),
      named: row?.named ?? null,
    },
  };
}

/** The hunt in a practice shop, kept on this device at every step. */
export function useHunt(id: string | null): readonly [HuntState, HuntActions] {
  const [state, setState] = useState<HuntState>({ kind: 'opening' });
  useEffect(() => {
    if (id === null) return;
    let isCurrent = true;
    void opened(id).then((next) => {
      if (isCurrent) setState(next);
    });
    return () => {
      isCurrent = false;
    };
  }, [id]);
  const open = state.kind === 'open' ? state.open : null;
  const hunt = open?.hunt ?? null;
  useEffect(() => {
    if (id === null || hunt === null) return;
    const asked = engine.ask('practice held', (remote) => remote.practiceHeld(id, hunt), {
      isShort: true,
    });
    void asked.outcome.then((outcome) => {
      if (outcome.kind !== 'answered' || !outcome.answer) return;
      const held = outcome.answer;
      setState((now) => (now.kind === 'open' ? { ...now, open: { ...now.open, held } } : now));
    });
    return asked.cancel;
  }, [id, hunt]);
  const adopt = (next: Hunt, named: readonly Fault[] | null) => {
    if (!open) return;
    setState({ kind: 'open', open: { ...open, hunt: next, named } });
    keepHunt(open.id, next, named).catch(cannotKeep);
  };
  return [
    state,
    {
      change: (next) => adopt(next, open?.named ?? null),
      name: (causes) => open && adopt(open.hunt, causes),
      startOver: () => open && adopt(beginHunt(open), null),
      read: async (asked) => {
        if (!open) return null;
        const { outcome } = engine.ask(
          'practice reading',
          (remote) => remote.practiceReading(open.id, open.hunt, asked),
          { isShort: true },
        );
        const answered = await outcome;
        if (answered.kind === 'superseded') return null;
        if (answered.kind === 'broken') {
          return 'The reading could not be taken: the browser stopped the calculation. Try again.';
        }
        if (!answered.answer) return 'There is no air to measure there with these gates open.';
        adopt(answered.answer, null);
        return null;
      },
    },
  ];
}
