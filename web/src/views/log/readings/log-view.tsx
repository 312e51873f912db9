'use client';

import dynamic from 'next/dynamic';
import { useDuctTree } from '@/model/use-design';
import { ReadingForm } from './reading-form';
import { ReadingTable } from './reading-table';

/** It says nothing before the readings were weighed: what it is drawn with can wait. */
const Saying = dynamic(() => import('./saying').then((module) => module.Saying), {
  loading: () => <p className="mb-3 max-w-prose text-[17px] text-quiet">Comparing the readings…</p>,
});

/** Readings taken with whatever meter there is, each held against the model's own figure. */
export function LogView() {
  const tree = useDuctTree();
  return (
    <div className="grid md:h-full md:grid-cols-[300px_minmax(0,1fr)] md:overflow-hidden">
      <section
        aria-label="New reading"
        className="border-rule px-4 pt-3 pb-6 md:overflow-y-auto md:border-r"
      >
        <h1 className="text-[18px]">New reading</h1>
        {tree.drops.length === 0 ? (
          <p className="mt-2">First connect a machine under Air: readings are taken at drops.</p>
        ) : (
          <ReadingForm />
        )}
      </section>
      <section aria-label="Readings" className="flex min-w-0 flex-col px-4 pt-3 md:overflow-hidden">
        <Saying />
        <ReadingTable />
      </section>
    </div>
  );
}
