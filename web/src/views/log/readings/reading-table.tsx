'use client';

import type { Reading } from '@frank-gauge/core/journal';
import { type UnitSystem, unitSymbol } from '@frank-gauge/core/quantity';
import type { ReadingOutcome } from '@frank-gauge/core/reading';
import dynamic from 'next/dynamic';
import { memo, useMemo, useRef } from 'react';
import { useDesign, useUnits } from '@/model/use-design';
import { usePointNames } from '../../parts/taking/use-point-names';
import { useReadings } from '../../parts/taking/use-readings';
import { useOpenedReading } from './opened-reading';
import { DayRow, NoteRow, ReadingRow } from './reading-row';
import { rowsByDay } from './rows-by-day';
import { useCompared } from './use-compared';
import { LEAST_COLUMNS, useVirtualRows, type VirtualRows } from './use-virtual-rows';

const ReadingSheet = dynamic(
  () => import('./reading-sheet').then((module) => module.ReadingSheet),
  { loading: () => null },
);

/** Every reading: as it was taken, what it says of the flow, what the model says, the difference. */
export function ReadingTable() {
  const shopId = useDesign((shop) => shop.id);
  const system = useUnits();
  const { readings, isWhole } = useReadings(shopId);
  const rows = useMemo(() => rowsByDay(readings), [readings]);
  const box = useRef<HTMLDivElement>(null);
  const { rows: inSight, above, below, measure } = useVirtualRows(rows, box);
  const wanted = useMemo(
    () => inSight.flatMap(({ row }) => (row.kind === 'reading' ? [row.reading] : [])),
    [inSight],
  );
  const results = useCompared(wanted);
  const names = usePointNames();
  const flow = unitSymbol('flow', system);
  const isOneOpen = useOpenedReading(({ opened }) => opened !== null);
  return (
    <div
      ref={box}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
      tabIndex={0}
      aria-busy={!isWhole}
      className="min-h-0 flex-1 pb-6 [overflow-anchor:none] md:overflow-y-auto"
    >
      {isOneOpen && <ReadingSheet names={names} />}
      {readings.length > 0 && (
        <table aria-rowcount={rows.length + 1} className="w-full table-fixed border-collapse">
          <caption className="sr-only">Readings, newest first</caption>
          <thead className="bg-paper shadow-[inset_0_-1px_0_var(--ink)] md:sticky md:top-0 md:z-1">
            <tr
              aria-rowindex={1}
              className="text-right text-[13px] text-quiet [&>th]:px-1.5 [&>th]:py-1 [&>th]:font-normal"
            >
              <th className="w-[30%] text-left sm:w-[24%] lg:w-[19%]">test point</th>
              <th className="hidden text-left lg:table-cell">as read</th>
              <th className="sm:w-[16%] lg:w-[11%]">measured, {flow}</th>
              <th className="sm:w-[14%] lg:w-[10%]">predicted</th>
              <th className="sm:w-[14%] lg:w-[10%]">difference</th>
              <th className="hidden text-left sm:table-cell lg:w-[19%]">finding</th>
            </tr>
          </thead>
          <tbody>
            <Room height={above} />
            <Rows
              inSight={inSight}
              measure={measure}
              results={results}
              names={names}
              system={system}
            />
            <Room height={below} />
          </tbody>
        </table>
      )}
    </div>
  );
}

interface RowsProps {
  readonly inSight: VirtualRows['rows'];
  readonly measure: VirtualRows['measure'];
  readonly results: ReadonlyMap<Reading, ReadingOutcome>;
  readonly names: ReadonlyMap<string, string>;
  readonly system: UnitSystem;
}

/** Drawn anew for what they show alone: an edit of the design changes none, until they are compared anew. */
const Rows = memo(function Rows({ inSight, measure, results, names, system }: RowsProps) {
  return inSight.map(({ index, row: { kind, key, reading } }) => {
    const place = { index, measure, reading };
    if (kind === 'day') return <DayRow key={key} {...place} />;
    if (kind === 'note') return <NoteRow key={key} {...place} />;
    const result = results.get(reading) ?? null;
    const name = names.get(reading.testPoint) ?? 'an unknown place';
    return <ReadingRow key={key} {...place} {...{ system, result: result, name }} />;
  });
});

/** What rows out of sight would take. */
function Room({ height }: { readonly height: number }) {
  if (height <= 0) return null;
  return (
    <tr aria-hidden>
      <td colSpan={LEAST_COLUMNS} style={{ height }} className="p-0" />
    </tr>
  );
}
