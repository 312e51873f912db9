import type { Shop } from '../design/schema';
import { DAY } from '../design/usual-upkeep';
import type { EventKind, ShopEvent } from '../journal/event';
import type { Weighing } from '../journal/weighing';

/** What tells when bins were emptied: it was logged, or what they held was weighed. */
export interface Emptied {
  readonly events: readonly ShopEvent[];
  readonly weighings: readonly Weighing[];
}

export type Times = (...kinds: EventKind[]) => readonly number[];

/** Times of the events of some kinds, ms, earliest first; of some that are nearly one the last. */
export const timesOf =
  (events: readonly ShopEvent[]): Times =>
  (...kinds) =>
    apart(events.filter(({ kind }) => kinds.includes(kind)).map(({ at }) => Date.parse(at)));

/**
 * When each bin was emptied, ms, earliest first. Two within hours are one: logged and weighed, say. Without a separator
 * there is one bin, below the filter, whichever it was called.
 */
export function emptyingsOf(
  { collector }: Pick<Shop, 'collector'>,
  { events, weighings }: Emptied,
): { readonly bin: readonly number[]; readonly filterBin: readonly number[] } {
  const times = timesOf(events);
  const weighed = (bin: Weighing['bin']) =>
    weighings.filter((each) => each.bin === bin).map(({ at }) => Date.parse(at));
  const bin = [...times('emptied'), ...weighed('separator')];
  const filterBin = [...times('filter bin emptied'), ...weighed('filter')];
  return collector.separator.kind === 'none'
    ? { bin: [], filterBin: apart([...filterBin, ...bin]) }
    : { bin: apart(bin), filterBin: apart(filterBin) };
}

/** What lies nearer is one, ms: half a day, so that a bin emptied every evening is emptied every day. */
const ONE = (DAY / 2) * 1000;

/** In order; of times that are one the last. */
function apart(times: readonly number[]): number[] {
  const sorted = times.toSorted((a, b) => a - b);
  return sorted.filter((at, i) => (sorted[i + 1] ?? Number.POSITIVE_INFINITY) - at > ONE);
}
