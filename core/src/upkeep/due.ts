import type { CollectorLoad } from '../analysis/collector-load';
import { timeToDue } from '../collector/cake';
import { workingLoading } from '../collector/filter';
import type { Media, Shop } from '../design/schema';
import { WEEK } from '../design/usual-upkeep';
import type { EventKind } from '../journal/event';
import { binLife, filterBinLife } from './bin-life';
import { type Emptied, emptyingsOf, type Times, timesOf } from './emptyings';
import { type Interval, nextInterval, rangeOf } from './interval';
import { type FilterPressure, trendDue } from './pressure-trend';

export type DueKind = 'bin' | 'filter bin' | 'filter' | 'reseal' | 'round' | 'checks';

/** What a day it is due on was worked out from. */
export type DueBy =
  /** The times between those there were. */
  | 'history'
  /** What the shop makes, its bin and its bulking factor; or the cake on its filter. */
  | 'model'
  /** Both. */
  | 'model and history'
  /** What the shop makes, as far as the emptyings of the separator's bin bear it out. */
  | 'model and bin'
  | 'pressure'
  | 'calendar';

/** Something to look after. Times in ms. */
export interface Due {
  readonly kind: DueKind;
  /** When it was last done; null: nobody said. */
  readonly last: number | null;
  /** When it is due, and between what that lies 95 times in 100; null: not known. */
  readonly at: number | null;
  readonly range: { readonly from: number; readonly to: number | null } | null;
  readonly by: DueBy;
  /** How far it has come, 1 when it is due; null: not known. */
  readonly share: number | null;
  /** How long it lasts, s; null: not known, or by the calendar. */
  readonly lasts: number | null;
}

/** What is recorded when it is done. */
export const EVENT_OF: Readonly<Record<Exclude<DueKind, 'round'>, EventKind>> = {
  bin: 'emptied',
  'filter bin': 'filter bin emptied',
  filter: 'cleaned',
  reseal: 'sealed',
  checks: 'checked',
};

/** How far the model of a bin is off before any emptying, standard deviation of ln: bulking, rate and hours; an estimate. */
export const BIN_SPREAD = 0.8;
/** The same of the cake on a filter, whose resistance is known to a factor of a few. */
export const CAKE_SPREAD = 1;
const SECOND = 1000;

export interface UpkeepRecords extends Emptied {
  /** When a drop was last read, ms; null: never. */
  readonly lastReading: number | null;
  /** Pressures across the filter at one flow, earliest first, and that flow, m³/s; null: none. */
  readonly filter: { readonly atFlow: number; readonly points: readonly FilterPressure[] } | null;
}

/** Everything a shop is to be looked after for, what is due first ahead; what nobody knows at the end. */
export function dueThings(
  shop: Shop,
  load: Pick<CollectorLoad, 'filter' | 'separator'> | null,
  records: UpkeepRecords,
  now: number,
): Due[] {
  const times = timesOf(records.events);
  return [
    ...binsDue(shop, records, now),
    ...filterDue(shop, load, records, times('cleaned', 'filter replaced'), now),
    ...resealDue(times),
    byCalendar('round', records.lastReading, shop.upkeep.roundEvery, now),
    byCalendar('checks', times('checked').at(-1) ?? null, shop.upkeep.checkEvery, now),
  ].sort((a, b) => (a.at ?? Number.POSITIVE_INFINITY) - (b.at ?? Number.POSITIVE_INFINITY));
}

const betweenOf = (times: readonly number[]): number[] =>
  times.slice(1).map((at, i) => (at - (times[i] ?? at)) / SECOND);

/** Of time that the blower runs, the time that passes; null: nobody said how much it runs. */
const passing = (running: number | null, { upkeep }: Pick<Shop, 'upkeep'>): number | null =>
  running === null || !upkeep.running ? null : (running * WEEK) / upkeep.running;

/** How many times as long as the model has it the bin lasts, by its emptyings with the model as prior; null: not known. */
function longerThanModel(shop: Shop, emptied: readonly number[]): number | null {
  const typical = passing(binLife(shop)?.running ?? null, shop);
  const observed = betweenOf(emptied);
  if (typical === null || observed.length === 0) return null;
  const next = nextInterval({ typical, spread: BIN_SPREAD }, observed);
  return next && next.typical / typical;
}

