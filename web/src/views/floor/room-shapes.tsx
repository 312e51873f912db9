'use client';

import type { Room } from '@frank-gauge/core/design';
import { formatShort, toSI, type UnitSystem } from '@frank-gauge/core/quantity';
import { extentOf, onWall, type Spot, type Wall, wallsOf } from '@frank-gauge/core/room';
import { memo } from 'react';
import type { PlanDrawing } from './plan-drawing';

interface RoomProps {
  readonly drawing: PlanDrawing;
  readonly room: Room;
  readonly system: UnitSystem;
}

/** A grid of feet, or of half metres. */
export const Grid = memo(function Grid({ drawing, room, system }: RoomProps) {
  const extent = extentOf(room);
  if (!extent) return null;
  const step = system === 'us' ? toSI(1, 'ft') : 0.5;
  const lines = (from: number, length: number) =>
    Array.from({ length: Math.floor(length / step + 1e-9) }, (_, i) => from + (i + 1) * step);
  const { x0, y0, width, depth } = extent;
  const line = (from: Spot, to: Spot) => {
    const [a, b] = [drawing.spot(from), drawing.spot(to)];
    return `M${a.x.toFixed(1)} ${a.y.toFixed(1)}L${b.x.toFixed(1)} ${b.y.toFixed(1)}`;
  };
  const up = lines(x0, width).map((x) => line({ x, y: y0 }, { x, y: y0 + depth }));
  const across = lines(y0, depth).map((y) => line({ x: x0, y }, { x: x0 + width, y }));
  return (
    <path
      d={[...up, ...across].join('')}
      stroke="var(--rule)"
      strokeOpacity={0.45}
      strokeWidth={0.5}
    />
  );
});

export const Walls = memo(function Walls({ drawing, room }: Omit<RoomProps, 'system'>) {
  return (
    <>
      {wallsOf(room).map((wall) => (
        <WallShape key={`${wall.from.x} ${wall.from.y}`} wall={wall} drawing={drawing} />
      ))}
      {room.posts.map(({ id, at, width }) => {
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
});

/** How thick a wall is drawn, px. */
const WALL_WIDTH = 6;

/** A wall as a thick line, its studs marked in it, open at its doors, thin at its windows. */
function WallShape({ wall, drawing }: { readonly wall: Wall; readonly drawing: PlanDrawing }) {
  // Studs are marked through the wall's thickness on the screen.
  const across = {
    x: (WALL_WIDTH / 2) * wall.inward.x,
    y: (WALL_WIDTH / 2) * -wall.inward.y,
  };
  const line = (from: number, to: number) => {
    const [a, b] = [drawing.spot(onWall(wall, from)), drawing.spot(onWall(wall, to))];
    return { x1: a.x, y1: a.y, x2: b.x, y2: b.y };
  };
  const studs = wall.studs
    .map((along) => {
      const { x, y } = drawing.spot(onWall(wall, along));
      return `M${(x - across.x).toFixed(1)} ${(y - across.y).toFixed(1)}L${(x + across.x).toFixed(1)} ${(y + across.y).toFixed(1)}`;
    })
    .join('');
  return (
    <g stroke="var(--ink)" strokeLinecap="square">
      <line {...line(0, wall.length)} strokeWidth={WALL_WIDTH} />
      {wall.studs.length > 0 && (
        <path d={studs} stroke="var(--paper)" strokeWidth={1.5} strokeLinecap="butt" />
      )}
      {wall.windows.map(({ id, from, to }) => (
        <g key={id}>
          <line
            {...line(from, to)}
            strokeWidth={WALL_WIDTH}
            stroke="var(--paper)"
            strokeLinecap="butt"
          />
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
export const RoomSizes = memo(function RoomSizes({ drawing, room, system }: RoomProps) {
  const extent = extentOf(room);
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
});
