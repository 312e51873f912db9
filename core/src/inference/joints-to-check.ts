import { jointCount } from '../design/length';
import type { Run } from '../design/schema';
import type { DuctTree } from '../design/topology';
import type { Fault } from './faults';

/** Where along a run joints are, and what is joined there. */
export type JointKind = 'hose' | 'gate' | 'fittings' | 'wye' | 'pipe';

/** Joints of one kind in one run, to be gone over together. */
export interface JointsToCheck {
  readonly run: string;
  readonly kind: JointKind;
  /** How many there are. */
  readonly count: number;
  /** How likely the opening is at one of them, of all that may be wrong. */
  readonly share: number;
  /** Above the floor, m; null: the run is not drawn. */
  readonly height: number | null;
}

/** Ends of a run above the floor, m. */
export interface RunHeights {
  readonly from: number;
  readonly to: number;
}

/** Above this one needs a ladder, m: as far up as most people reach. An estimate. */
const WITHIN_REACH = 2.1;
/** How much likelier joints on a ladder must be to come before those within reach: an estimate. */
const LADDER = 1.6;
const GATE_JOINTS = 2;

/**
 * Joints of the runs where an opening is suspected, in the order worth going over them: the likeliest first, those
 * within reach before those on a ladder unless these are much likelier. Every joint of a run is as likely as any other,
 * as the prior has it.
 * @param openings suspected openings with their probabilities
 * @param heightsOf a run's ends; null: it is not drawn
 */
export function jointsToCheck(
  tree: DuctTree,
  openings: readonly { readonly fault: Fault; readonly probability: number }[],
  heightsOf: (run: string) => RunHeights | null,
): JointsToCheck[] {
  return openings
    .flatMap(({ fault, probability }): JointsToCheck[] => {
      if (fault.kind !== 'opening') return [];
      const run = tree.upstreamFirst.find(({ id }) => id === fault.run);
      if (!run) return [];
      const heights = heightsOf(run.id);
      const kinds = jointsOf(run, tree);
      const whole = kinds.reduce((sum, { count }) => sum + count, 0);
      return kinds.map(({ kind, count }) => ({
        ...{ run: run.id, kind, count },
        share: (probability * count) / whole,
        height: heights && heightOf(kind, run, heights),
      }));
    })
    .sort((a, b) => worthOf(b) - worthOf(a));
}

const worthOf = ({ share, height }: JointsToCheck) =>
  height !== null && height > WITHIN_REACH ? share / LADDER : share;

/** Joints by kind: together what a run's joints are counted as, and its pipe once more. */
function jointsOf(run: Run, tree: DuctTree): { kind: JointKind; count: number }[] {
  const hose = run.hose ? 1 : 0;
  const gate = run.gate ? GATE_JOINTS : 0;
  const wye = (tree.into.get(run.from) ?? []).length > 1 ? 1 : 0;
  const known = hose + gate + wye;
  const left = Math.max(0, jointCount(run, tree) - known);
  const fittings = run.joints === null ? Math.min(left, 2 * run.fittings.length) : 0;
  const all: { kind: JointKind; count: number }[] = [
    { kind: 'hose', count: hose },
    { kind: 'gate', count: gate },
    { kind: 'wye', count: wye },
    { kind: 'fittings', count: fittings },
    { kind: 'pipe', count: 1 + left - fittings },
  ];
  return all.filter(({ count }) => count > 0);
}

function heightOf(kind: JointKind, { gate }: Run, { from, to }: RunHeights): number {
  switch (kind) {
    case 'hose':
    case 'wye':
      return from;
    case 'gate':
      return gate?.end === 'downstream' ? to : from;
    case 'fittings':
    case 'pipe':
      return Math.max(from, to);
  }
}
