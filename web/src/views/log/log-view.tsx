'use client';

import type { LogAnalysis } from '@frank-gauge/core';
import { useSolvedShop } from '../frame/solved-shop';
import { ReadingForm } from './reading-form';
import { ReadingTable } from './reading-table';
import { Saying } from './saying';
import { useLogAnalysis } from './use-log-analysis';

const NO_VERDICTS: LogAnalysis['verdicts'] = new Map();

/** Readings taken with whatever meter there is, each held against the model's own figure. */
export function LogView() {
  const { analysis, isBroken } = useLogAnalysis();
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
        <Saying analysis={analysis} isBroken={isBroken} />
        <ReadingTable verdicts={analysis?.verdicts ?? NO_VERDICTS} />
      </section>
    </div>
  );
}
