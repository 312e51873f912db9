import { nice, ticks } from 'd3-array';

/** A straight scale from numbers to pixels, with the round numbers along it. */
export interface LinearScale {
  (value: number): number;
  readonly domain: readonly [low: number, high: number];
  /** About so many round numbers within it. */
  readonly ticks: (count: number) => number[];
}

/**
 * @param domain the least and the greatest number, not the same
 * @param range where they are drawn, px
 * @param rounded its ends are moved out to round numbers, as if there were so many ticks; absent: they stay
 * @example linearScale([0, 9.3], [0, 100], 5)(5) // 50: the domain ends at 10
 */
export function linearScale(
  [from, to]: readonly [number, number],
  range: readonly [number, number],
  rounded?: number,
): LinearScale {
  const domain = rounded === undefined ? ([from, to] as const) : nice(from, to, rounded);
  const [low, high] = domain;
  const scale = (value: number) =>
    range[0] + ((value - low) / (high - low || 1)) * (range[1] - range[0]);
  return Object.assign(scale, { domain, ticks: (count: number) => ticks(low, high, count) });
}
