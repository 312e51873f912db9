'use client';

import { chainOf } from '@frank-gauge/core/design';
import { useDesign, useUnits } from '@/model/use-design';
import { tapeLength } from '@/words/tape-length';
import { useCollector } from '../../parts/edited-collector';
import { useElevation } from '../../parts/use-elevation';
import type { Drawing } from './drawing';

const HATCH = 9;

/** Floor and ceiling with what is solid hatched; studs where something hangs on them. */
export function Room({ drawing, width }: { readonly drawing: Drawing; readonly width: number }) {
  const room = useDesign((shop) => shop.room);
  const system = useUnits();
  const ceiling = room.ceilingHeight;
  const solid = (y: number, away: 1 | -1) => (
    <g stroke="var(--quiet)">
      <line x1={0} x2={width} y1={y} y2={y} stroke="var(--ink)" strokeWidth={2} />
      {Array.from({ length: Math.ceil(width / HATCH) }, (_, i) => (
        <line
          key={`${away} ${i * HATCH}`}
          x1={i * HATCH}
          x2={i * HATCH + 6}
          y1={y + away * 7}
          y2={y + away}
          opacity={0.6}
        />
      ))}
    </g>
  );
  return (
    <>
      {solid(drawing.z(0), 1)}
      {ceiling !== null && solid(drawing.z(ceiling), -1)}
      {ceiling !== null && (
        <text x={8} y={drawing.z(ceiling) + 15} fontSize="12.5" fill="var(--quiet)">
          ceiling {tapeLength(ceiling, system)}
        </text>
      )}
    </>
  );
}

interface PartitionProps {
  readonly x: number;
  readonly drawing: Drawing;
  readonly name: string;
}

/** A wall with what is behind it. */
export function Partition({ x, drawing, name }: PartitionProps) {
  return (
    <g>
      <rect
        x={x - 4}
        width={8}
        y={drawing.z(drawing.top)}
        height={drawing.z(0) - drawing.z(drawing.top)}
        fill="var(--rule)"
      />
      <text x={x + 8} y={drawing.z(0) - 6} fontSize="12.5" fill="var(--quiet)">
        {name}
      </text>
    </g>
  );
}

/** Studs, the cleat across them, and its screws, behind the blower. */
export function Bracket({ drawing }: { readonly drawing: Drawing }) {
  const { parts } = useCollector();
  const { elevation } = useElevation();
  const { cleat } = parts.assembly;
  const blower = elevation.placed.find(({ part }) => part === 'blower');
  if (!blower) return null;
  const middle = (blower.x0 + blower.x1) / 2;
  const rows = [elevation.blowerZ + cleat.rise / 2, elevation.blowerZ - cleat.rise / 2];
  const half = cleat.length / 2;
  const first = middle - cleat.studSpacing / 2;
  const studs: number[] = [];
  for (let x = first; x > drawing.left; x -= cleat.studSpacing) studs.push(x);
  for (let x = first + cleat.studSpacing; x < drawing.right; x += cleat.studSpacing) studs.push(x);
  const inRow = Math.max(1, Math.ceil(cleat.screws / 2));
  const top = drawing.z(elevation.ceiling ?? drawing.top);
  return (
    <g stroke="var(--quiet)" fill="none">
      {studs.map((x) => (
        <line
          key={x}
          x1={drawing.x(x)}
          x2={drawing.x(x)}
          y1={top}
          y2={drawing.z(0)}
          strokeDasharray="2 6"
          opacity={0.7}
        />
      ))}
      {rows.map((z) => (
        <g key={z}>
          <rect
            x={drawing.x(middle - half)}
            width={drawing.length(cleat.length)}
            y={drawing.z(z) - 4}
            height={8}
            fill="var(--strip)"
          />
          {Array.from({ length: inRow }, (_, i) => {
            // Screws go into the studs: shared between the two behind the bracket.
            const stud = i % 2 === 0 ? -1 : 1;
            const aside = Math.floor(i / 2) * 5;
            const x = drawing.x(middle + (stud * cleat.studSpacing) / 2) + aside;
            return (
              <circle
                key={`${z} ${stud} ${aside}`}
                cx={x}
                cy={drawing.z(z)}
                r={1.8}
                fill="var(--ink)"
                stroke="none"
              />
            );
          })}
        </g>
      ))}
    </g>
  );
}

/** Where the ducts come in: an arrow to the first part's inlet. */
export function ComingIn({ drawing }: { readonly drawing: Drawing }) {
  const { parts } = useCollector();
  const { elevation } = useElevation();
  const [first] = chainOf(parts);
  const part = elevation.placed.find((each) => each.part === first);
  if (!part) return null;
  const isSeparator = first === 'separator';
  const z = isSeparator
    ? part.z1 - 0.8 * parts.separator.inletDiameter
    : elevation.shaft === 'lying'
      ? elevation.blowerZ
      : part.z0;
  const x =
    drawing.x(part.x0) - (isSeparator ? 0.4 * drawing.length(parts.separator.inletDiameter) : 4);
  const y = drawing.z(z);
  return (
    <g stroke="var(--ink)" fill="var(--ink)">
      <line x1={x - 30} x2={x - 8} y1={y} y2={y} strokeWidth={2} />
      <path d={`M${x - 2} ${y} l-8 -4 l0 8 Z`} stroke="none" />
      <text x={x - 34} y={y - 7} fontSize="12" stroke="none" fill="var(--quiet)" textAnchor="start">
        ducts
      </text>
    </g>
  );
}
