import { circleArea } from '../air/velocity-pressure';
import type { Origin } from '../quantity/origin';
import { type CycloneProportions, inletArea, inletHeads } from './cyclone';

/**
 * Kinds of separator: velocity heads of their inlet they usually take, and the share of dust by
 * mass their bin gets while it is not overfull (common practice, no source).
 */
export const SEPARATORS = {
  none: { name: 'None, one stage', heads: 0, range: [0, 0], caught: 0, origin: 'standard' },
  cyclone: { name: 'Cyclone', heads: 5, range: [3, 6.5], caught: 0.97, origin: 'standard' },
  baffle: {
    name: 'Slotted baffle in a drum',
    heads: 10,
    range: [8, 12],
    caught: 0.92,
    origin: 'estimate',
  },
  lid: {
    name: 'Lid with two elbows',
    heads: 6,
    range: [4, 8],
    caught: 0.88,
    origin: 'estimate',
  },
} as const satisfies Record<
  string,
  {
    name: string;
    heads: number;
    range: readonly [number, number];
    caught: number;
    origin: Origin;
  }
>;
// Cyclone: 6.4 heads for high-efficiency proportions by Shepherd and Lapple's N_H = 16ab/De²,
// 3–6.5 for well-made ones (from memory). The others are to be fitted to before/after readings.

export type SeparatorKind = keyof typeof SEPARATORS;
export const SEPARATOR_KINDS = Object.keys(SEPARATORS) as [SeparatorKind, ...SeparatorKind[]];

/**
 * A cyclone's loss as heads of the round inlet of `inletDiameter` m that feeds its rectangular one:
 * Shepherd and Lapple's heads, times how much faster the air is in the rectangle, squared.
 * @example // a high-efficiency cyclone whose inlet is as large as the pipe: 6.4
 */
export const roundInletHeads = (cyclone: CycloneProportions, inletDiameter: number): number =>
  inletHeads(cyclone) * (circleArea(inletDiameter) / inletArea(cyclone)) ** 2;
