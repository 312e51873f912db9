/** What a chain of band clamps has to have over, for its screws to bite, m: common practice, no source. */
export const BAND_SPARE = 0.01;
/** No one strings more together. */
const MOST_BANDS = 8;

export type BandChain =
  | {
      readonly ok: true;
      /** Lengths of the bands to join, longest first, m. */
      readonly bands: readonly number[];
      /** Length beyond the way around, m. */
      readonly over: number;
    }
  | { readonly ok: false; readonly reason: 'no bands' | 'too short'; readonly wanted: number };

/**
 * The band clamps to chain around a pipe: lengths that add to more than π times its outside, as few as
 * do, and of those the least left over. Any length may be used more than once.
 *
 * @param outside diameter of what they go around, m
 * @param lengths of the bands at hand, m
 * @example bandChain(0.5, [0.6, 1.1]).bands // [1.1, 0.6]: 1.7 m around 1.571
 */
export function bandChain(outside: number, lengths: readonly number[]): BandChain {
  const wanted = Math.PI * outside + BAND_SPARE;
  const sizes = [...new Set(lengths)].filter((length) => length > 0).sort((a, b) => b - a);
  const [longest] = sizes;
  if (longest === undefined) return { ok: false, reason: 'no bands', wanted };
  const least = Math.ceil(wanted / longest - 1e-9);
  if (least > MOST_BANDS) return { ok: false, reason: 'too short', wanted };
  let best: readonly number[] = [];
  let bestSum = Number.POSITIVE_INFINITY;
  const extend = (chain: readonly number[], sum: number, from: number): void => {
    const left = least - chain.length;
    if (left === 0) {
      if (sum >= wanted - 1e-9 && sum < bestSum) {
        best = chain;
        bestSum = sum;
      }
      return;
    }
    for (let i = from; i < sizes.length; i++) {
      const next = sizes[i] ?? 0;
      // Sizes only get shorter: what cannot reach with this one cannot with the next.
      if (sum + left * next < wanted - 1e-9) return;
      extend([...chain, next], sum + next, i);
    }
  };
  extend([], 0, 0);
  return { ok: true, bands: best, over: bestSum - Math.PI * outside };
}
