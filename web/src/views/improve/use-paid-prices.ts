import { paidPrices } from '@frank-gauge/core/advice';
import { useMemo } from 'react';
import { useJournal } from '@/storage/session';

/** What was last paid for things, by the changes that are logged. */
export function usePaidPrices() {
  const events = useJournal((journal) => journal.events);
  return useMemo(() => paidPrices(events), [events]);
}
