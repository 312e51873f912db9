'use client';

import { keyOfPlace, type Means, type NextReading, type Place } from '@frank-gauge/core/inference';
import { formatQuantity } from '@frank-gauge/core/quantity';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { useDuctTree, useUnits } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { Button } from '@/ui/button';
import { PartLoading } from '@/ui/part-loading';
import { instructionOf, nameOfPlace, percentOf, placeName } from '@/words/fault-words';
import { type Leaks, useNextReadings } from '../parts/leaks/use-leaks';
import { usePlaceNames } from '../parts/leaks/use-place-names';

const TakeReading = dynamic(() => import('./take-reading').then((module) => module.TakeReading), {
  loading: PartLoading,
});

const SHOW_AIR = ['vane', 'hot wire', 'pitot'];
/** A reading that is expected to tell less than this is not worth the walk, nats. */
const WORTH_TAKING = 0.05;
/** What suspects expect of a reading is shown for so many of them. */
const OUTCOMES_SHOWN = 5;

/** The reading that would tell most, with what each suspect expects of it, and two others. */
export function MeasureNext({ leaks }: { readonly leaks: Leaks }) {
  const instruments = useJournal((journal) => journal.instruments);
  const [mayOpenDucts, setMayOpenDucts] = useState(true);
  const means = useMemo((): Means => {
    const having = (kinds: readonly string[]) =>
      instruments.find(({ kind }) => kinds.includes(kind))?.id ?? null;
    // Nobody looks for leaks without a meter: one that was not described shows the air.
    const air = having(SHOW_AIR) ?? (instruments.length === 0 ? '' : having(['other']));
    return { air, pressure: having(['manometer']), mayOpenDucts };
  }, [instruments, mayOpenDucts]);
  const next = useNextReadings(leaks, means);
  const worth = next?.filter(({ gain }) => gain >= WORTH_TAKING);
  const [best, ...others] = worth ?? [];
  return (
    <section aria-label="Measure next" className="pt-1">
      <h2 className="text-[18px]">Measure next</h2>
      <label className="flex min-h-11 items-center gap-2 text-[14px] md:min-h-8">
        <input
          type="checkbox"
          checked={mayOpenDucts}
          onChange={(event) => setMayOpenDucts(event.target.checked)}
        />
        I can open a duct or drill a test hole
      </label>
      {!worth ? (
        <p role="status" className="text-quiet">
          Looking for the reading that tells most…
        </p>
      ) : best ? (
        <>
          <Proposed key={JSON.stringify(keyOf(best))} reading={best} isBest />
          {others.length > 0 && (
            <details className="pt-2">
              <summary className="flex min-h-11 cursor-pointer items-center text-quiet md:min-h-7">
                Other readings that would help
              </summary>
              {others.map((each) => (
                <Proposed key={JSON.stringify(keyOf(each))} reading={each} isBest={false} />
              ))}
            </details>
          )}
        </>
      ) : (
        <p>
          No further reading with your meters would tell more. Check the suspects by hand, the first
          one first.
        </p>
      )}
    </section>
  );
}

const keyOf = ({ candidate: { measurand, gatesKey } }: NextReading) => [measurand, gatesKey];

function Proposed({
  reading,
  isBest,
}: {
  readonly reading: NextReading;
  readonly isBest: boolean;
}) {
  const tree = useDuctTree();
  const names = usePlaceNames();
  const all = useMemo(
    () => ({
      ...names,
      drop: (node: string) => tree.drops.find(({ id }) => id === node)?.name ?? node,
      next: (id: string) => {
        const run = tree.upstreamFirst.find((each) => each.id === id);
        const next = run && tree.outOf.get(run.to);
        return next ? next.name : null;
      },
    }),
    [names, tree],
  );
  const { at } = reading.candidate.measurand;
  const isInDuct = at.kind === 'run';
  const [isTaking, setTaking] = useState(false);
  return (
    <div
      className={isBest ? 'border-ink border-l-3 pl-2.5' : 'border-rule border-l-3 pt-1.5 pl-2.5'}
    >
      <p className={isBest ? 'text-[17px]' : ''}>{instructionOf(reading, all)}</p>
      <Expected reading={reading} />
      {isTaking ? (
        <TakeReading
          reading={reading}
          name={nameOfPlace(reading.candidate.measurand.at, all)}
          onDone={() => setTaking(false)}
        />
      ) : (
        <Button look={isBest ? 'solid' : 'plain'} className="mt-2" onClick={() => setTaking(true)}>
          Take this reading
        </Button>
      )}
      {isInDuct && isBest && (
        <p className="pt-1 text-[14px] text-quiet">
          Lock the blower off while you open a duct or drill. Stand on a firm ladder, keep hands and
          sleeves away from the opening once air is drawn in, and close the hole with tape or a
          plug.
        </p>
      )}
    </div>
  );
}

/** Slower air than this does not turn a vane, m/s: an estimate. */
const STILL = 0.4;
/** A place less likely than this expects nothing worth reading. */
const WORTH_READING = 0.005;

/** Where something is wrong by an outcome: nowhere, at one place, or at two at once. */
const placesOf = ({ place, also }: NextReading['outcomes'][number]): Place[] =>
  [place, also].flatMap((each) => each ?? []);

/** What each suspected place expects. */
function Expected({ reading: { outcomes } }: { readonly reading: NextReading }) {
  const names = usePlaceNames();
  const system = useUnits();
  const say = ({ value, speed }: NextReading['outcomes'][number]) => {
    if (speed === null) return formatQuantity(value, 'pressure', system);
    return speed < STILL
      ? 'next to nothing'
      : `${formatQuantity(speed, 'velocity', system)} (${formatQuantity(value, 'flow', system)})`;
  };
  const shown = outcomes
    .filter(({ probability }) => probability > WORTH_READING)
    .slice(0, OUTCOMES_SHOWN);
  return (
    <table className="mt-1 w-full text-[14px]">
      <caption className="text-left text-quiet">Expected</caption>
      <tbody>
        {shown.map((outcome) => (
          <tr key={placesOf(outcome).map(keyOfPlace).join(' + ')} className="border-rule border-t">
            <td className="py-0.5 pr-2">
              if it is{' '}
              {placesOf(outcome)
                .map((place) => placeName(place, names))
                .join(' and ') || 'nothing'}{' '}
              <span className="text-quiet">({percentOf(outcome.probability)})</span>
            </td>
            <td className="py-0.5 text-right font-figure tabular-nums">{say(outcome)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
