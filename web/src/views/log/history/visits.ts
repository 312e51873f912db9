import { type Reading, timeOf } from '@frank-gauge/core/journal';
import { localDay } from '@/words/local-day';

/** All readings of one day. */
export interface Visit {
  /** `2026-11-07`, in the reader's own calendar. */
  readonly day: string;
  /** Earliest first. */
  readonly readings: readonly Reading[];
}

/**
 * The days readings were taken on, the latest first. Struck-out readings make no visit.
 * @param readings newest first
 */
export function visitsOf(readings: readonly Reading[]): Visit[] {
  const days = new Map<string, Reading[]>();
  for (const reading of readings) {
    if (reading.struckOut !== null) continue;
    const day = localDay(timeOf(reading));
    const list = days.get(day);
    if (list) list.push(reading);
    else days.set(day, [reading]);
  }
  return [...days]
    .map(([day, list]) => ({ day, readings: list.reverse() }))
    .sort((a, b) => (a.day < b.day ? 1 : -1));
}

/** Readings of a visit by their test point. */
export function byPoint({ readings }: Visit): ReadonlyMap<string, readonly Reading[]> {
  const points = new Map<string, Reading[]>();
  for (const reading of readings) {
    const list = points.get(reading.testPoint);
    if (list) list.push(reading);
    else points.set(reading.testPoint, [reading]);
  }
  return points;
}
