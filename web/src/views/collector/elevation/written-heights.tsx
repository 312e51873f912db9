'use client';

import type { AssemblyPart, Conflict } from '@frank-gauge/core/assembly';
import { useUnits } from '@/model/use-design';
import { conflictMessage, shortBy } from '@/words/conflict-words';
import { tapeLength } from '@/words/tape-length';
import { useElevation } from '../../parts/use-elevation';
import { Dimensions } from './dimensions';
import type { Drawing } from './drawing';

/** Dimensions of the separator's column at the left and of the filter's at the right. */
export function Heights({ drawing, width }: { readonly drawing: Drawing; readonly width: number }) {
  const system = useUnits();
  const { elevation } = useElevation();
  const of = (...wanted: AssemblyPart[]) =>
    elevation.placed.filter(({ part }) => wanted.includes(part)).flatMap(({ z0, z1 }) => [z0, z1]);
  const isUpright = elevation.shaft === 'upright';
  const isStacked =
    isUpright &&
    !elevation.placed.some(({ part, isElsewhere }) => part === 'blower' && isElsewhere);
  const column = [
    0,
    ...of('bin', 'separator'),
    ...(isStacked || elevation.separatorX === null ? of('blower', 'motor') : []),
  ];
  return (
    <>
      <Dimensions
        levels={column}
        x={Math.max(58, drawing.x(drawing.left) - 10)}
        side="left"
        drawing={drawing}
        system={system}
      />
      <Dimensions
        levels={[0, ...of('filterBin', 'filter')]}
        x={Math.min(width - 62, drawing.x(drawing.right) + 10)}
        side="right"
        drawing={drawing}
        system={system}
      />
      {elevation.shaft === 'lying' && <ShaftHeight drawing={drawing} />}
    </>
  );
}

/** How high a lying shaft is, on its own axis. */
function ShaftHeight({ drawing }: { readonly drawing: Drawing }) {
  const system = useUnits();
  const { elevation } = useElevation();
  const motor = elevation.placed.find(({ part }) => part === 'motor');
  if (!motor) return null;
  const y = drawing.z(elevation.blowerZ);
  const x = drawing.x(motor.x1);
  return (
    <g fontSize="12.5" fill="var(--quiet)" stroke="var(--quiet)">
      <line x1={x + 2} x2={x + 14} y1={y} y2={y} />
      <text x={x + 17} y={y + 4} stroke="var(--paper)" strokeWidth={4} paintOrder="stroke">
        shaft at {tapeLength(elevation.blowerZ, system)}
      </text>
    </g>
  );
}

interface HeadroomProps {
  readonly free: number;
  readonly ceiling: number;
  readonly drawing: Drawing;
}

/** What is left between the highest part and the ceiling. */
export function Headroom({ free, ceiling, drawing }: HeadroomProps) {
  const system = useUnits();
  const { elevation } = useElevation();
  const highest = elevation.placed
    .filter(({ isElsewhere, part }) => !isElsewhere && part !== 'box')
    .reduce((high, each) => (each.z1 > high.z1 ? each : high));
  if (!(free > 0.01)) return null;
  const x = drawing.x((highest.x0 + highest.x1) / 2);
  const [top, bottom] = [drawing.z(ceiling), drawing.z(ceiling - free)];
  return (
    <g fontSize="12.5" fill="var(--quiet)" stroke="var(--quiet)">
      <line x1={x} x2={x} y1={top + 1} y2={bottom - 1} strokeDasharray="3 3" />
      <text stroke="none" x={x + 6} y={(top + bottom) / 2 + 4}>
        {tapeLength(free, system)} free
      </text>
    </g>
  );
}

interface MarksProps {
  readonly conflicts: readonly Conflict[];
  readonly drawing: Drawing;
  readonly width: number;
}

/** The number that is short, beside the part it is short at. */
export function Marks({ conflicts, drawing, width }: MarksProps) {
  const system = useUnits();
  const { elevation } = useElevation();
  const serious = conflicts.filter(({ severity }) => severity === 'serious');
  return serious.map((conflict, i) => {
    const { part, kind } = conflict;
    const joint = elevation.joints.find((each) => each.part === part);
    const at = elevation.placed.find((each) => each.part === (part === 'cleat' ? 'blower' : part));
    const middle = joint?.points[Math.floor(joint.points.length / 2)];
    const z = at ? at.z1 : (middle?.z ?? 0);
    const x = at ? at.x1 : (middle?.x ?? 0);
    const text = `▼ ${shortBy(conflict, system) || conflictMessage(conflict, system).title}${shortBy(conflict, system) === '' ? '' : ' short'}`;
    const before = serious.slice(0, i).filter((each) => each.part === part).length;
    const left = Math.min(drawing.x(x) + 6, width - 8 - 6.4 * text.length);
    return (
      <text
        key={`${kind} ${part}`}
        x={left}
        y={Math.max(drawing.z(z) + 24 + 15 * before, 14)}
        fontSize="13.5"
        fontWeight="600"
        fill="var(--starved-text)"
        stroke="var(--paper)"
        strokeWidth={4}
        paintOrder="stroke"
      >
        {text}
      </text>
    );
  });
}
