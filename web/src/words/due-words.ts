import { formatShort, toSI, type UnitSystem } from '@frank-gauge/core/quantity';

/** A filter that is due later than this is not stated in hours: nobody counts so far. */
const LONG = toSI(2000, 'h');

/** When a filter is due, to its two honest figures; null: no dust reaches it. */
export function dueIn(timeToDue: number | null, system: UnitSystem): string {
  if (timeToDue === null || timeToDue > LONG) return 'a long time';
  const hour = toSI(1, 'h');
  const hours = Number((timeToDue / hour).toPrecision(2));
  return `about ${formatShort(hours * hour, 'duration', system)}`;
}
