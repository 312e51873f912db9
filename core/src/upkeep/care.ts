import { isEmptying, type ShopEvent } from '../journal/event';
import type { SideReadings } from '../reading/compare-sides';
import { type EventWorth, worthOfEvent } from '../reading/event-worth';
import type { ReadingsByPoint } from '../reading/reading-index';
import { type FilterPressure, type TrendDue, trendDue } from './pressure-trend';

/** What looking after something brought: airflow by the readings around it, pressure across the filter at one flow. */
export interface CareWorth {
  readonly event: ShopEvent;
  readonly airflow: EventWorth['overall'];
  /** Pa, the last before and the first after; null: it was not read on both sides. */
  readonly pressure: { readonly before: number; readonly after: number } | null;
  /** Other changes between the same readings: what is said is of all together. */
  readonly along: number;
}

/** How far cleaning still gets a filter. */
export interface CleaningsLeft {
  /** Pressure after the latest cleaning over what it began with, at one flow. */
  readonly risen: number;
  /** When a cleaning no longer gets it below where it is due; null: not to be told from so few cleanings. */
  readonly worn: TrendDue | null;
}

/** So many are looked at, the latest. */
const MOST = 6;

const isOfFilter = ({ kind }: ShopEvent) => kind === 'cleaned' || kind === 'filter replaced';
const isCare = (event: ShopEvent) => isOfFilter(event) || isEmptying(event.kind);
const timeOf = ({ at }: ShopEvent) => Date.parse(at);

/**
 * What the latest cleanings and emptyings brought, the latest first. The last reading before each is held against the
 * first after it; pressures only as far as no other care of the filter lies between.
 * @param pressures across the filter at one flow, earliest first
 */
export function careWorths(
  events: readonly ShopEvent[],
  byPoint: ReadingsByPoint,
  by: SideReadings['by'],
  pressures: readonly FilterPressure[],
): CareWorth[] {
  const filter = events
    .filter(isOfFilter)
    .map(timeOf)
    .sort((a, b) => a - b);
  return events
    .filter(isCare)
    .toSorted((a, b) => timeOf(b) - timeOf(a))
    .slice(0, MOST)
    .map((event) => {
      const { overall, along } = worthOfEvent(event, events, byPoint, by);
      const pressure = isOfFilter(event) ? around(timeOf(event), filter, pressures) : null;
      return { event, airflow: overall, pressure, along: along.length };
    });
}

/** Pressures just before and after a time, with no other of `times` between. */
function around(time: number, times: readonly number[], pressures: readonly FilterPressure[]) {
  const since = times.findLast((other) => other < time) ?? Number.NEGATIVE_INFINITY;
  const until = times.find((other) => other > time) ?? Number.POSITIVE_INFINITY;
  const before = pressures.findLast(({ at }) => at > since && at <= time);
  const after = pressures.find(({ at }) => at > time && at < until);
  return before && after ? { before: before.pressure, after: after.pressure } : null;
}

/**
 * What cleaning leaves in a filter: the pressure just after each cleaning since it was new, and when that gets to where
 * the filter is due, by a straight line through three or more of them. Then only a new one helps. Null: fewer than two
 * were read.
 * @param due Pa at the same flow; null: not known
 */
export function cleaningsLeft(
  events: readonly ShopEvent[],
  pressures: readonly FilterPressure[],
  due: number | null,
): CleaningsLeft | null {
  const times = events
    .filter(isOfFilter)
    .map(timeOf)
    .sort((a, b) => a - b);
  const replaced = events.filter(({ kind }) => kind === 'filter replaced').map(timeOf);
  const fresh = Math.max(Number.NEGATIVE_INFINITY, ...replaced);
  const own = pressures.filter(({ at }) => at > fresh);
  // What it began with, and the first reading after each cleaning.
  const starts = [fresh, ...times.filter((time) => time > fresh)];
  const after = starts.flatMap((start, i) => {
    const until = starts[i + 1] ?? Number.POSITIVE_INFINITY;
    return own.find(({ at }) => at > start && at < until) ?? [];
  });
  const [first, last] = [after[0], after.at(-1)];
  if (!first || !last || after.length < 2) return null;
  return {
    risen: last.pressure / first.pressure,
    worn: due === null ? null : trendDue(after, due),
  };
}
