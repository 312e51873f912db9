/** What is to be looked after, and when. */

export { binLife } from '../src/upkeep/bin-life';
export { type CareWorth, type CleaningsLeft, careWorths, cleaningsLeft } from '../src/upkeep/care';
export {
  bulkingByEmptying,
  type Due,
  type DueBy,
  type DueKind,
  duePressure,
  dueThings,
  EVENT_OF,
  type UpkeepRecords,
} from '../src/upkeep/due';
export { timesOfYear, yearOf, yearsOf } from '../src/upkeep/year';
