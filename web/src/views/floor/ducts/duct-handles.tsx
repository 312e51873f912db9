'use client';

import { lossesOfRun, type PartOfRun } from '@frank-gauge/core/analysis';
import { isStraight } from '@frank-gauge/core/catalogue';
import type { Run } from '@frank-gauge/core/design';
import { formatShort, type UnitSystem } from '@frank-gauge/core/quantity';
import { GRID, snapTo } from '@frank-gauge/core/room';
import type { DuctLine, Point3 } from '@frank-gauge/core/routing';
import { type KeyboardEvent, useRef } from 'react';
import { useDesign, useSolution, useUnits } from '@/model/use-design';
import { useChoices } from '@/storage/choices';
import { type Box, type Label, placeLabels, placesAround, type Stroke } from '@/ui/place-labels';
import { useOnceAFrame } from '@/ui/use-once-a-frame';
import { WrittenLabel } from '@/ui/written-label';
import { shortJoinName } from '../../parts/joins/join-forms';
import { KEY_STEPS } from '../grid-steps';
import { movePointTo } from './edit-ducts';
import type { Ducts } from './use-ducts';

/** A drawing in which points of ducts are taken hold of: where they are, and what a drag does. */
export interface HandleDrawing {
  readonly spot: (at: Point3) => { readonly x: number; readonly y: number };
  readonly scale: number;
  /** A point dragged by so much to the right and up, m; absent: over the floor. */
  readonly moved?: (from: Point3, right: number, up: number) => Point3;
}

interface Props {
  readonly drawing: HandleDrawing;
  readonly ducts: Ducts;
  /** What nothing is written over: the ducts, and what is written already. */
  readonly strokes?: readonly Stroke[];
  readonly occupied?: readonly Box[];
}

/** Of the run that is open: its bends and joints to be moved, with the fitting each has become. */
export function DuctHandles({ drawing, ducts, strokes = [], occupied = [] }: Props) {
  const shopId = useDesign(({ id }) => id);
  const placed = useDesign(({ ducts }) => ducts.nodes);
  const now = useSolution();
  const system = useUnits();
  const open = useChoices((choices) => choices.parts[shopId]) ?? '';
  const line = ducts.lines.lines.get(open);
  const derived = ducts.derived(open);
  if (!line || !derived) return null;
  const nodes = new Map(placed.map((node) => [node.id, node]));
  const ends = [line.run.from, line.run.to].flatMap((id) => {
    const node = nodes.get(id);
    return node?.kind.kind === 'joint' && node.at
      ? [{ id, at: node.at, kind: 'joint' as const }]
      : [];
  });
  const bends = (line.run.route?.bends ?? []).map(({ id, at }) => ({
    id,
    at,
    kind: 'bend' as const,
  }));
  const losses = now.kind === 'solved' ? lossesOfRun(now, open) : [];
  const parts = [
    ...labelsOf(line, derived, losses, ducts.lines.places.get(line.run.to)),
    ...reducerLabel(line, losses, ducts.follows(open), system),
  ].map(({ at, text }) => ({
    of: at,
    text,
    places: placesAround(text, drawing.spot(at), TYPE, HANDLE, RINGS),
  }));
  const written = placeLabels(
    [...parts, ...legSizes(line, drawing, system)],
    TYPE,
    strokes,
    occupied,
  );
  return (
    <>
      {written.map(({ text, at, turn }) => (
        <WrittenLabel
          key={`${text} ${at.x} ${at.y}`}
          text={text}
          x={at.x}
          y={at.y}
          size={TYPE}
          fill="var(--ink)"
          turn={turn}
        />
      ))}
      {[...bends, ...ends].map((point, i) => (
        <Handle
          key={point.id}
          {...point}
          drawing={drawing}
          name={`${point.kind === 'bend' ? `Bend ${i + 1}` : 'Joint'} of ${line.run.name}, ${formatShort(point.at.z, 'length', system)} above the floor`}
        />
      ))}
    </>
  );
}

/** Size of what is written, px, and how far from the middle of a handle. */
const TYPE = 12;
const HANDLE = 8;
/** From farther than so many lines away a label would seem to be another's: the list has its number too. */
const RINGS = 6;

/** What a bend or a junction has become, with its coefficient now, where it stands. */
function labelsOf(
  line: DuctLine,
  derived: Run,
  losses: readonly PartOfRun[],
  end: Point3 | undefined,
): { readonly at: Point3; readonly text: string }[] {
  const bends = line.run.route?.bends ?? [];
  const elbows = losses.filter(({ kind }) => kind === 'elbow');
  const coefficient = (part: PartOfRun | undefined) =>
    part?.coefficient == null ? '' : `  C ${part.coefficient.toFixed(2)}`;
  const degrees = (angle: number) => `${Math.round((angle * 180) / Math.PI)}°`;
  const turns = derived.fittings.flatMap((fitting, i) => {
    if (fitting.kind !== 'elbow') return [];
    const own = fitting.id.replace(/-[ab]$/, '');
    const at = bends.find(({ id }) => id === own)?.at ?? (own === line.run.to ? end : undefined);
    return at ? [{ at, text: `${degrees(fitting.angle)}${coefficient(elbows[i])}` }] : [];
  });
  const branch = losses.find(({ kind }) => kind === 'branch');
  if (!isStraight(derived.joins) && end && branch) {
    turns.push({ at: end, text: `${shortJoinName(derived.joins)}${coefficient(branch)}` });
  }
  return turns;
}

