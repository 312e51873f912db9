/** What the ducts are built from: parts counted, pipe cut from stock. */

export {
  type AssemblyGroup,
  type AssemblyStep,
  assemblyOrder,
  type SealedWith,
} from '../src/build/assembly-order';
export { amountAtHand, isAtHand, type StageParts, withTick } from '../src/build/at-hand';
export {
  type CutGroup,
  type CutList,
  cutList,
  jointsInPieces,
  lengthsOf,
} from '../src/build/cuts/cut-list';
export type { CutPiece, Overlap } from '../src/build/cuts/cut-pieces';
export { cutAt, isCut, withCut, withoutCut } from '../src/build/cuts/cut-ticks';
export type { Stick } from '../src/build/cuts/pack-stock';
export { type BuildSheet, buildSheet } from '../src/build/drawings/build-sheet';
export {
  type ByWall,
  type Hanger,
  type Hole,
  hangersOf,
  holesOf,
  type PointToMark,
  pointsToMark,
} from '../src/build/drawings/marks';
export { type Part, type PartLine, partsList } from '../src/build/parts-list';
export { type Stage, stagesOf } from '../src/build/stages';
export { elbowGores, type MiteredElbow } from '../src/build/templates/elbow-gores';
export { type HoleCircle, holeCircle, holeCircleSheet } from '../src/build/templates/hole-circle';
export { type SeparatorLid, separatorLid } from '../src/build/templates/separator-lid';
export type { TemplateFault } from '../src/build/templates/template-fault';
export { goreSheets, lidSheet, templateSheets } from '../src/build/templates/template-sheets';
export {
  type PipeIntoDrum,
  tangentialOffset,
  wrapTemplates,
} from '../src/build/templates/wrap-templates';
