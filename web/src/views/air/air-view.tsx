'use client';

import { useDropResults } from '@/model/use-design';
import { choose } from '@/storage/choices';
import { useCommandsOfView, type ViewCommand } from '../frame/view-commands';
import { DropTable } from './drop-table';
import { EmptyAir } from './empty-air';
import { EverySet } from './every-set';
import { Ladder } from './ladder';
import { Ledger } from './ledger';
import { OperatingPoint } from './operating-point';
import { RunList } from './runs/run-list';

const COMMANDS: readonly ViewCommand[] = [
  { name: 'Each drop with only its own gate open', run: () => choose({ rule: 'one' }) },
  { name: 'Every drop with the gates open now', run: () => choose({ rule: 'now' }) },
  { name: 'Show static pressure', run: () => choose({ pressure: 'static' }) },
  { name: 'Show total pressure', run: () => choose({ pressure: 'total' }) },
];

/** What each drop gets, where the pressure goes, and the runs it follows from. */
export function AirView() {
  const results = useDropResults();
  const hasDrops = results.length > 0;
  useCommandsOfView(COMMANDS);
  return (
    <div className="grid md:h-full md:overflow-y-auto lg:grid-cols-[416px_minmax(0,1fr)] xl:grid-cols-[416px_minmax(0,1fr)_256px] xl:overflow-hidden">
      <section
        aria-label="Collector and runs"
        className="order-2 border-rule max-lg:border-t lg:order-1 lg:border-r xl:overflow-y-auto"
      >
        <RunList />
      </section>
      <section
        aria-label="Air"
        className="order-1 min-w-0 px-4 pt-3 pb-6 lg:order-2 xl:overflow-y-auto"
      >
        {hasDrops ? (
          <>
            <Ladder />
            <DropTable />
            <EverySet />
            <OperatingPoint />
          </>
        ) : (
          <EmptyAir />
        )}
      </section>
      <section
        aria-label="Ledger"
        className="order-3 border-rule border-t px-4 pt-3 pb-6 lg:col-span-2 xl:col-span-1 xl:overflow-y-auto xl:border-t-0 xl:border-l"
      >
        <Ledger />
      </section>
    </div>
  );
}
