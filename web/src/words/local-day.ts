/**
 * The day of a time in the reader's own calendar, as a date field writes it: `2026-11-07`.
 * @param time ms since 1970
 */
export function localDay(time: number): string {
  const at = new Date(time);
  const two = (part: number) => String(part).padStart(2, '0');
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}

/**
 * When a day begins in the reader's own calendar, ms since 1970; NaN where it is no day.
 * @param day as a date field writes it
 */
export const beginOfDay = (day: string): number => new Date(`${day}T00:00:00`).getTime();

/**
 * When something of a day happened, as far as anyone knows: now, where it is today; else at noon, between what was
 * read the day before and what the day after. A sentence where it is no day, or still to come.
 * @param now ms since 1970
 */
export function dayMoment(day: string, now: number): Date | string {
  const at = day === localDay(now) ? new Date(now) : new Date(beginOfDay(day) + 12 * 3_600_000);
  if (Number.isNaN(at.getTime())) return 'Enter the day it was done.';
  return at.getTime() > now ? 'That day is still to come.' : at;
}
