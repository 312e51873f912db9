'use client';

import {
  fromSI,
  type LogAnalysis,
  type QuantityKind,
  type Reading,
  type ReadingVerdict,
  STYLES,
  unitSymbol,
  writeNumber,
} from '@frank-gauge/core';
import { format } from 'date-fns';
import { X } from 'lucide-react';
import { useMemo } from 'react';
import { toast } from 'sonner';
import { edit } from '@/store/shop-session';
import { useSolvedShop } from '../frame/solved-shop';
import { undoAloud } from '../frame/undo-aloud';

/** Every reading: as it was taken, what it says of the flow, what the model says, the difference. */
export function ReadingTable({ verdicts }: { readonly verdicts: LogAnalysis['verdicts'] }) {
  const { shop, system } = useSolvedShop();
  const { readings } = shop.log;
  const sorted = useMemo(() => readings.toSorted((a, b) => (a.at < b.at ? 1 : -1)), [readings]);
  if (sorted.length === 0) return null;
  const flow = unitSymbol('flow', system);
  return (
    <table className="w-full border-collapse">
      <caption className="sr-only">Readings, newest first</caption>
      <thead>
        <tr className="border-ink border-b text-right text-[13px] text-quiet [&>th]:px-1.5 [&>th]:py-1 [&>th]:font-normal">
          <th className="text-left">drop</th>
          <th className="hidden text-left lg:table-cell">as read</th>
          <th>measured, {flow}</th>
          <th>predicted</th>
          <th>difference</th>
          <th className="hidden text-left sm:table-cell">which says</th>
          <th className="sr-only">remove</th>
        </tr>
      </thead>
      <tbody>
        {sorted.map((reading, i) => (
          <Row
            key={reading.id}
            reading={reading}
            verdict={verdicts.get(reading.id) ?? null}
            isFirstOfDay={dayOf(reading) !== dayOf(sorted[i - 1])}
          />
        ))}
      </tbody>
    </table>
  );
}

/** The day of a reading in the reader's own calendar. */
const dayOf = (reading: Reading | undefined) =>
  reading ? format(new Date(reading.at), 'd MMMM yyyy') : '';

interface RowProps {
  readonly reading: Reading;
  /** Null until it is compared. */
  readonly verdict: ReadingVerdict | null;
  readonly isFirstOfDay: boolean;
}

function Row({ reading, verdict, isFirstOfDay }: RowProps) {
  const { system, tree } = useSolvedShop();
  const write = (value: number, kind: QuantityKind = 'flow') =>
    writeNumber(value, STYLES[system][kind]);
  const name = tree.drops.find(({ id }) => id === reading.node)?.name ?? `${reading.place} (gone)`;
  const measured = verdict?.measured;
  return (
    <>
      {isFirstOfDay && (
        <tr>
          <th
            colSpan={7}
            scope="rowgroup"
            className="px-1.5 pt-4 pb-1 text-left font-name font-semibold"
          >
            {dayOf(reading)}
          </th>
        </tr>
      )}
      <tr className="border-rule border-b text-right [&>td]:px-1.5 [&>td]:py-1">
        <td className="text-left">
          {name}
          <span className="ml-2 text-[13px] text-quiet">
            {format(new Date(reading.at), 'HH:mm')}
          </span>
        </td>
        <td className="hidden text-left text-[14px] text-quiet lg:table-cell">
          {asRead(reading, system)}
        </td>
        <td className="whitespace-nowrap">
          <strong className="font-semibold text-[16px]">
            {measured?.kind === 'at least' ? '≥ ' : ''}
            {measured ? write(measured.flow) : '…'}
          </strong>
          {measured?.kind === 'value' && (
            <span className="text-[13px] text-quiet"> ±{write(measured.doubt)}</span>
          )}
        </td>
        <td className="whitespace-nowrap">
          {verdict?.kind === 'compared' ? (
            <>
              {write(verdict.predicted)}
              <span className="text-[13px] text-quiet"> ±{write(verdict.predictedDoubt)}</span>
            </>
          ) : (
            '–'
          )}
        </td>
        <td className="whitespace-nowrap">
          {verdict?.kind === 'compared' && verdict.difference !== null ? (
            <>
              {verdict.difference > 0 ? '+' : ''}
              {write(verdict.difference)}
              <span className="text-[13px] text-quiet"> ±{write(verdict.differenceDoubt)}</span>
            </>
          ) : (
            '–'
          )}
        </td>
        <td className="hidden text-left sm:table-cell">
          {verdict && <Verdict result={verdict} />}
        </td>
        <td>
          <RemoveButton reading={reading} name={name} />
        </td>
      </tr>
      {reading.note !== '' && (
        <tr>
          <td colSpan={7} className="px-1.5 pb-1 text-[14px] text-quiet">
            {reading.note}
          </td>
        </tr>
      )}
    </>
  );
}

/** The repeats in the shop's unit, and the diameter they were taken in. */
function asRead(reading: Reading, system: 'us' | 'metric'): string {
  const style = STYLES[system][reading.quantity];
  const repeats = reading.taken.map((one) =>
    one.kind === 'over' ? `> ${writeNumber(one.limit, style)}` : writeNumber(one.value, style),
  );
  const across = fromSI(reading.diameter, STYLES[system].diameter.unit);
  const inside = `${Number(across.toPrecision(4))} ${unitSymbol('diameter', system)}`;
  return `${repeats.join(' · ')} ${unitSymbol(reading.quantity, system)} in ${inside}${reading.spot === 'centre' ? ', centre' : ''}`;
}

function Verdict({ result }: { readonly result: ReadingVerdict }) {
  if (result.kind === 'no prediction')
    return <span className="text-quiet">nothing to compare with</span>;
  const { difference, isShown, predicted, measured } = result;
  if (difference === null) {
    return <span className="text-quiet">over the meter’s range: at least this</span>;
  }
  if (!isShown) return <span className="text-quiet">● no difference shown</span>;
  const share = Math.round((100 * Math.abs(difference)) / predicted);
  return difference < 0 ? (
    <strong className="font-semibold text-starved-text">▼ {share} % short</strong>
  ) : (
    <span>
      ▲ {measured.kind === 'at least' ? 'at least ' : ''}
      {share} % more
    </span>
  );
}

function RemoveButton({ reading, name }: { readonly reading: Reading; readonly name: string }) {
  return (
    <button
      type="button"
      aria-label={`Remove the reading at ${name}`}
      title="Remove"
      className="grid size-11 place-items-center text-quiet hover:bg-selection hover:text-ink md:size-7"
      onClick={() => {
        edit(`remove the reading at ${name}`, ({ log }) => {
          log.readings = log.readings.filter(({ id }) => id !== reading.id);
        });
        toast('Removed a reading', {
          action: { label: 'Undo', onClick: () => void undoAloud() },
        });
      }}
    >
      <X size={15} aria-hidden />
    </button>
  );
}
