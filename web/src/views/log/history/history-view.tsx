'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { useDesign } from '@/model/use-design';
import { Button } from '@/ui/button';
import { PartLoading } from '@/ui/part-loading';
import { useCircumstances } from '../../parts/taking/use-circumstances';
import { usePointNames } from '../../parts/taking/use-point-names';
import { useReadings } from '../../parts/taking/use-readings';
import { EventForm } from './event-form';
import { EventList } from './event-list';
import { VisitTable } from './visit-table';

const loadTrend = () => import('../../parts/trends/trend').then((module) => module.Trend);
const Trend = dynamic(loadTrend, { loading: PartLoading });

/** What was changed and what it was worth, visit against visit, and each test point over time. */
export function HistoryView() {
  const shopId = useDesign((shop) => shop.id);
  // Empty until all are read: half a log would say something else.
  const { index, isWhole } = useReadings(shopId);
  const { byPoint, byDay } = index;
  const by = useCircumstances();
  const names = usePointNames();
  const [isAdding, setAdding] = useState(false);
  return (
    <div className="grid md:h-full md:overflow-hidden xl:grid-cols-2">
      <section
        aria-label="Changes"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
        tabIndex={0}
        className="@container min-w-0 px-4 pt-3 pb-6 md:overflow-y-auto xl:border-rule xl:border-r"
      >
        <div className="flex items-center gap-3">
          <h1 className="text-[18px]">Changes and their worth</h1>
          <Button look="quiet" className="ml-auto print:hidden" onClick={() => window.print()}>
            Print
          </Button>
        </div>
        {isAdding ? (
          <EventForm onDone={() => setAdding(false)} />
        ) : (
          <div className="pt-1 pb-2 print:hidden">
            <Button onClick={() => setAdding(true)}>Add a change</Button>
          </div>
        )}
        <EventList byPoint={byPoint} names={names} by={by} />
      </section>
      <section
        aria-label="Readings over time"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
        tabIndex={0}
        className="@container min-w-0 border-rule px-4 pt-3 pb-6 max-xl:border-t md:overflow-y-auto"
      >
        <VisitTable days={byDay} names={names} by={by}>
          {/* What is drawn first is the test point with most to see: not before all are there. */}
          {isWhole && <Trend byPoint={byPoint} names={names} by={by} />}
        </VisitTable>
      </section>
    </div>
  );
}
