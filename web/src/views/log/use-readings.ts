'use client';

import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import { database } from '@/storage/database';
import { type ListedReadings, ReadingList } from '@/storage/reading-list';
import { shopSession } from '@/storage/session';

const NOT_YET = createStore<ListedReadings>(() => ({ readings: [], isWhole: false }));

/** The readings of the open shop, newest first, as they are read and logged. */
export function useReadings(shop: string): ListedReadings {
  const [list, setList] = useState<ReadingList | null>(null);
  useEffect(() => {
    const made = new ReadingList(database, shop, shopSession);
    setList(made);
    return () => made.close();
  }, [shop]);
  return useStore(list?.state ?? NOT_YET);
}
