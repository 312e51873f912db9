'use client';

import { useMemo } from 'react';
import { useDesign } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import type { PlaceNames } from '@/words/fault-words';

/** What the places of faults are called in the open shop. */
export function usePlaceNames(): PlaceNames {
  const runs = useDesign((shop) => shop.ducts.runs);
  const instruments = useJournal((journal) => journal.instruments);
  return useMemo(
    () => ({
      run: (id) => runs.find((run) => run.id === id)?.name ?? id,
      meter: (id) => instruments.find((each) => each.id === id)?.name ?? 'the meter',
    }),
    [runs, instruments],
  );
}
