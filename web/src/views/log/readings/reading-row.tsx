'use client';

import { type Reading, timeOf } from '@frank-gauge/core/journal';
import {
  type QuantityKind,
  STYLES,
  type UnitSystem,
  writeNumber,
} from '@frank-gauge/core/quantity';
import type { ReadingOutcome } from '@frank-gauge/core/reading';
import { format } from 'date-fns';
import { memo } from 'react';
import { asRead } from '../../parts/taking/as-read';
import { openReading } from './opened-reading';
import { LEAST_COLUMNS, ROW_HEIGHTS } from './use-virtual-rows';

interface Props {
  /** Where the row stands in the table, from 0. */
  readonly index: number;
  /** Tells the table how high it is. */
  readonly measure: (element: HTMLElement | null) => void;
  readonly reading: Reading;
}

/** Where a row stands, for the table that measures it and for whoever hears it read. */
const placed = ({ index, measure }: Omit<Props, 'reading'>, kind: keyof typeof ROW_HEIGHTS) => ({
  ref: measure,
  'data-index': index,
  style: { height: ROW_HEIGHTS[kind] },
  // The table's head is the first row.
  'aria-rowindex': index + 2,
});

/** The day of the readings below, in the reader's own calendar. */
export function DayRow({ reading, ...place }: Props) {
  return (
    <tr {...placed(place, 'day')}>
      <th
        colSpan={LEAST_COLUMNS}
        scope="rowgroup"
        className="px-1.5 pt-4 pb-1 text-left font-name font-semibold"
      >
        {format(timeOf(reading), 'MMMM d, yyyy')}
      </th>
    </tr>
  );
}

export function NoteRow({ reading, ...place }: Props) {
  return (
    <tr {...placed(place, 'note')}>
      <td colSpan={LEAST_COLUMNS} className="px-1.5 pb-1 text-[14px] text-quiet">
        {reading.note}
      </td>
    </tr>
  );
}

interface ReadingProps extends Props {
  readonly system: UnitSystem;
  /** What the place is called that it was taken at. */
  readonly name: string;
  /** Null until it is compared. */
  readonly result: ReadingOutcome | null;
}

/** Drawn anew for what it shows alone: an edit of the design changes none, until they are compared anew. */
export const ReadingRow = memo(function ReadingRow({
  reading,
  result,
  system,
  name,
  ...place
}: ReadingProps) {
  const write = (value: number, kind: QuantityKind = 'flow') =>
    writeNumber(value, STYLES[system][kind]);
  const measured = result && result.kind !== 'no flow' ? result.measured : null;
  const isStruckOut = reading.struckOut !== null;
  return (
    <tr
      {...placed(place, 'reading')}
      className="border-rule border-b text-right [&>td]:px-1.5 [&>td]:py-1"
    >
      <td className="text-left">
        <button
          type="button"
          aria-label={`${name}, ${format(timeOf(reading), 'h:mm a')}: open the reading`}
          onClick={() => openReading(reading)}
          className={`min-h-11 text-left underline decoration-rule underline-offset-4 hover:decoration-ink md:min-h-0 ${isStruckOut ? 'line-through' : ''}`}
        >
          {name}
        </button>
        <span className="ml-2 text-[13px] text-quiet">{format(timeOf(reading), 'h:mm a')}</span>
      </td>
      <td className="hidden text-left text-[14px] text-quiet lg:table-cell">
        {asRead(reading, system)}
      </td>
      <td className="whitespace-nowrap">
        <strong className="font-semibold text-[16px]">
          {measured?.kind === 'at least' ? '≥ ' : measured?.kind === 'at most' ? '≤ ' : ''}
          {measured ? write(measured.flow) : result ? '–' : '…'}
        </strong>
        {measured?.kind === 'value' && (
          <span className="text-[13px] text-quiet"> ±{write(measured.uncertainty)}</span>
        )}
      </td>
      <td className="whitespace-nowrap">
        {result?.kind === 'compared' && !isStruckOut ? (
          <>
            {write(result.predicted)}
            <span className="text-[13px] text-quiet"> ±{write(result.predictedUncertainty)}</span>
          </>
        ) : (
          '–'
        )}
      </td>
      <td className="whitespace-nowrap">
        {result?.kind === 'compared' && result.difference !== null && !isStruckOut ? (
          <>
            {result.difference > 0 ? '+' : ''}
            {write(result.difference)}
            <span className="text-[13px] text-quiet"> ±{write(result.differenceUncertainty)}</span>
          </>
        ) : (
          '–'
        )}
      </td>
      <td className="hidden text-left sm:table-cell">
        {reading.struckOut ? (
          <span className="text-quiet">struck out: {reading.struckOut.reason}</span>
        ) : (
          result && <ComparedCell result={result} />
        )}
        {reading.isSimulated && <span className="text-quiet"> simulated</span>}
      </td>
    </tr>
  );
});

function ComparedCell({ result }: { readonly result: ReadingOutcome }) {
  if (result.kind === 'no flow') {
    return (
      <span className="text-quiet">
        {result.why === 'relative' ? 'relative: percentages only' : 'no airflow by itself'}
      </span>
    );
  }
  if (result.kind === 'no prediction')
    return <span className="text-quiet">nothing to compare with</span>;
  const { difference, isShown, predicted, measured } = result;
  if (difference === null) {
    return (
      <span className="text-quiet">
        {measured.kind === 'at most'
          ? 'under the meter’s range: at most this much'
          : 'over the meter’s range: at least this much'}
      </span>
    );
  }
  if (!isShown) return <span className="text-quiet">● no significant difference</span>;
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
