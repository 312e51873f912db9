'use client';

import { extentOf, formatShort, onWall, toSI, type Wall, wallsOf } from '@frank-gauge/core';
import { useSolvedShop } from '../frame/solved-shop';
import type { PlanDrawing } from './plan-drawing';

/** A grid of feet, or of half metres. */
export function Grid({ drawing }: { readonly drawing: PlanDrawing }) {
  const { shop, system } = useSolvedShop();
  const extent = extentOf(shop.room);
  if (!extent) return null;
  const step = system === 'us' ? toSI(1, 'ft') : 0.5;
  const lines = (from: number, length: number) =>
    Array.from({ length: Math.floor(length / step + 1e-9) }, (_, i) => from + (i + 1) * step);
  const { x0, y0, width, depth } = extent;
  return (
    <g stroke="var(--rule)" opacity={0.45}>
      {lines(x0, width).map((x) => {
        const [a, b] = [drawing.spot({ x, y: y0 }), drawing.spot({ x, y: y0 + depth })];
        return <line key={x} x1={a.x} x2={b.x} y1={a.y} y2={b.y} strokeWidth={0.5} />;
      })}
      {lines(y0, depth).map((y) => {
        const [a, b] = [drawing.spot({ x: x0, y }), drawing.spot({ x: x0 + width, y })];
        return <line key={y} x1={a.x} x2={b.x} y1={a.y} y2={b.y} strokeWidth={0.5} />;
      })}
    </g>
  );
}

export function Walls({ drawing }: { readonly drawing: PlanDrawing }) {
  const { shop } = useSolvedShop();
  return (
    <>
      {wallsOf(shop.room).map((wall) => (
        <WallShape key={`${wall.from.x} ${wall.from.y}`} wall={wall} drawing={drawing} />
      ))}
      {shop.room.posts.map(({ id, at, width }) => {
        const { x, y } = drawing.spot(at);
        const side = width * drawing.scale;
        return (
          <rect
            key={id}
            x={x - side / 2}
            y={y - side / 2}
            width={side}
            height={side}
            fill="var(--ink)"
          />
        );
      })}
    </>
  );
}

/** A wall as a thick line, open at its doors, thin at its windows. */
function WallShape({ wall, drawing }: { readonly wall: Wall; readonly drawing: PlanDrawing }) {
  const line = (from: number, to: number) => {
    const [a, b] = [drawing.spot(onWall(wall, from)), drawing.spot(onWall(wall, to))];
    return { x1: a.x, y1: a.y, x2: b.x, y2: b.y };
  };
  return (
    <g stroke="var(--ink)" strokeLinecap="square">
      <line {...line(0, wall.length)} strokeWidth={6} />
      {wall.windows.map(({ id, from, to }) => (
        <g key={id}>
          <line {...line(from, to)} strokeWidth={6} stroke="var(--paper)" strokeLinecap="butt" />
          <line {...line(from, to)} strokeWidth={1.5} strokeLinecap="butt" />
        </g>
      ))}
      {wall.doors.map(({ id, from, to }) => (
        <g key={id}>
          <line {...line(from, to)} strokeWidth={8} stroke="var(--paper)" strokeLinecap="butt" />
          <line {...line(from, to)} strokeWidth={1.5} strokeDasharray="3 4" strokeLinecap="butt" />
        </g>
      ))}
    </g>
  );
}

/** How wide and deep the room is, written outside its walls. */
export function RoomSizes({ drawing }: { readonly drawing: PlanDrawing }) {
  const { shop, system } = useSolvedShop();
  const extent = extentOf(shop.room);
  if (!extent) return null;
  const { x0, y0, width, depth } = extent;
  const below = drawing.spot({ x: x0 + width / 2, y: y0 });
  const left = drawing.spot({ x: x0, y: y0 + depth / 2 });
  return (
    <g fontSize="13" fill="var(--quiet)" textAnchor="middle">
      <text x={below.x} y={below.y + 24}>
        {formatShort(width, 'length', system)}
      </text>
      <text x={left.x - 18} y={left.y} transform={`rotate(-90 ${left.x - 18} ${left.y})`}>
        {formatShort(depth, 'length', system)}
      </text>
    </g>
  );
}
