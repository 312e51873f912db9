import type { DuctLine } from '@frank-gauge/core/routing';
import { type PlanDrawing, turnedAbout } from '../plan-drawing';
import { UPRIGHT } from './gate-mark';

interface Props {
  readonly line: DuctLine;
  readonly drawing: PlanDrawing;
  /** How wide the run and what follows it are drawn, px. */
  readonly width: number;
  readonly next: number;
  readonly edge: string;
}

/** Less of a change than this is not seen, px. */
const SEEN = 1;

/** Where a run goes on wider or narrower: the reducer between, seen from above. */
export function ReducerMark({ line, drawing, width, next, edge }: Props) {
  const leg = line.legs.at(-1);
  if (!leg || Math.abs(next - width) < SEEN || Math.abs(leg.direction.z) > UPRIGHT) return null;
  const [from, at] = [drawing.spot(leg.from), drawing.spot(leg.to)];
  const direction = { x: at.x - from.x, y: at.y - from.y };
  const length = Math.min(
    Math.max(8, 2 * Math.abs(next - width)),
    Math.hypot(direction.x, direction.y),
  );
  const cone = [
    { x: -length, y: -width / 2 - 1 },
    { x: 0, y: -next / 2 - 1 },
    { x: 0, y: next / 2 + 1 },
    { x: -length, y: width / 2 + 1 },
  ];
  return (
    <path
      d={turnedAbout(at, direction)(cone)}
      fill="var(--paper)"
      stroke={edge}
      strokeWidth={1.25}
    />
  );
}
