'use client';

import { AssemblyFields } from './assembly-fields';
import { AssemblyLedger } from './assembly-ledger';
import { ChainStrip } from './chain-strip';
import { ChosenCollector, CollectorChoice } from './chosen-collector';
import { ElevationPicture } from './elevation-picture';

/** How a collector stacks: drawn in elevation, with what does not fit and by how much. */
export function ElevationView() {
  return (
    <ChosenCollector>
      <div className="grid grid-cols-1 md:h-full md:grid-cols-[320px_minmax(0,1fr)] md:overflow-y-auto xl:grid-cols-[320px_minmax(0,1fr)_268px] xl:overflow-hidden">
        <section
          aria-label="Parts"
          className="order-2 border-rule md:order-1 md:border-r xl:overflow-y-auto"
        >
          <h1 className="sr-only">Collector assembly</h1>
          <div className="px-2 pt-2">
            <CollectorChoice />
          </div>
          <AssemblyFields />
        </section>
        <section
          aria-label="Elevation"
          className="order-1 flex min-w-0 flex-col gap-1 p-2 md:order-2"
        >
          <ChainStrip />
          <ElevationPicture />
        </section>
        <section
          aria-label="Fit and handling"
          // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
          tabIndex={0}
          className="order-3 border-rule p-3 max-xl:border-t md:col-span-2 xl:col-span-1 xl:overflow-y-auto xl:border-l"
        >
          <AssemblyLedger />
        </section>
      </div>
    </ChosenCollector>
  );
}
