/** How the collector stands, and what joins its parts. */

export {
  assemblyConflicts,
  type Conflict,
  type ConflictKind,
} from '../src/assembly/assembly-conflicts';
export { assemblyMasses, binVolume } from '../src/assembly/assembly-masses';
export { boxAround } from '../src/assembly/box-around';
export { bracketLoad, GRAVITY } from '../src/assembly/bracket';
export type {
  AssemblyPart,
  Elevation,
  Joint,
  Placed,
  Point,
} from '../src/assembly/elevation';
export { standAssembly } from '../src/assembly/stand-assembly';
export { type AssemblySizes, sizesOf } from '../src/assembly/usual-sizes';
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
