import { describe, expect, it } from 'vitest';
import { comparedWords, percentChange, percentInterval } from './change-words';

describe('a ratio in percent', () => {
  it.each([
    [29.5 / 42.9, '−31 %'],
    [1.124, '+12 %'],
    [1.0312, '+3.1 %'],
    [0.9, '−10 %'],
    [0.95, '−5.0 %'],
    [1.0001, '±0.0 %'],
    [2.5, '+150 %'],
  ])('%f is %s', (ratio, written) => expect(percentChange(ratio)).toBe(written));

  it('has an interval', () => {
    expect(percentInterval({ low: 1.08, high: 1.164 })).toBe('+8.0 to +16 %');
    expect(percentInterval({ low: 0.97, high: 1.05 })).toBe('−3.0 to +5.0 %');
  });
});

describe('what a comparison says', () => {
  const change = { kind: 'change', isShared: true, ratio: 1.12, low: 1.08, high: 1.16 } as const;
  it.each([
    [{ ...change, isSignificant: true, settling: null }, /^\+8\.0 to \+16 %, 95 % of the time\.$/],
    [
      { ...change, isSignificant: false, settling: { repeats: 7, share: 0.05, isTaken: false } },
      /^No significant difference\. About 7 repeats each time would show 5 %\.$/,
    ],
    [{ ...change, isSignificant: false, settling: null }, /More repeats would not settle it\.$/],
    [{ kind: 'at least', ratio: 1.5 } as const, /^At least \+50 %/],
    [{ kind: 'at most', ratio: 0.5 } as const, /^At most −50 %/],
    [
      { kind: 'not comparable', missing: ['one place', 'one meter'] } as const,
      /same test point; relative readings compare only with the same meter\.$/,
    ],
    [
      { ...change, isSignificant: false, settling: { repeats: 3, share: 0.05, isTaken: true } },
      /A change of 5 % would have been seen\.$/,
    ],
    [{ kind: 'nothing', why: 'bounds' } as const, /says nothing/],
    [{ kind: 'nothing', why: 'no readings' } as const, /no readings on one side/],
  ])('%j', (compared, words) => expect(comparedWords(compared)).toMatch(words));
});
