import { mean, std } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { recordWith } from '../journal/journal';
import type { Weighing } from '../journal/weighing';
import { chanceOf } from '../simulate/chance';
import { catchesOf } from './caught-share';

let count = 0;
const weighing = (
  day: number,
  bin: Weighing['bin'],
  mass: number | null,
  rest: Partial<Weighing> = {},
) =>
  recordWith('weighings', {
    id: `w${count++}`,
    at: new Date(Date.UTC(2026, 0, day)).toISOString(),
    ...{ bin, mass, volume: null, ...rest },
  });

describe('what a separator catches, by weight', () => {
  it('is bin over bin and filter bin, from one emptying of the filter’s bin to the next', () => {
    const catches = catchesOf([
      weighing(20, 'filter', 1),
      weighing(3, 'separator', 9),
      weighing(9, 'separator', 10),
      weighing(25, 'separator', 12),
      weighing(30, 'filter', 3),
      weighing(31, 'separator', 8),
    ]);
    expect(catches.periods.map(({ share }) => share)).toEqual([19 / 20, 12 / 15]);
    expect(catches.overall?.share).toBeCloseTo(31 / 35, 12);
    expect(catches).toMatchObject({ open: 1, massFlow: null });
  });

  it('counts a second emptying below the filter with the chips that come after', () => {
    const { periods } = catchesOf([
      weighing(2, 'separator', 10),
      weighing(3, 'filter', 1),
      weighing(4, 'filter', 0.5),
      weighing(9, 'separator', 18),
      weighing(10, 'filter', 1.5),
    ]);
    expect(periods.map(({ share }) => share)).toEqual([10 / 11, 18 / 20]);
  });

  it('has the interval its scale leaves: as the scatter of 4,000 weighings with errors', () => {
    const { normal } = chanceOf(7);
    const shares = Array.from({ length: 4000 }, () => {
      const off = () => 1 + (0.05 / 1.96) * normal();
      const [caught, passed] = [20 * off(), 1.5 * off()];
      return caught / (caught + passed);
    });
    const options = { accuracy: 0.05 };
    const { periods } = catchesOf([
      weighing(3, 'separator', 20, options),
      weighing(9, 'filter', 1.5, options),
    ]);
    expect(periods[0]?.share).toBeCloseTo(Number(mean(shares)), 3);
    expect((periods[0]?.uncertainty ?? 0) / (1.96 * Number(std(shares)))).toBeCloseTo(1, 1);
  });

  it('is by volume where no mass was noted, and unknown where one side is', () => {
    const volumes = catchesOf([
      weighing(3, 'separator', null, { volume: 0.12 }),
      weighing(9, 'filter', null, { volume: 0.01 }),
    ]);
    expect(volumes.overall).toMatchObject({
      by: 'volume',
      share: expect.closeTo(12 / 13, 12),
    });
    const mixed = [weighing(3, 'separator', 12), weighing(9, 'filter', null, { volume: 0.01 })];
    expect(catchesOf(mixed).overall).toBeNull();
    expect(catchesOf([]).overall).toBeNull();
    expect(catchesOf([weighing(3, 'filter', 1)]).periods).toEqual([]);
  });

  it('counts kilograms an hour where the hours were noted', () => {
    const { massFlow } = catchesOf([
      weighing(3, 'separator', 9, { hours: 6 }),
      weighing(9, 'separator', 3, { hours: 2 }),
      weighing(12, 'separator', 50),
    ]);
    expect((massFlow ?? 0) * 3600).toBeCloseTo(1.5, 12);
  });
});
