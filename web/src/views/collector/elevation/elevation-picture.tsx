'use client';

import type { AssemblyPart, Conflict, Elevation } from '@frank-gauge/core/assembly';
import { useDesign, useUnits } from '@/model/use-design';
import { choosePart, useChoices } from '@/storage/choices';
import { Button } from '@/ui/button';
import { useSize } from '@/ui/use-size';
import { STACK_PARTS } from '@/words/conflict-words';
import { tapeLength } from '@/words/tape-length';
import { useCollector } from '../../parts/edited-collector';
import { saveDrawing } from '../../parts/save-drawing';
import { useElevation } from '../../parts/use-elevation';
import { type Drawing, drawingOf } from './drawing';
import { JointShape, PartShape } from './part-shapes';
import { Bracket, ComingIn, Partition, Room } from './surroundings';
import { type Hanging, heightOf, useDragHeight } from './use-drag-height';
import { Headroom, Heights, Marks } from './written-heights';

/** Which fields a part opens. */
const OPENS: Record<AssemblyPart, string> = {
  bin: 'bin',
  lid: 'bin',
  separator: 'separator',
  coupling: 'coupling',
  blower: 'blower',
  motor: 'blower',
  transition: 'coupling',
  filter: 'filter',
  filterBin: 'filter',
  cart: 'mount',
  box: 'box',
};

/** What moves with which part that hangs. */
const HANGS: Partial<Record<AssemblyPart, Hanging>> = {
  blower: 'blower',
  motor: 'blower',
  filter: 'filter',
  separator: 'separator',
};

/** The collector from the front, to scale, with its heights; what does not fit is marked. */
export function ElevationPicture() {
  const [box, { width, height }] = useSize<HTMLDivElement>();
  const { elevation } = useElevation();
  return (
    <div ref={box} className="relative h-[440px] min-h-0 md:h-auto md:flex-1">
      {width > 0 && height > 0 && (
        <>
          <Picture drawing={drawingOf(elevation, width, height)} width={width} height={height} />
          <Button
            look="quiet"
            className="absolute right-0 bottom-0 text-[14px]"
            onClick={() => {
              const drawing = box.current?.querySelector('svg');
              const { scale } = drawingOf(elevation, width, height);
              if (drawing) saveDrawing(drawing, 1 / scale, 'elevation', 20);
            }}
          >
            Save the drawing
          </Button>
        </>
      )}
    </div>
  );
}

interface PictureProps {
  readonly drawing: Drawing;
  readonly width: number;
  readonly height: number;
}

function Picture({ drawing, width, height }: PictureProps) {
  const shopId = useDesign((shop) => shop.id);
  const system = useUnits();
  const { parts } = useCollector();
  const { elevation, conflicts } = useElevation();
  const open = useChoices((choices) => choices.parts[shopId]);
  const dragging = useDragHeight(drawing);
  const { placed, joints, ceiling, partitionX, outsideX } = elevation;
  const wrong = new Set(
    conflicts.filter(({ severity }) => severity === 'serious').map(({ part }) => part),
  );
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing of parts to be pressed is no fieldset
    <svg width={width} height={height} role="group" aria-label="The collector from the front">
      <title>{describe(elevation, conflicts)}</title>
      <Room drawing={drawing} width={width} />
      {partitionX !== null && (
        <Partition x={drawing.x(partitionX)} drawing={drawing} name="next room" />
      )}
      {outsideX !== null && <Partition x={drawing.x(outsideX)} drawing={drawing} name="outdoors" />}
      <ComingIn drawing={drawing} />
      {parts.assembly.mount.kind === 'wall' && <Bracket drawing={drawing} />}
      {joints.map((joint) => (
        <JointShape key={joint.part} joint={joint} drawing={drawing} />
      ))}
      {placed.map((each) => {
        const hanging = HANGS[each.part];
        const canMove = hanging !== undefined && heightOf(parts.assembly, hanging) !== null;
        const isOpen = open === OPENS[each.part];
        const isWrong = wrong.has(each.part);
        const moves = canMove ? '; arrow keys move it up and down' : '';
        return (
          // biome-ignore lint/a11y/useSemanticElements: a part of a drawing cannot be a button element
          <g
            key={each.part}
            role="button"
            tabIndex={0}
            aria-label={`${STACK_PARTS[each.part]}${moves}`}
            aria-pressed={isOpen}
            {...(hanging && dragging(hanging))}
            onClick={() => choosePart(shopId, OPENS[each.part])}
            onKeyUp={(event) => {
              if (event.key === 'Enter') choosePart(shopId, OPENS[each.part]);
            }}
            className={`outline-offset-4 ${canMove ? 'cursor-ns-resize touch-none' : 'cursor-pointer'}`}
            stroke={isWrong ? 'var(--starved)' : 'var(--ink)'}
            strokeWidth={isWrong ? 2.5 : isOpen ? 2 : 1.5}
            fill={isOpen ? 'var(--selection)' : 'var(--paper)'}
          >
            <PartShape placed={each} drawing={drawing} parts={parts} elevation={elevation} />
          </g>
        );
      })}
      <Heights drawing={drawing} width={width} />
      {ceiling !== null && (
        <Headroom free={ceiling - elevation.height} ceiling={ceiling} drawing={drawing} />
      )}
      <Marks conflicts={conflicts} drawing={drawing} width={width} />
      <text x={8} y={height - 10} fontSize="12.5" fill="var(--quiet)">
        floor {tapeLength(elevation.floor.width, system)} ×{' '}
        {tapeLength(elevation.floor.depth, system)}
      </text>
    </svg>
  );
}

const describe = ({ placed }: Elevation, conflicts: readonly Conflict[]) =>
  `From the floor up: ${placed.map(({ part }) => STACK_PARTS[part].toLowerCase()).join(', ')}. ${
    conflicts.length === 0 ? 'Everything fits.' : `${conflicts.length} issues.`
  }`;
