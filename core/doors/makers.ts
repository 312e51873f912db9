/** What is made from sheet and lumber around a collector: its parts, drawings, cut lists, prints. */

export { type Board, blankOf } from '../src/build/boards/board';
export { boardSheet, nestSheet } from '../src/build/boards/board-sheet';
export { extrudedStl } from '../src/build/boards/extruded-stl';
export { type Nesting, nestBoards, type SheetStock } from '../src/build/boards/nest-boards';
export {
  type LengthJob,
  lengthJobs,
  lettersOf,
  type PartKind,
  partKinds,
  type SheetJob,
  sheetJobs,
} from '../src/build/boards/part-kinds';
export { viewOfBoards } from '../src/build/boards/view-of-boards';
export type { MadeThing, MakerCheck } from '../src/build/makers/maker';
export { type MakerPlace, makerPlace } from '../src/build/makers/maker-place';
export { MAKERS, type MakerId, makerOf, type SizeOf } from '../src/build/makers/makers';
export type { MakerSaying, MakerSayingId, MakerSayings } from '../src/build/makers/sayings';
