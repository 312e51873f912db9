import { describe, expect, it } from 'vitest';
import { chanceOf } from '../simulate/chance';
import { chainOf, changeBetween, type Side } from './change';

const side = (values: readonly number[], more: Partial<Side> = {}): Side => ({
  values,
  resolution: null,
  points: 1,
  systematic: 0,
  placing: 0,
  ...more,
});

describe('a change', () => {
  it('from 42.9 to 29.5 is −31.2 %: common practice, no source', () => {
    const change = changeBetween(side([42.9, 42.9, 42.9]), side([29.5, 29.5, 29.5]), true);
    expect(100 * (change.ratio - 1)).toBeCloseTo(-31.2, 1);
    expect(change.isSignificant).toBe(true);
  });

  it('has an interval by Welch’s rule, by hand', () => {
    // Means 100 and 110, deviations 2 and 4 of three: relative variances 1.333e-4 and 4.408e-4.
    const change = changeBetween(side([98, 100, 102]), side([106, 110, 114]), true);
    const [a, b] = [(2 / 100) ** 2 / 3, (4 / 110) ** 2 / 3];
    const freedom = (a + b) ** 2 / (a ** 2 / 2 + b ** 2 / 2);
    expect(freedom).toBeCloseTo(3.11, 2);
    // t of 3.11 degrees of freedom lies between 3.182 and 2.776, at 3.12.
    const half = Math.log(change.high / change.ratio);
    expect(half / Math.sqrt(a + b)).toBeCloseTo(3.12, 2);
    // ±7.5 % of a change of 10 %.
    expect(change.isSignificant).toBe(true);
  });

  it('of one meter held one way has none of its systematic part, of two meters all of it', () => {
    const [before, after] = [
      side([100, 101, 99], { systematic: 0.05 }),
      side([110, 111, 109], { systematic: 0.05 }),
    ];
    const shared = changeBetween(before, after, true);
    const apart = changeBetween(before, after, false);
    expect(shared.isSignificant).toBe(true);
    const widthOf = ({ high, ratio }: { high: number; ratio: number }) => Math.log(high / ratio);
    expect(widthOf(apart) ** 2 - widthOf(shared) ** 2).toBeCloseTo(2 * 0.05 ** 2, 9);
  });

  it('that is not significant says how many repeats would show it, or that none would', () => {
    const wobbly = changeBetween(side([92, 100, 108]), side([98, 106, 114]), true);
    expect(wobbly.isSignificant).toBe(false);
    const { repeats, share } = wobbly.settling ?? { repeats: 0, share: 0 };
    expect(share).toBeCloseTo(Math.log(1.06), 9);
    // 7.8 % of scatter: with n on either side t·7.8 %·√(2/n) has to come under 5.8 %.
    expect(repeats).toBeGreaterThan(13);
    expect(repeats).toBeLessThan(18);
    // Of no change at all it is asked what would show 5 %.
    expect(changeBetween(side([99, 101]), side([99, 101]), true).settling?.share).toBe(0.05);
    // A meter that may be 10 % off never shows 6 %.
    const vague = { systematic: 0.1 };
    expect(
      changeBetween(side([92, 100, 108], vague), side([98, 106, 114], vague), false).settling,
    ).toBeNull();
  });

  it('of single readings takes the usual scatter, of a traverse that over the root of its points', () => {
    const half = (points: number) => {
      const { high, ratio } = changeBetween(side([100], { points }), side([103], { points }), true);
      return Math.log(high / ratio);
    };
    // As if known from ten repeats each: t of 20 degrees of freedom over the normal distribution’s.
    const wider = 2.086 / 1.96;
    expect(half(1)).toBeCloseTo(wider * 0.05 * Math.SQRT2, 4);
    expect(half(12)).toBeCloseTo(half(1) / Math.sqrt(12), 9);
  });
});

describe('holding the meter there anew', () => {
  it('widens the interval whether or not the meter’s own error cancels', () => {
    const values = [100, 100.1, 99.9];
    const of = (placing: number, isShared: boolean) => {
      const own = side(values, { placing, systematic: 0.03 });
      const { high, ratio } = changeBetween(own, own, isShared);
      return Math.log(high / ratio) ** 2;
    };
    expect(of(0.02, true) - of(0, true)).toBeCloseTo(2 * 0.02 ** 2, 9);
    expect(of(0.02, false) - of(0, false)).toBeCloseTo(2 * 0.02 ** 2, 9);
  });

  it('of three steady repeats each, where two would have shown 5 %, says so', () => {
    const own = side([100, 101, 99], { placing: 0.005 });
    expect(changeBetween(own, own, true).settling).toEqual({
      repeats: 2,
      share: 0.05,
      isTaken: true,
    });
  });
});

describe('changes one after another', () => {
  it('multiply: −50 % and +50 % are −25 %, not nothing', () => {
    const step = (ratio: number) => ({ ratio, low: ratio * 0.95, high: ratio / 0.95 });
    const chain = chainOf([step(0.5), step(1.5)]);
    expect(chain.ratio).toBeCloseTo(0.75, 12);
    expect(Math.log(chain.high / chain.ratio)).toBeCloseTo(-Math.SQRT2 * Math.log(0.95), 9);
    expect(chainOf([])).toEqual({ ratio: 1, low: 1, high: 1 });
  });
});

/** 2,000 pairs, three repeats before and after, of a hand that scatters so much. */
describe.each([
  ['one meter, a steady hand', { scatter: 0.02, accuracy: 0.03, isShared: true, repeats: 3 }],
  [
    'one meter, a hand that wobbles 8 %',
    { scatter: 0.08, accuracy: 0.05, isShared: true, repeats: 3 },
  ],
  ['two meters', { scatter: 0.03, accuracy: 0.05, isShared: false, repeats: 3 }],
  ['one meter, six repeats', { scatter: 0.05, accuracy: 0.03, isShared: true, repeats: 6 }],
  ['one meter, read once', { scatter: 0.05 / 1.96, accuracy: 0.03, isShared: true, repeats: 1 }],
])('%s', (_, { scatter, accuracy, isShared, repeats }) => {
  const PAIRS = 2000;
  const shares = (ratio: number, seed: number) => {
    const { normal } = chanceOf(seed);
    let covered = 0;
    let called = 0;
    for (let i = 0; i < PAIRS; i++) {
      const gain = () => 1 + (accuracy / 1.96) * normal();
      const own = gain();
      const [before, after] = [own, isShared ? own : gain()];
      const read = (truth: number) =>
        Array.from({ length: repeats }, () => truth * (1 + scatter * normal()));
      const change = changeBetween(
        side(read(20 * before), { systematic: accuracy }),
        side(read(20 * ratio * after), { systematic: accuracy }),
        isShared,
      );
      if (change.low <= ratio && ratio <= change.high) covered++;
      if (change.isSignificant) called++;
    }
    return { covered: covered / PAIRS, called: called / PAIRS };
  };

  it('covers the truth in 93 to 97 % of pairs', () => {
    const { covered } = shares(1.12, 11);
    expect(covered).toBeGreaterThanOrEqual(0.93);
    expect(covered).toBeLessThanOrEqual(0.97);
  });

  it('calls a difference in under 5 % of pairs where there is none', () => {
    expect(shares(1, 23).called).toBeLessThan(0.05);
  });
});
