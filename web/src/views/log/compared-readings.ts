'use client';

import { type ComparedReading, compareReadings } from '@frank-gauge/core';
import { useDeferredValue, useMemo } from 'react';
import { useSolvedShop } from '../frame/solved-shop';

/** Readings held against the model, newest first; a moment behind what is being typed. */
export function useCompared(): readonly ComparedReading[] {
  const { shop, tree } = useSolvedShop();
  const laterShop = useDeferredValue(shop);
  const laterTree = useDeferredValue(tree);
  return useMemo(
    () =>
      compareReadings(laterShop, laterTree, laterShop.log.readings).sort((a, b) =>
        a.reading.at < b.reading.at ? 1 : -1,
      ),
    [laterShop, laterTree],
  );
}
