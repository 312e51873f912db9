'use client';

import { type DuctLine, setGate } from '@frank-gauge/core';
import { edit } from '@/store/shop-session';
import type { PlanDrawing } from '../plan-drawing';

/** Steeper than this, a leg is a riser and seen from its end. */
export const UPRIGHT = 0.8;

/** A gate in a riser, seen from above: a frame about the duct, filled where it is shut. */
function UprightGate({
  half,
  isOpen,
  width,
}: {
  readonly half: number;
  readonly isOpen: boolean;
  readonly width: number;
}) {
  return (
    <>
      <rect
        x={-half + 1}
        y={-half + 1}
        width={2 * half - 2}
        height={2 * half - 2}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      <circle r={width / 2 + 1} fill={isOpen ? 'var(--paper)' : 'var(--ink)'} stroke="var(--ink)" />
      {isOpen && <circle r={1.5} fill="var(--ink)" />}
    </>
  );
}

/** A gate, to be opened and shut by a tap. */
export function GateMark({
  line,
  drawing,
  width,
}: {
  readonly line: DuctLine;
  readonly drawing: PlanDrawing;
  readonly width: number;
}) {
  const { run, legs } = line;
  const { gate } = run;
  const leg = gate?.end === 'downstream' ? legs.at(-1) : legs[0];
  if (!gate || !leg) return null;
  const at = gate.end === 'downstream' ? leg.to : leg.from;
  const { x, y } = drawing.spot(at);
  const other = drawing.spot(gate.end === 'downstream' ? leg.from : leg.to);
  const turn = (Math.atan2(other.y - y, other.x - x) * 180) / Math.PI;
  const half = width / 2 + 5;
  const toggle = () =>
    edit(`${gate.open ? 'shut' : 'open'} ${run.name}`, (shop) => setGate(shop, run.id, !gate.open));
  return (
    // biome-ignore lint/a11y/useSemanticElements: a part of a drawing cannot be a button element
    <g
      role="button"
      tabIndex={0}
      aria-label={`Gate of ${run.name}`}
      aria-pressed={gate.open}
      onClick={toggle}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        toggle();
      }}
      transform={`translate(${x.toFixed(1)} ${y.toFixed(1)}) rotate(${turn.toFixed(1)})`}
      className="cursor-pointer"
    >
      <title>{`Gate of ${run.name}: ${gate.open ? 'open' : 'shut'}`}</title>
      <rect x={-12} y={-half - 5} width={24} height={2 * half + 10} fill="transparent" />
      {Math.abs(leg.way.z) > UPRIGHT ? (
        <UprightGate half={half} isOpen={gate.open} width={width} />
      ) : (
        <rect
          x={gate.open ? -2 : -3.5}
          y={-half}
          width={gate.open ? 4 : 7}
          height={2 * half}
          fill={gate.open ? 'var(--paper)' : 'var(--ink)'}
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
      )}
    </g>
  );
}
