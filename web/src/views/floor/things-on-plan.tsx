'use client';

import type { Machine } from '@frank-gauge/core/design';
import {
  edgeOn,
  type FloorConflict,
  onFloor,
  roomFrame,
  type Spot,
  snapTo,
  workingRoom,
} from '@frank-gauge/core/room';
import { type KeyboardEvent, memo, type PointerEvent, useRef } from 'react';
import { useOnceAFrame } from '@/ui/use-once-a-frame';
import { COLLECTOR } from './collector-id';
import { useDrawing } from './ducts/drawing-state';
import { copyThings, moveThings, removeThings, turnThings } from './edit-together';
import { hold } from './floor-look';
import { KEY_STEPS } from './grid-steps';
import { type PlanDrawing, pathOf } from './plan-drawing';
import { letGo, selectAlso, togetherWith } from './selection';
import type { Thing } from './use-standing';

const QUARTER = Math.PI / 2;
const TWELFTH = Math.PI / 12;
/** A pointer that goes no farther than this pressed and did not drag, px. */
const TREMBLE = 3;

interface ThingProps {
  readonly thing: Thing;
  readonly drawing: PlanDrawing;
}

/** Where the pointer is; with Alt things move alone, without their ducts. */
interface Pointed extends Spot {
  readonly isAlone: boolean;
}

interface StandingProps extends ThingProps {
  /** What it snaps to, m. */
  readonly grid: number;
  readonly isOpen: boolean;
  readonly isSelected: boolean;
  readonly isWrong: boolean;
  readonly onChoose: (id: string) => void;
}

/** Whether a press takes one more thing instead of opening it. */
export const isSelecting = (event: {
  readonly shiftKey: boolean;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
}): boolean =>
  event.shiftKey || event.ctrlKey || event.metaKey || useDrawing.getState().tool === 'select';

/**
 * A machine or the collector, to be pressed, dragged and moved by keys, alone or with all that is
 * selected together: arrows a step of the grid, ten with Shift; R a quarter turn, with Shift 15°; Shift
 * and Enter takes it too; Delete takes it out. Ducts go along; with Alt they stay.
 */
export const ThingOnPlan = memo(function ThingOnPlan(props: StandingProps) {
  const { thing, drawing, grid, isOpen, isSelected, isWrong, onChoose } = props;
  const { id, block } = thing;
  const drag = useRef<{ from: Spot; x: number; y: number; hasMoved: boolean } | null>(null);
  const hasDragged = useRef(false);

  const take = (event: PointerEvent<SVGGElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    hold(true);
    drag.current = { from: block.at, x: event.clientX, y: event.clientY, hasMoved: false };
  };
  const move = useOnceAFrame((to: Pointed) => {
    const held = drag.current;
    if (!held) return;
    const [right, down] = [to.x - held.x, to.y - held.y];
    held.hasMoved ||= Math.hypot(right, down) > TREMBLE;
    if (!held.hasMoved) return;
    const step = {
      x: snapTo(grid, held.from.x + right / drawing.scale) - block.at.x,
      y: snapTo(grid, held.from.y - down / drawing.scale) - block.at.y,
    };
    if (step.x !== 0 || step.y !== 0) moveThings(togetherWith(id), step, to.isAlone);
  });
  const stop = () => {
    move.flush();
    hasDragged.current = drag.current?.hasMoved ?? false;
    drag.current = null;
    hold(false);
  };
  const press = (event: KeyboardEvent<SVGGElement>) => {
    if (thingKey(event, id, grid, thing)) event.preventDefault();
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: a part of a drawing cannot be a button element
    <g
      role="button"
      tabIndex={0}
      aria-label={`${thing.name}; arrow keys move it, R rotates it${isSelected ? '; selected together' : ''}`}
      aria-pressed={isOpen || isSelected}
      onPointerDown={take}
      onPointerMove={({ clientX: x, clientY: y, altKey }) => move.call({ x, y, isAlone: altKey })}
      onPointerUp={stop}
      onPointerCancel={stop}
      onClick={(event) => {
        if (hasDragged.current && isSelected) return;
        if (isSelecting(event)) selectAlso(id);
        else {
          letGo();
          onChoose(id);
        }
      }}
      onKeyDown={press}
      onKeyUp={(event) => {
        if (event.key !== 'Enter') return;
        if (event.shiftKey) selectAlso(id);
        else onChoose(id);
      }}
      className="cursor-move touch-none"
      stroke={isWrong ? 'var(--starved)' : 'var(--ink)'}
      strokeWidth={isWrong ? 2.5 : isOpen || isSelected ? 2 : 1.5}
      fill={isOpen || isSelected ? 'var(--selection)' : 'var(--paper)'}
    >
      <Footprint thing={thing} drawing={drawing} />
      {isSelected && <SelectionMarks spots={thing.corners} drawing={drawing} />}
    </g>
  );
});

