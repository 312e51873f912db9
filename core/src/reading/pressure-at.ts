import { circleArea, velocityPressure } from '../air/velocity-pressure';
import { runLength } from '../design/length';
import type { Shop } from '../design/schema';
import type { CollectorTap, TestPoint } from '../journal/test-point';
import { SEPARATOR_RUN } from '../network/assemble/separator-segment';
import type { SegmentAir, ShopSolution } from '../network/solve-shop';

/**
 * What a manometer shows at a test point by a solution: static pressure against the room, across the filter its
 * pressure drop, Pa, without its sign. Null where the model says nothing of it: anywhere in the room, in a run that
 * is gone or has no air, at a filter that is not there.
 */
export function pressureAt(
  shop: Pick<Shop, 'collector'>,
  solution: ShopSolution,
  at: TestPoint['at'],
): number | null {
  switch (at.kind) {
    case 'port': {
      const own = solution.tree.drops.find(({ id }) => id === at.node)?.path[0]?.id;
      return pressureInSegment(solution, solution.airIn.get(own ?? '')?.[0], 0);
    }
    case 'run': {
      const run = solution.tree.upstreamFirst.find(({ id }) => id === at.run);
      if (!run) return null;
      const length = runLength(run, solution.tree);
      const share = length > 0 ? Math.min(1, at.along / length) : 0;
      return pressureInSegment(solution, solution.airIn.get(run.id)?.at(-1), share);
    }
    case 'collector':
      return pressureAtTap(shop, solution, at.tap);
    case 'place':
      return null;
  }
}

/** Parts that stand at a segment's end, behind any tap in its pipe. */
const AT_END: ReadonlySet<string> = new Set(['branch', 'straight', 'reducer', 'gate']);

/**
 * Static pressure a share of the way down a segment's pipe. Its elbows are taken to be spread along it: where each
 * of them lies would make a difference of one elbow's loss.
 */
function pressureInSegment(
  { network: { air } }: ShopSolution,
  segment: SegmentAir | undefined,
  share: number,
): number | null {
  if (!segment) return null;
  const { parts, totalIn, flowIn, flowOut, diameter } = segment;
  const pipe = parts.findIndex(({ kind }) => kind === 'pipe' || kind === 'hose');
  const sum = (some: typeof parts) => some.reduce((total, { loss }) => total + loss, 0);
  const ahead = sum(parts.slice(0, Math.max(0, pipe)));
  const along = sum(parts.slice(Math.max(0, pipe)).filter(({ kind }) => !AT_END.has(kind)));
  const flow = share < 0.5 ? flowIn : flowOut;
  const velocity = flow / circleArea(diameter);
  return Math.abs(totalIn - ahead - share * along - velocityPressure(velocity, air.density));
}

function pressureAtTap(
  { collector }: Pick<Shop, 'collector'>,
  { airIn, blower, network: { exhaust } }: ShopSolution,
  tap: CollectorTap,
): number | null {
  const separator = airIn.get(SEPARATOR_RUN)?.[0];
  if (!separator) return null;
  const { isAhead } = exhaust;
  const { rise, outletStatic, flow, outletLeak } = blower;
  const pushed = exhaust.separator * (flow - outletLeak) ** 2;
  switch (tap) {
    case 'separator inlet':
      return pushed > 0 ? outletStatic : Math.abs(separator.staticIn);
    case 'blower inlet':
      return isAhead ? rise : Math.abs(separator.staticOut);
    case 'blower outlet':
      return isAhead ? 0 : outletStatic;
    case 'filter':
      if (collector.exhaust.kind !== 'filter') return null;
      return isAhead ? separator.totalOut + rise : outletStatic - pushed;
  }
}
