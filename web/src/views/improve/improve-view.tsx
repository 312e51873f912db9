'use client';

import dynamic from 'next/dynamic';
import { useDuctTree } from '@/model/use-design';
import { PartLoading } from '@/ui/part-loading';
import { Budget } from './budget';
import { NextSteps } from './next-steps';
import { RankedList } from './ranked-list';
import { useAdvice } from './use-advice';
import { Weights } from './weights';

const Stages = dynamic(() => import('./stages').then((module) => module.Stages), {
  loading: PartLoading,
});
const WhatDecides = dynamic(() => import('./what-decides').then((module) => module.WhatDecides), {
  loading: PartLoading,
});
const Promises = dynamic(() => import('./promises').then((module) => module.Promises), {
  loading: PartLoading,
});
const PriceBook = dynamic(() => import('./price-book').then((module) => module.PriceBook), {
  loading: PartLoading,
});

/** What to do next, what it is worth, and what a budget buys. */
export function ImproveView() {
  const advised = useAdvice();
  const { drops } = useDuctTree();
  const { ranking, packages, state } = advised;
  return (
    <div className="flex flex-col md:grid md:h-full md:grid-cols-[minmax(0,1fr)_380px] md:overflow-hidden">
      <div className="min-w-0 px-4 pt-3 pb-6 md:overflow-y-auto">
        <h1 className="sr-only">Improve</h1>
        {drops.length === 0 ? (
          <p className="max-w-prose text-[17px]">
            First connect a machine under Air: what is worth doing depends on the air it gets.
          </p>
        ) : state === 'broken' ? (
          <p role="alert" className="max-w-prose text-[17px]">
            This could not be worked out: the browser stopped the calculation. Reload the page.
          </p>
        ) : ranking ? (
          <>
            <NextSteps ranking={ranking} isDone={state !== 'working'} />
            <RankedList ranking={ranking} />
            <Stages ranking={ranking} />
            <WhatDecides ranking={ranking} />
            <Promises />
          </>
        ) : state === 'done' ? (
          <p className="max-w-prose text-[17px]">
            No drop has an airflow to improve on: see Air for what keeps the shop from being solved.
          </p>
        ) : (
          <p role="status" className="max-w-prose text-[17px] text-quiet">
            Trying everything that could be done…
          </p>
        )}
      </div>
      <section
        aria-label="Budget and weights"
        className="border-rule px-4 pt-3 pb-6 max-md:border-t md:overflow-y-auto md:border-l"
      >
        {ranking && <Budget ranking={ranking} packages={packages} advised={advised} />}
        <Weights ranking={ranking} />
        <PriceBook />
      </section>
    </div>
  );
}
