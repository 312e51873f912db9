import { SPECIFIC_HEAT } from './air-outdoors';

/** Inside lengths of a box in m, what its walls weigh (kg/m²) and the share of sound its lining takes. */
export interface Box {
  readonly length: number;
  readonly width: number;
  readonly height: number;
  readonly surfaceMass: number;
  readonly absorption: number;
}

/** What box walls are made of, by mass for each m² (trade thicknesses, an estimate). */
export const BOX_WALLS = {
  plywood: { name: 'Plywood, 18 mm', surfaceMass: 11 },
  mdf: { name: 'Fiberboard, 18 mm', surfaceMass: 13.5 },
  double: { name: 'Two layers with plasterboard', surfaceMass: 24 },
} as const;

/** Shares of sound a box's inside takes: bare board, half lined, lined all over with mineral wool (estimates). */
export const BOX_LININGS = {
  bare: { name: 'bare', absorption: 0.08 },
  half: { name: 'half lined', absorption: 0.35 },
  lined: { name: 'lined all over', absorption: 0.7 },
} as const;

/** Frequency a blower's A-weighted noise lies about, Hz: an estimate. */
const LOUDEST = 500;
/** Heat a board wall lets through, W/(m²·K): an estimate. */
export const WALL_TRANSMITTANCE = 3;
/** Share of the electric power a single-phase motor puts on its shaft: an estimate. */
export const MOTOR_EFFICIENCY = 0.75;
/** Rise of the air in a box above which its motor runs hot, K: common practice, no source. */
export const WARM_RISE = 15;

export const boxSurface = ({ length, width, height }: Box): number =>
  2 * (length * width + length * height + width * height);

/**
 * What walls of `surfaceMass` kg/m² keep back of sound at 500 Hz, dB: the mass law for sound from all
 * sides, 20·log₁₀(m·f) − 47 (standard acoustics texts, from memory).
 * @example wallLoss(13.5) // 29.6
 */
export const wallLoss = (surfaceMass: number): number =>
  Math.max(0, 20 * Math.log10(surfaceMass * LOUDEST) - 47);

/**
 * How much quieter a box makes what stands in it, dB: its walls by the mass law and the opening, which
 * keeps nothing back, weighted by area; less what a hard inside throws back, 10·log₁₀ of the absorbed
 * share. Rough: gaps, and a lined bend in the air's way, change it by several dB either way.
 * @param opening free area of the return, m²
 */
export function boxQuieting(box: Box, opening: number): number {
  const walls = boxSurface(box);
  const through = walls * 10 ** (-wallLoss(box.surfaceMass) / 10) + opening;
  const composite = -10 * Math.log10(through / (walls + opening));
  return Math.max(0, composite + 10 * Math.log10(box.absorption));
}

/**
 * How much warmer the air in a box gets than the room, K: all the motor takes ends as heat in it, and
 * leaves with the air and through the walls. ΔT = P / (ρ·c·Q + U·A).
 * @param shaft power on the shaft, W
 * @param flow that leaves through the return, m³/s
 */
export function boxWarmth(box: Box, shaft: number, flow: number, density: number): number {
  const heat = shaft / MOTOR_EFFICIENCY;
  const carried = density * SPECIFIC_HEAT * Math.max(0, flow);
  return heat / (carried + WALL_TRANSMITTANCE * boxSurface(box));
}
