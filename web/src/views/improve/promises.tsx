'use client';

import { timeOf } from '@frank-gauge/core/journal';
import { promisesKept, worthOfEvents } from '@frank-gauge/core/reading';
import { format } from 'date-fns';
import { useMemo } from 'react';
import { useDesign } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { EVENT_NAMES, percentChange, percentInterval } from '@/words/change-words';
import { useCircumstances } from '../parts/taking/use-circumstances';
import { useReadings } from '../parts/taking/use-readings';

/** What the program promised of changes, against what was measured after them. */
export function Promises() {
  const shopId = useDesign((shop) => shop.id);
  const events = useJournal((journal) => journal.events);
  const { index, isWhole } = useReadings(shopId);
  const by = useCircumstances();
  const record = useMemo(
    () => (isWhole ? promisesKept(worthOfEvents(events, index.byPoint, by)) : null),
    [events, index, isWhole, by],
  );
  if (!record || record.held.length + record.waiting.length + record.mixed.length === 0)
    return null;
  const { held, waiting, mixed } = record;
  const kept = held.filter(({ isKept }) => isKept).length;
  return (
    <section aria-label="Promises" className="pt-6">
      <h2 className="text-[18px]">Promised and measured</h2>
      <p className="max-w-prose">
        {held.length === 0
          ? 'No promise has been held against readings yet.'
          : `Of ${held.length === 1 ? 'one promise' : `${held.length} promises`} held against readings, ${kept === held.length ? (kept === 1 ? 'it lies' : 'all lie') : `${kept} ${kept === 1 ? 'lies' : 'lie'}`} within what was measured.`}
      </p>
      <ul className="border-rule border-t empty:hidden">
        {held.map(({ event, promised, measured, isKept }) => (
          <li key={event.id} className="border-rule border-b py-1">
            <span className="font-semibold">{format(timeOf(event), 'd MMM yyyy')}</span>{' '}
            {event.note || EVENT_NAMES[event.kind]}
            <span className="block text-[14px] text-quiet">
              {isKept ? '✓' : '▼'} Promised {percentChange(promised)}, measured{' '}
              {percentChange(measured.ratio)} ({percentInterval(measured)}).
            </span>
          </li>
        ))}
      </ul>
      {waiting.length > 0 && (
        <p className="text-[14px] text-quiet">
          Still to be read again:{' '}
          {waiting
            .map((event) => `${EVENT_NAMES[event.kind]}, ${format(timeOf(event), 'd MMM yyyy')}`)
            .join('; ')}
          .
        </p>
      )}
      {mixed.length > 0 && (
        <p className="text-[14px] text-quiet">
          Measured only together with other changes:{' '}
          {mixed
            .map((event) => `${EVENT_NAMES[event.kind]}, ${format(timeOf(event), 'd MMM yyyy')}`)
            .join('; ')}
          .
        </p>
      )}
    </section>
  );
}
