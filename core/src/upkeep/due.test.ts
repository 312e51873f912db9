import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { Shop } from '../design/schema';
import { DAY, WEEK } from '../design/usual-upkeep';
import { readShop } from '../file/shop-file';
import type { EventKind, ShopEvent } from '../journal/event';
import { recordWith } from '../journal/journal';
import { type Chance, chanceOf } from '../simulate/chance';
import { binLife, filterBinLife, WOOD_DENSITY } from './bin-life';
import { BIN_SPREAD, bulkingByEmptying, dueThings, type UpkeepRecords } from './due';
import { nextInterval, rangeOf } from './interval';
import { type FilterPressure, trendDue } from './pressure-trend';

const DAY_MS = DAY * 1000;
const START = Date.parse('2026-01-01T08:00:00Z');
const HOUR = 3600;

function shopWith(change: (shop: Shop) => void = () => {}): Shop {
  const read = readShop(JSON.parse(readFileSync('demo/heron-slip.json', 'utf8')));
  if (!read.ok) throw new Error('no demo');
  const shop = structuredClone(read.shop);
  shop.upkeep.running = 6 * HOUR;
  change(shop);
  return shop;
}

const event = (kind: EventKind, day: number): ShopEvent =>
  recordWith('events', {
    ...{ id: `${kind} ${day}`, kind, note: '', cost: null },
    at: new Date(START + day * DAY_MS).toISOString(),
  });

const NOTHING: UpkeepRecords = { events: [], weighings: [], lastReading: null, filter: null };
const dueOf = (shop: Shop, kind: string, records: Partial<UpkeepRecords>, day = 0) => {
  const due = dueThings(shop, null, { ...NOTHING, ...records }, START + day * DAY_MS).find(
    (each) => each.kind === kind,
  );
  if (!due) throw new Error(`${kind} is not looked after`);
  return due;
};
const dayOf = (at: number | null) => ((at ?? Number.NaN) - START) / DAY_MS;

describe('a bin', () => {
  it('lasts as long as the handbook has it: planed off, times bulking, over its volume', () => {
    const shop = shopWith(({ collector, upkeep }) => {
      Object.assign(collector.assembly.bin, { shape: 'square', diameter: 0.5, height: 0.8 });
      collector.separator.caught = 0.9;
      collector.dust.rate = 2 / HOUR;
      Object.assign(upkeep, { bulking: 5, fullAt: 0.75 });
    });
    // By hand: 2 kg an hour are 3.33 l of wood, 16.7 l of chips, 15 l of them in the bin, which holds 150 l of its 200.
    expect(WOOD_DENSITY).toBe(600);
    expect((binLife(shop)?.running ?? 0) / HOUR).toBeCloseTo(10, 9);
    const due = dueOf(shop, 'bin', { events: [event('emptied', 0)] });
    // Ten hours at six a week.
    expect(dayOf(due.at)).toBeCloseTo((10 / 6) * 7, 6);
    expect(dueOf(shop, 'bin', { events: [event('emptied', 0)] }, 5).share).toBeCloseTo(
      5 / 11.667,
      3,
    );
    expect(due.range?.from).toBeLessThan(due.at ?? 0);
  });

  it('goes by its emptyings alone where nobody said how much the shop runs', () => {
    const shop = shopWith(({ upkeep }) => {
      upkeep.running = null;
    });
    expect(dueOf(shop, 'bin', {}).at).toBeNull();
    expect(dueOf(shop, 'bin', { events: [event('emptied', 0)] }).at).toBeNull();
    const due = dueOf(shop, 'bin', { events: [0, 20, 40, 60].map((day) => event('emptied', day)) });
    expect(due.by).toBe('history');
    expect(dayOf(due.at)).toBeCloseTo(80, 6);
  });

  it('may be emptied every evening, and logged twice', () => {
    const shop = shopWith(({ upkeep }) => {
      upkeep.running = null;
    });
    // By the clock of people: an hour more, an hour less.
    const events = [0, 0.97, 1.94, 2.98, 3.95, 3.96].map((day) => event('emptied', day));
    const due = dueOf(shop, 'bin', { events });
    expect((due.lasts ?? 0) / DAY).toBeCloseTo(0.99, 1);
  });

  it('learns its bulking factor from its emptyings', () => {
    const shop = shopWith();
    const life = ((binLife(shop)?.running ?? 0) * WEEK) / (shop.upkeep.running ?? 1) / DAY;
    // Emptied in half the time: there is twice the volume of what was planed.
    const events = Array.from({ length: 12 }, (_, i) => event('emptied', (i * life) / 2));
    const bulking = bulkingByEmptying(shop, { events, weighings: [] }) ?? 0;
    expect(bulking / shop.upkeep.bulking).toBeGreaterThan(1.85);
    expect(bulking / shop.upkeep.bulking).toBeLessThan(2);
    expect(bulkingByEmptying(shop, { events: events.slice(0, 1), weighings: [] })).toBeNull();
  });

  it('is none without a separator; what is below the filter then takes all', () => {
    const shop = shopWith(({ collector }) => {
      collector.separator.kind = 'none';
    });
    expect(binLife(shop)).toBeNull();
    expect(filterBinLife(shop)?.running).toBeLessThan(filterBinLife(shopWith())?.running ?? 0);
  });
});

