import type { Origin } from '../quantity/origin';

/** Kinds of separator with the velocity heads of their inlet they usually take. */
export const SEPARATORS = {
  none: { name: 'None, one stage', heads: 0, range: [0, 0], origin: 'standard' },
  cyclone: { name: 'Cyclone', heads: 5, range: [3, 6.5], origin: 'standard' },
  baffle: { name: 'Slotted baffle in a drum', heads: 10, range: [8, 12], origin: 'estimate' },
  lid: { name: 'Lid with two elbows', heads: 6, range: [4, 8], origin: 'estimate' },
} as const satisfies Record<
  string,
  { name: string; heads: number; range: readonly [number, number]; origin: Origin }
>;
// Cyclone: 6.4 heads for high-efficiency proportions by Shepherd and Lapple's N_H = 16ab/De²,
// 3–6.5 for well-made ones (from memory). The others are to be fitted to before/after readings.

export type SeparatorKind = keyof typeof SEPARATORS;
export const SEPARATOR_KINDS = Object.keys(SEPARATORS) as [SeparatorKind, ...SeparatorKind[]];
