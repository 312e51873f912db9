'use client';

import type { Run } from '@frank-gauge/core/design';
import { circleArea, formatShort, type UnitSystem } from '@frank-gauge/core/quantity';
import { type DuctLine, type Point3, pipePoints } from '@frank-gauge/core/routing';
import { memo } from 'react';
import { useDesign, useSelectedDrop, useUnits } from '@/model/use-design';
import { useChoices } from '@/storage/choices';
import { useChooseThing } from '../choose-thing';
import { removeThings } from '../edit-together';
import type { PlanDrawing } from '../plan-drawing';
import { letGo, selectAlso, togetherWith, useSelected } from '../selection';
import { isSelecting, SelectionMarks } from '../things-on-plan';
import type { AirTone } from './air-tone';
import { useDrawing } from './drawing-state';
import { FlowMarks } from './flow-marks';
import { GateMark, UPRIGHT } from './gate-mark';
import { ReducerMark } from './reducer-mark';
import type { Ducts } from './use-ducts';

interface Props {
  readonly drawing: PlanDrawing;
  readonly ducts: Ducts;
}

/** Every drawn duct, as wide as it is and as deep in tone as its air is fast. */
export function DuctShapes({ drawing, ducts }: Props) {
  const shopId = useDesign((shop) => shop.id);
  const machines = useDesign((shop) => shop.machines);
  const system = useUnits();
  const explained = useSelectedDrop();
  const choose = useChooseThing();
  const selected = useSelected();
  const open = useChoices((choices) => choices.parts[shopId]);
  const wrong = new Set(
    ducts.conflicts.flatMap((conflict) =>
      conflict.kind === 'port without a duct' || isMild(conflict.kind) ? [] : [conflict.run],
    ),
  );
  const isDropOpen = machines.some(({ id }) => id === open) || ducts.lines.lines.has(open ?? '');
  const route = new Set(isDropOpen ? routeFrom(open, explained?.drop) : []);
  return (
    <>
      <FastHatch />
      {ducts.drawn.map((line) => (
        <DuctShape
          key={line.run.id}
          line={line}
          derived={ducts.derived(line.run.id) ?? line.run}
          next={ducts.follows(line.run.id)}
          drawing={drawing}
          tone={ducts.tone(line.run.id)}
          isOpen={open === line.run.id}
          isOnRoute={route.has(line.run.id)}
          isSelected={selected.has(line.run.id)}
          isWrong={wrong.has(line.run.id)}
          air={airText(ducts.speed(line.run.id), line.run.diameter, system)}
          system={system}
          onChoose={choose}
        />
      ))}
    </>
  );
}

const isMild = (kind: string) =>
  kind === 'long hose' || kind === 'through a wall' || kind === 'below head height';

/** The way of the drop that is explained, if what is open belongs to it. */
function routeFrom(
  open: string | undefined,
  drop: { readonly machine: { readonly id: string }; readonly path: readonly Run[] } | undefined,
): string[] {
  if (!drop) return [];
  const isOwn = drop.machine.id === open || drop.path[0]?.id === open;
  return isOwn ? drop.path.map(({ id }) => id) : [];
}

/** Hatch of air that is too fast, for every drawing that shows some. */
function FastHatch() {
  return (
    <defs>
      <pattern
        id="fast-air"
        width="6"
        height="6"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="6" height="6" fill="var(--air)" />
        <line x1="0" y1="0" x2="0" y2="6" stroke="var(--paper)" strokeWidth="3" />
      </pattern>
    </defs>
  );
}

interface ShapeProps {
  readonly line: DuctLine;
  readonly derived: Run;
  /** Diameter of what it goes straight on into, m; null: it joins something else. */
  readonly next: number | null;
  readonly drawing: PlanDrawing;
  readonly tone: AirTone;
  readonly isOpen: boolean;
  readonly isOnRoute: boolean;
  readonly isSelected: boolean;
  readonly isWrong: boolean;
  /** What moves in it now, in words; '' where it is still. */
  readonly air: string;
  readonly system: UnitSystem;
  readonly onChoose: (run: string) => void;
}

/** Narrower than this a duct is not seen, px. */
const LEAST_WIDTH = 3;

/** Slower air than this is not worth saying, m/s. */
const STILL = 0.3;

function airText(velocity: number, diameter: number, system: UnitSystem): string {
  if (Math.abs(velocity) < STILL) return '';
  const flow = velocity * circleArea(diameter);
  return `${formatShort(flow, 'flow', system)} at ${formatShort(velocity, 'velocity', system)}`;
}

/** Whether a duct looks as it did: then it is not drawn anew, whatever else moves. */
function looksAlike(a: ShapeProps, b: ShapeProps): boolean {
  const isSame =
    a.drawing === b.drawing &&
    a.line.run === b.line.run &&
    a.derived.length === b.derived.length &&
    a.next === b.next &&
    a.tone.state === b.tone.state &&
    Math.abs(a.tone.opacity - b.tone.opacity) < 0.02 &&
    a.isOpen === b.isOpen &&
    a.isOnRoute === b.isOnRoute &&
    a.isSelected === b.isSelected &&
    a.isWrong === b.isWrong &&
    a.air === b.air &&
    a.system === b.system &&
    a.line.points.length === b.line.points.length;
  return (
    isSame &&
    a.line.points.every((at, i) => {
      const other = b.line.points[i];
      return other !== undefined && at.x === other.x && at.y === other.y && at.z === other.z;
    })
  );
}

