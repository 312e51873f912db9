'use client';

import { startTransition, useEffect, useState } from 'react';
import { type KeptReadings, keptReadings, NOTHING_READ } from './kept-readings';

/**
 * The readings of the open shop, newest first, as they are read and logged. While they are read they are
 * drawn as the browser has time; what is logged after that shows at once.
 */
export function useReadings(shop: string): KeptReadings {
  const [listed, setListed] = useState(NOTHING_READ);
  useEffect(() => {
    const kept = keptReadings(shop);
    let { isWhole: wasWhole } = kept.state.getState();
    startTransition(() => setListed(kept.state.getState()));
    const stop = kept.state.subscribe((next) => {
      if (wasWhole) setListed(next);
      else startTransition(() => setListed(next));
      wasWhole = next.isWhole;
    });
    return () => {
      stop();
      kept.leave();
    };
  }, [shop]);
  return listed;
}
