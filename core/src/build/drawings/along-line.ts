import type { DuctLine } from '../../routing/duct-lines';
import { type Point3, plus, times } from '../../routing/space';

/** Where a run's pipe is so far along its centerline, m; null: it has no leg. Held within its ends. */
export function pointAlong({ legs }: Pick<DuctLine, 'legs'>, along: number): Point3 | null {
  const leg = legs.findLast(({ start }) => start <= along) ?? legs[0];
  if (!leg) return null;
  const within = Math.min(leg.length, Math.max(0, along - leg.start));
  return plus(leg.from, times(leg.direction, within));
}

/** Length of a run's pipe along its centerline, corner to corner, m. */
export const lengthAlong = ({ legs }: Pick<DuctLine, 'legs'>): number =>
  legs.reduce((sum, { length }) => sum + length, 0);
