'use client';

import type { OverSets } from '@frank-gauge/core/analysis';
import type { Shop } from '@frank-gauge/core/design';
import type { View } from '@frank-gauge/core/network';
import { proxy } from 'comlink';
import { useEffect, useState } from 'react';
import { type Asked, engine } from '@/model/engine';
import { airPart } from '@/model/shop-parts';

export interface Solving {
  /** Of the shop as it last was solved through; null before the first. */
  readonly over: OverSets | null;
  /** Sets done of the shop as it is now; null when there is nothing left to do. */
  readonly done: number | null;
  /** The worker could not be started or broke off. */
  readonly isBroken: boolean;
}

/** An edit waits this long for the next one before its sets are solved, ms. */
const SETTLE = 150;

/** Every set of gates of a shop, solved by the engine, which an edit stops and starts anew. */
export function useGateSets(shop: Shop, view: View): Solving {
  const [solving, setSolving] = useState<Solving>({ over: null, done: 0, isBroken: false });
  const part = airPart(shop);
  useEffect(() => {
    setSolving(({ over }) => ({ over, done: 0, isBroken: false }));
    let asked: Asked<OverSets | null> | null = null;
    // Progress comes by a channel of its own, and may come in behind the answer.
    let isOver = false;
    const start = setTimeout(() => {
      const report = proxy((done: number) => {
        if (!isOver) setSolving(({ over }) => ({ over, done, isBroken: false }));
      });
      asked = engine.ask<OverSets | null>('gate sets', async (remote) =>
        remote.gateSets(part, view, report),
      );
      void asked.outcome.then((outcome) => {
        if (outcome.kind === 'superseded') return;
        isOver = true;
        setSolving({
          over: outcome.kind === 'answered' ? outcome.answer : null,
          done: null,
          isBroken: outcome.kind === 'broken',
        });
      });
    }, SETTLE);
    return () => {
      isOver = true;
      clearTimeout(start);
      asked?.cancel();
    };
  }, [part, view]);
  return solving;
}
