import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chanceOf } from '../../simulate/chance';
import { firstFit, packingBound, packStock } from './pack-stock';

const STOCK = 3.048;
const KERF = 0.002;
const cutsOf = (lengths: readonly number[]) =>
  lengths.map((length, i) => ({ key: `${i}`, length }));

/** Fewest bins, by trying every bin for every size. */
function fewest(sizes: readonly number[], room: number): number {
  let best = sizes.length;
  const bins: number[] = [];
  const place = (i: number): void => {
    if (bins.length >= best) return;
    const size = sizes[i];
    if (size === undefined) {
      best = bins.length;
      return;
    }
    for (let b = 0; b < bins.length; b++) {
      if ((bins[b] ?? 0) + size > room + 1e-9) continue;
      bins[b] = (bins[b] ?? 0) + size;
      place(i + 1);
      bins[b] = (bins[b] ?? 0) - size;
    }
    bins.push(size);
    place(i + 1);
    bins.pop();
  };
  place(0);
  return best;
}

const lengths = (most: number) =>
  fc.array(fc.double({ min: 0.05, max: STOCK, noNaN: true }), { maxLength: most });

describe('pieces cut from stock', () => {
  it('are all there once, each stick no longer than it is', () => {
    fc.assert(
      fc.property(lengths(40), (all) => {
        const { sticks } = packStock(cutsOf(all), STOCK, KERF);
        const keys = sticks.flatMap(({ cuts }) => cuts.map(({ key }) => key)).sort();
        expect(keys).toEqual(
          cutsOf(all)
            .map(({ key }) => key)
            .sort(),
        );
        for (const { cuts, left } of sticks) {
          const used = cuts.reduce((sum, { length }) => sum + length, 0);
          const kerfs = KERF * (cuts.length - 1);
          expect(used + kerfs).toBeLessThanOrEqual(STOCK + 1e-9);
          // The last cut takes a kerf too, where there is anything left to cut it off from.
          expect(left).toBeCloseTo(Math.max(0, STOCK - used - kerfs - KERF), 9);
        }
      }),
    );
  });

  it('of eight pieces take no more sticks than the best of all ways', () => {
    fc.assert(
      fc.property(lengths(8), (all) => {
        const { sticks, bound } = packStock(cutsOf(all), STOCK, KERF);
        const best = fewest(
          all.map((length) => length + KERF),
          STOCK + KERF,
        );
        expect(sticks.length).toBe(best);
        expect(bound).toBeLessThanOrEqual(best);
      }),
      { numRuns: 200 },
    );
  });

  it('are never more sticks than first-fit decreasing, and within 5 % of the bound over 300 shops', () => {
    let [used, least] = [0, 0];
    for (let seed = 1; seed <= 300; seed++) {
      const { uniform } = chanceOf(seed);
      const all = Array.from({ length: 10 + Math.floor(40 * uniform()) }, () => {
        return 0.1 + (STOCK - 0.1) * uniform() ** 1.5;
      });
      const { sticks, bound } = packStock(cutsOf(all), STOCK, KERF);
      const sizes = all.map((length) => length + KERF).sort((a, b) => b - a);
      expect(sticks.length).toBeLessThanOrEqual(firstFit(sizes, STOCK + KERF).length);
      expect(bound).toBe(packingBound(sizes, STOCK + KERF));
      used += sticks.length;
      least += bound;
    }
    expect(used / least).toBeLessThan(1.05);
  });

  it('that come out even need no kerf at the end', () => {
    const { sticks } = packStock(cutsOf([1.523, 1.523]), STOCK, KERF);
    expect(sticks).toHaveLength(1);
  });
});
