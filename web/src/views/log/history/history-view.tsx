'use client';

import type { Reading } from '@frank-gauge/core/journal';
import { worthOfEvents } from '@frank-gauge/core/reading';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { useDesign } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { Button } from '@/ui/button';
import { PartLoading } from '@/ui/part-loading';
import { useCircumstances } from '../use-circumstances';
import { usePointNames } from '../use-point-names';
import { useReadings } from '../use-readings';
import { EventForm } from './event-form';
import { EventList } from './event-list';
import { VisitTable } from './visit-table';

const loadTrend = () => import('./trend').then((module) => module.Trend);
const Trend = dynamic(loadTrend, { loading: PartLoading });

const NONE: readonly Reading[] = [];

/** What was changed and what it was worth, visit against visit, and each test point over time. */
export function HistoryView() {
  const shopId = useDesign((shop) => shop.id);
  const { readings: read, isWhole } = useReadings(shopId);
  // Not before all are read: half a log would say something else.
  const readings = isWhole ? read : NONE;
  const events = useJournal((journal) => journal.events);
  const by = useCircumstances();
  const names = usePointNames();
  const [isAdding, setAdding] = useState(false);
  const worths = useMemo(() => worthOfEvents(events, readings, by), [events, readings, by]);
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
        <EventList worths={worths} names={names} />
      </section>
      <section
        aria-label="Readings over time"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
        tabIndex={0}
        className="@container min-w-0 border-rule px-4 pt-3 pb-6 max-xl:border-t md:overflow-y-auto"
      >
        <VisitTable readings={readings} names={names} by={by}>
          <Trend readings={readings} names={names} by={by} />
        </VisitTable>
      </section>
    </div>
  );
}
