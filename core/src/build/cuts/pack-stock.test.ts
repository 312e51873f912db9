import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chanceOf } from '../../simulate/chance';
import { firstFit, packingBound, packStock } from './pack-stock';

const STOCK = 3.048;
const KERF = 0.002;
const cutsOf = (lengths: readonly number[]) =>
  lengths.map((length, i) => ({ key: `${i}`, length }));

/** Fewest bins, by trying every bin for every size. */
const fewest = (sizes: readonly number[], room: number) => fewestBeside(sizes, room, []);

/** The same where something lies in some bins already. */
function fewestBeside(sizes: readonly number[], room: number, begun: readonly number[]): number {
  let best = sizes.length + begun.length;
  const bins = [...begun];
  const place = (i: number): void => {
    const size = sizes[i];
    if (size === undefined) {
      best = Math.min(best, bins.length);
      return;
    }
    if (bins.length > best) return;
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

  it('use up what is left of lengths that were begun, and take no more new ones than the best of all ways', () => {
    fc.assert(
      fc.property(
        lengths(6),
        fc.array(fc.double({ min: 0.1, max: 2.9, noNaN: true }), { maxLength: 3 }),
        (all, cut) => {
          const begun = cut.map((length, i) => ({
            id: 2 * i + 1,
            stock: STOCK,
            cuts: [{ key: `cut ${i}`, length }],
          }));
          const { sticks, bound } = packStock(cutsOf(all), STOCK, KERF, begun);
          expect(new Set(sticks.map(({ id }) => id)).size).toBe(sticks.length);
          expect(sticks.slice(0, cut.length).map(({ done }) => done)).toEqual(
            begun.map(({ cuts }) => cuts),
          );
          for (const { done, cuts } of sticks) {
            const own = [...done, ...cuts];
            const used = own.reduce((sum, { length }) => sum + length + KERF, -KERF);
            expect(used).toBeLessThanOrEqual(STOCK + 1e-9);
          }
          // Each begun length is a bin that something lies in already.
          const best = fewestBeside(
            all.map((length) => length + KERF),
            STOCK + KERF,
            cut.map((length) => length + KERF),
          );
          expect(sticks.length).toBe(best);
          expect(bound).toBeLessThanOrEqual(best);
        },
      ),
      { numRuns: 200 },
    );
  });

  it('that come out even need no kerf at the end', () => {
    const { sticks } = packStock(cutsOf([1.523, 1.523]), STOCK, KERF);
    expect(sticks).toHaveLength(1);
  });
});
