'use client';

import { type Compared, compareReading, type Reading } from '@frank-gauge/core';
import { useDeferredValue, useMemo } from 'react';
import { useSolvedShop } from '../frame/solved-shop';

export interface ComparedReading {
  readonly reading: Reading;
  readonly result: Compared;
}

/** Readings held against the model, newest first. */
export function useCompared(): readonly ComparedReading[] {
  const { shop, tree } = useSolvedShop();
  const later = useDeferredValue({ shop, tree });
  return useMemo(
    () =>
      later.shop.log.readings
        .map((reading) => ({ reading, result: compareReading(later.shop, later.tree, reading) }))
        .sort((a, b) => (a.reading.at < b.reading.at ? 1 : -1)),
    [later],
  );
}
