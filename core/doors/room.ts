/** The room, what stands in it, and what is in the way of what. */

export {
  addCorner,
  isRectangular,
  removeCorner,
  setOutline,
  setRoomSize,
  turnedBy,
} from '../src/room/edit-floor';
export { type FloorConflict, floorConflicts, type Occupant } from '../src/room/floor-conflicts';
export { placeAll, placeCollector, placeMachine } from '../src/room/free-place';
export { GRID, snapTo } from '../src/room/grid';
export { type OutlineFromDxf, outlineFromDxf } from '../src/room/outline-from-dxf';
export { type Block, cornersOf, onFloor, type Polygon, type Spot } from '../src/room/plane';
export {
  extentOf,
  floorArea,
  onWall,
  ROOM_SIZES,
  type Wall,
  wallsOf,
} from '../src/room/room-outline';
export {
  collectorBlock,
  edgeOn,
  machineBlock,
  machineSize,
  roomFrame,
  type WorkingRoom,
  workingRoom,
} from '../src/room/standing';
