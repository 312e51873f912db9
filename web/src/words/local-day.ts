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
