import { createEvents, type EventAttributes } from 'ics';

/** A day something is due, in words. */
export interface CalendarEntry {
  /** The same for the same thing in the same shop, so that a calendar replaces it. */
  readonly id: string;
  /** ms; the day it lies in where the shop is. */
  readonly at: number;
  readonly title: string;
  readonly about: string;
}

/**
 * Days as an iCalendar file (RFC 5545), each for the whole day.
 * @throws Error where a title or text is no text
 */
export function calendarOf(entries: readonly CalendarEntry[]): string {
  const events = entries.map(({ id, at, title, about }): EventAttributes => {
    const day = new Date(at);
    return {
      uid: `${id}@frank-gauge`,
      productId: 'frank-gauge',
      start: [day.getFullYear(), day.getMonth() + 1, day.getDate()],
      duration: { days: 1 },
      title,
      description: about,
      busyStatus: 'FREE',
    };
  });
  const { error, value } = createEvents(events);
  if (error || !value) throw error ?? new Error('no calendar');
  return value;
}
