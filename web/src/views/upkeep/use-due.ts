'use client';

import { collectorLoad, worstDrop } from '@frank-gauge/core/analysis';
import { timeOf } from '@frank-gauge/core/journal';
import { filterAtOneFlow } from '@frank-gauge/core/reading';
import {
  careWorths,
  cleaningsLeft,
  type Due,
  duePressure,
  dueThings,
  type UpkeepRecords,
} from '@frank-gauge/core/upkeep';
import { useMemo } from 'react';
import { useDesign, useDropResults } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { useCircumstances } from '../parts/taking/use-circumstances';
import { useReadings } from '../parts/taking/use-readings';

/** So many pressures across the filter make a trend. */
const MOST_PRESSURES = 60;

/** What the collector does at the drop that is furthest short; null: no drop is connected. */
function useLoad() {
  const shop = useDesign();
  const results = useDropResults();
  return useMemo(() => {
    const worst = worstDrop(results);
    return worst && collectorLoad(shop, worst.solution, 'found');
  }, [shop, results]);
}

/** Pressures across the filter at one flow, earliest first; null: none were read. */
function useFilterPressures(): UpkeepRecords['filter'] {
  const id = useDesign((shop) => shop.id);
  const testPoints = useJournal((journal) => journal.testPoints);
  const { index } = useReadings(id);
  const by = useCircumstances();
  return useMemo(() => {
    const filters = new Set(
      testPoints.flatMap((point) =>
        point.at.kind === 'collector' && point.at.tap === 'filter' ? [point.id] : [],
      ),
    );
    const series = filterAtOneFlow(index.byPoint, filters, by, MOST_PRESSURES);
    return (
      series && {
        atFlow: series.atFlow,
        points: series.points.map(({ reading, pressure, uncertainty }) => ({
          ...{ at: timeOf(reading), pressure, uncertainty },
        })),
      }
    );
  }, [index, testPoints, by]);
}

/** What the open shop is to be looked after for, what is due first ahead. */
export function useDue(now: number): readonly Due[] {
  const shop = useDesign();
  const events = useJournal((journal) => journal.events);
  const weighings = useJournal((journal) => journal.weighings);
  const { index } = useReadings(shop.id);
  const load = useLoad();
  const filter = useFilterPressures();
  const lastReading = useMemo(() => {
    const times = [...index.byPoint.values()].flatMap(([latest]) =>
      latest ? [timeOf(latest)] : [],
    );
    return times.length > 0 ? Math.max(...times) : null;
  }, [index]);
  return useMemo(
    () => dueThings(shop, load, { events, weighings, lastReading, filter }, now),
    [shop, load, events, weighings, lastReading, filter, now],
  );
}

/** What the latest cleanings and emptyings brought, and how far cleaning still gets the filter. */
export function useCare() {
  const shop = useDesign();
  const events = useJournal((journal) => journal.events);
  const { index } = useReadings(shop.id);
  const by = useCircumstances();
  const load = useLoad();
  const filter = useFilterPressures();
  return useMemo(() => {
    const points = filter?.points ?? [];
    const { exhaust } = shop.collector;
    const media = exhaust.kind === 'outdoors' ? null : exhaust.filter;
    const due =
      load?.filter && filter && media ? duePressure(load.filter, media, filter.atFlow) : null;
    return {
      worths: careWorths(events, index.byPoint, by, points),
      left: cleaningsLeft(events, points, due),
    };
  }, [shop, events, index, by, load, filter]);
}
