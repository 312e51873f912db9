'use client';

import { crossOut, type Hunt, type NotedReading } from '@frank-gauge/core/practice';
import { formatQuantity, fromSI, UNITS, type UnitId } from '@frank-gauge/core/quantity';
import { Button } from '@/ui/button';
import { askedName, namesIn } from './practice-names';
import type { OpenHunt } from './use-hunt';

interface Props {
  readonly open: OpenHunt;
  readonly onChange: (hunt: Hunt) => void;
  /** A cause was named: nothing is changed any more. */
  readonly isOver: boolean;
}

/** Every reading as it was written down, beside what the model expects of a sound shop. */
export function Notebook({ open, onChange, isOver }: Props) {
  const { hunt } = open;
  return (
    <section aria-label="Notebook" className="pt-4">
      <h2 className="text-[18px]">Notebook</h2>
      {hunt.readings.length === 0 ? (
        <p className="text-quiet">
          Nothing yet. Open a gate, hold the meter at a drop, and read it. A loss in one drop and
          not in the others says where to go next.
        </p>
      ) : (
        <div className="overflow-x-auto">
          <table className="w-full border-collapse text-[15px]">
            <thead>
              <tr className="border-ink border-b text-left text-[14px] text-quiet">
                <th className="py-1 pr-2 font-normal">#</th>
                <th className="pr-2 font-normal">Place and open gates</th>
                <th className="pr-2 text-right font-normal max-sm:hidden">Written down</th>
                <th className="pr-2 text-right font-normal">Comes to</th>
                <th className="pr-2 text-right font-normal">Expected</th>
                <th className="pr-2 text-right font-normal">Less by</th>
                <th />
              </tr>
            </thead>
            <tbody>
              {hunt.readings.map((noted, i) => (
                <Line
                  key={noted.reading.id}
                  number={i + 1}
                  noted={noted}
                  open={open}
                  onCrossOut={
                    isOver
                      ? null
                      : () => onChange(crossOut(hunt, noted.reading.id, noted.reading.at))
                  }
                />
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

interface LineProps {
  readonly number: number;
  readonly noted: NotedReading;
  readonly open: OpenHunt;
  readonly onCrossOut: (() => void) | null;
}

function Line({ number, noted: { reading }, open, onCrossOut }: LineProps) {
  const { tree, held, shop } = open;
  const names = namesIn(tree);
  const own = held.get(reading.id);
  const { units } = shop.shop;
  const shows = reading.quantity === 'pressure' ? 'pressure' : 'flow';
  const place = askedName({ at: JSON.parse(reading.testPoint), shows }, names);
  const gates = reading.openGates.map((gate) => names.run(gate).replace(/ drop$/, ''));
  const unit = reading.unit as UnitId;
  const numbers = reading.taken.map((each) =>
    fromSI(each.kind === 'value' ? each.value : each.limit, unit),
  );
  const mean = numbers.reduce((sum, each) => sum + each, 0) / numbers.length;
  const less = own && own.expected > 0 ? 1 - own.measured / own.expected : null;
  const format = (value: number) =>
    own ? formatQuantity(value, own.shows === 'flow' ? 'flow' : 'pressure', units) : '';
  const sign = own?.bound === 'at least' ? '≥ ' : own?.bound === 'at most' ? '≤ ' : '';
  const written = `${sign}${mean >= 100 ? mean.toFixed(0) : mean.toFixed(2)} ${UNITS[unit].symbol}`;
  return (
    <tr
      className={`border-rule border-b align-top ${reading.struckOut ? 'text-quiet line-through' : ''}`}
    >
      <td className="py-1 pr-2 font-figure tabular-nums">{number}</td>
      <td className="min-w-40 pr-2">
        {place}
        <span className="block text-[13px] text-quiet">
          {gates.length === 0 ? 'all gates shut' : `open: ${gates.join(', ')}`}
        </span>
        <span className="block font-figure text-[13px] sm:hidden">{written}</span>
      </td>
      <td className="whitespace-nowrap pr-2 text-right font-figure tabular-nums max-sm:hidden">
        {written}
      </td>
      <td className="whitespace-nowrap pr-2 text-right font-figure tabular-nums">
        {own ? `${sign}${format(own.measured)}` : '…'}
      </td>
      <td className="whitespace-nowrap pr-2 text-right font-figure tabular-nums">
        {own ? format(own.expected) : '…'}
      </td>
      <td className="whitespace-nowrap pr-2 text-right font-figure tabular-nums">
        {less === null
          ? ''
          : `${less < 0 ? '+' : ''}${Math.round(Math.abs(100 * less))}\u00a0%${less < 0 ? ' more' : ''}`}
      </td>
      <td className="text-right">
        {onCrossOut && (
          <Button
            look="quiet"
            className="px-1.5 font-normal text-[14px]"
            aria-label={`${reading.struckOut ? 'Count' : 'Cross out'} reading ${number}`}
            onClick={onCrossOut}
          >
            {reading.struckOut ? 'Count' : 'Cross out'}
          </Button>
        )}
      </td>
    </tr>
  );
}
