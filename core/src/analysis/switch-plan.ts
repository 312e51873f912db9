import { runLength } from '../design/length';
import type { DuctTree } from '../design/topology';
import { machineGates } from './gate-sets';
import type { DropResult } from './judge-drops';

/** Chips are slower than the air that carries them, up to so many times: an estimate. */
export const CHIPS_SLOWER = 2;
/** A delay is set in steps of a second, and never shorter, s: an estimate. */
export const LEAST_DELAY = 3;

/** Which gates start the blower by a switch of their own, and how long it runs on. */
export interface SwitchPlan {
  /** Runs whose gates get a switch: those nearest to a machine. */
  readonly switched: readonly string[];
  /** Gates that several machines lie behind; a switch there would start the blower for none of them. */
  readonly left: readonly string[];
  /** Drops by their nodes that no gate shuts: their machine starts the blower, or a hand does. */
  readonly ungated: readonly string[];
  /** The drop whose chips are longest on their way, and how long; null: no air moves. */
  readonly slowest: { readonly drop: string; readonly seconds: number } | null;
  /** Time the blower runs on after the last gate is shut, s: until the ducts are clear. */
  readonly delay: number;
}

/**
 * A plan of switches at the gates of a shop.
 * @param results each drop with its own gate open
 */
export function switchPlan(tree: DuctTree, results: readonly DropResult[]): SwitchPlan {
  const own = machineGates(tree);
  const gated = tree.upstreamFirst.filter(({ gate }) => gate !== null).map(({ id }) => id);
  const times = results.flatMap((result) => {
    if (result.kind !== 'judged') return [];
    const { drop, solution } = result;
    const seconds = drop.path.reduce((sum, run) => {
      const velocity = solution.airIn.velocityInto(run.id);
      const length = runLength(run, tree) + (run.hose?.length ?? 0);
      return sum + (velocity > 0 ? length / velocity : 0);
    }, 0);
    return [{ drop: drop.id, seconds: CHIPS_SLOWER * seconds }];
  });
  const slowest = times.reduce<SwitchPlan['slowest']>(
    (most, next) => (most && most.seconds >= next.seconds ? most : next),
    null,
  );
  return {
    switched: gated.filter((id) => own.has(id)),
    left: gated.filter((id) => !own.has(id)),
    ungated: tree.drops.flatMap(({ id, path }) => (path.some(({ gate }) => gate) ? [] : [id])),
    slowest,
    delay: Math.max(LEAST_DELAY, Math.ceil(slowest?.seconds ?? 0)),
  };
}
