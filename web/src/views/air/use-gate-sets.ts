'use client';

import type { OverSets, Shop, View } from '@frank-gauge/core';
import { proxy, wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { GateSets } from '@/workers/gate-sets.worker';

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

/** Every set of gates of a shop, solved in a worker that an edit stops and starts anew. */
export function useGateSets(shop: Shop, view: View): Solving {
  const [solving, setSolving] = useState<Solving>({ over: null, done: 0, isBroken: false });
  const { machines, collector, ducts, condition } = shop;
  const { site, rules } = shop.shop;
  // The worker lives outside React: it is started for what the air depends on, and ended with it.
  useEffect(() => {
    setSolving(({ over }) => ({ over, done: 0, isBroken: false }));
    let worker: Worker | null = null;
    // Progress comes by a channel of its own, and may come in behind the answer.
    let isOver = false;
    const finish = (last: Solving) => {
      isOver = true;
      setSolving(last);
    };
    const start = setTimeout(() => {
      worker = new Worker(new URL('../../workers/gate-sets.worker.ts', import.meta.url));
      const breakOff = () => finish({ over: null, done: null, isBroken: true });
      worker.onerror = breakOff;
      const report = proxy((done: number) => {
        if (!isOver) setSolving(({ over }) => ({ over, done, isBroken: false }));
      });
      void wrap<GateSets>(worker)
        .solve(shop, view, report)
        .then((over) => finish({ over, done: null, isBroken: false }), breakOff);
    }, SETTLE);
    return () => {
      clearTimeout(start);
      worker?.terminate();
    };
  }, [machines, collector, ducts, condition, site, rules, view]);
  return solving;
}
