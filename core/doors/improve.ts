/** Placing machines, routing ducts and sizing them. */

export { judgePlaces, type PlaceScore, swapMachines } from '../src/improve/place-machines';
export {
  type Routed,
  type RouteProposal,
  routeDucts,
  type WhyNotRouted,
} from '../src/improve/route-ducts';
export type { RouteStyle } from '../src/improve/route-weighing';
export { type SizedDucts, sizeDucts, type Unmet } from '../src/improve/size-ducts';
