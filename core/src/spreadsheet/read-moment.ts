import { isValid, parse, parseISO } from 'date-fns';

/** Which of the first two numbers of a date such as 3/7/2026 is the day. */
export type DateOrder = 'day first' | 'month first';

const NUMBERS = /^(\d{1,2})[./-](\d{1,2})[./-](\d{2}|\d{4})\b/;

/** The order the dates of a column are in; null where none of them tells. */
export function dateOrderOf(dates: readonly string[]): DateOrder | null {
  for (const date of dates) {
    const [, first, second] = NUMBERS.exec(date.trim()) ?? [];
    if (Number(first) > 12) return 'day first';
    if (Number(second) > 12) return 'month first';
    // With dots, as in 3.7.2026, the day is always first.
    if (first !== undefined && /^\d{1,2}\./.test(date.trim())) return 'day first';
  }
  return null;
}

const DATES: Readonly<Record<DateOrder, readonly string[]>> = {
  'day first': ['d.M.y', 'd/M/y', 'd-M-y'],
  'month first': ['M/d/y', 'M-d-y', 'd.M.y'],
};
const NAMED = [
  'MMM d, y',
  'MMM d y',
  'd MMM y',
  'd. MMM y',
  'MMMM d, y',
  'MMMM d y',
  'd MMMM y',
  'd-MMM-y',
  'y/M/d',
  'y.M.d',
];
const TIMES = ['', ' H:mm', ' H:mm:ss', ' h:mm a', ' h:mm:ss a', ', H:mm', ', h:mm a'];

/**
 * A time as tables write one, in the reader's own calendar where it names no zone; a date without an hour is noon.
 * @returns ms since 1970; null: it is no date that is known
 * @example readMoment('11/7/2026 3:20 PM', '', 'month first')
 */
export function readMoment(date: string, time: string, order: DateOrder): number | null {
  const text = `${date.trim()} ${time.trim()}`
    .trim()
    .replace(/\s+/g, ' ')
    .replace(/(\d)([ap]m)\b/i, '$1 $2');
  if (text === '') return null;
  if (/^\d{4}-\d{2}-\d{2}/.test(text)) {
    const hasHour = text.length > 10;
    const at = parseISO(hasHour ? text.replace(' ', 'T') : `${text}T12:00`);
    return isValid(at) ? at.getTime() : lenient(text, order);
  }
  return lenient(text, order);
}

function lenient(text: string, order: DateOrder): number | null {
  for (const dates of [...DATES[order], ...NAMED]) {
    for (const times of TIMES) {
      const at = parse(text, `${dates}${times}`, new Date(2026, 0, 1, 12));
      if (!isValid(at)) continue;
      const year = at.getFullYear();
      if (year < 100) at.setFullYear(year + 2000);
      if (times === '') at.setHours(12);
      return at.getTime();
    }
  }
  return null;
}
