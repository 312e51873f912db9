'use client';

import { useEffect, useState } from 'react';
import { database } from '@/storage/database';
import { lastInstrumentAt } from '@/storage/journal-tables';
import { openShopId, useSession } from '@/storage/session';

/** The instrument last used at a test point; null where none was, and until it is known. */
export function useLastInstrument(testPoint: string): string | null {
  const [known, setKnown] = useState<{ readonly at: string; readonly id: string | null } | null>(
    null,
  );
  const stored = useSession((state) => (state.status === 'open' ? state.journalRevision : 0));
  // biome-ignore lint/correctness/useExhaustiveDependencies: the readings are read from storage, which this number counts
  useEffect(() => {
    let isOver = false;
    void lastInstrumentAt(database(), openShopId(), testPoint)
      .catch(() => null)
      .then((id) => {
        if (!isOver) setKnown({ at: testPoint, id });
      });
    return () => {
      isOver = true;
    };
  }, [testPoint, stored]);
  return known?.at === testPoint ? known.id : null;
}
