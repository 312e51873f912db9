import { type FittingKindId, piecesOf } from '../fittings/kinds/fitting-kinds';
import { jointCount, pieceLength, runLength } from './length';
import type { Run } from './schema';
import type { DuctTree } from './topology';

/** What is joined at a place of a run. */
export type JointAt =
  | { readonly kind: 'hose' | 'gate' | 'wye' | 'seam' }
  /** So many joints somebody counted, wherever they are. */
  | { readonly kind: 'counted' }
  /** The so-maniest fitting from the machine's end, of so many. */
  | {
      readonly kind: 'fitting';
      readonly fitting: FittingKindId;
      readonly nth: number;
      readonly of: number;
    }
  /** Two pieces of pipe, so far from the run's end nearer to the machine, m. */
  | { readonly kind: 'pipe'; readonly along: number };

/** Joints of a run that are at one place. */
export interface RunJoint {
  /** Names it as long as its run stays as it is. */
  readonly id: string;
  readonly at: JointAt;
  /** Joints there: a fitting has two. */
  readonly count: number;
}

const GATE_JOINTS = 2;
const FITTING_JOINTS = 2;

const idOf = ({ id }: Run, at: JointAt): string => {
  switch (at.kind) {
    case 'fitting':
      return `${id} fitting ${at.nth}`;
    case 'pipe':
      return `${id} pipe ${at.along.toFixed(2)}`;
    default:
      return `${id} ${at.kind}`;
  }
};

/** A run's joints one by one: together what they are counted as, and its pipe's seam besides. */
export function jointsOfRun(run: Run, tree: Pick<DuctTree, 'nodes' | 'into'>): RunJoint[] {
  return placesOf(run, tree).map((joint) => ({ id: idOf(run, joint.at), ...joint }));
}

function placesOf(run: Run, tree: Pick<DuctTree, 'nodes' | 'into'>): Omit<RunJoint, 'id'>[] {
  const isAtWye = (tree.into.get(run.from) ?? []).length > 1;
  const known: Omit<RunJoint, 'id'>[] = [
    ...(run.hose ? [{ at: { kind: 'hose' } as const, count: 1 }] : []),
    ...(run.gate ? [{ at: { kind: 'gate' } as const, count: GATE_JOINTS }] : []),
    ...(isAtWye ? [{ at: { kind: 'wye' } as const, count: 1 }] : []),
  ];
  const seam = { at: { kind: 'seam' } as const, count: 1 };
  if (run.joints !== null) {
    const left = jointCount(run, tree) - known.reduce((sum, { count }) => sum + count, 0);
    return [
      ...known,
      ...(left > 0 ? [{ at: { kind: 'counted' } as const, count: left }] : []),
      seam,
    ];
  }
  const pieces = run.fittings.flatMap((fitting) =>
    Array.from({ length: piecesOf(fitting) }, () => fitting.kind),
  );
  const length = runLength(run, tree);
  const piece = pieceLength(run);
  return [
    ...known,
    ...pieces.map((fitting, i) => ({
      at: { kind: 'fitting', fitting, nth: i + 1, of: pieces.length } as const,
      count: FITTING_JOINTS,
    })),
    ...Array.from({ length: Math.ceil(length / piece) }, (_, i) => ({
      at: { kind: 'pipe', along: Math.min(length, (i + 1) * piece) } as const,
      count: 1,
    })),
    seam,
  ];
}
