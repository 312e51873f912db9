import { circleArea, velocityPressure } from '../air/velocity-pressure';
import type { Drop } from '../design/topology';
import { SEPARATOR_RUN } from '../network/assemble/separator-segment';
import type { PartKind } from '../network/network';
import type { ShopSolution } from '../network/solve-shop';

/** One step: a part on the way, with the pressures before and behind it, Pa relative to the room. */
export interface ProfileStep {
  readonly kind: PartKind | 'blower' | 'exhaust';
  /** The run it belongs to. */
  readonly run: string;
  readonly name: string;
  /** Total pressure it takes; the blower's is what it gives, as a negative loss. */
  readonly loss: number;
  readonly staticBefore: number;
  readonly staticAfter: number;
  readonly totalBefore: number;
  readonly totalAfter: number;
}

/**
 * The way of a drop's air from the room through every part to the blower, out, and back to the
 * room, in the order the collector's parts stand. Losses of all steps but the blower's add up to its rise. Behind the blower static pressure
 * is taken for total: what velocity is left there is lost in the filter's plenum, as the blower's
 * curve (fan static pressure, AMCA) assumes.
 */
export function pressureProfile(solution: ShopSolution, drop: Drop): ProfileStep[] {
  const steps: ProfileStep[] = [];
  let total = 0;
  let still = 0;
  const { density } = solution.network.air;
  for (const run of [...drop.path.map(({ id }) => id), SEPARATOR_RUN]) {
    for (const segment of solution.airIn.get(run) ?? []) {
      const area = circleArea(segment.diameter);
      segment.parts.forEach((part, index) => {
        const isLast = index === segment.parts.length - 1;
        const flow = isLast ? segment.flowOut : segment.flowIn;
        const totalAfter = total - part.loss;
        const staticAfter = totalAfter - velocityPressure(flow / area, density);
        const { kind, name, loss } = part;
        steps.push({
          kind,
          run,
          name,
          loss,
          staticBefore: still,
          staticAfter,
          totalBefore: total,
          totalAfter,
        });
        total = totalAfter;
        still = staticAfter;
      });
    }
  }
  return [...steps, ...behindDucts(solution, total, still)];
}

/** Blower, filter or way out, and a separator the blower pushes through, from the pressures there. */
function behindDucts(
  { blower, network: { exhaust } }: ShopSolution,
  total: number,
  still: number,
): ProfileStep[] {
  const steps: ProfileStep[] = [];
  const add = (kind: ProfileStep['kind'], name: string, loss: number, from: number): void => {
    const last = steps.at(-1);
    const totalBefore = last?.totalAfter ?? total;
    const staticBefore = last?.staticAfter ?? still;
    const after = from - loss;
    const pressures = { staticBefore, staticAfter: after, totalBefore, totalAfter: after };
    steps.push({ kind, run: '', name, loss, ...pressures });
  };
  const { rise, outletStatic } = blower;
  if (exhaust.isAhead) {
    add('exhaust', exhaust.kind, total + rise, total);
    add('blower', '', -rise, -rise);
    return steps;
  }
  const pushed = exhaust.separator * (blower.flow - blower.outletLeak) ** 2;
  add('blower', '', -rise, outletStatic - rise);
  if (pushed > 0) add('separator', 'pushed', pushed, outletStatic);
  add('exhaust', exhaust.kind, outletStatic - pushed, outletStatic - pushed);
  return steps;
}
