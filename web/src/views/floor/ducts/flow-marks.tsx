import type { DuctLine } from '@frank-gauge/core/routing';
import { type PlanDrawing, turnedAbout } from '../plan-drawing';
import type { AirTone } from './air-tone';
import { UPRIGHT } from './gate-mark';

/** Where a leg is long enough, the way its air goes: filled where it carries, open where it does not. */
export function FlowMarks({
  line,
  drawing,
  tone,
  width,
}: {
  readonly line: DuctLine;
  readonly drawing: PlanDrawing;
  readonly tone: AirTone;
  readonly width: number;
}) {
  if (tone.state === 'still') return null;
  const size = Math.max(3, Math.min(6, width * 0.4));
  const arrow = [
    { x: -size, y: -size },
    { x: size, y: 0 },
    { x: -size, y: size },
  ];
  const isCarried = tone.state === 'carrying' || tone.state === 'fast';
  return line.legs.map(({ from, to, direction, start }) => {
    const [a, b] = [drawing.spot(from), drawing.spot(to)];
    if (Math.hypot(b.x - a.x, b.y - a.y) < 28 || Math.abs(direction.z) > UPRIGHT) return null;
    const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
    return (
      <path
        key={start}
        d={turnedAbout(middle, { x: b.x - a.x, y: b.y - a.y })(arrow)}
        fill={isCarried ? 'var(--paper)' : 'none'}
        stroke={isCarried ? 'none' : 'var(--ink)'}
        strokeWidth={1}
      />
    );
  });
}
