import type { RankedImprovement, Ranking } from '@frank-gauge/core/advice';

/** So many are named as sentences. */
const NAMED = 3;
/** Less than this is not worth doing, in points. */
export const WORTH_DOING = 0.5;

/** The best steps that are worth doing at all. */
export const bestSteps = ({ ranked }: Ranking): readonly RankedImprovement[] =>
  ranked.filter(({ worth }) => worth.points > WORTH_DOING).slice(0, NAMED);
