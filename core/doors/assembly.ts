/** How the collector stands, and what joins its parts. */

export { boxAround } from '../src/assembly/box-around';
export { bracketLoad, GRAVITY } from '../src/assembly/bracket';
export type { Elevation, Joint, Placed, Point, StackPart } from '../src/assembly/elevation';
export { type Conflict, type ConflictKind, stackConflicts } from '../src/assembly/stack-conflicts';
export { binVolume, stackMasses } from '../src/assembly/stack-masses';
export { standStack } from '../src/assembly/stand-stack';
export { type StackSizes, sizesOf } from '../src/assembly/usual-sizes';
export {
  type Adapter,
  type AdapterEnd,
  type AdapterSection,
  adapterSection,
  checkRing,
  type SectionPoint,
  USUAL_CLEARANCE,
  USUAL_TAPER,
} from '../src/build/adapter';
export { type BandChain, bandChain } from '../src/build/band-chain';
export type { Closing, Fit } from '../src/build/fit';
export {
  type EndWhat,
  type JointEnd,
  type JointPlace,
  jointsOfShop,
} from '../src/build/joints-of-shop';
export { revolvedStl } from '../src/build/stl';
