'use client';

import { NO_DIFF, timeOf, type Weighing } from '@frank-gauge/core/journal';
import { formatShort } from '@frank-gauge/core/quantity';
import { type CaughtShare, catchesOf } from '@frank-gauge/core/reading';
import { format } from 'date-fns';
import { useMemo } from 'react';
import { toast } from 'sonner';
import { useUnits } from '@/model/use-design';
import { apply, useJournal } from '@/storage/session';
import { RemoveButton } from '@/ui/remove-button';
import { undoAction } from '../../frame/undo-aloud';
import { BIN_NAMES } from './bin-names';
import { WeighingForm } from './weighing-form';

/** What the bins held when they were emptied, and what the separator caught of what came. */
export function WeighingsView() {
  const weighings = useJournal((journal) => journal.weighings);
  const catches = useMemo(() => catchesOf(weighings), [weighings]);
  return (
    <div className="grid md:h-full md:grid-cols-[300px_minmax(0,1fr)] md:overflow-hidden">
      <section
        aria-label="New weighing"
        className="border-rule px-4 pt-3 pb-6 md:overflow-y-auto md:border-r"
      >
        <h1 className="text-[18px]">Empty a bin</h1>
        <WeighingForm />
      </section>
      <section
        aria-label="Weighings"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
        tabIndex={0}
        className="min-w-0 px-4 pt-3 pb-6 md:overflow-y-auto"
      >
        <h2 className="text-[18px]">What the separator caught</h2>
        <Caught catches={catches} hasAny={weighings.length > 0} />
        {weighings.length > 0 && <WeighingTable weighings={weighings} />}
      </section>
    </div>
  );
}

const percent = (share: number) => (100 * share).toFixed(1);

/** A share with its interval, which ends at nothing and at everything. */
function shareWords({ share, uncertainty }: CaughtShare): string {
  const low = Math.max(0, share - uncertainty);
  const high = Math.min(1, share + uncertainty);
  return `${percent(share)} % (${percent(low)} to ${percent(high)} %)`;
}

interface CaughtProps {
  readonly catches: ReturnType<typeof catchesOf>;
  readonly hasAny: boolean;
}

function Caught({ catches, hasAny }: CaughtProps) {
  const system = useUnits();
  const { overall, periods, massFlow, open } = catches;
  const last = periods.at(-1);
  if (!overall) {
    return (
      <p className="max-w-prose pt-1 pb-3">
        {hasAny
          ? 'Not known yet: the separator’s bin and the filter’s bin both have to be weighed, or both measured by volume.'
          : 'Weigh what comes out of the separator’s bin each time you empty it, and what comes out below the filter. The share caught follows.'}
      </p>
    );
  }
  return (
    <div className="max-w-prose space-y-1 pt-1 pb-3">
      <p>
        <strong className="font-semibold">{shareWords(overall)}</strong> of what came, by{' '}
        {overall.by}, in {periods.length === 1 ? 'one period' : `${periods.length} periods`}. What
        stays in the filter or passes through it is not counted, so the true share is lower.
      </p>
      {last && periods.length > 1 && <p>In the latest period: {shareWords(last)}.</p>}
      {massFlow !== null && (
        <p>{formatShort(massFlow, 'massFlow', system)} of chips and dust while the machines run.</p>
      )}
      {open > 0 && (
        <p className="text-quiet">
          {open === 1 ? 'One weighing counts' : `${open} weighings count`} once the bin below the
          filter is emptied next.
        </p>
      )}
    </div>
  );
}

function remove(weighing: Weighing): void {
  const name = `weighing of ${BIN_NAMES[weighing.bin].toLowerCase()}`;
  apply(`remove the ${name}`, { ...NO_DIFF, removed: [{ kind: 'weighings', record: weighing }] });
  toast(`Removed: ${name}`, { action: undoAction() });
}

function WeighingTable({ weighings }: { readonly weighings: readonly Weighing[] }) {
  const system = useUnits();
  return (
    <table aria-label="Weighings, newest first" className="w-full max-w-2xl text-left">
      <thead>
        <tr className="border-ink border-b text-[14px] text-quiet">
          <th className="py-1 pr-3 font-normal">Day</th>
          <th className="py-1 pr-3 font-normal">Bin</th>
          <th className="py-1 pr-3 font-normal">Held</th>
          <th className="py-1 pr-3 font-normal">Hours</th>
          <th className="py-1 font-normal">
            <span className="sr-only">Remove</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {weighings.toReversed().map((weighing) => {
          const day = format(timeOf(weighing), 'MMM d, yyyy');
          const { mass, volume, hours, note, isSimulated } = weighing;
          const held = [
            ...(mass === null ? [] : [formatShort(mass, 'mass', system)]),
            ...(volume === null ? [] : [formatShort(volume, 'volume', system)]),
          ];
          return (
            <tr key={weighing.id} className="border-rule border-b align-top">
              <td className="py-1 pr-3 whitespace-nowrap">{day}</td>
              <td className="py-1 pr-3">
                {BIN_NAMES[weighing.bin]}
                {note !== '' && <span className="block text-[14px] text-quiet">{note}</span>}
              </td>
              <td className="py-1 pr-3">
                {held.join(', ')}
                {isSimulated && <span className="block text-[14px] text-quiet">simulated</span>}
              </td>
              <td className="py-1 pr-3">{hours === null ? '' : `${hours} h`}</td>
              <td>
                <RemoveButton
                  label={`Remove the weighing of ${day}`}
                  onClick={() => remove(weighing)}
                />
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
