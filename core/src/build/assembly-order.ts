import type { PipeId } from '../catalogue/ids';
import { chainOf } from '../design/chain-order';
import { type JointAt, jointsOfRun, type RunJoint } from '../design/joints-of-run';
import { runLength } from '../design/length';
import type { Run, Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { piecesOf } from '../fittings/kinds/fitting-kinds';
import { type Straight, straightsOf } from '../routing/derive-runs';
import { jointsInPieces } from './cuts/cut-list';
import {
  LENGTH_JOINTS,
  type LengthJoint,
  PIPE_JOINTS,
  type PipeJoint,
  SEAMED,
} from './cuts/pipe-joints';
import type { Closing } from './fit';
import { type JointPlace, jointsOfShop } from './joints-of-shop';

/** Where two parts are put together. */
export type AssemblyPlace =
  /** Of a run's own: the same places that are gone over for an opening. */
  | { readonly kind: 'run'; readonly at: JointAt }
  /** Where a run begins at a machine's port. */
  | { readonly kind: 'port' }
  /** Along the collector's chain. */
  | { readonly kind: 'chain' }
  /** The bin against what hangs over it; the bag or bin below the filter. */
  | { readonly kind: 'bin' | 'filter bin' };

/** What closes a joint. */
export type SealedWith =
  /** As unlike ends fit each other. */
  | { readonly kind: 'fit'; readonly closing: Closing }
  /** Sheet metal that stays: screws, and tape around. */
  | { readonly kind: 'screws and tape' }
  /** Plastic pipe in its socket, not glued, so that it can be changed: a screw, and tape over the rim. */
  | { readonly kind: 'screw and tape' }
  /** Tape along a seam. */
  | { readonly kind: 'tape' }
  | { readonly kind: 'clamp' }
  /** What has to open again: a soft strip and latches. */
  | { readonly kind: 'gasket' };

export interface AssemblyStep {
  /** Names it as long as its run stays as it is: what is ticked. */
  readonly id: string;
  readonly place: AssemblyPlace;
  /** Joints that are closed there: two at a fitting; of a gate one, its other side being a hose's, a port's or a wye's. */
  readonly count: number;
  /** How the ends fit, where unlike parts meet; null: pipe and its own fittings. */
  readonly ends: JointPlace | null;
  /** How pipe goes into its own fittings or into more of its kind; null: `ends` say, or nothing goes into anything. */
  readonly joint: PipeJoint | LengthJoint | null;
  readonly sealedWith: SealedWith;
  /** Seams of an adjustable elbow there: tape or silicone once it is turned as it stays. */
  readonly hasSeams: boolean;
  /** Has to come apart again: for a machine that is moved, a bin emptied, a filter cleaned. */
  readonly opensAgain: boolean;
}

/** A run, or the collector, with its joints from the collector outward. */
export interface AssemblyGroup {
  /** The run; null: the collector. */
  readonly run: string | null;
  readonly steps: readonly AssemblyStep[];
}

/** Everything that is put together, from the collector outward: its own joints, then run by run. */
export function assemblyOrder(shop: Shop, tree: DuctTree): AssemblyGroup[] {
  const ends = new Map(jointsOfShop(shop, tree).map((joint) => [joint.id, joint]));
  const straights = straightsOf(shop);
  const pipeJoints = jointsInPieces(shop, tree);
  const runs = tree.upstreamFirst.toReversed().map((run) => {
    const joints = jointsOfRun(run, tree, pipeJoints.get(run.id));
    const pipe = {
      length: runLength(run, tree),
      straights: straights.get(run.id),
      meetsGate: run.gate?.end === 'downstream' || tree.outOf.get(run.to)?.gate?.end === 'upstream',
    };
    return { run: run.id, steps: stepsOf(run, pipe, joints, ends) };
  });
  const inRuns = new Set(runs.flatMap(({ steps }) => steps.map((step) => step.ends?.id)));
  const rest = [...ends.values()].filter(({ id }) => !inRuns.has(id));
  return [{ run: null, steps: collectorSteps(shop, rest) }, ...runs].filter(
    ({ steps }) => steps.length > 0,
  );
}

/** From its inlet on the way of the air: what is fitted first stands nearest to the floor's fixed point, the chain. */
function collectorSteps({ collector }: Shop, joints: readonly JointPlace[]): AssemblyStep[] {
  const own = joints.filter(({ id }) => /^(separator|blower|filter) (in|out)$/.test(id));
  const opening = (kind: 'bin' | 'filter bin'): AssemblyStep => ({
    ...{ id: `collector ${kind}`, place: { kind }, count: 1, ends: null, joint: null },
    ...{ sealedWith: { kind: 'gasket' }, hasSeams: false, opensAgain: true },
  });
  const hasFilter = collector.exhaust.kind === 'filter' && chainOf(collector).includes('filter');
  const inlet = joints.find(({ id }) => id === 'collector inlet');
  return [
    ...own.map((joint) => chainStep(joint)),
    ...(collector.separator.kind === 'none' ? [] : [opening('bin')]),
    ...(hasFilter ? [opening('filter bin')] : []),
    ...(inlet ? [chainStep(inlet)] : []),
  ];
}

const chainStep = (joint: JointPlace): AssemblyStep => ({
  ...{ id: joint.id, place: { kind: 'chain' }, count: 1, ends: joint, joint: null },
  ...{ sealedWith: { kind: 'fit', closing: joint.fit.closing }, hasSeams: false, opensAgain: true },
});

/** What of a run's pipe says where its joints are. */
interface PipeAsDrawn {
  /** m */
  readonly length: number;
  /** Between its elbows; undefined: it is not drawn. */
  readonly straights: readonly Straight[] | undefined;
  /** A gate is where it ends. */
  readonly meetsGate: boolean;
}

/** A run's joints from its end at the collector's side to its machine. */
function stepsOf(
  run: Run,
  pipe: PipeAsDrawn,
  joints: readonly RunJoint[],
  ends: ReadonlyMap<string, JointPlace>,
): AssemblyStep[] {
  const steps = joints.flatMap((joint) => {
    const { at } = joint;
    const step = stepAt(run, joint, endsAt(run, at, ends), pipe.meetsGate);
    return step ? [{ step, along: alongOf(at, run, pipe) }] : [];
  });
  const ordered = steps.sort((a, b) => b.along - a.along).map(({ step }) => step);
  const port = ends.get(`${run.id} port`);
  return [
    ...ordered,
    ...(port
      ? [{ ...chainStep(port), id: `${run.id} port`, place: { kind: 'port' } as const }]
      : []),
  ];
}

/** Unlike parts that meet there. */
function endsAt(
  { id }: Run,
  at: JointAt,
  ends: ReadonlyMap<string, JointPlace>,
): JointPlace | null {
  if (at.kind === 'hose') return ends.get(`${id} hose`) ?? null;
  if (at.kind !== 'end') return null;
  return ends.get(at.meets === 'collector' ? 'collector inlet' : `${id} end`) ?? null;
}

function stepAt(
  run: Run,
  { id, at, count }: RunJoint,
  ends: JointPlace | null,
  meetsGate: boolean,
): AssemblyStep | null {
  if (at.kind === 'seam' && !SEAMED.has(run.pipe)) return null;
  return {
    ...{ id, place: { kind: 'run', at }, count: at.kind === 'gate' ? 1 : count, ends },
    hasSeams: at.kind === 'fitting' && isAdjustableAt(run, at.nth),
    joint: ends || at.kind === 'seam' ? null : ownJoint(run, at, meetsGate),
    sealedWith: ends ? { kind: 'fit', closing: ends.fit.closing } : sealedWith(at, run.pipe),
    opensAgain:
      at.kind === 'hose' || at.kind === 'gate' || (at.kind === 'end' && at.meets === 'collector'),
  };
}

/** How a run's pipe meets its fittings, or more pipe. */
function ownJoint({ pipe }: Run, at: JointAt, meetsGate: boolean): PipeJoint | LengthJoint {
  if (at.kind === 'pipe') return LENGTH_JOINTS[pipe];
  // Cut to length, its end has no bell; two runs of one pipe and size are held by a coupling.
  if (at.kind === 'end' && at.meets === 'run' && !meetsGate) {
    return PIPE_JOINTS[pipe] === 'crimp' ? 'crimp' : 'coupling';
  }
  return PIPE_JOINTS[pipe];
}

function sealedWith({ kind }: JointAt, pipe: PipeId): SealedWith {
  if (kind === 'hose') return { kind: 'clamp' };
  if (kind === 'seam') return { kind: 'tape' };
  return { kind: PIPE_JOINTS[pipe] === 'socket' ? 'screw and tape' : 'screws and tape' };
}

/** Whether the so-maniest fitting from the machine's end is an elbow that turns. */
function isAdjustableAt({ fittings }: Run, nth: number): boolean {
  const each = fittings.flatMap((fitting) =>
    Array.from(
      { length: piecesOf(fitting) },
      () => fitting.kind === 'elbow' && fitting.style === 'adjustable',
    ),
  );
  return each[nth - 1] ?? false;
}

/** How far a joint is from the machine's end of its run's pipe, m: as drawn, or as if fittings were spread evenly. */
function alongOf(at: JointAt, { gate }: Run, { length, straights }: PipeAsDrawn): number {
  switch (at.kind) {
    // Between its machine and its gate.
    case 'hose':
      return -0.5;
    case 'wye':
      return 0;
    case 'gate':
      return gate?.end === 'downstream' ? Number.MAX_VALUE : 0;
    case 'pipe':
      return at.along;
    // Behind a gate at that end.
    case 'end':
      return Number.POSITIVE_INFINITY;
    case 'fitting': {
      // Where its last straight ends; behind the last elbow there may be none.
      const isKnown = straights && (straights.length === at.of || straights.length === at.of + 1);
      const ahead = isKnown ? straights[at.nth - 1] : undefined;
      return ahead?.to ?? (length * at.nth) / (at.of + 1);
    }
    // Of a whole run, and done last.
    case 'counted':
    case 'seam':
      return -1;
  }
}
