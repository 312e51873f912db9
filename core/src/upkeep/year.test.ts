import { describe, expect, it } from 'vitest';
import { threeBranchShop } from '../../reference/sample-shops';
import { WEEK } from '../design/usual-upkeep';
import type { EventKind } from '../journal/event';
import { recordWith } from '../journal/journal';
import { yearOf, yearsOf } from './year';

const event = (
  kind: EventKind,
  at: Date,
  cost: number | null = null,
  hours: number | null = null,
) =>
  recordWith('events', { id: `${kind} ${+at}`, kind, note: '', at: at.toISOString(), cost, hours });

describe('a year of upkeep', () => {
  const shop = threeBranchShop();
  shop.upkeep.running = 10 * 3600;
  shop.collector.dust.rate = 1 / 3600;
  const events = [
    event('emptied', new Date(2025, 11, 31, 23), 1000),
    event('emptied', new Date(2026, 0, 1, 1)),
    event('filter bin emptied', new Date(2026, 0, 2)),
    event('cleaned', new Date(2026, 5, 1), null, 0.5),
    event('filter replaced', new Date(2026, 6, 1), 180, 1),
    event('sealed', new Date(2026, 7, 1), 12.5),
  ];
  const weighing = recordWith('weighings', {
    ...{ id: 'w', at: new Date(2026, 2, 1).toISOString(), bin: 'separator' as const },
    ...{ mass: 20, volume: null },
  });
  const records = { events, weighings: [weighing] };
  const now = new Date(2027, 3, 1).getTime();

  it('counts what lies in it, by the clock of the shop', () => {
    const year = yearOf(shop, records, { year: 2026, level: null, now });
    expect(year).toMatchObject({ emptied: 3, cleaned: 1, replaced: 1, changes: 1 });
    expect(year.cost).toBe(192.5);
    expect(year.hours).toBe(1.5);
    expect(year.dose).toBeNull();
    // What was logged a moment ago, on a page whose clock is older, counts.
    const begun = { year: 2026, level: null, now: new Date(2026, 5, 1).getTime() };
    expect(yearOf(shop, records, begun)).toMatchObject({ cleaned: 1, replaced: 1 });
    expect(yearsOf(events, now)).toEqual([2027, 2026, 2025]);
  });

  it('runs as many weeks as have passed of it', () => {
    const whole = yearOf(shop, records, { year: 2026, level: null, now });
    expect((whole.running ?? 0) / 3600).toBeCloseTo((10 * 365) / 7, 6);
    // At a kilogram an hour.
    expect(whole.dust).toBeCloseTo((10 * 365) / 7, 6);
    const begun = new Date(2026, 0, 1).getTime() + 2 * WEEK * 1000;
    expect(yearOf(shop, records, { year: 2026, level: null, now: begun }).running).toBeCloseTo(
      20 * 3600,
      6,
    );
  });

  // NIOSH 98-126, from memory: 88 dB(A) may last four hours a day.
  it('says what share of a day’s noise it is', () => {
    const { dose } = yearOf(shop, records, { year: 2026, level: 88, now });
    expect(dose).toBeCloseTo(2 / 4, 9);
  });

  it('knows nothing of hours where nobody said how much it runs', () => {
    const idle = threeBranchShop();
    expect(yearOf(idle, records, { year: 2026, level: 88, now })).toMatchObject({
      running: null,
      dust: null,
      dose: null,
    });
  });
});