/** What a key does to a thing that has the focus; whether it did something. */
function thingKey(
  event: KeyboardEvent<SVGGElement>,
  id: string,
  grid: number,
  { block }: Thing,
): boolean {
  // While a duct is drawn its keys hold.
  if (useDrawing.getState().tool === 'draw') return false;
  const together = togetherWith(id);
  const key = event.key.toLowerCase();
  const isCommand = event.ctrlKey || event.metaKey;
  const direction = KEY_STEPS[event.key];
  if (direction && direction.z === 0) {
    const far = grid * (event.shiftKey ? 10 : 1);
    const [x, y] = [block.at.x + direction.x * far, block.at.y + direction.y * far];
    moveThings(together, { x: x - block.at.x, y: y - block.at.y }, event.altKey);
  } else if (key === 'r' && !isCommand) turnThings(together, event.shiftKey ? TWELFTH : QUARTER);
  else if (key === 'd' && isCommand) copyThings(together);
  else if (key === 'delete' || key === 'backspace') removeThings(together);
  else return false;
  return true;
}

/** A footprint with its front marked. */
function Footprint({ thing, drawing }: ThingProps) {
  const { block, corners, id } = thing;
  const front = [-0.12, 0, 0.12].map((share, i) => {
    const depth = -block.depth / 2 + (i === 1 ? 0.02 : 0.1);
    return drawing.spot(onFloor(block, { x: share, y: depth }));
  });
  return (
    <>
      <path d={pathOf(corners, drawing)} strokeDasharray={id === COLLECTOR ? '7 3' : undefined} />
      {id !== COLLECTOR && (
        <polyline points={front.map((at) => `${at.x},${at.y}`).join(' ')} fill="none" />
      )}
    </>
  );
}

/** Marks at the corners, or along the way, of what is selected together. */
export function SelectionMarks({
  spots,
  drawing,
}: {
  readonly spots: readonly Spot[];
  readonly drawing: PlanDrawing;
}) {
  return spots.map((spot, i) => {
    const { x, y } = drawing.spot(spot);
    return (
      <rect
        key={`${i} ${spot.x} ${spot.y}`}
        x={x - 3.5}
        y={y - 3.5}
        width={7}
        height={7}
        fill="var(--ink)"
        stroke="none"
      />
    );
  });
}

interface RoomsProps extends ThingProps {
  readonly machine: Machine;
  readonly boardLength: number;
  readonly conflicts: readonly FloorConflict[];
}

/** The room a machine's work takes, pale; hatched where something stands in it. */
export const WorkingRooms = memo(function WorkingRooms(props: RoomsProps) {
  const { machine, thing, drawing, boardLength, conflicts } = props;
  return workingRoom(machine, boardLength).map((room) => {
    const frame = roomFrame(thing.block, room);
    const start = edgeOn(thing.block, room);
    const half = room.width / 2;
    const corners = [
      { x: -half, y: start },
      { x: half, y: start },
      { x: half, y: start + room.length },
      { x: -half, y: start + room.length },
    ].map((corner) => onFloor(frame, corner));
    const isShort = conflicts.some(
      (conflict) =>
        conflict.kind === 'feed blocked' &&
        conflict.who.kind === 'machine' &&
        conflict.who.id === machine.id &&
        conflict.room === room.kind,
    );
    return (
      <path
        key={room.kind}
        d={pathOf(corners, drawing)}
        fill={isShort ? 'var(--starved)' : 'var(--selection)'}
        fillOpacity={isShort ? 0.13 : 0.7}
        stroke={isShort ? 'var(--starved)' : 'var(--rule)'}
        strokeDasharray="4 4"
      />
    );
  });
});
