'use client';

import type { Reading } from '@frank-gauge/core/journal';
import type { View } from '@frank-gauge/core/network';
import { formatShort } from '@frank-gauge/core/quantity';
import type { ReadingOutcome } from '@frank-gauge/core/reading';
import { useEffect, useState } from 'react';
import { engine } from '@/model/engine';
import { airPart } from '@/model/shop-parts';
import { useDesign, useUnits } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { percentChange, percentInterval } from '@/words/change-words';
import type { Visit } from './visits';

interface Props {
  readonly visit: Visit;
  readonly view: View;
  readonly names: ReadonlyMap<string, string>;
}

/** What was read on one visit against what the model says of it, as designed or as found. */
export function ModelTable({ visit, view, names }: Props) {
  const system = useUnits();
  const outcomes = useOutcomes(visit.readings, view);
  const rows = visit.readings.flatMap((reading) => {
    const outcome = outcomes?.get(reading.id);
    return outcome?.kind === 'compared' ? [{ reading, outcome }] : [];
  });
  if (!outcomes) {
    return (
      <p role="status" className="pb-4 text-quiet">
        Asking the model…
      </p>
    );
  }
  if (rows.length === 0) {
    return <p className="pb-4 text-quiet">The model says nothing of what was read then.</p>;
  }
  const flow = (value: number) => formatShort(value, 'flow', system);
  return (
    <table aria-label="Against the model" className="mb-5 w-full border-collapse">
      <thead>
        <tr className="border-ink border-b text-left text-[13px] text-quiet [&>th]:py-1 [&>th]:font-normal">
          <th>test point</th>
          <th className="text-right">model</th>
          <th className="pl-4 text-right">difference</th>
          <th className="pl-4">finding</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ reading, outcome }) => {
          const { measured, predicted, difference, isShown } = outcome;
          const isLess = isShown && difference !== null && difference < 0;
          return (
            <tr key={reading.id} className="border-rule border-b align-top [&>td]:py-1">
              <td>{names.get(reading.testPoint) ?? 'an unknown place'}</td>
              <td className="whitespace-nowrap text-right">{flow(predicted)}</td>
              <td
                className={`whitespace-nowrap pl-4 text-right ${isShown ? 'font-semibold' : 'text-quiet'} ${isLess ? 'text-starved-text' : ''}`}
              >
                {isShown && <span aria-hidden>{isLess ? '▼ ' : '▲ '}</span>}
                {measured.kind === 'value' ? percentChange(measured.flow / predicted) : '–'}
              </td>
              <td className="pl-4 text-[14px] text-quiet">{findingOf(outcome)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** What the difference says, with its interval: the reading's and the model's own uncertainty together. */
function findingOf({
  measured,
  predicted,
  difference,
  differenceUncertainty,
  isShown,
}: Extract<ReadingOutcome, { kind: 'compared' }>): string {
  if (difference === null) return 'The meter reached an end of its range: this says nothing of it.';
  const ratio = measured.flow / predicted;
  const half = differenceUncertainty / predicted;
  const interval = percentInterval({ low: ratio - half, high: ratio + half });
  if (measured.kind !== 'value') {
    return `${measured.kind === 'at least' ? 'At least' : 'At most'} ${percentChange(ratio)}: the meter reached an end of its range.`;
  }
  return isShown ? `${interval}, 95 % of the time.` : `No significant difference (${interval}).`;
}

/** Readings held against one view of the model by the engine; null until they are. */
function useOutcomes(
  readings: readonly Reading[],
  view: View,
): ReadonlyMap<string, ReadingOutcome> | null {
  const part = airPart(useDesign());
  const instruments = useJournal((journal) => journal.instruments);
  const testPoints = useJournal((journal) => journal.testPoints);
  const rounds = useJournal((journal) => journal.rounds);
  const [known, setKnown] = useState<{
    readonly readings: readonly Reading[];
    readonly view: View;
    readonly outcomes: ReadonlyMap<string, ReadingOutcome>;
  } | null>(null);
  useEffect(() => {
    const meters = { instruments, testPoints, rounds };
    const asked = engine.ask('against the model', (remote) =>
      remote.compare(part, meters, readings, view),
    );
    void asked.outcome.then((outcome) => {
      if (outcome.kind !== 'answered') return;
      setKnown({ readings, view, outcomes: outcome.answer ?? new Map() });
    });
    return () => asked.cancel();
  }, [part, instruments, testPoints, rounds, readings, view]);
  return known?.readings === readings && known.view === view ? known.outcomes : null;
}
