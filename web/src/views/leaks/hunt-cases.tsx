'use client';

import { type ShopEvent, timeOf } from '@frank-gauge/core/journal';
import { worthOfEvent } from '@frank-gauge/core/reading';
import { format } from 'date-fns';
import { useMemo } from 'react';
import { useDesign } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { percentChange, percentInterval } from '@/words/change-words';
import { useCircumstances } from '../parts/taking/use-circumstances';
import { useReadings } from '../parts/taking/use-readings';

/** Every hunt that was closed, the latest first: what it was, what mending it promised and what it gained. */
export function HuntCases() {
  const events = useJournal((journal) => journal.events);
  const cases = useMemo(
    () => events.filter(({ isHunt }) => isHunt).sort((a, b) => timeOf(b) - timeOf(a)),
    [events],
  );
  if (cases.length === 0) return null;
  return (
    <section aria-label="Hunts closed" className="pt-5">
      <h2 className="text-[18px]">Hunts closed</h2>
      <ul className="border-rule border-t">
        {cases.map((event) => (
          <Case key={event.id} event={event} events={events} />
        ))}
      </ul>
    </section>
  );
}

function Case({
  event,
  events,
}: {
  readonly event: ShopEvent;
  readonly events: readonly ShopEvent[];
}) {
  const shopId = useDesign((shop) => shop.id);
  const { index, isWhole } = useReadings(shopId);
  const by = useCircumstances();
  const worth = useMemo(
    () => (isWhole ? worthOfEvent(event, events, index.byPoint, by) : null),
    [event, events, index, isWhole, by],
  );
  const promised = worth?.promised ?? null;
  return (
    <li className="border-rule border-b py-1">
      <span className="font-semibold">{format(timeOf(event), 'd MMM yyyy')}</span> {event.note}
      <span className="block text-[14px] text-quiet">
        {worth?.overall
          ? `${worth.overall.isSignificant ? `Gained ${percentChange(worth.overall.ratio)}` : 'No significant difference'} (${percentInterval(worth.overall)})${promised === null ? '' : ` against ${percentChange(promised)} promised`}.`
          : 'Not read again yet.'}
      </span>
    </li>
  );
}
