'use client';

import { type Compared, compareReading, type Reading } from '@frank-gauge/core';
import { useDeferredValue, useMemo } from 'react';
import { useSolvedShop } from '../frame/solved-shop';
import { ReadingForm } from './reading-form';
import { ReadingTable } from './reading-table';
import { Saying } from './saying';

export interface ComparedReading {
  readonly reading: Reading;
  readonly result: Compared;
}

/** Readings held against the model, newest first. */
function useCompared(): readonly ComparedReading[] {
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

/** Readings taken with whatever meter there is, each held against the model's own figure. */
export function LogView() {
  const compared = useCompared();
  const { tree } = useSolvedShop();
  return (
    <div className="grid md:h-full md:grid-cols-[300px_minmax(0,1fr)] md:overflow-hidden">
      <section
        aria-label="New reading"
        className="border-rule px-4 pt-3 pb-6 md:overflow-y-auto md:border-r"
      >
        <h1 className="text-[18px]">New reading</h1>
        {tree.drops.length === 0 ? (
          <p className="mt-2">
            Connect a machine on the Air view first: a reading is taken at a drop.
          </p>
        ) : (
          <ReadingForm />
        )}
      </section>
      <section aria-label="Readings" className="min-w-0 px-4 pt-3 pb-6 md:overflow-y-auto">
        <Saying compared={compared} />
        <ReadingTable compared={compared} />
      </section>
    </div>
  );
}