describe('a bag or bin below the filter', () => {
  const life = (shop: Shop, of: typeof binLife) =>
    ((of(shop)?.running ?? 0) * WEEK) / (shop.upkeep.running ?? 1) / DAY;

  it('has days of its own, by its own emptyings', () => {
    const shop = shopWith(({ upkeep }) => {
      upkeep.running = null;
    });
    const events = [
      ...[0, 30, 60].map((day) => event('filter bin emptied', day)),
      ...[0, 10, 20, 30, 40, 50, 60, 70].map((day) => event('emptied', day)),
    ];
    const due = dueOf(shop, 'filter bin', { events });
    expect(due.by).toBe('history');
    expect(dayOf(due.at)).toBeCloseTo(90, 6);
    expect(dayOf(dueOf(shop, 'bin', { events }).at)).toBeCloseTo(80, 6);
  });

  it('fills sooner where the other bin did: rate, bulking and hours are the same', () => {
    const shop = shopWith();
    const half = life(shop, binLife) / 2;
    const own = event('filter bin emptied', 0);
    const alone = dueOf(shop, 'filter bin', { events: [own] });
    expect(alone.by).toBe('model');
    expect(dayOf(alone.at)).toBeCloseTo(life(shop, filterBinLife), 6);
    const others = Array.from({ length: 12 }, (_, i) => event('emptied', -i * half));
    const corrected = dueOf(shop, 'filter bin', { events: [own, ...others] });
    expect(corrected.by).toBe('model and bin');
    const ratio = dayOf(corrected.at) / dayOf(alone.at);
    expect(ratio).toBeGreaterThan(0.5);
    expect(ratio).toBeLessThan(0.54);
    // What is known of it by itself: no less wide than before.
    expect((corrected.range?.to ?? 0) / (corrected.at ?? 1)).toBeGreaterThan(1);
  });

  it('takes all where there is one bin, whichever it was called', () => {
    const shop = shopWith(({ collector, upkeep }) => {
      collector.separator.kind = 'none';
      upkeep.running = null;
    });
    const events = [event('emptied', 0), event('filter bin emptied', 20), event('emptied', 40)];
    expect(dayOf(dueOf(shop, 'filter bin', { events }).at)).toBeCloseTo(60, 6);
  });

  it('is counted from the other bin as long as nobody logged it, and its interval is not that bin’s', () => {
    const shop = shopWith();
    const due = dueOf(shop, 'filter bin', { events: [event('emptied', 0), event('emptied', 5)] });
    expect(dayOf(due.last)).toBe(5);
    expect(due.by).toBe('model and bin');
  });

  it('was emptied when what it held was weighed', () => {
    const shop = shopWith(({ upkeep }) => {
      upkeep.running = null;
    });
    const weighed = (bin: 'separator' | 'filter', day: number) =>
      recordWith('weighings', {
        ...{ id: `${bin} ${day}`, at: event('emptied', day).at, bin, mass: 2, volume: null },
      });
    const weighings = [weighed('filter', 0), weighed('separator', 10), weighed('filter', 40)];
    // Logged on the same day too: that is one emptying.
    const events = [event('filter bin emptied', 40.2), event('emptied', 30)];
    const due = dueOf(shop, 'filter bin', { events, weighings });
    expect(dayOf(due.at)).toBeCloseTo(80.4, 6);
    expect(dayOf(dueOf(shop, 'bin', { events, weighings }).at)).toBeCloseTo(50, 6);
  });
});

