'use client';

import { useJournal } from '@/storage/session';
import { NoiseLedger } from './noise-ledger';
import { SoundForm } from './sound-form';
import { SoundTable } from './sound-table';

/** How loud it is where people stay, logged and added up over a day. */
export function NoiseView() {
  const isEmpty = useJournal(({ sounds }) => sounds.length === 0);
  return (
    <div className="grid grid-cols-1 md:h-full md:grid-cols-[260px_minmax(0,1fr)] md:overflow-y-auto xl:grid-cols-[260px_minmax(0,1fr)_272px] xl:overflow-hidden">
      <section aria-label="Add a reading" className="border-rule p-3 md:border-r">
        <h1 className="pb-1 text-[17px]">Sound readings</h1>
        <SoundForm />
      </section>
      <section
        aria-label="Readings"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
        tabIndex={0}
        className="@container min-w-0 px-3 pb-4 xl:overflow-y-auto"
      >
        {isEmpty ? (
          <p className="max-w-prose pt-16 text-[17px]">
            Hold a sound meter, or a phone checked against one, at ear height where you work. Add
            what it shows and how many hours a day you are there.
          </p>
        ) : (
          <SoundTable />
        )}
      </section>
      <section
        aria-label="Daily dose"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
        tabIndex={0}
        className="border-rule p-3 max-xl:border-t md:max-xl:col-span-2 xl:overflow-y-auto xl:border-l"
      >
        <NoiseLedger />
      </section>
    </div>
  );
}
