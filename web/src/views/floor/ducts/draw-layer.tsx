'use client';

import type { Shop } from '@frank-gauge/core/design';
import { formatShort, type UnitSystem } from '@frank-gauge/core/quantity';
import { GRID, snapTo } from '@frank-gauge/core/room';
import {
  type DuctEnd,
  ductHeight,
  inletMouth,
  nearestFromAbove,
  type Point3,
  pipePoints,
  portMouth,
  riseFrom,
  runFromPort,
} from '@frank-gauge/core/routing';
import { type PointerEvent, useEffect, useState } from 'react';
import { useDesign, useUnits } from '@/model/use-design';
import { whyNoRoute } from '@/words/duct-words';
import type { PlanDrawing } from '../plan-drawing';
import {
  addPoint,
  type Begun,
  begin,
  chooseTool,
  refuse,
  removeLast,
  useDrawing,
} from './drawing-state';
import { pathThrough } from './duct-shapes';
import { drawOutward, routeAsDrawn } from './edit-ducts';
import type { Ducts } from './use-ducts';

/** Nearer than this to a port, a joint or a duct, the pointer means it, px. */
const NEAR = 14;

/** Something a duct can begin or end at. */
interface Catch extends Begun {
  readonly off: number;
}

interface Props {
  readonly drawing: PlanDrawing;
  readonly ducts: Ducts;
  readonly width: number;
  readonly height: number;
}

/**
 * The sheet that takes the pointer while a duct is drawn: a click begins it at a port, the collector
 * or a duct, the next ones draw it square or at 45° (with Alt, anyhow), one on something ends it there.
 */
export function DrawLayer({ drawing, ducts, width, height }: Props) {
  const shop = useDesign();
  const system = useUnits();
  const { begun, points, height: chosen } = useDrawing();
  const [aim, setAim] = useState<Point3 | null>(null);
  const z = chosen ?? ductHeight(shop);
  const last = points.at(-1) ?? begun?.from ?? null;
  const catches = catchesOf(shop, ducts);

  const pointed = (event: PointerEvent<SVGRectElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const raw = drawing.floor({ x: event.clientX - box.x, y: event.clientY - box.y });
    const caught = nearest(raw, catches, ducts, NEAR / drawing.scale, begun, last);
    if (caught) return { at: caught.at, caught };
    return { at: onGrid(raw, last, z, GRID[system], event.altKey), caught: null };
  };
  const click = (event: PointerEvent<SVGRectElement>) => {
    const { at, caught } = pointed(event);
    if (!begun) {
      if (caught) begin(caught);
      else refuse('A duct starts at a port, at the collector, or at another duct.');
    } else if (caught) endAt(begun, caught.end, points);
    else if (!last || at.x !== last.x || at.y !== last.y) addPoint(at);
  };
  const preview = begun && aim ? [begun.at, begun.from, ...points, aim] : [];
  return (
    <g>
      {catches.map(({ at, name }, i) => {
        const { x, y } = drawing.spot(at);
        return (
          <circle
            key={`${i} ${name}`}
            cx={x}
            cy={y}
            r={7}
            fill="var(--paper)"
            stroke="var(--ink)"
            strokeWidth={2}
          >
            <title>{name}</title>
          </circle>
        );
      })}
      {preview.length > 1 && (
        <path
          d={pathThrough(preview, drawing)}
          fill="none"
          stroke="var(--air)"
          strokeWidth={5}
          strokeDasharray="9 5"
        />
      )}
      {last && aim && <AimSize from={last} to={aim} drawing={drawing} system={system} />}
      {/* biome-ignore lint/a11y/noStaticElementInteractions: all it does can be typed in the panel */}
      <rect
        x={0}
        y={0}
        width={width}
        height={height}
        fill="transparent"
        data-held
        className="cursor-crosshair touch-none"
        onPointerMove={(event) => setAim(pointed(event).at)}
        onPointerLeave={() => setAim(null)}
        onPointerDown={click}
        onDoubleClick={() => finishOpen()}
      />
    </g>
  );
}

/** Ends the duct at something; what can't be is said, and the drawing stays. */
export function endAt(begun: Begun, end: DuctEnd, points: readonly Point3[]): void {
  if (begun.redraws !== undefined) {
    if (end.kind === 'free') {
      drawOutward(begun.redraws, [...points, end.at]);
      chooseTool('move');
    } else refuse('Draw it to its open end; the ducts that join it are drawn afterward.');
    return;
  }
  const routed = routeAsDrawn(begun.end, end, points);
  // The tool stays in hand: the next duct may follow.
  if (routed.ok) begin(null);
  else refuse(whyNoRoute(routed.why));
}

/** Ends the duct where its last point is, with an end to go on from. */
export function finishOpen(): void {
  const { begun, points } = useDrawing.getState();
  const at = points.at(-1);
  if (!begun || !at) {
    refuse('Add a point first, or press Escape to cancel.');
    return;
  }
  endAt(begun, { kind: 'free', at }, points.slice(0, -1));
}

