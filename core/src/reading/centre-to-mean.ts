/**
 * Mean over centre velocity in fully turbulent pipe flow, V/Vmax = 1/(1 + 1.33·√f), about 0.8–0.85
 * (turbulent pipe profile, from memory). Holds after 7–10 diameters of straight pipe.
 * @param frictionFactor Darcy, 0.01 to 0.1
 * @example centreToMean(0.02) // 0.842
 */
export const centreToMean = (frictionFactor: number): number =>
  1 / (1 + 1.33 * Math.sqrt(frictionFactor));

/** How far the factor may be off beside a machine, where no pipe is straight: an estimate. */
export const PROFILE_UNCERTAINTY = 0.06;