/** The reducer at a run's downstream end, if it goes on wider or narrower. */
function reducerLabel(
  { run, points }: DuctLine,
  losses: readonly PartOfRun[],
  next: number | null,
  system: UnitSystem,
): { readonly at: Point3; readonly text: string }[] {
  const at = points.at(-1);
  if (!at || next === null || Math.abs(next - run.diameter) < 1e-4) return [];
  const coefficient = losses.findLast(({ kind }) => kind === 'reducer')?.coefficient;
  const sizes = [run.diameter, next].map((size) => formatShort(size, 'diameter', system));
  const selected = coefficient == null ? '' : `  C ${coefficient.toFixed(2)}`;
  return [{ at, text: `${sizes.join(' to ')}${selected}` }];
}

/** The length of each leg that is long enough to say it, along it on either side. */
function legSizes(line: DuctLine, drawing: HandleDrawing, system: UnitSystem): Label<Point3>[] {
  return line.legs.flatMap(({ from, to, length }): Label<Point3>[] => {
    const [a, b] = [drawing.spot(from), drawing.spot(to)];
    if (Math.hypot(b.x - a.x, b.y - a.y) < 46) return [];
    const raw = Math.round((Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI);
    const turn = raw > 90 || raw <= -90 ? raw + (raw > 0 ? -180 : 180) : raw;
    const away = (line.run.diameter * drawing.scale) / 2 + 11;
    const lean = (turn * Math.PI) / 180;
    const beside = (side: number) => ({
      x: (a.x + b.x) / 2 + side * away * Math.sin(lean),
      y: (a.y + b.y) / 2 - side * away * Math.cos(lean),
    });
    const text = formatShort(length, 'length', system);
    return [{ of: from, text, turn, places: [beside(1), beside(-1)] }];
  });
}

const overFloor = ({ x, y, z }: Point3, right: number, up: number): Point3 => ({
  x: x + right,
  y: y + up,
  z,
});

interface HandleProps {
  readonly id: string;
  readonly at: Point3;
  readonly kind: 'bend' | 'joint';
  readonly name: string;
  readonly drawing: HandleDrawing;
}

/** A point of the duct that is dragged, or moved by keys: arrows level, PageUp and PageDown in height. */
function Handle({ id, at, kind, name, drawing }: HandleProps) {
  const system = useUnits();
  const held = useRef<{ from: Point3; x: number; y: number } | null>(null);
  const grid = GRID[system];
  const { x, y } = drawing.spot(at);
  const snapped = (value: number) => snapTo(grid, value);
  const drag = useOnceAFrame((event: { readonly clientX: number; readonly clientY: number }) => {
    if (!held.current) return;
    const { from, x: x0, y: y0 } = held.current;
    const by = {
      right: (event.clientX - x0) / drawing.scale,
      up: (y0 - event.clientY) / drawing.scale,
    };
    const raw = (drawing.moved ?? overFloor)(from, by.right, by.up);
    // Only what the drag changes snaps: the rest may lie off the grid, and stays.
    const to = {
      x: raw.x === from.x ? from.x : snapped(raw.x),
      y: raw.y === from.y ? from.y : snapped(raw.y),
      z: raw.z === from.z ? from.z : Math.max(0, snapped(raw.z)),
    };
    const isMoved = Math.hypot(event.clientX - x0, event.clientY - y0) > 3;
    if (isMoved && (to.x !== at.x || to.y !== at.y || to.z !== at.z)) movePointTo(id, to);
  });
  const press = (event: KeyboardEvent<SVGGElement>) => {
    const direction = KEY_STEPS[event.key];
    if (!direction) return;
    event.preventDefault();
    const step = grid * (event.shiftKey ? 10 : 1);
    movePointTo(id, {
      x: at.x + direction.x * step,
      y: at.y + direction.y * step,
      z: at.z + direction.z * step,
    });
  };
  const stop = () => {
    drag.flush();
    held.current = null;
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: a part of a drawing cannot be a button element
    <g
      role="button"
      tabIndex={0}
      aria-label={`${name}; arrow keys move it`}
      transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})`}
      className="cursor-move touch-none"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        held.current = { from: at, x: event.clientX, y: event.clientY };
      }}
      onPointerMove={({ clientX, clientY }) => drag.call({ clientX, clientY })}
      onPointerUp={stop}
      onPointerCancel={stop}
      onKeyDown={press}
    >
      <circle r={13} fill="transparent" />
      {kind === 'joint' ? (
        <circle r={5.5} fill="var(--paper)" stroke="var(--ink)" strokeWidth={2} />
      ) : (
        <rect
          x={-5}
          y={-5}
          width={10}
          height={10}
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth={2}
        />
      )}
    </g>
  );
}
