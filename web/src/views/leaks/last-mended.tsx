'use client';

import type { ShopEvent } from '@frank-gauge/core/journal';
import { timeOf } from '@frank-gauge/core/journal';
import { formatQuantity } from '@frank-gauge/core/quantity';
import { worthOfEvent } from '@frank-gauge/core/reading';
import { format } from 'date-fns';
import Link from 'next/link';
import { useMemo } from 'react';
import { useDesign, useUnits } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { EVENT_NAMES, percentChange, percentInterval } from '@/words/change-words';
import { useCircumstances } from '../parts/taking/use-circumstances';
import { useReadings } from '../parts/taking/use-readings';
import { usePointName } from './use-point-name';

/** The change that was promised something: what to read again, and what it gained once that was done. */
export function LastMended({ event }: { readonly event: ShopEvent }) {
  const system = useUnits();
  const shopId = useDesign((shop) => shop.id);
  const events = useJournal((journal) => journal.events);
  const { index, isWhole } = useReadings(shopId);
  const by = useCircumstances();
  const pointName = usePointName();
  const worth = useMemo(
    () => (isWhole ? worthOfEvent(event, events, index.byPoint, by) : null),
    [event, events, index, isWhole, by],
  );
  const { overall = null } = worth ?? {};
  const read = new Set(worth?.points.map(({ testPoint }) => testPoint));
  const left = event.promised.filter(({ testPoint }) => !read.has(testPoint));
  return (
    <section aria-label="Mended last" className="mt-3 max-w-prose border-enough border-l-3 pl-2.5">
      <h2 className="text-[18px]">
        {EVENT_NAMES[event.kind].charAt(0).toUpperCase()}
        {EVENT_NAMES[event.kind].slice(1)} on {format(timeOf(event), 'd MMMM yyyy')}
      </h2>
      {event.note !== '' && <p className="text-[14px] text-quiet">{event.note}</p>}
      {left.length > 0 && (
        <>
          <p>Read these drops again, each with only its gate open. The model promises:</p>
          <ul>
            {left.map(({ testPoint, before, after }) => (
              <li key={testPoint} className="flex max-w-sm gap-2">
                <span>{pointName(testPoint)}</span>
                <span className="ml-auto font-figure tabular-nums">
                  {formatQuantity(before, 'flow', system)} → {formatQuantity(after, 'flow', system)}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
      {overall && (
        <p>
          {overall.isSignificant ? (
            <strong
              className={`font-semibold ${overall.ratio < 1 ? 'text-starved-text' : 'text-enough-text'}`}
            >
              {overall.ratio < 1 ? '▼' : '▲'} Gained {percentChange(overall.ratio)} (
              {percentInterval(overall)})
            </strong>
          ) : (
            <span>● No significant difference ({percentInterval(overall)})</span>
          )}
          {worth?.promised != null && ` against ${percentChange(worth.promised)} promised`}.{' '}
          <Link href={`/shop/${shopId}/log/history`} className="underline">
            History
          </Link>
        </p>
      )}
    </section>
  );
}
