/** Where ducts lie, and moving them. */

export { arrangeDucts } from '../src/routing/arrange-ducts';
export { USUAL_BEND } from '../src/routing/bend-geometry';
export { deriveAlong } from '../src/routing/derive-runs';
export { type DuctConflict, ductConflicts } from '../src/routing/duct-conflicts';
export { type DuctLine, type DuctLines, ductLines, pipePoints } from '../src/routing/duct-lines';
export {
  addMachine,
  copyMachine,
  copyMachines,
  removeMachine,
  routeUsual,
} from '../src/routing/edit-machines';
export {
  addBend,
  drawRun,
  followDrawing,
  holdTyped,
  movePoint,
  raiseDucts,
  removeBend,
  removeBranch,
  setBendStyle,
  splitInHalf,
} from '../src/routing/edit-route';
export { joinBy, type NotJoined } from '../src/routing/join-style';
export {
  beginMove,
  type Move,
  moveBy,
  type SelectedTogether,
} from '../src/routing/move-together';
export { inletMouth, inMachine, type Mouth, nodePlaces, portMouth } from '../src/routing/places';
export { routeDrawn } from '../src/routing/route-drawn';
export {
  type DuctEnd,
  type RoutedDuct,
  rejoin,
  routeDuct,
  runFromPort,
  USUAL_SLACK,
  type WhyNoRoute,
} from '../src/routing/route-duct';
export { type CheckRuler, checkRuler } from '../src/routing/sheets/check-ruler';
export { ELEVATIONS, elevationSheet, type Side } from '../src/routing/sheets/elevation-sheet';
export { isometricSheet } from '../src/routing/sheets/isometric-sheet';
export { planSheet } from '../src/routing/sheets/plan-sheet';
export { type SheetItem, type SheetLayer, sheetExtent } from '../src/routing/sheets/sheet';
export { sheetSvg } from '../src/routing/sheets/sheet-svg';
export { collectorPipes, type Solid, solidsOf } from '../src/routing/sheets/solids';
export { nearestFromAbove, nearestOn, type Point3 } from '../src/routing/space';
export { placeInRun, runAtSpot } from '../src/routing/spot-on-ducts';
export { ductHeight, type Goal, riseFrom } from '../src/routing/usual-route';
