/**
 * Mean over centre velocity in fully turbulent pipe flow, V/Vmax = 1/(1 + 1.33·√f), about 0.8–0.85
 * (turbulent pipe profile, from memory). Holds after 7–10 diameters of straight pipe.
 * @param frictionFactor Darcy, 0.01 to 0.1
 * @example centreToMean(0.02) // 0.842
 */
export const centreToMean = (frictionFactor: number): number =>
  1 / (1 + 1.33 * Math.sqrt(frictionFactor));

/** How far the profile may be off beside a machine, where no pipe is straight, as a share: an estimate. */
export const PROFILE_UNCERTAINTY = 0.06;
/** The same after so many diameters of straight pipe that it is the textbook's: an estimate. */
export const STRAIGHT_UNCERTAINTY = 0.02;
/** Diameters of straight pipe from which the profile is trusted (common practice, no source). */
export const STRAIGHT_ENOUGH = 10;

/**
 * How much of the straight pipe that is enough there is, 0 to 1.
 * @param diameters of straight pipe ahead of the meter; null: not measured, so none is counted
 */
export const straightShare = (diameters: number | null): number =>
  Math.min(1, Math.max(0, (diameters ?? 0) / STRAIGHT_ENOUGH));

/**
 * How far the profile may be off, as a share, 95 %: falling evenly with the straight pipe ahead.
 * @param diameters of straight pipe ahead of the meter; null: not measured, so none is counted
 * @example profileUncertainty(5) // 0.04
 */
export function profileUncertainty(diameters: number | null): number {
  const share = straightShare(diameters);
  return PROFILE_UNCERTAINTY + share * (STRAIGHT_UNCERTAINTY - PROFILE_UNCERTAINTY);
}

/**
 * Mean over the velocity at one point somewhere in the pipe: between the center's share and one. Taken halfway,
 * with an uncertainty that covers both: an estimate.
 */
export const SOMEWHERE = { factor: 0.91, uncertainty: 0.09 } as const;
