import type { Run } from '../design/schema';
import type { DuctTree } from '../design/topology';
import type { DuctLine } from '../routing/duct-lines';
import { lengthAlong, pointAlong } from './drawings/along-line';

/** Hangers along a duct, m: 8 to 10 ft, and one at each branch; common practice, no source. */
export const HANGER_EVERY = 3;
/** A pipe that climbs more steeply than this is strapped to a wall or a post: the sine of 45°. */
const STEEP = Math.SQRT1_2;

/** Where along its pipe a run is hung, m, and whether it stands there: then it is strapped to what it stands at. */
export interface Hanging {
  readonly along: number;
  readonly isStrap: boolean;
}

/** Where a drawn run is hung: evenly, and where it begins behind a wye. */
export function hangingsAlong(
  run: Run,
  line: Pick<DuctLine, 'legs'>,
  tree: Pick<DuctTree, 'into'>,
): Hanging[] {
  const length = lengthAlong(line);
  const count = Math.ceil((run.length ?? length) / HANGER_EVERY);
  const evenly = Array.from({ length: count }, (_, i) => ((i + 0.5) * length) / count);
  const isBehindWye = (tree.into.get(run.from) ?? []).length > 1;
  return [...(isBehindWye ? [0] : []), ...evenly]
    .filter((along) => pointAlong(line, along) !== null)
    .map((along) => {
      const leg = line.legs.findLast(({ start }) => start <= along) ?? line.legs[0];
      return { along, isStrap: leg !== undefined && Math.abs(leg.direction.z) > STEEP };
    });
}