/** Both bins. What the separator's says of rate, bulking and hours holds below the filter too, where less is known. */
function binsDue(shop: Shop, records: Emptied, now: number): Due[] {
  const emptied = emptyingsOf(shop, records);
  const [life, filterLife] = [binLife(shop), filterBinLife(shop)];
  const own = (kind: 'bin' | 'filter bin', typical: number | null, times: readonly number[]) =>
    forecast(kind, typical, BIN_SPREAD, betweenOf(times), times.at(-1) ?? null, now);
  const dues = life ? [own('bin', passing(life.running, shop), emptied.bin)] : [];
  if (!filterLife) return dues;
  const model = passing(filterLife.running, shop);
  const longer = life && longerThanModel(shop, emptied.bin);
  // As long as nobody said when it was emptied, the day of the other bin stands: so it was logged in earlier versions.
  const times = emptied.filterBin.length > 0 ? emptied.filterBin : emptied.bin.slice(-1);
  if (model === null || longer === null) return [...dues, own('filter bin', model, times)];
  const corrected = own('filter bin', model * longer, times);
  return [...dues, corrected.by === 'model' ? { ...corrected, by: 'model and bin' } : corrected];
}

function filterDue(
  shop: Shop,
  load: Pick<CollectorLoad, 'filter' | 'separator'> | null,
  { filter: series }: UpkeepRecords,
  cleaned: readonly number[],
  now: number,
): Due[] {
  const { exhaust, dust } = shop.collector;
  const media = exhaust.kind === 'outdoors' ? null : exhaust.filter;
  if (!media) return [];
  const last = cleaned.at(-1) ?? null;
  const due = load?.filter ?? null;
  const running = due
    ? timeToDue(
        media,
        [workingLoading(media, 1), due.dueLoading],
        dust.rate,
        load?.separator.caught ?? 0,
      )
    : null;
  const isKnown = running !== null && Number.isFinite(running) && running > 0;
  const typical = passing(isKnown ? running : null, shop);
  const byTime = forecast('filter', typical, CAKE_SPREAD, betweenOf(cleaned), last, now);
  const trend =
    series && due
      ? trendDue(
          series.points.filter(({ at }) => last === null || at >= last),
          duePressure(due, media, series.atFlow),
        )
      : null;
  // No hours, no cleanings to go by: the calendar.
  const isUnknown = byTime.at === null && byTime.lasts === null;
  if (!trend && isUnknown) return [byCalendar('filter', last, shop.upkeep.filterEvery, now)];
  if (!trend) return [byTime];
  return [
    {
      ...byTime,
      at: trend.at,
      range: { from: trend.from, to: trend.to },
      by: 'pressure',
      share: last === null ? null : shareOf(last, trend.at, now),
    },
  ];
}

/** Pressure across a filter at which it is due, at one flow (m³/s), Pa. */
export const duePressure = (
  { pressure, faceVelocity, dueLoading, loading }: NonNullable<CollectorLoad['filter']>,
  { area }: Pick<Media, 'area'>,
  atFlow: number,
): number => ((pressure / (faceVelocity * area)) * atFlow * dueLoading) / loading;

function forecast(
  kind: DueKind,
  typical: number | null,
  spread: number,
  observed: readonly number[],
  last: number | null,
  now: number,
): Due {
  const expected: Interval | null = typical === null ? null : { typical, spread };
  const next = nextInterval(expected, observed);
  const by = observed.length === 0 ? 'model' : expected ? 'model and history' : 'history';
  if (!next) return { kind, last, at: null, range: null, by, share: null, lasts: null };
  const lasts = next.typical;
  if (last === null) return { kind, last, at: null, range: null, by, share: null, lasts };
  const at = last + lasts * SECOND;
  const { low, high } = rangeOf(next);
  return {
    ...{ kind, last, at, by, lasts, share: shareOf(last, at, now) },
    range: { from: last + low * SECOND, to: last + high * SECOND },
  };
}

const shareOf = (last: number, at: number, now: number): number =>
  Math.max(0, (now - last) / Math.max(1, at - last));

/** What a change of the ducts opened is to be sealed again: due at once. */
function resealDue(times: Times): Due[] {
  const sealed = times('sealed').at(-1) ?? Number.NEGATIVE_INFINITY;
  const changed = times('duct changed', 'hose shortened', 'gate added').filter((at) => at > sealed);
  const [first] = changed;
  if (first === undefined) return [];
  const last = Number.isFinite(sealed) ? sealed : null;
  return [{ kind: 'reseal', last, at: first, range: null, by: 'calendar', share: 1, lasts: null }];
}

/** By the calendar alone; never done is due now. */
function byCalendar(kind: DueKind, last: number | null, every: number, now: number): Due {
  const at = last === null ? now : last + every * SECOND;
  const share = last === null ? 1 : shareOf(last, at, now);
  return { kind, last, at, range: null, by: 'calendar', share, lasts: every };
}

/**
 * The bulking factor that the emptyings speak for, with the one typed as its prior; null: there are none, or nobody said
 * how much the shop runs.
 */
export function bulkingByEmptying(shop: Shop, records: Emptied): number | null {
  const longer = longerThanModel(shop, emptyingsOf(shop, records).bin);
  return longer && shop.upkeep.bulking / longer;
}
