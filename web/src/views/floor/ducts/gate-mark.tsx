'use client';

import { setGate } from '@frank-gauge/core/design';
import type { Spot } from '@frank-gauge/core/room';
import type { DuctLine } from '@frank-gauge/core/routing';
import { edit } from '@/storage/session';
import { type PlanDrawing, turnedAbout } from '../plan-drawing';

/** Steeper than this, a leg is a riser and seen from its end. */
export const UPRIGHT = 0.8;

/** A gate in a riser, seen from above: a frame about the duct, filled where it is shut. */
function UprightGate({
  at: { x, y },
  half,
  isOpen,
  width,
}: {
  readonly at: { readonly x: number; readonly y: number };
  readonly half: number;
  readonly isOpen: boolean;
  readonly width: number;
}) {
  return (
    <>
      <rect
        x={x - half + 1}
        y={y - half + 1}
        width={2 * half - 2}
        height={2 * half - 2}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      <circle
        cx={x}
        cy={y}
        r={width / 2 + 1}
        fill={isOpen ? 'var(--paper)' : 'var(--ink)'}
        stroke="var(--ink)"
      />
      {isOpen && <circle cx={x} cy={y} r={1.5} fill="var(--ink)" />}
    </>
  );
}

/** A bar across a duct, so long each way along it and so wide to each side. */
const acrossBy = (along: number, across: number): readonly Spot[] => [
  { x: -along, y: -across },
  { x: along, y: -across },
  { x: along, y: across },
  { x: -along, y: across },
];

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
  const about = turnedAbout({ x, y }, { x: other.x - x, y: other.y - y });
  const half = width / 2 + 5;
  const slide = gate.open ? 2 : 3.5;
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
      className="cursor-pointer"
    >
      <title>{`Gate of ${run.name}: ${gate.open ? 'open' : 'shut'}`}</title>
      <path d={about(acrossBy(12, half + 5))} fill="transparent" />
      {Math.abs(leg.direction.z) > UPRIGHT ? (
        <UprightGate at={{ x, y }} half={half} isOpen={gate.open} width={width} />
      ) : (
        <path
          d={about(acrossBy(slide, half))}
          fill={gate.open ? 'var(--paper)' : 'var(--ink)'}
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
      )}
    </g>
  );
}
