import { timeOf } from '../journal/journal';
import type { Reading } from '../journal/reading';

/** Readings that count, by the test point they were taken at, the latest first. */
export type ReadingsByPoint = ReadonlyMap<string, readonly Reading[]>;

/**
 * Readings that count, by test point and by day, filled piece by piece as they come out of storage, so that a log of
 * tens of thousands never holds up a frame.
 */
export class ReadingIndex {
  private readonly points = new Map<string, Reading[]>();
  private readonly days = new Map<string, Reading[]>();

  /** @param dayOf the day of a time, in ms since 1970, in the reader's own calendar */
  constructor(private readonly dayOf: (time: number) => string) {}

  get byPoint(): ReadingsByPoint {
    return this.points;
  }

  /** By their day, the latest reading first. */
  get byDay(): ReadonlyMap<string, readonly Reading[]> {
    return this.days;
  }

  /** @param readings newest first, none newer than those that are in it */
  add(readings: readonly Reading[]): void {
    for (const reading of readings) {
      if (reading.struckOut !== null) continue;
      push(this.points, reading.testPoint, reading);
      push(this.days, this.dayOf(timeOf(reading)), reading);
    }
  }
}

/** An index of readings in any order, with days as UTC has them. */
export function indexOf(readings: readonly Reading[]): ReadingIndex {
  const index = new ReadingIndex((time) => new Date(time).toISOString().slice(0, 10));
  index.add(readings.toSorted((a, b) => timeOf(b) - timeOf(a)));
  return index;
}

function push(lists: Map<string, Reading[]>, key: string, reading: Reading): void {
  const list = lists.get(key);
  if (list) list.push(reading);
  else lists.set(key, [reading]);
}

/** How many readings of a list, the latest first, were taken after a time. */
export function countAfter(list: readonly Reading[], time: number): number {
  let [low, high] = [0, list.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    const at = list[middle];
    if (at && timeOf(at) > time) low = middle + 1;
    else high = middle;
  }
  return low;
}
