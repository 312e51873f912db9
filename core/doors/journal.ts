export type { Fault } from '../src/document/fault';
/** Records of what was measured and done, and the files a shop travels in. */

export { shopJsonSchema } from '../src/file/json-schema';
export { changeRenamedSince, renamedSince } from '../src/file/migrations';
export type { Renewal } from '../src/file/renewal';
export {
  faultOfDesign,
  faultOfEdit,
  LARGEST_FILE,
  readShop,
  readShopFile,
  writeShopFile,
} from '../src/file/shop-file';
export { faultOfDiff, faultOfRecord } from '../src/journal/check-journal';
export {
  changesAir,
  EVENT_KINDS,
  type EventKind,
  isEmptying,
  isTest,
  type ShopEvent,
  TEST_KINDS,
  type TestKind,
} from '../src/journal/event';
export type { FieldTest } from '../src/journal/field-test';
export {
  type Calibration,
  HOLD_MODES,
  type HoldMode,
  INSTRUMENT_KINDS,
  type Instrument,
  type InstrumentKind,
} from '../src/journal/instrument';
export {
  emptyJournal,
  type Journal,
  type JournalRecord,
  migrateRecord,
  RECORD_KINDS,
  RECORD_TYPES,
  type RecordFields,
  type RecordKind,
  recordCount,
  recordWith,
  timeOf,
} from '../src/journal/journal';
export {
  diffBetween,
  type Entry,
  invertDiff,
  isEmptyDiff,
  type JournalDiff,
  joinDiffs,
  migrateDiff,
  NO_DIFF,
  updateOnto,
  withDiff,
} from '../src/journal/journal-diff';
export { readJournalLines, writeJournalLines } from '../src/journal/journal-lines';
export type { Differing, Merge } from '../src/journal/merge-journals';
export { mergeJournals } from '../src/journal/merge-journals';
export type { Photo } from '../src/journal/photo';
export {
  isOfFlow,
  QUANTITIES,
  type Quantity,
  type Reading,
  type Taken,
  TRAVERSE_POINTS,
} from '../src/journal/reading';
export { revisionsOf } from '../src/journal/revisions';
export type { Round } from '../src/journal/round';
export type { SoundReading } from '../src/journal/sound';
export { COLLECTOR_TAPS, type CollectorTap, type TestPoint } from '../src/journal/test-point';
export type { Weighing } from '../src/journal/weighing';