/** Keys while a duct is drawn. */
function drawKey(key: string): boolean {
  const { tool, begun } = useDrawing.getState();
  if (key.toLowerCase() === 'd' && tool === 'move') chooseTool('draw');
  else if (tool !== 'draw') return false;
  else if (key === 'Escape') begun ? begin(null) : chooseTool('move');
  else if (key === 'Backspace') removeLast();
  else if (key === 'Enter') finishOpen();
  else return false;
  return true;
}

/** Listens to the drawing's keys while the floor is looked at. */
export function useDrawKeys(): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const isTyped =
        event.target instanceof HTMLElement &&
        event.target.matches('input, textarea, select, button, [role="button"]');
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      // On a button Enter presses it; Escape and D mean the drawing wherever no text is typed.
      const isMeant = !isTyped || ['Escape', 'd', 'D'].includes(event.key);
      const isText = event.target instanceof HTMLElement && event.target.matches('input, textarea');
      if (isMeant && !isText && drawKey(event.key)) event.preventDefault();
    };
    window.addEventListener('keydown', press);
    return () => {
      window.removeEventListener('keydown', press);
      chooseTool('move');
    };
  }, []);
}

/** Ports without a duct, the collector's inlet, and joints. */
export function catchesOf(shop: Shop, { lines }: Pick<Ducts, 'lines'>): Begun[] {
  const ports = shop.machines.flatMap((machine) =>
    machine.ports.flatMap((port): Begun[] => {
      const mouth = portMouth(machine, port);
      if (!mouth || runFromPort(shop, machine.id, port.id)) return [];
      const end = { kind: 'port', machine: machine.id, port: port.id } as const;
      const name =
        machine.ports.length > 1 ? `${machine.name}, ${port.name || port.id}` : machine.name;
      const from = riseFrom(mouth, mouth.at.z, shop.shop.units)[0] ?? mouth.at;
      return [{ end, at: mouth.at, from, name }];
    }),
  );
  const mouth = inletMouth(shop);
  const inlet: Begun[] = mouth
    ? [{ end: { kind: 'inlet' }, at: mouth.at, from: mouth.at, name: 'the collector' }]
    : [];
  const joints = shop.ducts.nodes.flatMap((node): Begun[] => {
    const at = lines.places.get(node.id);
    if (node.kind.kind !== 'joint' || !at) return [];
    const run = shop.ducts.runs.find(({ from }) => from === node.id);
    return [
      {
        end: { kind: 'node', node: node.id },
        at,
        from: at,
        name: `the end of ${run?.name ?? 'a duct'}`,
      },
    ];
  });
  return [...ports, ...inlet, ...joints];
}

/** What the pointer is on: a port, inlet or joint first, then the nearest spot of a duct. */
function nearest(
  raw: { readonly x: number; readonly y: number },
  catches: readonly Begun[],
  { drawn }: Ducts,
  within: number,
  begun: Begun | null,
  last: Point3 | null,
): Catch | null {
  const off = (at: Point3) => Math.hypot(at.x - raw.x, at.y - raw.y);
  const [best] = catches
    .filter(({ end }) => end !== begun?.end)
    .map((each) => ({ ...each, off: off(each.at) }))
    .sort((a, b) => a.off - b.off);
  if (best && best.off < within) return best;
  const spots = drawn.flatMap((line): Catch[] => {
    const { run } = line;
    const pipe = pipePoints(line);
    const near = nearestFromAbove(pipe, raw);
    if (!near) return [];
    // Close to where the way would meet it squarely, that is meant.
    const square = last && nearestFromAbove(pipe, last)?.point;
    const isSquare = square && Math.hypot(square.x - raw.x, square.y - raw.y) < 2 * within;
    const at = isSquare ? square : near.point;
    const end = { kind: 'run', run: run.id, at } as const;
    return [{ end, at, from: at, name: run.name, off: near.off }];
  });
  const [spot] = spots.sort((a, b) => a.off - b.off);
  return spot && spot.off < within ? spot : null;
}

/** A point snapped to the grid, square to the last one or at 45° from it unless drawn free. */
function onGrid(
  raw: { readonly x: number; readonly y: number },
  last: Point3 | null,
  z: number,
  grid: number,
  isFree: boolean,
): Point3 {
  const snap = (value: number) => snapTo(grid, value);
  if (!last || isFree) return { x: snap(raw.x), y: snap(raw.y), z };
  const [dx, dy] = [raw.x - last.x, raw.y - last.y];
  const step = Math.PI / 4;
  const angle = Math.round(Math.atan2(dy, dx) / step) * step;
  const length = snap(dx * Math.cos(angle) + dy * Math.sin(angle));
  return { x: last.x + length * Math.cos(angle), y: last.y + length * Math.sin(angle), z };
}

/** How long the leg at the pointer is. */
function AimSize({
  from,
  to,
  drawing,
  system,
}: {
  readonly from: Point3;
  readonly to: Point3;
  readonly drawing: PlanDrawing;
  readonly system: UnitSystem;
}) {
  const { x, y } = drawing.spot(to);
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  return (
    <text
      x={x + 12}
      y={y - 10}
      fontSize="13"
      fill="var(--ink)"
      stroke="var(--paper)"
      strokeWidth={4}
      paintOrder="stroke"
    >
      {formatShort(length, 'length', system)}
    </text>
  );
}
