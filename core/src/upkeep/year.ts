import type { Shop } from '../design/schema';
import { WEEK } from '../design/usual-upkeep';
import { isEmptying, isTest, type ShopEvent } from '../journal/event';
import { dailyDose } from '../noise/daily-dose';
import { type Emptied, emptyingsOf } from './emptyings';

/** What a year took. */
export interface YearOfUpkeep {
  /** Time the blower ran, s, and wood it moved, kg, by what is typed; null: nobody said how much it runs. */
  readonly running: number | null;
  readonly dust: number | null;
  /** Bins, as logged or weighed. */
  readonly emptied: number;
  readonly cleaned: number;
  readonly replaced: number;
  /** Other changes that were logged. */
  readonly changes: number;
  /** In the shop's money, and h of work, where they were noted. */
  readonly cost: number;
  readonly hours: number;
  /** Share of the noise NIOSH allows on a day of work, by a level at the collector, dB(A); null: not known. */
  readonly dose: number | null;
}

/** Days a week that somebody works in the shop: an estimate. */
const WORKDAYS = 5;

/**
 * A calendar year of a shop, or what has passed of it.
 * @param level at the collector while it runs, dB(A); null: not known
 * @param now ms
 */
export function yearOf(
  shop: Pick<Shop, 'upkeep' | 'collector'>,
  records: Emptied,
  {
    year,
    level,
    now,
  }: { readonly year: number; readonly level: number | null; readonly now: number },
): YearOfUpkeep {
  const { upkeep, collector } = shop;
  const { from: begins, until: ends } = timesOfYear(year);
  const passed = Math.max(0, Math.min(now, ends) - begins) / 1000;
  const isIn = (at: number) => at >= begins && at < ends;
  const own = records.events.filter(({ at, kind }) => !isTest(kind) && isIn(Date.parse(at)));
  const count = (kind: ShopEvent['kind']) => own.filter((each) => each.kind === kind).length;
  const { bin, filterBin } = emptyingsOf(shop, records);
  const running = upkeep.running === null ? null : (upkeep.running * passed) / WEEK;
  const [cleaned, replaced] = [count('cleaned'), count('filter replaced')];
  const perDay = upkeep.running === null ? null : upkeep.running / WORKDAYS / 3600;
  return {
    running,
    dust: running === null ? null : running * collector.dust.rate,
    emptied: [...bin, ...filterBin].filter(isIn).length,
    ...{ cleaned, replaced },
    changes: own.filter(({ kind }) => !isEmptying(kind)).length - cleaned - replaced,
    cost: own.reduce((sum, { cost }) => sum + (cost ?? 0), 0),
    hours: own.reduce((sum, { hours }) => sum + (hours ?? 0), 0),
    dose: level === null || perDay === null ? null : dailyDose([{ level, hours: perDay }]),
  };
}

/** A calendar year by the clock of the shop, ms. */
export const timesOfYear = (year: number): { readonly from: number; readonly until: number } => ({
  from: new Date(year, 0, 1).getTime(),
  until: new Date(year + 1, 0, 1).getTime(),
});

/** Calendar years that something was logged in, and the present one, the latest first. */
export const yearsOf = (events: readonly ShopEvent[], now: number): number[] =>
  [
    ...new Set([
      new Date(now).getFullYear(),
      ...events.map(({ at }) => new Date(at).getFullYear()),
    ]),
  ].sort((a, b) => b - a);
