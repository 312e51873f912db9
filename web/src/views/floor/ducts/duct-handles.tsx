'use client';

import { lossesOfRun, type PartOfRun } from '@frank-gauge/core/analysis';
import { isStraight } from '@frank-gauge/core/catalogue';
import type { Run } from '@frank-gauge/core/design';
import { formatShort, type UnitSystem } from '@frank-gauge/core/quantity';
import type { DuctLine, Point3 } from '@frank-gauge/core/routing';
import { type KeyboardEvent, useRef } from 'react';
import { useDesign, useSolution, useUnits } from '@/model/use-design';
import { useChoices } from '@/storage/choices';
import { useOnceAFrame } from '@/ui/use-once-a-frame';
import { shortJoinName } from '../../parts/joins/join-forms';
import { GRID, KEY_STEPS, snapTo } from '../grid-steps';
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
}

/** Of the run that is open: its bends and joints to be moved, with the fitting each has become. */
export function DuctHandles({ drawing, ducts }: Props) {
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
  const sizes = legSizes(line, drawing, system);
  return (
    <>
      <LegSizes sizes={sizes} />
      {apart(
        [
          ...labelsOf(line, derived, losses, ducts.lines.places.get(line.run.to)),
          ...reducerLabel(line, losses, ducts.follows(open), system),
        ].map(({ at, text }) => ({
          ...drawing.spot(at),
          text,
        })),
        sizes.flatMap(({ x, y, turn, text }) =>
          turn === 0 ? [{ x: x - (text.length * LETTER) / 2, y, text }] : [],
        ),
      ).map(({ x, y, text }) => {
        return (
          <text key={text + x + y} x={x} y={y} fill="var(--ink)" {...HALOED}>
            {text}
          </text>
        );
      })}
      {[...bends, ...ends].map((point, i) => (
        <Handle
          key={point.id}
          {...point}
          drawing={drawing}
          name={`${point.kind === 'bend' ? `Bend ${i + 1}` : 'Joint'} of ${line.run.name}, ${formatShort(point.at.z, 'length', system)} up`}
        />
      ))}
    </>
  );
}

/** How what is written over the drawing is kept readable. */
const HALOED = {
  fontSize: '12',
  stroke: 'var(--paper)',
  strokeWidth: 3,
  paintOrder: 'stroke',
  className: 'pointer-events-none select-none',
} as const;

interface Label {
  readonly x: number;
  readonly y: number;
  readonly text: string;
}

/** A letter is about so wide, a line so high, px. */
const LETTER = 6;
const LINE = 14;
/** Where a label may stand from what it names, to the right and below, px. */
const BESIDE: readonly (readonly [right: number, down: number])[] = [
  [9, -9],
  [9, 20],
  [9, -9 - LINE],
  [9, 20 + LINE],
];

/** Labels beside what they name, none on another or on `taken` as long as there is a place for it. */
function apart(labels: readonly Label[], taken: readonly Label[]): readonly Label[] {
  const placed: Label[] = [];
  const isClear = ({ x, y, text }: Label) =>
    [...taken, ...placed].every(
      (other) =>
        Math.abs(other.y - y) >= LINE ||
        x > other.x + other.text.length * LETTER ||
        other.x > x + text.length * LETTER,
    );
  for (const label of labels) {
    const places = BESIDE.map(([right, down]) => ({
      ...label,
      x: label.x + right,
      y: label.y + down,
    }));
    const own = places.find(isClear) ?? places[0];
    if (own) placed.push(own);
  }
  return placed;
}

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
  const taken = coefficient == null ? '' : `  C ${coefficient.toFixed(2)}`;
  return [{ at, text: `${sizes.join(' to ')}${taken}` }];
}

/** A label that stands along a leg, turned so many degrees. */
interface LegSize extends Label {
  readonly turn: number;
}

/** The length of each leg that is long enough to say it, beside its middle. */
function legSizes(line: DuctLine, drawing: HandleDrawing, system: UnitSystem): readonly LegSize[] {
  return line.legs.flatMap(({ from, to, length }): LegSize[] => {
    const [a, b] = [drawing.spot(from), drawing.spot(to)];
    if (Math.hypot(b.x - a.x, b.y - a.y) < 46) return [];
    const raw = Math.round((Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI);
    const turn = raw > 90 || raw <= -90 ? raw + (raw > 0 ? -180 : 180) : raw;
    const away = (line.run.diameter * drawing.scale) / 2 + 7;
    const lean = (turn * Math.PI) / 180;
    return [
      {
        x: (a.x + b.x) / 2 + away * Math.sin(lean),
        y: (a.y + b.y) / 2 - away * Math.cos(lean),
        turn,
        text: formatShort(length, 'length', system),
      },
    ];
  });
}

function LegSizes({ sizes }: { readonly sizes: readonly LegSize[] }) {
  return sizes.map(({ x, y, turn, text }) => (
    <text
      key={`${x} ${y}`}
      transform={`translate(${x} ${y}) rotate(${turn})`}
      textAnchor="middle"
      fill="var(--quiet)"
      {...HALOED}
    >
      {text}
    </text>
  ));
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
    const way = KEY_STEPS[event.key];
    if (!way) return;
    event.preventDefault();
    const step = grid * (event.shiftKey ? 10 : 1);
    movePointTo(id, { x: at.x + way.x * step, y: at.y + way.y * step, z: at.z + way.z * step });
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
