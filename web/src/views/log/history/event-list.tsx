'use client';

import { PRICES } from '@frank-gauge/core/advice';
import { changesAir, isTest, type ShopEvent, timeOf } from '@frank-gauge/core/journal';
import { formatQuantity, formatShort, toSI, unitSymbol } from '@frank-gauge/core/quantity';
import {
  type EventWorth,
  type ReadingsByPoint,
  type SideReadings,
  type WorthAtPoint,
  worthOfEvent,
  worthTogether,
} from '@frank-gauge/core/reading';
import { format } from 'date-fns';
import { memo, useMemo } from 'react';
import { useDesign, useUnits } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { RemoveButton } from '@/ui/remove-button';
import { comparedWords, EVENT_NAMES, percentChange, percentInterval } from '@/words/change-words';
import { Photos } from '../../parts/photos/photos';
import { removeEvent } from '../../parts/tests/remove-event';
import { TestItem } from '../../parts/tests/test-item';

interface Props {
  readonly byPoint: ReadingsByPoint;
  readonly names: ReadonlyMap<string, string>;
  readonly by: SideReadings['by'];
}

/** Every change of the shop, the latest first, with what the readings around it say it was worth. */
export function EventList({ byPoint, names, by }: Props) {
  const events = useJournal((journal) => journal.events);
  // Worked out when asked for, and once: a hundred changes must not hold up a frame.
  const worthOf = useMemo(() => {
    const known = new Map<string, EventWorth>();
    return (event: ShopEvent): EventWorth => {
      const worth = known.get(event.id) ?? worthOfEvent(event, events, byPoint, by);
      known.set(event.id, worth);
      return worth;
    };
  }, [events, byPoint, by]);
  const latestFirst = useMemo(() => events.toSorted((a, b) => timeOf(b) - timeOf(a)), [events]);
  if (events.length === 0) {
    return (
      <p className="max-w-prose text-[17px]">
        No changes logged yet. Read the drops, change one thing, read them again: the log says what
        it was worth.
      </p>
    );
  }
  const changes = latestFirst.filter(({ kind }) => changesAir(kind));
  const tests = latestFirst.filter(({ kind }) => isTest(kind));
  const upkeep = latestFirst.filter(({ kind }) => !changesAir(kind) && !isTest(kind));
  const listed = (some: readonly ShopEvent[]) => (
    <ol className="border-rule border-t">
      {some.map((event) => (
        <EventItem key={event.id} event={event} worthOf={worthOf} names={names} />
      ))}
    </ol>
  );
  return (
    <>
      {changes.length > 0 && listed(changes)}
      <Together events={changes} worthOf={worthOf} />
      {upkeep.length > 0 && (
        // There are many of them, and they seldom change the air.
        <details className="pt-2">
          <summary className="min-h-11 cursor-pointer content-center md:min-h-7">
            Bins emptied, belts and gaskets looked at: {upkeep.length}
          </summary>
          {listed(upkeep)}
        </details>
      )}
      {tests.length > 0 && (
        <details className="pt-2">
          <summary className="min-h-11 cursor-pointer content-center md:min-h-7">
            Tests with light, smoke or a hand: {tests.length}
          </summary>
          <ul className="border-rule border-t">
            {tests.map((test) => (
              <TestItem key={test.id} event={test} />
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

type WorthOf = (event: ShopEvent) => EventWorth;

/** All changes as one, where more than one was measured. */
function Together({
  events,
  worthOf,
}: {
  readonly events: readonly ShopEvent[];
  readonly worthOf: WorthOf;
}) {
  const together = worthTogether(events.map(worthOf));
  return (
    together && (
      <p className="pt-2">
        {together.count} changes together: <strong>{percentChange(together.ratio)}</strong> (
        {percentInterval(together)}). One after another, their ratios multiply.
      </p>
    )
  );
}

interface ItemProps {
  readonly event: ShopEvent;
  readonly worthOf: WorthOf;
  readonly names: ReadonlyMap<string, string>;
}

const EventItem = memo(function EventItem({ event, worthOf, names }: ItemProps) {
  const worth = worthOf(event);
  const { along, points, overall, promised } = worth;
  const money = useDesign((shop) => shop.shop.money.currency);
  const day = format(timeOf(event), 'MMMM d, yyyy');
  const name = EVENT_NAMES[event.kind];
  const facts = [
    ...(event.cost === null ? [] : [`${money} ${event.cost}`]),
    ...(event.bought === null ? [] : [`bought: ${PRICES[event.bought.item].name.toLowerCase()}`]),
    ...(event.edit === null ? [] : [`edit of the design: ${event.edit}`]),
    ...(event.hours === null ? [] : [`${event.hours} h of work`]),
  ];
  return (
    <li className="break-inside-avoid border-rule border-b py-2">
      <div className="flex items-start gap-2">
        <div className="min-w-0 flex-1">
          <h2 className="font-semibold">
            {name.charAt(0).toUpperCase()}
            {name.slice(1)}
            <span className="ml-2 font-normal text-[14px] text-quiet">{day}</span>
          </h2>
          {(facts.length > 0 || event.note !== '') && (
            <p className="text-[14px] text-quiet">
              {[...facts, ...(event.note === '' ? [] : [event.note])].join(' · ')}
            </p>
          )}
        </div>
        <span className="print:hidden">
          <RemoveButton label={`Remove ${name}, ${day}`} onClick={() => removeEvent(event)} />
        </span>
      </div>
      <p className="pt-1">
        {points.length === 0 ? (
          <span className="text-quiet">
            Its worth is not known: no test point was read both before and after it.
          </span>
        ) : overall === null ? (
          <span className="text-quiet">The readings around it do not compare.</span>
        ) : overall.isSignificant ? (
          <strong
            className={`font-semibold ${overall.ratio < 1 ? 'text-starved-text' : 'text-enough-text'}`}
          >
            {overall.ratio < 1 ? '▼' : '▲'} {percentChange(overall.ratio)} (
            {percentInterval(overall)})
          </strong>
        ) : (
          <span>● No significant difference ({percentInterval(overall)})</span>
        )}
        <Gain worth={worth} />
      </p>
      {promised !== null && (
        <p className="text-[14px] text-quiet">The model had promised {percentChange(promised)}.</p>
      )}
      {along.length > 0 && points.length > 0 && (
        <p className="text-[14px] text-quiet">
          Together with: {along.map((other) => EVENT_NAMES[other.kind]).join(', ')}. There were no
          readings between them.
        </p>
      )}
      <Photos of={{ kind: 'event', id: event.id }} name={`${name}, ${day}`} />
      {points.length > 0 && (
        <details className="text-[14px]">
          <summary className="min-h-11 cursor-pointer content-center text-quiet md:min-h-7">
            {points.length === 1 ? 'One test point' : `${points.length} test points`}
          </summary>
          <ul>
            {points.map((point) => (
              <PointItem key={point.testPoint} point={point} names={names} />
            ))}
          </ul>
        </details>
      )}
    </li>
  );
});

/** Airflow gained at a drop in the mean, and what each of it cost. */
function Gain({ worth: { overall, gained, costPerFlow } }: { readonly worth: EventWorth }) {
  const system = useUnits();
  const money = useDesign((shop) => shop.shop.money.currency);
  if (gained === null || !overall?.isSignificant) return null;
  const unit = unitSymbol('flow', system);
  const one = toSI(1, system === 'us' ? 'cfm' : 'm3h');
  return (
    <span className="text-quiet">
      {' '}
      {gained < 0 ? '' : '+'}
      {formatShort(gained, 'flow', system)} at a drop
      {costPerFlow !== null && `, ${money} ${(costPerFlow * one).toFixed(2)} for each ${unit}`}
    </span>
  );
}

function PointItem({
  point: { testPoint, before, after, compared, gained },
  names,
}: {
  readonly point: WorthAtPoint;
  readonly names: ReadonlyMap<string, string>;
}) {
  const system = useUnits();
  const day = (time: number) => format(time, 'MMM d');
  return (
    <li className="flex flex-wrap gap-x-3 border-rule border-t py-1 pl-3">
      <span className="min-w-28">{names.get(testPoint) ?? 'an unknown place'}</span>
      <span className="text-quiet">
        {day(timeOf(before))} to {day(timeOf(after))}
      </span>
      <span className="font-semibold">
        {compared.kind === 'change' ? percentChange(compared.ratio) : '–'}
      </span>
      {gained !== null && (
        <span className="text-quiet">{formatQuantity(gained, 'flow', system)}</span>
      )}
      <span className="basis-full text-quiet">{comparedWords(compared)}</span>
    </li>
  );
}
