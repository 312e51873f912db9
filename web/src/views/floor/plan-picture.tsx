'use client';

import {
  edgeOn,
  type FloorConflict,
  type Machine,
  onFloor,
  planSheet,
  roomFrame,
  type Spot,
  sheetDxf,
  workingRoom,
} from '@frank-gauge/core';
import { useMemo, useRef } from 'react';
import { useChoices } from '@/store/choices';
import { saveFile } from '@/store/save-file';
import { Button } from '@/ui/button';
import { useSize } from '@/ui/use-size';
import { useZoom, type Zoom } from '@/ui/use-zoom';
import { useSolvedShop } from '../frame/solved-shop';
import { printDrawing } from '../parts/print-drawing';
import { saveDrawing } from '../parts/save-drawing';
import { chooseThing } from './choose-thing';
import { DrawLayer } from './ducts/draw-layer';
import { useDrawing } from './ducts/drawing-state';
import { DuctHandles } from './ducts/duct-handles';
import { DuctShapes } from './ducts/duct-shapes';
import { useDucts } from './ducts/use-ducts';
import { COLLECTOR } from './edit-things';
import { useHeld } from './floor-look';
import { type PlanDrawing, pathOf, planDrawing, zoomed } from './plan-drawing';
import { Grid, RoomSizes, Walls } from './room-shapes';
import { useDragPlace } from './use-drag-place';
import { type Thing, useStanding } from './use-standing';
import { ZoomButtons } from './zoom-buttons';

/** The room from above, to scale: walls, doors, posts, machines with the room their work takes. */
export function PlanPicture() {
  const { shop } = useSolvedShop();
  const { things } = useStanding();
  const [box, { width, height }] = useSize<HTMLDivElement>();
  const zoom = useZoom();
  const isHeld = useHeld((held) => held.isHeld);
  const kept = useRef<readonly Spot[]>([]);
  if (!isHeld) kept.current = things.flatMap(({ corners }) => corners);
  const standing = kept.current;
  const whole = planDrawing(shop.room, standing, width, height);
  // The same drawing as long as it looks the same: what is drawn in it need not be drawn anew.
  const drawing = useMemo(
    () => zoomed(whole, zoom.transform),
    [whole.scale, whole.x0, whole.y0, whole.x1, whole.y1, width, height, zoom.transform],
  );
  return (
    <div
      ref={box}
      className="relative h-[420px] min-h-0 md:h-auto md:min-h-[320px] md:flex-1 xl:min-h-0"
    >
      {width > 0 && height > 0 && (
        <>
          <Plan drawing={drawing} zoom={zoom} width={width} height={height} />
          <ZoomButtons zoom={zoom} />
          <div className="absolute right-0 bottom-0 flex text-[14px]">
            <Button
              look="quiet"
              onClick={() => {
                const svg = box.current?.querySelector('svg');
                if (svg) printDrawing(svg, 1 / drawing.scale, 'Plan');
              }}
            >
              Print
            </Button>
            <Button
              look="quiet"
              onClick={() => {
                const drawing = box.current?.querySelector('svg');
                const { scale } = planDrawing(shop.room, standing, width, height);
                if (drawing) saveDrawing(drawing, 1 / (scale * zoom.transform.k), 'plan', 50);
              }}
            >
              Save as SVG
            </Button>
            <Button
              look="quiet"
              onClick={() => saveFile('plan.dxf', sheetDxf(planSheet(shop)), 'image/vnd.dxf')}
            >
              Save as DXF
            </Button>
          </div>
        </>
      )}
    </div>
  );
}

interface PlanProps {
  readonly drawing: PlanDrawing;
  readonly zoom: Zoom;
  readonly width: number;
  readonly height: number;
}