const DuctShape = memo(DuctDrawn, looksAlike);

function DuctDrawn({
  line,
  derived,
  next,
  drawing,
  tone,
  isOpen,
  isOnRoute,
  isSelected,
  isWrong,
  air,
  system,
  onChoose,
}: ShapeProps) {
  const { run, hose } = line;
  const width = Math.max(LEAST_WIDTH, run.diameter * drawing.scale);
  const pipe = pathThrough(pipePoints(line), drawing);
  const hosePath = hose ? pathThrough([hose.from, hose.to], drawing) : '';
  const edge = isWrong ? 'var(--starved)' : 'var(--ink)';
  const edgeWidth = width + (isOpen || isOnRoute || isSelected ? 5 : 2.5);
  const figures = `${formatShort(run.diameter, 'diameter', system)}, ${formatShort(derived.length ?? 0, 'length', system)}`;
  return (
    <g>
      {/* biome-ignore lint/a11y/useSemanticElements: a part of a drawing cannot be a button element */}
      <g
        role="button"
        tabIndex={0}
        aria-label={`${run.name}; ${figures}${air === '' ? '' : `; ${air}, ${tone.state}`}${isSelected ? '; selected together' : ''}`}
        aria-pressed={isOpen || isSelected}
        onClick={(event) => {
          if (isSelecting(event)) selectAlso(run.id);
          else {
            letGo();
            onChoose(run.id);
          }
        }}
        onKeyUp={(event) => {
          if (event.key !== 'Enter') return;
          if (event.shiftKey) selectAlso(run.id);
          else onChoose(run.id);
        }}
        onKeyDown={(event) => {
          const isRemoving = event.key === 'Delete' || event.key === 'Backspace';
          if (!isRemoving || useDrawing.getState().tool === 'draw') return;
          event.preventDefault();
          removeThings(togetherWith(run.id));
        }}
        className="cursor-pointer"
        fill="none"
        strokeLinejoin="round"
        data-duct={run.id}
      >
        <title>{`${run.name}: ${figures}${air === '' ? '' : `; ${air}`}`}</title>
        {hose && (
          <>
            <path d={hosePath} stroke={edge} strokeWidth={edgeWidth} />
            <path d={hosePath} stroke="var(--paper)" strokeWidth={width} />
            <path d={hosePath} stroke="var(--quiet)" strokeWidth={width} strokeDasharray="1.5 3" />
          </>
        )}
        {pipe && (
          <>
            <path d={pipe} stroke={edge} strokeWidth={edgeWidth} strokeLinecap="butt" />
            <path d={pipe} stroke="var(--paper)" strokeWidth={width} />
            <path
              d={pipe}
              stroke={tone.state === 'fast' ? 'url(#fast-air)' : 'var(--air)'}
              strokeOpacity={tone.opacity}
              strokeWidth={width}
            />
          </>
        )}
        {risersOf(line).map((spot) => (
          <Riser
            key={`${spot.x} ${spot.y} ${spot.z}`}
            at={spot}
            width={width}
            drawing={drawing}
            edge={edge}
          />
        ))}
        <FlowMarks line={line} drawing={drawing} tone={tone} width={width} />
        {next !== null && (
          <ReducerMark
            line={line}
            drawing={drawing}
            width={width}
            next={Math.max(LEAST_WIDTH, next * drawing.scale)}
            edge={edge}
          />
        )}
        {isSelected && <SelectionMarks spots={line.points} drawing={drawing} />}
      </g>
      {run.gate && <GateMark line={line} drawing={drawing} width={width} />}
    </g>
  );
}

export function pathThrough(points: readonly Point3[], { spot }: PlanDrawing): string {
  return points
    .map((point, i) => {
      const { x, y } = spot(point);
      return `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`;
    })
    .join(' ');
}

const risersOf = ({ legs }: DuctLine) =>
  legs.filter(({ direction }) => Math.abs(direction.z) > UPRIGHT).map(({ to }) => to);

/** A duct seen from its end: a ring with its middle marked. */
function Riser({
  at,
  width,
  drawing,
  edge,
}: {
  readonly at: Point3;
  readonly width: number;
  readonly drawing: PlanDrawing;
  readonly edge: string;
}) {
  const { x, y } = drawing.spot(at);
  return (
    <>
      <circle
        cx={x}
        cy={y}
        r={width / 2 + 1.5}
        fill="var(--paper)"
        stroke={edge}
        strokeWidth={1.5}
      />
      <circle cx={x} cy={y} r={1.5} fill={edge} stroke="none" />
    </>
  );
}
