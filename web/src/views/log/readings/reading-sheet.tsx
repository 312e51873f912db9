'use client';

import { NO_DIFF, type Reading, timeOf } from '@frank-gauge/core/journal';
import type { UnitSystem } from '@frank-gauge/core/quantity';
import { type CorrectedReading, type Correction, correctReading } from '@frank-gauge/core/reading';
import { format } from 'date-fns';
import { useState } from 'react';
import { useUnits } from '@/model/use-design';
import { apply, useJournal } from '@/storage/session';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/sheet';
import { TextField } from '@/ui/text-field';
import { CORRECTION_WORDS, HOLD_NAMES } from '@/words/measuring-words';
import { Line } from '../../parts/line';
import { Photos } from '../../parts/photos/photos';
import { asRead, writeQuantity } from '../../parts/taking/as-read';
import { useCircumstances } from '../../parts/taking/use-circumstances';
import { openReading, useOpenedReading } from './opened-reading';

/** Puts another reading in the place of one, with its own line in the history. */
function change(label: string, before: Reading, after: Reading): void {
  apply(label, { ...NO_DIFF, updated: [{ kind: 'readings', before, after }] });
  openReading(after);
}

/** One reading: how the number the meter showed became an airflow, its note, and whether it counts. */
export function ReadingSheet({ names }: { readonly names: ReadonlyMap<string, string> }) {
  const reading = useOpenedReading((state) => state.opened);
  const system = useUnits();
  if (!reading) return null;
  const name = names.get(reading.testPoint) ?? 'an unknown place';
  return (
    <Sheet
      title={`Reading at ${name}`}
      about={`${format(timeOf(reading), 'MMMM d, yyyy, h:mm a')}: ${asRead(reading, system)}`}
      open
      onOpenChange={() => openReading(null)}
    >
      <div className="space-y-4">
        <Steps reading={reading} system={system} />
        <Line label="Note">
          <TextField
            label="Note"
            value={reading.note}
            onChange={(note) => change(`note of ${name}`, reading, { ...reading, note })}
          />
        </Line>
        <Photos of={{ kind: 'reading', id: reading.id }} name={`the reading at ${name}`} />
        <Counting key={reading.id} reading={reading} name={name} />
      </div>
    </Sheet>
  );
}

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;

/** From the meter's number to the airflow, a line a correction. */
function Steps({ reading, system }: { readonly reading: Reading; readonly system: UnitSystem }) {
  const by = useCircumstances()(reading);
  const meterName = useJournal(
    ({ instruments }) =>
      instruments.find(({ id }) => id === reading.instrument)?.name ?? 'a meter nobody described',
  );
  const corrected = correctReading(reading, by);
  const { shown, corrections } = corrected;
  const hold = reading.hold ?? by.instrument?.hold;
  return (
    <section aria-label="From the meter to the airflow">
      <h3 className="font-semibold">From the meter to the airflow</h3>
      <dl className="mt-1 border-rule border-t">
        <div className="flex gap-3 border-rule border-b py-1">
          <dt className="flex-1">
            Shown by {meterName}
            {hold && hold !== 'live' && <span className="text-quiet">, {HOLD_NAMES[hold]}</span>}
          </dt>
          <dd>
            {shown.kind === 'nothing'
              ? 'beyond both ends of its range'
              : `${shown.kind === 'at least' ? '≥ ' : shown.kind === 'at most' ? '≤ ' : ''}${writeQuantity(shown.mean, reading.quantity, system)}`}
          </dd>
        </div>
        {corrections.map((each) => (
          <Step key={each.kind} correction={each} system={system} />
        ))}
      </dl>
      <Interval corrected={corrected} reading={reading} system={system} />
    </section>
  );
}

function Step({
  correction: { kind, before, after, uncertainty },
  system,
}: {
  readonly correction: Correction;
  readonly system: UnitSystem;
}) {
  const { name, why } = CORRECTION_WORDS[kind];
  const isFactor = before.quantity === after.quantity && before.value > 0;
  return (
    <div className="border-rule border-b">
      <dt className="sr-only">{name}</dt>
      <dd>
        <details>
          <summary className="flex min-h-11 cursor-pointer items-center gap-3 md:min-h-8">
            <span aria-hidden className="text-quiet">
              ›
            </span>
            <span className="flex-1">{name}</span>
            {isFactor && (
              <span className="text-[14px] text-quiet">
                × {(after.value / before.value).toFixed(3)}
              </span>
            )}
            <span>{writeQuantity(after.value, after.quantity, system)}</span>
          </summary>
          <p className="pb-2 pl-4 text-[14px] text-quiet">
            {why}
            {uncertainty > 0 && ` It may be off by ${percent(uncertainty)}.`}
          </p>
        </details>
      </dd>
    </div>
  );
}

/** What the interval of the result is made of. */
function Interval({
  corrected: { mean, systematic, meter, quantity },
  reading,
  system,
}: {
  readonly corrected: CorrectedReading;
  readonly reading: Reading;
  readonly system: UnitSystem;
}) {
  if (mean.kind !== 'value' || !(mean.mean > 0)) return null;
  const scatter = mean.spread / mean.mean;
  const whole = Math.hypot(scatter, systematic);
  const steps = Math.sqrt(Math.max(0, systematic ** 2 - meter ** 2));
  if (reading.method === 'relative') {
    return (
      <p className="pt-2">
        Relative: only percentages of other readings at this place, with this meter held this way,
        mean anything. Its repeats scatter by ± {percent(scatter)}.
      </p>
    );
  }
  return (
    <p className="pt-2">
      <strong className="font-semibold">
        {writeQuantity(mean.mean, quantity, system)} ± {percent(whole)}
      </strong>
      , 95 % of the time: {percent(scatter)} from the{' '}
      {mean.count === 1 ? 'usual scatter of a single reading' : `scatter of ${mean.count} repeats`},{' '}
      {percent(meter)} from the meter
      {steps > 0 && `, ${percent(steps)} from the corrections`}.
    </p>
  );
}

/** Nothing is dropped in silence: a reading that does not count any more says why. */
function Counting({ reading, name }: { readonly reading: Reading; readonly name: string }) {
  const [reason, setReason] = useState('');
  const [isRefused, setRefused] = useState(false);
  const { struckOut } = reading;
  if (struckOut) {
    return (
      <section aria-label="Struck out">
        <p>
          Struck out on {format(Date.parse(struckOut.at), 'MMMM d, yyyy')}: {struckOut.reason}
        </p>
        <div className="pt-2">
          <Button
            onClick={() => change(`restore ${name}`, reading, { ...reading, struckOut: null })}
          >
            Count it again
          </Button>
        </div>
      </section>
    );
  }
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        const given = reason.trim();
        setRefused(given === '');
        if (given === '') return;
        const at = new Date().toISOString();
        change(`strike out ${name}`, reading, { ...reading, struckOut: { at, reason: given } });
      }}
    >
      <Line label="Reason">
        <TextField
          saves={false}
          label="Reason to strike it out"
          value={reason}
          placeholder="the gate was not quite open"
          onChange={setReason}
        />
      </Line>
      {isRefused && (
        <p role="alert" className="text-starved-text">
          Enter the reason: a struck-out reading stays in the log with it.
        </p>
      )}
      <div className="pt-2">
        <Button type="submit">Strike out</Button>
      </div>
    </form>
  );
}
