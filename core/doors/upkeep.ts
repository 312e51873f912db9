/** What is to be looked after, and when. */

export { binLife } from '../src/upkeep/bin-life';
export {
  bulkingByEmptying,
  type Due,
  type DueBy,
  type DueKind,
  dueThings,
  EVENT_OF,
  type UpkeepRecords,
} from '../src/upkeep/due';
export { yearOf, yearsOf } from '../src/upkeep/year';
