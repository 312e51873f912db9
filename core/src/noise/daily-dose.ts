/** Level NIOSH allows for `FULL_SHIFT` hours a day, dB(A) (criteria document 98-126, from memory). */
export const RECOMMENDED_LEVEL = 85;
export const FULL_SHIFT = 8;
/** Each so many dB more halves the time. */
export const EXCHANGE = 3;

/**
 * Hours a day NIOSH allows at a level: T = 8 / 2^((L − 85)/3).
 * @param level dB(A), slow
 * @example allowedHours(85) // 8
 * @example allowedHours(100) // 0.25
 */
export const allowedHours = (level: number): number =>
  FULL_SHIFT / 2 ** ((level - RECOMMENDED_LEVEL) / EXCHANGE);

/** Hours spent at a level. */
export interface Stay {
  /** dB(A) */
  readonly level: number;
  /** h */
  readonly hours: number;
}

/**
 * Share of a day's allowance that stays use up: D = ΣC/T; above 1 is too much.
 * @example dailyDose([{ level: 85, hours: 4 }, { level: 88, hours: 2 }]) // 1
 */
export const dailyDose = (stays: readonly Stay[]): number =>
  stays.reduce((sum, { level, hours }) => sum + hours / allowedHours(level), 0);

/**
 * Level that would give the same dose over eight hours, dB(A): 10·log₁₀(D) + 85; null without a dose.
 * @example averageLevel(2) // 88.01
 */
export const averageLevel = (dose: number): number | null =>
  dose > 0 ? 10 * Math.log10(dose) + RECOMMENDED_LEVEL : null;
