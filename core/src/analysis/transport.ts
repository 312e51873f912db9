import type { Machine, Rules } from '../design/schema';
import type { Drop, DuctTree } from '../design/topology';

/**
 * Minimum transport velocity: the one rule by which chips are held to be carried or to settle.
 *
 * - Chips of any kind want the carrying velocity in the branch they enter by, where they have to be
 *   picked up, and the settling velocity in every main behind it, where they only have to be kept moving
 *   (ACGIH, wood: 3500–4500 fpm; below about 2800 fpm in a level run expect settling, common practice).
 * - Fine dust alone stays in the air at whatever speed moves it: it asks nothing of branch or main.
 * - A run is asked for what passes it while the gates stand as they do: a main that only a sander draws
 *   through carries no chips then, whatever else stands behind it.
 */

/** Whether a machine's waste settles when it is slow; fine dust does not. */
export const makesChips = ({ chips }: Pick<Machine, 'chips'>): boolean => chips !== 'fine';

type Velocities = Pick<Rules, 'carryingVelocity' | 'settlingVelocity'>;

/** Least velocity chips want in a run, m/s: a branch they enter by, or a main behind it. */
export const minimumTransport = (
  { carryingVelocity, settlingVelocity }: Velocities,
  run: 'branch' | 'main',
): number => (run === 'branch' ? carryingVelocity : settlingVelocity);

/** Whether a run is the branch of one of the drops, or a main. */
export const kindOfRun = (tree: Pick<DuctTree, 'drops'>, run: string): 'branch' | 'main' =>
  tree.drops.some(({ path }) => path[0]?.id === run) ? 'branch' : 'main';

/** Ids of the runs chips pass while these drops draw. */
export function runsWithChips(drawing: readonly Drop[]): ReadonlySet<string> {
  return new Set(
    drawing.flatMap(({ machine, path }) => (makesChips(machine) ? path.map(({ id }) => id) : [])),
  );
}

/** What air of a velocity does with chips: lets them settle, keeps them moving, or picks them up. */
export type Carriage = 'settling' | 'moving' | 'carrying';

/** @param velocity m/s, of either sign */
export function carriageOf(velocity: number, rules: Velocities): Carriage {
  const speed = Math.abs(velocity);
  if (speed < minimumTransport(rules, 'main')) return 'settling';
  return speed < minimumTransport(rules, 'branch') ? 'moving' : 'carrying';
}
