/** What to do next to a shop, what it is worth, and what a budget buys. */

export {
  type ComparedDesign,
  type ComparedDesigns,
  compareDesigns,
  type Stretch,
} from '../src/advice/compare-designs';
export type { DropOutcome, Evaluation } from '../src/advice/evaluate';
export type { Broken } from '../src/advice/house-rules';
export { costOf, type Work } from '../src/advice/improvement';
export { improved, improvementsFor, improvementsOf } from '../src/advice/improvements-of';
export type { DropGain, RankedImprovement } from '../src/advice/judge-improvement';
export type { Need } from '../src/advice/needs';
export { type Package, type Packages, packImprovements, withinBudget } from '../src/advice/pack';
export { type PaidPrice, paidPrices, withPaidPrices } from '../src/advice/paid-prices';
export {
  PER,
  PRICED_DIAMETER,
  PRICES,
  type PriceLine,
  perUnit,
  priceOf,
} from '../src/advice/price-book';
export { readPrices, writePrices } from '../src/advice/price-table';
export { type Ranking, rankImprovements } from '../src/advice/rank';
export { withSearched } from '../src/advice/searched';
export { planStages, type Stage, type StagePlan } from '../src/advice/stages';
