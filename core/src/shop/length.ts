import type { Run } from './schema';
import type { DuctTree } from './topology';

/**
 * Centreline length of a run's pipe in m: as typed, or between its nodes' places when it is null.
 * Without either, 0.
 */
export function runLength(run: Run, tree: Pick<DuctTree, 'nodes'>): number {
  if (run.length !== null) return run.length;
  const from = tree.nodes.get(run.from)?.at;
  const to = tree.nodes.get(run.to)?.at;
  return from && to ? Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z) : 0;
}
