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
  | { readonly kind: 'pipe'; readonly along: number }
  /** Where its pipe ends, so far from the machine: in a wye, in the run that follows, or at the collector. */
  | {
      readonly kind: 'end';
      readonly along: number;
      readonly meets: 'wye' | 'run' | 'collector';
    };

/** How a drawn run's pipe is pieced together, as it is cut. */
export interface PipeJoints {
  /** Where two pieces meet between fittings, m from the machine's end. */
  readonly along: readonly number[];
  /** Its last elbow meets what follows: there is no pipe behind it. */
  readonly endsInElbow: boolean;
}

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
    case 'end':
      return `${id} pipe ${at.along.toFixed(2)}`;
    default:
      return `${id} ${at.kind}`;
  }
};

type Nodes = Pick<DuctTree, 'nodes' | 'into' | 'outOf'>;

/**
 * A run's joints one by one, and its pipe's seam besides.
 * @param drawn how its pipe is pieced together; null: nobody knows, and a joint is taken for every length the pipe is
 * sold in, as `jointCount` counts them
 */
export function jointsOfRun(run: Run, tree: Nodes, drawn: PipeJoints | null = null): RunJoint[] {
  return placesOf(run, tree, drawn).map((joint) => ({ id: idOf(run, joint.at), ...joint }));
}

function placesOf(run: Run, tree: Nodes, drawn: PipeJoints | null): Omit<RunJoint, 'id'>[] {
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
  return [
    ...known,
    ...pieces.map((fitting, i) => ({
      at: { kind: 'fitting', fitting, nth: i + 1, of: pieces.length } as const,
      count: FITTING_JOINTS,
    })),
    ...(drawn?.along ?? asSold(length, pieceLength(run))).map((along) => ({
      at: { kind: 'pipe', along } as const,
      count: 1,
    })),
    ...(length > 0 && !drawn?.endsInElbow
      ? [{ at: { kind: 'end', along: length, meets: meetsOf(run, tree) } as const, count: 1 }]
      : []),
    seam,
  ];
}

/** Where pipe of a length is pieced together, as if it went straight, m. */
const asSold = (length: number, piece: number): number[] =>
  Array.from({ length: Math.max(0, Math.ceil(length / piece) - 1) }, (_, i) => (i + 1) * piece);

function meetsOf({ to }: Run, { into, outOf }: Nodes): 'wye' | 'run' | 'collector' {
  if ((into.get(to) ?? []).length > 1) return 'wye';
  return outOf.has(to) ? 'run' : 'collector';
}
