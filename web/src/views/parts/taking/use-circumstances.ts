'use client';

import type { Reading } from '@frank-gauge/core/journal';
import { type Circumstances, circumstancesOf } from '@frank-gauge/core/reading';
import { useMemo } from 'react';
import { airPart } from '@/model/shop-parts';
import { useDesign, useDuctTree } from '@/model/use-design';
import { useJournal } from '@/storage/session';

/** What readings are corrected by in the open shop, as it stands; one function as long as that stays. */
export function useCircumstances(): (
  reading: Pick<Reading, 'testPoint' | 'instrument'> & Partial<Pick<Reading, 'round'>>,
) => Circumstances {
  const shop = airPart(useDesign());
  const tree = useDuctTree();
  const instruments = useJournal((journal) => journal.instruments);
  const testPoints = useJournal((journal) => journal.testPoints);
  const rounds = useJournal((journal) => journal.rounds);
  return useMemo(
    () => (reading) => circumstancesOf(reading, shop, tree, { instruments, testPoints, rounds }),
    [shop, tree, instruments, testPoints, rounds],
  );
}
