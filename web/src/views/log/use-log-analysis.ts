'use client';

import type { LogAnalysis } from '@frank-gauge/core';
import { useEffect, useState } from 'react';
import { engine } from '@/model/engine';
import { airPart } from '@/model/shop-parts';
import { useSolvedShop } from '../frame/solved-shop';

/** What the log says, and whether that could not be found out. */
export interface ReadLog {
  /** Of the shop as it was a moment ago; null until the first answer. */
  readonly analysis: LogAnalysis | null;
  readonly isBroken: boolean;
}

/** The log held against the model by the engine: an edit's answer comes a moment behind it. */
export function useLogAnalysis(): ReadLog {
  const { shop } = useSolvedShop();
  const [read, setRead] = useState<ReadLog>({ analysis: null, isBroken: false });
  const part = airPart(shop);
  const { log } = shop;
  useEffect(() => {
    const logged = { ...part, log };
    const asked = engine.ask('log', (remote) => remote.readLog(logged), { isShort: true });
    void asked.outcome.then((outcome) => {
      if (outcome.kind === 'superseded') return;
      const isBroken = outcome.kind === 'broken';
      setRead(({ analysis }) => ({ analysis: isBroken ? analysis : outcome.answer, isBroken }));
    });
    return () => asked.cancel();
  }, [part, log]);
  return read;
}
