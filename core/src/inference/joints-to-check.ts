import { jointCount, pieceLength, runLength } from '../design/length';
import type { Run } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { type FittingKindId, piecesOf } from '../fittings/kinds/fitting-kinds';
import type { Fault } from './faults';

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

/** A place to go over: a fitting, a gate, a hose's clamp or a joint of the pipe. */
export interface JointToCheck {
  /** Names it as long as its run stays as it is. */
  readonly id: string;
  readonly run: string;
  readonly at: JointAt;
  /** Joints there: a fitting has two. */
  readonly count: number;
  /** How likely the opening is there, of all that may be wrong. */
  readonly share: number;
  /** Above the floor, m; null: the run is not drawn. */
  readonly height: number | null;
}

interface Point3 {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** The points a run is drawn through, from the machine's end on; null: it is not drawn. */
export type PointsOf = (run: string) => readonly Point3[] | null;

/** Above this one needs a ladder, m: as far up as most people reach. An estimate. */
const WITHIN_REACH = 2.1;
/** How much likelier joints on a ladder must be to come before those within reach: an estimate. */
const LADDER = 1.6;
/** How often an opening is missed where a joint was gone over by smoke or hand: an estimate. */
const MISSED = 0.1;
const GATE_JOINTS = 2;
const FITTING_JOINTS = 2;

/**
 * Joints of the runs where an opening is suspected, one by one, in the order worth going over them: the likeliest
 * first, those within reach before those on a ladder unless these are much likelier. Every joint of a run is as likely
 * as any other, as the prior has it; one that was found tight is a tenth as likely.
 * @param openings suspected openings with their probabilities
 * @param tight ids of joints that were gone over
 */
export function jointsToCheck(
  tree: DuctTree,
  openings: readonly { readonly fault: Fault; readonly probability: number }[],
  pointsOf: PointsOf,
  tight: ReadonlySet<string> = new Set(),
): JointToCheck[] {
  return openings
    .flatMap(({ fault, probability }): JointToCheck[] => {
      if (fault.kind !== 'opening') return [];
      const run = tree.upstreamFirst.find(({ id }) => id === fault.run);
      if (!run) return [];
      const points = pointsOf(run.id);
      const joints = jointsOfRun(run, tree).map((joint) => ({
        ...{ run: run.id, id: idOf(run, joint.at), ...joint },
        height: points && heightOf(joint.at, run, points),
      }));
      const weights = joints.map(({ id, count }) => count * (tight.has(id) ? MISSED : 1));
      const whole = weights.reduce((sum, weight) => sum + weight, 0);
      return joints.map((joint, i) => ({
        ...joint,
        share: (probability * (weights[i] ?? 0)) / whole,
      }));
    })
    .sort((a, b) => worthOf(b) - worthOf(a));
}

const worthOf = ({ share, height }: JointToCheck) =>
  height !== null && height > WITHIN_REACH ? share / LADDER : share;

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
function jointsOfRun(run: Run, tree: DuctTree): { at: JointAt; count: number }[] {
  const isAtWye = (tree.into.get(run.from) ?? []).length > 1;
  const known: { at: JointAt; count: number }[] = [
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

function heightOf(
  at: JointAt,
  { gate, route, hose }: Run,
  points: readonly Point3[],
): number | null {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) return null;
  const highest = Math.max(...points.map(({ z }) => z));
  switch (at.kind) {
    case 'wye':
      return first.z;
    case 'hose':
      // Where the pipe begins.
      return points[1]?.z ?? first.z;
    case 'gate':
      return gate?.end === 'downstream' ? last.z : (points[hose ? 1 : 0] ?? first).z;
    case 'fitting': {
      // A hose makes its own bend without an elbow.
      const bends = (route?.bends ?? []).slice(hose ? 1 : 0);
      return bends.length === at.of ? (bends[at.nth - 1]?.at.z ?? highest) : highest;
    }
    case 'pipe':
      return heightAlong(points.slice(hose ? 1 : 0), at.along);
    case 'counted':
    case 'seam':
      return highest;
  }
}

/** Height of a line so far along it, m; of its end where it is shorter. */
function heightAlong(points: readonly Point3[], along: number): number | null {
  let left = along;
  for (const [i, b] of points.entries()) {
    const a = points[i - 1];
    if (!a) continue;
    const leg = Math.hypot(b.x - a.x, b.y - a.y, b.z - a.z);
    if (left <= leg) return leg > 0 ? a.z + (left / leg) * (b.z - a.z) : a.z;
    left -= leg;
  }
  return points.at(-1)?.z ?? null;
}
