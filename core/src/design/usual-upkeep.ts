/** s */
export const DAY = 86_400;
export const WEEK = 7 * DAY;

/** How a shop is looked after until somebody says otherwise. Estimates. */
export const USUAL_UPKEEP = {
  bulking: 4,
  fullAt: 0.8,
  roundEvery: 182 * DAY,
  checkEvery: 364 * DAY,
  filterEvery: 182 * DAY,
} as const;

export const usualUpkeep = () => ({ running: null as number | null, ...USUAL_UPKEEP });
