import { describe, expect, it } from 'vitest';
import { threeBranchShop } from '../../reference/sample-shops';
import { airAtSite } from '../air/air-at-site';
import { emptyJournal, recordWith } from '../journal/journal';
import { circumstancesOf } from './circumstances';

const shop = threeBranchShop();
const round = (fields: object) =>
  recordWith('rounds', { id: 'r', at: '2026-01-10T10:00:00Z', ...fields });
const airWith = (fields: object, id: string | null = 'r') =>
  circumstancesOf(
    { testPoint: 'p', instrument: 'v', round: id },
    shop,
    { drops: [] },
    { ...emptyJournal(), rounds: [round(fields)] },
  ).air;

describe('the air a reading was taken in', () => {
  const { site } = shop.shop;

  it('is the site’s where its round says nothing, or it belongs to none', () => {
    expect(airWith({})).toEqual(airAtSite(site));
    expect(airWith({ temperature: 270 }, null)).toEqual(airAtSite(site));
    expect(airWith({ temperature: 270 }, 'another')).toEqual(airAtSite(site));
  });

  it('is that of its round: cold air is heavier, in proportion to the temperature', () => {
    const cold = airWith({ temperature: 268, humidity: 0 });
    const warm = airWith({ temperature: 301.5, humidity: 0 });
    // The ideal gas: density goes with pressure over absolute temperature.
    expect(cold.density / warm.density).toBeCloseTo(301.5 / 268, 9);
    expect(cold.viscosity).toBeLessThan(warm.viscosity);
    const high = airWith({ temperature: 268, humidity: 0, pressure: 80_000 });
    const low = airWith({ temperature: 268, humidity: 0, pressure: 100_000 });
    expect(low.density / high.density).toBeCloseTo(1.25, 9);
  });
});
