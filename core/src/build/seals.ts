import { runLength } from '../design/length';
import type { Run } from '../design/schema';
import type { DuctTree } from '../design/topology';
import type { AssemblyGroup, AssemblyStep } from './assembly-order';

/** Screws for each joint of sheet metal: common practice, no source. */
export const SCREWS = 3;
/** Tape laps over itself by a tenth of the way around; an estimate. */
export const TAPE_LAP = 1.1;

/** What closes a joint for good, or until it is opened. */
export interface Seal {
  /** The run it is in; null: the collector's own. */
  readonly run: string | null;
  readonly screws: number;
  /** m */
  readonly tape: number;
  /** So many turns around its joint that is as much tape as. */
  readonly turns: number;
}

/** Screws and tape, by the same joints that are ticked off when they are sealed. */
export function sealsOf(order: readonly AssemblyGroup[], tree: DuctTree): Seal[] {
  const runs = new Map(tree.upstreamFirst.map((run) => [run.id, run]));
  return order.flatMap(({ run, steps }) => {
    const own = run === null ? undefined : runs.get(run);
    return steps.map((step) => ({ run, ...sealOf(step, own, tree) }));
  });
}

function sealOf(step: AssemblyStep, run: Run | undefined, tree: DuctTree): Omit<Seal, 'run'> {
  const around = TAPE_LAP * Math.PI * diameterAt(step, run);
  if (step.sealedWith.kind === 'tape') {
    const tape = run ? runLength(run, tree) : 0;
    return { screws: 0, tape, turns: around > 0 ? tape / around : 0 };
  }
  const turns = turnsOf(step);
  return { screws: screwsOf(step), tape: turns * around, turns };
}

/** Of what the tape goes around, m. */
function diameterAt({ ends }: AssemblyStep, run: Run | undefined): number {
  return ends ? Math.max(ends.upstream.inside, ends.downstream.inside) : (run?.diameter ?? 0);
}

function screwsOf({ count, sealedWith: { kind } }: AssemblyStep): number {
  if (kind === 'screws and tape') return SCREWS * count;
  return kind === 'screw and tape' ? count : 0;
}

/** Times around; a coupling, between two lengths or two unlike ends, has two rims, and so has a reducer. */
function turnsOf({ count, joint, sealedWith }: AssemblyStep): number {
  switch (sealedWith.kind) {
    case 'screws and tape':
    case 'screw and tape':
      return joint === 'coupling' ? 2 * count : count;
    case 'fit':
      switch (sealedWith.closing.kind) {
        case 'nothing':
          return 1;
        case 'tape':
          return sealedWith.closing.turns;
        case 'coupler':
        case 'reducer':
        case 'adapter':
          return 2;
        default:
          return 0;
      }
    default:
      return 0;
  }
}
