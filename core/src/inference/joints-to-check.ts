import { type JointAt, jointsOfRun, type PipeJoints, type RunJoint } from '../design/joints-of-run';
import type { Run } from '../design/schema';
import type { DuctTree } from '../design/topology';
import type { Fault } from './faults';

/** A place to go over: a fitting, a gate, a hose's clamp or a joint of the pipe. */
export interface JointToCheck extends RunJoint {
  readonly run: string;
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

/** How a run's pipe is pieced together; null: nobody knows. */
export type PipeJointsOf = (run: string) => PipeJoints | null;

/** Above this one needs a ladder, m: as far up as most people reach. An estimate. */
const WITHIN_REACH = 2.1;
/** How much likelier joints on a ladder must be to come before those within reach: an estimate. */
const LADDER = 1.6;
/** How often an opening is missed where a joint was gone over by smoke or hand: an estimate. */
const MISSED = 0.1;

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
  pipeJointsOf: PipeJointsOf = () => null,
): JointToCheck[] {
  return openings
    .flatMap(({ fault, probability }): JointToCheck[] => {
      if (fault.kind !== 'opening') return [];
      const run = tree.upstreamFirst.find(({ id }) => id === fault.run);
      if (!run) return [];
      const points = pointsOf(run.id);
      const joints = jointsOfRun(run, tree, pipeJointsOf(run.id)).map((joint) => ({
        ...{ run: run.id, ...joint },
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
    case 'end':
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