describe('a filter of which nothing is known', () => {
  it('goes by the calendar, until hours or its own cleanings tell', () => {
    const shop = shopWith(({ upkeep }) => {
      Object.assign(upkeep, { running: null, filterEvery: 10 * WEEK });
    });
    const never = dueOf(shop, 'filter', {}, 3);
    expect(never).toMatchObject({ by: 'calendar', last: null, share: 1 });
    expect(dayOf(never.at)).toBe(3);
    const once = dueOf(shop, 'filter', { events: [event('cleaned', 0)] });
    expect(once.by).toBe('calendar');
    expect(dayOf(once.at)).toBe(70);
    const twice = dueOf(shop, 'filter', { events: [event('cleaned', 0), event('cleaned', 30)] });
    expect(twice.by).toBe('history');
    expect(dayOf(twice.at)).toBeCloseTo(60, 6);
  });
});

describe('forecasts over a simulated year', () => {
  /** A year of a shop whose bulking, rate and weeks are not what its owner typed. */
  function emptyingsOf(life: number, chance: Chance): number[] {
    const real = life * Math.exp(BIN_SPREAD * chance.normal());
    const scatter = 0.15 + 0.3 * chance.uniform();
    const days = [0];
    while ((days.at(-1) ?? 0) < 365 && days.length < 200) {
      const next = Math.max(1.1, real * Math.exp(scatter * chance.normal()));
      days.push((days.at(-1) ?? 0) + next);
    }
    return days;
  }

  it('of the bin hold the next emptying in their interval in at least 90 % of 300', () => {
    const shop = shopWith();
    const life = ((binLife(shop)?.running ?? 0) * WEEK) / (shop.upkeep.running ?? 1) / DAY;
    let held = 0;
    let narrow = 0;
    for (let seed = 1; seed <= 300; seed++) {
      const days = emptyingsOf(life, chanceOf(seed));
      const known = Math.max(1, Math.min(days.length - 1, 1 + (seed % 8)));
      const events = days.slice(0, known).map((day) => event('emptied', day));
      const { range } = dueOf(shop, 'bin', { events });
      const next = days[known] ?? Number.NaN;
      if (next >= dayOf(range?.from ?? null) && next <= dayOf(range?.to ?? null)) held++;
      if (known > 4) narrow = (dayOf(range?.to ?? null) - (days[known - 1] ?? 0)) / life;
    }
    expect(held / 300).toBeGreaterThanOrEqual(0.9);
    expect(narrow).toBeGreaterThan(0);
  });

  it('of the bag below the filter hold its next emptying in their interval in at least 90 % of 300', () => {
    const shop = shopWith();
    const daysOf = (of: typeof binLife) =>
      ((of(shop)?.running ?? 0) * WEEK) / (shop.upkeep.running ?? 1) / DAY;
    let held = 0;
    for (let seed = 1; seed <= 300; seed++) {
      const chance = chanceOf(3000 + seed);
      // What both have in common, and what gets by the separator, which nobody weighed.
      const common = Math.exp(0.6 * chance.normal());
      const passes = Math.exp(0.5 * chance.normal());
      const scatter = () => Math.exp((0.15 + 0.3 * chance.uniform()) * chance.normal());
      const [bin, bag] = [daysOf(binLife) * common, daysOf(filterBinLife) * common * passes];
      const known = seed % 4;
      const own = [0];
      for (let i = 0; i < known; i++) own.push((own.at(-1) ?? 0) + bag * scatter());
      const next = (own.at(-1) ?? 0) + bag * scatter();
      const others = [0];
      while (others.length <= seed % 9) others.push((others.at(-1) ?? 0) + bin * scatter());
      const events = [
        ...own.map((day) => event('filter bin emptied', day)),
        ...others.map((day) => event('emptied', day)),
      ];
      const { range } = dueOf(shop, 'filter bin', { events });
      if (next >= dayOf(range?.from ?? null) && next <= dayOf(range?.to ?? null)) held++;
    }
    expect(held / 300).toBeGreaterThanOrEqual(0.9);
  });

  it('of the filter hold the day its pressure gets there in at least 90 % of 300', () => {
    let held = 0;
    let made = 0;
    for (let seed = 1; seed <= 300; seed++) {
      const chance = chanceOf(1000 + seed);
      const [clean, slope] = [150 + 100 * chance.uniform(), 1 + 2 * chance.uniform()];
      const due = clean + slope * (150 + 100 * chance.uniform());
      const readings = Array.from({ length: 4 + (seed % 6) }, (_, i): FilterPressure => {
        const day = 12 * i + 4 * chance.uniform();
        const pressure = (clean + slope * day) * (1 + 0.03 * chance.normal());
        return { at: START + day * DAY_MS, pressure, uncertainty: 1.96 * 0.03 * pressure };
      });
      const trend = trendDue(readings, due);
      if (!trend) continue;
      made++;
      const real = (due - clean) / slope;
      if (dayOf(trend.from) <= real && (trend.to === null || real <= dayOf(trend.to))) held++;
    }
    expect(made).toBeGreaterThan(270);
    expect(held / made).toBeGreaterThanOrEqual(0.9);
  });
});

