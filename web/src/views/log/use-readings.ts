'use client';

import { startTransition, useEffect, useState } from 'react';
import { database } from '@/storage/database';
import { type ListedReadings, ReadingList } from '@/storage/reading-list';
import { shopSession } from '@/storage/session';

const NOT_YET: ListedReadings = { readings: [], isWhole: false };

/**
 * The readings of the open shop, newest first, as they are read and logged. While they are read they are
 * drawn as the browser has time; what is logged after that shows at once.
 */
export function useReadings(shop: string): ListedReadings {
  const [listed, setListed] = useState(NOT_YET);
  useEffect(() => {
    const list = new ReadingList(database(), shop, shopSession);
    let wasWhole = false;
    const stop = list.state.subscribe((next) => {
      if (wasWhole) setListed(next);
      else startTransition(() => setListed(next));
      wasWhole = next.isWhole;
    });
    return () => {
      stop();
      list.close();
    };
  }, [shop]);
  return listed;
}
