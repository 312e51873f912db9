/** What flows where with these gates open. */

export {
  SEPARATOR_RUN,
  separatorCoefficient,
} from '../src/network/assemble/separator-segment';
export { NO_CHANGE, type View } from '../src/network/assemble/setting';
export { compileNetwork } from '../src/network/compiled-network';
export type { Network, PartKind, Segment } from '../src/network/network';
export { outletPressure } from '../src/network/outlet-pressure';
export {
  type NetworkState,
  type SolveFailure,
  solveNetwork,
} from '../src/network/solve-network';
export {
  type SegmentAir,
  type ShopFailure,
  type ShopSolution,
  type ShopSolved,
  solveShop,
  solveTree,
} from '../src/network/solve-shop';