describe('a trend of pressure', () => {
  it('gets to what is due where a straight line does', () => {
    const readings = [0, 10, 20, 30].map((day) => ({
      ...{ at: START + day * DAY_MS, uncertainty: 5 },
      pressure: 100 + 5 * day,
    }));
    expect(dayOf(trendDue(readings, 400)?.at ?? null)).toBeCloseTo(60, 6);
  });

  it('is none of two readings, nor of pressures that fall', () => {
    const reading = (day: number, pressure: number) => ({
      ...{ at: START + day * DAY_MS, pressure, uncertainty: 5 },
    });
    expect(trendDue([reading(0, 100), reading(10, 120)], 200)).toBeNull();
    expect(trendDue([reading(0, 120), reading(10, 110), reading(20, 100)], 200)).toBeNull();
  });
});

describe('what is due', () => {
  it('is sorted by its day, what nobody knows at the end', () => {
    const all = dueThings(
      shopWith(({ upkeep }) => {
        upkeep.running = null;
      }),
      null,
      { ...NOTHING, events: [event('checked', -10)], lastReading: START - 400 * DAY_MS },
      START,
    );
    const days = all.map(({ at }) => at ?? Number.POSITIVE_INFINITY);
    expect(days).toEqual(days.toSorted((a, b) => a - b));
    expect(all[0]?.kind).toBe('round');
    expect(all.at(-1)?.at).toBeNull();
  });

  it('asks for tape again where ducts were changed after they were sealed, until they are', () => {
    const shop = shopWith();
    const changed = [event('sealed', 0), event('duct changed', 10)];
    expect(dayOf(dueOf(shop, 'reseal', { events: changed }, 20).at)).toBeCloseTo(10, 6);
    expect(() => dueOf(shop, 'reseal', { events: [...changed, event('sealed', 15)] })).toThrow();
  });

  it('never looked at is due at once', () => {
    const due = dueOf(shopWith(), 'checks', {}, 3);
    expect(dayOf(due.at)).toBeCloseTo(3, 6);
    expect(due.last).toBeNull();
  });
});

describe('the next interval', () => {
  it('is what was expected without any, and what there was after many', () => {
    const expected = { typical: 30, spread: 0.8 };
    expect(nextInterval(expected, [])?.typical).toBeCloseTo(30, 9);
    const many = nextInterval(
      expected,
      Array.from({ length: 40 }, () => 10),
    );
    expect(many?.typical).toBeCloseTo(10, 0);
    expect(many?.spread).toBeLessThan(0.3);
    expect(nextInterval(null, [])).toBeNull();
    const { low, high } = rangeOf({ typical: 10, spread: 0.1 });
    expect(low * high).toBeCloseTo(100, 9);
  });
});
