/** Invented shops with hidden faults, to practice finding them. */

export {
  type Debrief,
  debriefOf,
  type Grade,
  type StepOfWay,
  type ToldBy,
} from '../src/practice/debrief';
export { type HeldAgainst, heldAgainst } from '../src/practice/held-against';
export {
  type AskedOfMeter,
  beginHunt,
  crossOut,
  type Hunt,
  keyOfSpot,
  minutesFor,
  minutesSoFar,
  type NotedReading,
  standingOf,
} from '../src/practice/hunt';
export { idOfChance, LEVELS, type Level, ofChance } from '../src/practice/level';
export {
  type MeterFace,
  nextHold,
  nextUnit,
  notedUnit,
  shownUnit,
} from '../src/practice/meter-face';
export { placesToMeasure } from '../src/practice/places-to-measure';
export { type HiddenFault, type PracticeShop, practiceShop } from '../src/practice/practice-shop';
export { metersOf, takeReading } from '../src/practice/take-reading';
export {
  isWritten,
  LEVEL_OF_WRITTEN,
  WRITTEN_IDS,
  type WrittenId,
} from '../src/practice/written-ids';
