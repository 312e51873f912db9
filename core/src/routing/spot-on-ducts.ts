import type { Spot } from '../room/plane';
import { type DuctLines, pipePoints } from './duct-lines';
import { nearestFromAbove, type Point3, plus, times } from './space';

/**
 * The run that passes a spot of the plan within `reach`, and how far down its pipe that is, m; of several the nearest.
 * Null: none passes.
 * @param reach m, seen from above
 */
export function runAtSpot(
  { lines }: Pick<DuctLines, 'lines'>,
  spot: Spot,
  reach: number,
): { readonly run: string; readonly along: number } | null {
  let best: { run: string; along: number; off: number } | null = null;
  for (const [run, line] of lines) {
    const found = nearestFromAbove(pipePoints(line), spot);
    if (!found || found.off > reach || (best && best.off <= found.off)) continue;
    best = { run, along: found.along, off: found.off };
  }
  return best && { run: best.run, along: best.along };
}

/** Where a run's pipe is so far down it, m; its end where it is shorter. Null: it is not drawn. */
export function placeInRun(
  { lines }: Pick<DuctLines, 'lines'>,
  run: string,
  along: number,
): Point3 | null {
  const line = lines.get(run);
  const leg = line?.legs.find(({ start, length }) => along <= start + length);
  if (leg) return plus(leg.from, times(leg.direction, Math.max(0, along - leg.start)));
  return line?.points.at(-1) ?? null;
}
