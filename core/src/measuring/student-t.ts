/**
 * Student's t, two-sided 95 %, by degrees of freedom from 1 (standard statistical tables, from memory;
 * checked against two packages in `core/reference`).
 */
const T_95 = [12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228] as const;
const NORMAL = 1.959964;

/** Half the width of a 95 % interval of the normal distribution, in standard deviations. */
export const NORMAL_95 = NORMAL;

/** Beyond the table by its expansion in one over the degrees of freedom (Abramowitz and Stegun 26.7.5, from memory). */
function expanded(freedom: number): number {
  const z = NORMAL;
  return (
    z +
    (z ** 3 + z) / (4 * freedom) +
    (5 * z ** 5 + 16 * z ** 3 + 3 * z) / (96 * freedom ** 2) +
    (3 * z ** 7 + 19 * z ** 5 + 17 * z ** 3 - 15 * z) / (384 * freedom ** 3)
  );
}

const whole = (freedom: number): number => T_95[freedom - 1] ?? expanded(freedom);

/**
 * Student's t for a 95 % interval. Between whole degrees of freedom, as Welch's rule gives them, it is
 * interpolated in ln t over 1/freedom, which is at most 0.5 % too wide from two degrees on, never too narrow.
 * @param freedom degrees of freedom, 1 or more; less counts as 1. Infinity is the normal distribution.
 * @example studentT(4) // 2.776
 */
export function studentT(freedom: number): number {
  if (freedom === Number.POSITIVE_INFINITY) return NORMAL;
  const ν = Math.max(1, freedom);
  const below = Math.floor(ν);
  if (below === ν || below > T_95.length) return below > T_95.length ? expanded(ν) : whole(ν);
  const share = (1 / below - 1 / ν) / (1 / below - 1 / (below + 1));
  return whole(below) ** (1 - share) * whole(below + 1) ** share;
}
