'use client';

import type { FloorConflict, Spot } from '@frank-gauge/core/room';
import { GRID } from '@frank-gauge/core/room';
import { planSheet } from '@frank-gauge/core/routing';
import { type CSSProperties, useMemo, useRef } from 'react';
import { standingPart } from '@/model/shop-parts';
import { useDesign, useUnits } from '@/model/use-design';
import { useChoices } from '@/storage/choices';
import { Button } from '@/ui/button';
import { useSize } from '@/ui/use-size';
import { useZoom, type Zoom } from '@/ui/use-zoom';
import { WrittenLabel } from '@/ui/written-label';
import { printDrawing } from '../parts/print-drawing';
import { saveDrawing } from '../parts/save-drawing';
import { saveDxf } from '../parts/save-dxf';
import { useChooseThing } from './choose-thing';
import { COLLECTOR } from './collector-id';
import { DrawLayer } from './ducts/draw-layer';
import { useDrawing } from './ducts/drawing-state';
import { DuctHandles } from './ducts/duct-handles';
import { DuctShapes } from './ducts/duct-shapes';
import { GhostCaption, GhostDucts } from './ducts/ghost-ducts';
import { useDucts } from './ducts/use-ducts';
import { useHeld } from './floor-look';
import { type PlanDrawing, planDrawing, zoomed } from './plan-drawing';
import { Grid, RoomSizes, Walls } from './room-shapes';
import { useSelected } from './selection';
import { useTakingFrame } from './selection-frame';
import { boxesOf, ductStrokes, NAME_SIZE, namedThings, wallStrokes } from './thing-names';
import { ThingOnPlan, WorkingRooms } from './things-on-plan';
import { useStanding } from './use-standing';
import { ZoomButtons } from './zoom-buttons';

/** The room from above, to scale: walls, doors, posts, machines with the room their work takes. */
export function PlanPicture() {
  const shop = useDesign();
  const { things } = useStanding();
  const [box, { width, height }] = useSize<HTMLDivElement>();
  const units = useUnits();
  const zoom = useZoom();
  const isHeld = useHeld((held) => held.isHeld);
  const kept = useRef<readonly Spot[]>([]);
  if (!isHeld) kept.current = things.flatMap(({ corners }) => corners);
  const standing = kept.current;
  const whole = planDrawing(shop.room, standing, width, height);
  // The same drawing as long as it looks the same: what is drawn in it need not be drawn anew.
  // biome-ignore lint/correctness/useExhaustiveDependencies: by what it looks like, not by what it was made from
  const drawing = useMemo(
    () => zoomed(whole, zoom.transform),
    [whole.scale, whole.x0, whole.y0, whole.x1, whole.y1, width, height, zoom.transform],
  );
  return (
    <div
      ref={box}
      style={{ '--stage': stageOf(whole) } as CSSProperties}
      className="relative h-(--stage) min-h-0 md:h-auto md:flex-1"
    >
      {width > 0 && height > 0 && (
        <>
          <Plan drawing={drawing} zoom={zoom} width={width} height={height} />
          <ZoomButtons zoom={zoom} />
          <GhostCaption />
          <div className="absolute right-0 bottom-0 flex text-[14px]">
            <Button
              look="quiet"
              onClick={() => {
                const svg = box.current?.querySelector('svg');
                if (svg) printDrawing(svg, 1 / drawing.scale, 'Plan', units);
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
            <Button look="quiet" onClick={() => void saveDxf('plan', planSheet(shop))}>
              Save as DXF
            </Button>
          </div>
        </>
      )}
    </div>
  );
}

/** On a phone the plan is as wide as the screen: it is as high as the room then asks for. */
const stageOf = ({ x0, y0, x1, y1 }: PlanDrawing) =>
  `clamp(280px, calc((100vw - 62px) * ${((y1 - y0) / (x1 - x0)).toFixed(3)} + 100px), 480px)`;

interface PlanProps {
  readonly drawing: PlanDrawing;
  readonly zoom: Zoom;
  readonly width: number;
  readonly height: number;
}

function Plan({ drawing, zoom, width, height }: PlanProps) {
  const shopId = useDesign(({ id }) => id);
  const { room, machines } = useDesign(standingPart);
  const system = useUnits();
  const { things, conflicts } = useStanding();
  const ducts = useDucts();
  const tool = useDrawing((drawing) => drawing.tool);
  const open = useChoices((choices) => choices.parts[shopId]);
  const selected = useSelected();
  const choose = useChooseThing();
  const frame = useTakingFrame(drawing, things, ducts);
  const wrong = useMemo(() => wrongOnes(conflicts), [conflicts]);
  const strokes = [...ductStrokes(ducts.drawn, drawing), ...wallStrokes(room, drawing)];
  const names = namedThings(things, drawing, strokes, wrong, open);
  const thingOf = new Map(things.map((thing) => [thing.id, thing]));
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing of things to be pressed is no fieldset
    <svg
      ref={zoom.ref}
      width={width}
      height={height}
      role="group"
      aria-label="Plan of the shop"
      className="touch-none"
      data-held={tool === 'select' ? true : undefined}
      {...frame.handlers}
    >
      <title>{`Plan with ${things.length} things in it`}</title>
      {room.outline.length < 3 && things.length === 0 && (
        <text x={width / 2} y={height / 2} textAnchor="middle" fontSize="15" fill="var(--quiet)">
          The room is drawn here, to scale.
        </text>
      )}
      <Grid drawing={drawing} room={room} system={system} />
      {machines.map((machine) => {
        const thing = thingOf.get(machine.id);
        return thing ? (
          <WorkingRooms
            key={machine.id}
            machine={machine}
            thing={thing}
            drawing={drawing}
            boardLength={room.boardLength}
            conflicts={conflicts}
          />
        ) : null;
      })}
      <Walls drawing={drawing} room={room} />
      {things.map((thing) => (
        <ThingOnPlan
          key={thing.id}
          thing={thing}
          drawing={drawing}
          grid={GRID[system]}
          isOpen={open === thing.id}
          isSelected={selected.has(thing.id)}
          isWrong={wrong.has(thing.id)}
          onChoose={choose}
        />
      ))}
      <DuctShapes drawing={drawing} ducts={ducts} />
      <GhostDucts drawing={drawing} />
      {names.map(({ of, text, at }) => (
        <WrittenLabel
          key={of.id}
          text={text}
          x={at.x}
          y={at.y}
          size={NAME_SIZE}
          fill={wrong.has(of.id) ? 'var(--starved-text)' : 'var(--ink)'}
        />
      ))}
      {tool === 'draw' ? (
        <DrawLayer drawing={drawing} ducts={ducts} width={width} height={height} />
      ) : (
        selected.size === 0 && (
          <DuctHandles
            drawing={drawing}
            ducts={ducts}
            strokes={strokes}
            occupied={boxesOf(names)}
          />
        )
      )}
      <RoomSizes drawing={drawing} room={room} system={system} />
      {frame.picture}
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
