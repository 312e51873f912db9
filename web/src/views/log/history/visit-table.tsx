'use client';

import { type Reading, timeOf } from '@frank-gauge/core/journal';
import type { View } from '@frank-gauge/core/network';
import { compareSides, type SideReadings } from '@frank-gauge/core/reading';
import { format, parseISO } from 'date-fns';
import { type ReactNode, useMemo, useState } from 'react';
import { useJournal } from '@/storage/session';
import { Choice } from '@/ui/choice';
import { comparedWords, percentChange } from '@/words/change-words';
import { ModelTable } from './model-table';
import { NearAndFar } from './near-and-far';
import { byPoint, type Visit, visitsOf } from './visits';

interface Props {
  readonly days: ReadonlyMap<string, readonly Reading[]>;
  readonly names: ReadonlyMap<string, string>;
  readonly by: SideReadings['by'];
  /** What stands between the days and what the chosen one says of near and far. */
  readonly children: ReactNode;
}

/** The most days to choose from, the latest. */
const MOST_LISTED = 120;

const dayName = ({ day, round }: Visit) =>
  round === null
    ? format(parseISO(day), 'MMMM d, yyyy')
    : `round of ${format(timeOf(round), 'MMM d, h:mm a')}${round.by === '' ? '' : `, ${round.by}`}`;

/** What stands in the list of days for the model. */
const MODELS: readonly { readonly value: string; readonly label: string; readonly view: View }[] = [
  { value: 'found', label: 'the model, as found', view: 'found' },
  { value: 'designed', label: 'the model, as designed', view: 'designed' },
];

/** One day's readings against another's, or against the model, test point by test point. */
export function VisitTable({ days, names, by, children }: Props) {
  const rounds = useJournal((journal) => journal.rounds);
  const visits = useMemo(() => visitsOf(days, rounds), [days, rounds]);
  const [chosen, setChosen] = useState<{ before?: string; after?: string }>({});
  const after = visits.find(({ key }) => key === chosen.after) ?? visits[0];
  const before =
    visits.find(({ key }) => key === chosen.before) ??
    visits.find((visit) => visit.round === null && visit !== after);
  // With one visit alone there is the model to hold it against.
  const model =
    MODELS.find(({ value }) => value === chosen.before) ?? (before ? undefined : MODELS[0]);
  if (!after) {
    return (
      <>
        <h2 className="text-[18px]">Day against day</h2>
        <p className="pb-4 text-quiet">
          Read the drops: what they show against the model, and later what has changed, stands here.
        </p>
        {children}
      </>
    );
  }
  const [was, is] = [byPoint(before ?? after), byPoint(after)];
  const points = [...is.keys()].filter((point) => was.has(point));
  const options = visits
    .slice(0, MOST_LISTED)
    .map((visit) => ({ value: visit.key, label: dayName(visit) }));
  return (
    <>
      <h2 className="text-[18px]">Day against day</h2>
      <div className="flex flex-wrap items-center gap-x-2 pb-1">
        <span className="w-44">
          <Choice
            label="Before"
            value={model?.value ?? before?.key ?? ''}
            options={[...options, ...MODELS.map(({ value, label }) => ({ value, label }))]}
            onChange={(day) => setChosen((old) => ({ ...old, before: day }))}
          />
        </span>
        <span className="text-quiet">to</span>
        <span className="w-44">
          <Choice
            label="After"
            value={after.key}
            options={options}
            onChange={(day) => setChosen((old) => ({ ...old, after: day }))}
          />
        </span>
      </div>
      {visits.length > MOST_LISTED && (
        <p className="text-[14px] text-quiet">
          The latest {MOST_LISTED} of {visits.length.toLocaleString('en-US')} days and rounds can be
          chosen.
        </p>
      )}
      {model ? (
        <ModelTable visit={after} view={model.view} names={names} />
      ) : points.length === 0 ? (
        <p className="pb-4 text-quiet">No test point was read both times.</p>
      ) : (
        <table className="mb-5 w-full border-collapse">
          <thead>
            <tr className="border-ink border-b text-left text-[13px] text-quiet [&>th]:py-1 [&>th]:font-normal">
              <th>test point</th>
              <th className="text-right">change</th>
              <th className="pl-4">finding</th>
            </tr>
          </thead>
          <tbody>
            {points.map((point) => {
              const compared = compareSides(
                { readings: was.get(point) ?? [], by },
                { readings: is.get(point) ?? [], by },
              );
              const isShown = compared.kind === 'change' && compared.isSignificant;
              const isLess = isShown && compared.ratio < 1;
              return (
                <tr key={point} className="border-rule border-b align-top [&>td]:py-1">
                  <td>{names.get(point) ?? 'an unknown place'}</td>
                  <td
                    className={`whitespace-nowrap text-right ${isShown ? 'font-semibold' : 'text-quiet'} ${isLess ? 'text-starved-text' : ''}`}
                  >
                    {isShown && <span aria-hidden>{isLess ? '▼ ' : '▲ '}</span>}
                    {compared.kind === 'change' ? percentChange(compared.ratio) : '–'}
                  </td>
                  <td className="pl-4 text-[14px] text-quiet">{comparedWords(compared)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      {children}
      <NearAndFar visit={after} name={dayName(after)} by={by} />
    </>
  );
}
