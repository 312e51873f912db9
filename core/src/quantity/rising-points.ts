/** Why points are no curve: too few or too many of them, or one that does not lie beyond the one before. */
export type CurveFault =
  | { readonly kind: 'too few'; readonly least: number }
  | { readonly kind: 'too many'; readonly most: number }
  | { readonly kind: 'goes backward'; readonly at: number };

export const LEAST_POINTS = 2;
export const MOST_POINTS = 200;

/** No blower moves more, m³/s, nor against more, Pa: what is beyond was read in the wrong unit. */
export const MOST_OF_BLOWER = { flow: 50, pressure: 50_000 } as const;

/**
 * What keeps places along an axis from being those of a curve: two to two hundred, each beyond the one
 * before. Null where nothing does.
 * @example curveFault([0, 3, 2]) // { kind: 'goes backward', at: 2 }
 */
export function curveFault(along: readonly number[]): CurveFault | null {
  const at = along.findIndex((x, i) => i > 0 && !(x > (along[i - 1] ?? Number.NaN)));
  if (at > 0) return { kind: 'goes backward', at };
  if (along.length < LEAST_POINTS) return { kind: 'too few', least: LEAST_POINTS };
  if (along.length > MOST_POINTS) return { kind: 'too many', most: MOST_POINTS };
  return null;
}
