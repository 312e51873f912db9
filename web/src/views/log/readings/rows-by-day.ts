import { type Reading, timeOf } from '@frank-gauge/core/journal';

/** A row of the table of readings: the day that begins, a reading, or the note under it. */
export type LogRow =
  | { readonly kind: 'day'; readonly key: string; readonly reading: Reading }
  | { readonly kind: 'reading' | 'note'; readonly key: string; readonly reading: Reading };

/** The day of a reading in the reader's own calendar, remembered: a journal may have tens of thousands. */
const days = new WeakMap<Reading, number>();

function dayOf(reading: Reading): number {
  const known = days.get(reading);
  if (known !== undefined) return known;
  const at = new Date(timeOf(reading));
  const day = (at.getFullYear() * 12 + at.getMonth()) * 31 + at.getDate();
  days.set(reading, day);
  return day;
}

/** Readings, newest first, as rows under the days they were taken on. */
export function rowsByDay(readings: readonly Reading[]): LogRow[] {
  const rows: LogRow[] = [];
  let day = Number.NaN;
  for (const reading of readings) {
    const { id } = reading;
    if (dayOf(reading) !== day) rows.push({ kind: 'day', key: `day ${id}`, reading });
    day = dayOf(reading);
    rows.push({ kind: 'reading', key: id, reading });
    if (reading.note !== '') rows.push({ kind: 'note', key: `note ${id}`, reading });
  }
  return rows;
}