function Plan({ drawing, zoom, width, height }: PlanProps) {
  const { shop, tree } = useSolvedShop();
  const { things, conflicts } = useStanding();
  const ducts = useDucts();
  const tool = useDrawing((drawing) => drawing.tool);
  const open = useChoices((choices) => choices.parts[shop.id]);
  const dragging = useDragPlace(drawing);
  const wrong = wrongOnes(conflicts);
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing of things to be pressed is no fieldset
    <svg
      ref={zoom.ref}
      width={width}
      height={height}
      role="group"
      aria-label="Plan of the shop"
      className="touch-none"
    >
      <title>{`Plan with ${things.length} things in it`}</title>
      <Grid drawing={drawing} />
      {shop.machines.map((machine) => {
        const thing = things.find(({ id }) => id === machine.id);
        return thing ? (
          <Rooms
            key={machine.id}
            machine={machine}
            thing={thing}
            drawing={drawing}
            conflicts={conflicts}
          />
        ) : null;
      })}
      <Walls drawing={drawing} />
      {things.map((thing) => {
        const isOpen = open === thing.id;
        const isWrong = wrong.has(thing.id);
        return (
          // biome-ignore lint/a11y/useSemanticElements: a part of a drawing cannot be a button element
          <g
            key={thing.id}
            role="button"
            tabIndex={0}
            aria-label={`${thing.name}; arrow keys move it, R turns it`}
            aria-pressed={isOpen}
            {...dragging(thing)}
            onClick={() => chooseThing(shop.id, tree, thing.id)}
            onKeyUp={(event) => {
              if (event.key === 'Enter') chooseThing(shop.id, tree, thing.id);
            }}
            className="cursor-move touch-none"
            stroke={isWrong ? 'var(--starved)' : 'var(--ink)'}
            strokeWidth={isWrong ? 2.5 : isOpen ? 2 : 1.5}
            fill={isOpen ? 'var(--selection)' : 'var(--paper)'}
          >
            <ThingShape thing={thing} drawing={drawing} />
          </g>
        );
      })}
      <DuctShapes drawing={drawing} ducts={ducts} />
      {things.map((thing) => (
        <ThingName key={thing.id} thing={thing} drawing={drawing} isWrong={wrong.has(thing.id)} />
      ))}
      {tool === 'draw' ? (
        <DrawLayer drawing={drawing} ducts={ducts} width={width} height={height} />
      ) : (
        <DuctHandles drawing={drawing} ducts={ducts} />
      )}
      <RoomSizes drawing={drawing} />
    </svg>
  );
}

/** Ids of what something is wrong with. */
function wrongOnes(conflicts: readonly FloorConflict[]): Set<string> {
  const ids = new Set<string>();
  for (const conflict of conflicts) {
    const others = conflict.kind === 'overlap' ? [conflict.other] : [];
    for (const who of [conflict.who, ...others]) {
      if (who.kind === 'machine') ids.add(who.id);
      if (who.kind === 'collector') ids.add(COLLECTOR);
    }
  }
  return ids;
}

interface ThingProps {
  readonly thing: Thing;
  readonly drawing: PlanDrawing;
}

/** A footprint with its front marked. */
function ThingShape({ thing, drawing }: ThingProps) {
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

/** Its name within, over whatever passes above it. */
function ThingName({ thing, drawing, isWrong }: ThingProps & { readonly isWrong: boolean }) {
  const label = labelSpot(thing, drawing);
  if (!isWrong && drawing.scale < NAMED_FROM) return null;
  return (
    <text
      x={label.x}
      y={label.y}
      textAnchor="middle"
      fontSize="13"
      fill={isWrong ? 'var(--starved-text)' : 'var(--ink)'}
      stroke="var(--paper)"
      strokeWidth={3}
      paintOrder="stroke"
      className="pointer-events-none select-none"
    >
      {isWrong ? '▼ ' : ''}
      {thing.name}
    </text>
  );
}

/** From farther away than this names would stand on each other, px per m. */
const NAMED_FROM = 18;

/** A letter is about so wide, px. */
const LETTER = 6.6;

/** A name stands within its footprint, or under it where it is too long. */
function labelSpot({ block, corners, name }: Thing, drawing: PlanDrawing) {
  const spots = corners.map(drawing.spot);
  const across = Math.max(...spots.map(({ x }) => x)) - Math.min(...spots.map(({ x }) => x));
  const { x, y } = drawing.spot(block.at);
  if (name.length * LETTER < across) return { x, y: y + 4 };
  return { x, y: Math.max(...spots.map((spot) => spot.y)) + 14 };
}

interface RoomsProps {
  readonly machine: Machine;
  readonly thing: Thing;
  readonly drawing: PlanDrawing;
  readonly conflicts: readonly FloorConflict[];
}

/** The room a machine's work takes, pale; hatched where something stands in it. */
function Rooms({ machine, thing, drawing, conflicts }: RoomsProps) {
  const { shop } = useSolvedShop();
  return workingRoom(machine, shop.room.boardLength).map((room) => {
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
}
