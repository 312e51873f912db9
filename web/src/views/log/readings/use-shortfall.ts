'use client';

import type { SharedShortfall } from '@frank-gauge/core/reading';
import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import { engine } from '@/model/engine';
import { airPart } from '@/model/shop-parts';
import { useDesign } from '@/model/use-design';
import { database } from '@/storage/database';
import { latestMeasured } from '@/storage/journal-tables';
import { useSession } from '@/storage/session';
import type { EngineApi } from '@/workers/engine.worker';

/** It is traced when edits have rested so long, ms. */
const AFTER_EDIT = 60;

/** What the latest readings share, and whether that could not be found out. */
export interface TracedShortfall {
  /** Of the shop as it was a moment ago; null until the first answer. */
  readonly shared: SharedShortfall | null;
  readonly isBroken: boolean;
}

/** What the latest reading of every drop says, traced by the engine: its answer comes behind an edit. */
export function useShortfall(): TracedShortfall {
  const shop = useDesign();
  const [traced, setTraced] = useState<TracedShortfall>({ shared: null, isBroken: false });
  const part = airPart(shop);
  const stored = useSession((state) => (state.status === 'open' ? state.journalRevision : 0));
  // biome-ignore lint/correctness/useExhaustiveDependencies: the readings are read from storage, which this number counts
  useEffect(() => {
    const trace = async (remote: Remote<EngineApi>): Promise<SharedShortfall | null> => {
      const { meters, readings } = await latestMeasured(database(), part.id);
      return remote.traceShortfall(part, meters, readings);
    };
    let cancel = () => {};
    const ask = () => {
      const asked = engine.ask('shortfall', trace, { isShort: true });
      cancel = asked.cancel;
      void asked.outcome.then((outcome) => {
        if (outcome.kind === 'superseded') return;
        const isBroken = outcome.kind === 'broken';
        setTraced(({ shared }) => ({ shared: isBroken ? shared : outcome.answer, isBroken }));
      });
    };
    const timer = setTimeout(ask, AFTER_EDIT);
    return () => {
      clearTimeout(timer);
      cancel();
    };
  }, [part, stored]);
  return traced;
}
