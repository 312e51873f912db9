'use client';

import { collectorLoad, worstDrop } from '@frank-gauge/core/analysis';
import { timeOf } from '@frank-gauge/core/journal';
import { filterAtOneFlow } from '@frank-gauge/core/reading';
import { type Due, dueThings, type UpkeepRecords } from '@frank-gauge/core/upkeep';
import { useMemo } from 'react';
import { useDesign, useDropResults } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { useCircumstances } from '../parts/taking/use-circumstances';
import { useReadings } from '../parts/taking/use-readings';

/** So many pressures across the filter make a trend. */
const MOST_PRESSURES = 60;

/** What the open shop is to be looked after for, what is due first ahead. */
export function useDue(now: number): readonly Due[] {
  const shop = useDesign();
  const results = useDropResults();
  const events = useJournal((journal) => journal.events);
  const testPoints = useJournal((journal) => journal.testPoints);
  const { index } = useReadings(shop.id);
  const by = useCircumstances();
  const load = useMemo(() => {
    const worst = worstDrop(results);
    return worst && collectorLoad(shop, worst.solution, 'found');
  }, [shop, results]);
  const { lastReading, filter } = useMemo((): Omit<UpkeepRecords, 'events'> => {
    const { byPoint } = index;
    const times = [...byPoint.values()].flatMap(([latest]) => (latest ? [timeOf(latest)] : []));
    const filters = new Set(
      testPoints.flatMap(({ id, at }) =>
        at.kind === 'collector' && at.tap === 'filter' ? [id] : [],
      ),
    );
    const series = filterAtOneFlow(byPoint, filters, by, MOST_PRESSURES);
    return {
      lastReading: times.length > 0 ? Math.max(...times) : null,
      filter: series && {
        atFlow: series.atFlow,
        points: series.points.map(({ reading, pressure, uncertainty }) => ({
          ...{ at: timeOf(reading), pressure, uncertainty },
        })),
      },
    };
  }, [index, testPoints, by]);
  return useMemo(
    () => dueThings(shop, load, { events, lastReading, filter }, now),
    [shop, load, events, lastReading, filter, now],
  );
}
