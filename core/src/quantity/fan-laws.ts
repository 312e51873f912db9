/** How often a blower's speed, wheel and air are what they were. */
export interface FanRatios {
  readonly speed: number;
  readonly wheel: number;
  readonly density: number;
}

/**
 * What a blower's flow and pressure are multiplied by at another density, speed or wheel. Speed and density by
 * the fan laws, Q ∝ N, P ∝ ρ·N² (AMCA). A larger wheel in the same housing is not a larger machine: Q ∝ D,
 * P ∝ D², and so W ∝ D³ (common practice, no source; a range, and an estimate beyond a change of a tenth). The
 * law Q ∝ D³ is for machines that are similar in every length, which no wheel changed in its housing makes.
 * @example fanLaws({ speed: 2, wheel: 1, density: 1 }) // { flow: 2, pressure: 4 }
 */
export const fanLaws = ({ speed, wheel, density }: FanRatios) => ({
  flow: speed * wheel,
  pressure: density * speed ** 2 * wheel ** 2,
});
