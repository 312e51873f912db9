'use client';

import { latestAtDistance } from '@frank-gauge/core/analysis';
import { formatShort } from '@frank-gauge/core/quantity';
import { timesOfYear, yearOf, yearsOf } from '@frank-gauge/core/upkeep';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { useDesign, useUnits } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { Choice } from '@/ui/choice';
import { PartLoading } from '@/ui/part-loading';
import { moneyText } from '@/words/improvement-words';
import { useCircumstances } from '../parts/taking/use-circumstances';
import { usePointNames } from '../parts/taking/use-point-names';
import { useReadings } from '../parts/taking/use-readings';

const loadTrend = () => import('../parts/trends/trend').then((module) => module.Trend);
const Trend = dynamic(loadTrend, { loading: PartLoading });

/** A year on one page: hours, wood, filters, money, noise. */
export function YearSection({ now }: { readonly now: number }) {
  const system = useUnits();
  const shop = useDesign();
  const events = useJournal((journal) => journal.events);
  const weighings = useJournal((journal) => journal.weighings);
  const sounds = useJournal((journal) => journal.sounds);
  const years = yearsOf(events, now);
  const [chosen, setChosen] = useState<number | null>(null);
  const year = chosen !== null && years.includes(chosen) ? chosen : (years[0] ?? 0);
  const heard = latestAtDistance(sounds);
  const own = yearOf(shop, { events, weighings }, { year, level: heard?.level ?? null, now });
  const { currency } = shop.shop.money;
  const unknown = 'not known: say above how much the blower runs';
  const lines: readonly (readonly [string, string])[] = [
    [
      'Blower ran, about',
      own.running === null ? unknown : formatShort(own.running, 'duration', system),
    ],
    ['Wood it moved, about', own.dust === null ? unknown : formatShort(own.dust, 'mass', system)],
    ['Bins emptied', times(own.emptied)],
    ['Filter cleaned', times(own.cleaned)],
    ['Filter replaced', times(own.replaced)],
    ['Other changes', `${own.changes}`],
    ['Money noted', moneyText(own.cost, currency)],
    ['Work noted', formatShort(own.hours * 3600, 'duration', system)],
    [
      'Noise on a day of work',
      own.dose === null
        ? 'not known: read the sound level under Collector, Noise'
        : `about ${Math.round(100 * own.dose)} % of what NIOSH recommends at most${own.dose > 1 ? '; wear hearing protection' : ''}`,
    ],
  ];
  return (
    <section aria-label="The year" className="max-w-180 pt-5">
      <div className="flex items-baseline gap-3">
        <h2 className="text-[17px]">The year</h2>
        <span className="w-24">
          <Choice
            label="Year"
            value={`${year}`}
            options={years.map((each) => ({ value: `${each}`, label: `${each}` }))}
            onChange={(value) => setChosen(Number(value))}
          />
        </span>
      </div>
      <dl className="grid grid-cols-[minmax(9rem,auto)_1fr] border-ink border-t text-[15px]">
        {lines.map(([label, value]) => (
          <div key={label} className="col-span-2 grid grid-cols-subgrid border-rule border-b py-1">
            <dt className="text-quiet">{label}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      <YearTrend year={year} />
    </section>
  );
}

/** What was read that year, point by point, with what was changed. */
function YearTrend({ year }: { readonly year: number }) {
  const id = useDesign((shop) => shop.id);
  const { index, isWhole } = useReadings(id);
  const by = useCircumstances();
  const names = usePointNames();
  const within = useMemo(() => timesOfYear(year), [year]);
  if (!isWhole) return null;
  return (
    <div className="pt-3">
      <Trend byPoint={index.byPoint} names={names} by={by} within={within} />
    </div>
  );
}

const times = (count: number): string =>
  count === 0 ? 'not once' : count === 1 ? 'once' : `${count} times`;
