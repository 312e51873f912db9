import { piecesOf } from '../fittings/kinds/fitting-kinds';
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

/** Length pipe is sold in, m: 10 ft, snap-lock 5 ft, metric sizes 3 m. Common practice, no source. */
const USUAL_PIECE = 3.048;
const PIECES: Partial<Record<Run['pipe'], number>> = {
  snapLock: 1.524,
  spiralMetric: 3,
  ventilation: 3,
};
const GATE_JOINTS = 2;
const FITTING_JOINTS = 2;

/** Length of the pieces a run's pipe is put together from, m. */
export const pieceLength = ({ pipe }: Pick<Run, 'pipe'>): number => PIECES[pipe] ?? USUAL_PIECE;

/**
 * Joints of a run's pipe: as counted, or one for every piece of pipe (as it is sold, `pieceLength`), two for
 * every fitting and gate, one for a hose, and one more where it begins at a wye.
 */
export function jointCount(run: Run, tree: Pick<DuctTree, 'nodes' | 'into'>): number {
  if (run.joints !== null) return run.joints;
  const length = runLength(run, tree);
  const fittings = run.fittings.reduce((sum, fitting) => sum + piecesOf(fitting), 0);
  return (
    Math.ceil(length / pieceLength(run)) +
    FITTING_JOINTS * fittings +
    (run.gate ? GATE_JOINTS : 0) +
    (run.hose ? 1 : 0) +
    ((tree.into.get(run.from) ?? []).length > 1 ? 1 : 0)
  );
}
