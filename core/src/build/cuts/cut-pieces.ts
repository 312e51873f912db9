import type { PipeId } from '../../catalogue/ids';
import { runLength } from '../../design/length';
import type { Run, Shop } from '../../design/schema';
import type { DuctTree } from '../../design/topology';
import { GATE_BODY, reducerBody, wyeBody } from '../../fittings/fitting-bodies';
import { joinAngle } from '../../fittings/joins/joins';
import { isBend } from '../../fittings/kinds/fitting-kinds';
import { straightsOf } from '../../routing/derive-runs';
import { beyondGap, insertionDepth, PIPE_JOINTS } from './pipe-joints';

/** A straight piece of pipe to be cut. */
export interface CutPiece {
  /** Its run and which of its pieces it is: the same as long as the run has as many elbows. */
  readonly key: string;
  /** As on the drawing: from the collector out. */
  readonly number: number;
  readonly run: string;
  readonly pipe: PipeId;
  /** Inside, m. */
  readonly diameter: number;
  /** What is cut, m: the gap between the fittings, and what goes into them besides. */
  readonly length: number;
  /** Shorter than what goes into it from both ends: collars are to be trimmed, or the fittings joined directly. */
  readonly isShort: boolean;
  /** Where it begins, m along the legs of its run from the machine's end; null: the run is not drawn. */
  readonly from: number | null;
  /** Elbows it is to be divided at, where the run was typed and nobody knows where they sit. */
  readonly dividedBy: number;
}

/** Fittings that lie over each other: there is no room for the pipe between them. */
export interface Overlap {
  readonly run: string;
  /** m */
  readonly by: number;
}

export interface CutPieces {
  readonly pieces: readonly CutPiece[];
  readonly overlaps: readonly Overlap[];
}

/** A gap shorter than this is none: fitting goes into fitting, m. */
const LEAST = 0.005;

/** Every straight piece of a shop's ducts, numbered from the collector out, and what leaves no room for one. */
export function cutPieces(shop: Shop, tree: DuctTree): CutPieces {
  const straights = straightsOf(shop);
  const pieces: CutPiece[] = [];
  const overlaps: Overlap[] = [];
  for (const run of tree.upstreamFirst.toReversed()) {
    const { id, pipe, diameter } = run;
    const drawn = straights.get(id);
    const bends = run.fittings.reduce((sum, each) => sum + (isBend(each) ? each.count : 0), 0);
    const gaps = drawn ? drawn.map(({ length }) => length) : [typedStraight(run, tree)];
    const last = gaps.length - 1;
    const taken = takenAtStart(run, tree);
    gaps[0] = (gaps[0] ?? 0) - taken;
    gaps[last] = (gaps[last] ?? 0) - takenAtEnd(run, tree);
    for (const [i, gap] of gaps.entries()) {
      if (gap < -LEAST) overlaps.push({ run: id, by: -gap });
      if (gap < LEAST) continue;
      pieces.push({
        ...{ key: `${id} ${i}`, number: pieces.length + 1, run: id, pipe, diameter },
        length: gap + beyondGap(pipe, diameter),
        isShort: gap < insertions(pipe) * insertionDepth(pipe, diameter),
        from: drawn ? (drawn[i]?.from ?? 0) + (i === 0 ? taken : 0) : null,
        dividedBy: drawn ? 0 : bends,
      });
    }
  }
  return { pieces, overlaps };
}

/** Ends of a pipe that something goes into, or that go into something: of a crimped pipe one is its own. */
const insertions = (pipe: PipeId): number => (PIPE_JOINTS[pipe] === 'crimp' ? 1 : 2);

/** Straight duct of a run that is not drawn: its length without that of its elbows along their middle. */
function typedStraight(run: Run, tree: DuctTree): number {
  const inElbows = run.fittings.reduce((sum, fitting) => {
    if (!isBend(fitting)) return sum;
    const angle = fitting.kind === 'elbow' ? fitting.angle : Math.PI / 2;
    return sum + fitting.count * angle * fitting.radiusRatio * run.diameter;
  }, 0);
  return runLength(run, tree) - inElbows;
}

/** What a gate, a wye or a reducer takes of a run where it begins. */
function takenAtStart(run: Run, tree: DuctTree): number {
  const gate = run.gate?.end === 'upstream' ? GATE_BODY : 0;
  const into = tree.into.get(run.from) ?? [];
  const through = into.find(({ joins }) => joinAngle(joins) === null) ?? into[0];
  const reducer = through ? reducerBody(through.diameter, run.diameter) : 0;
  const behind = into.map((leg) => {
    const angle = joinAngle(leg.joins);
    return into.length < 2 || angle === null
      ? 0
      : wyeBody(bodyDiameter(into, run), leg.diameter, angle).behind;
  });
  return gate + reducer + Math.max(0, ...behind);
}

/** What a gate or a wye takes of a run where it ends. */
function takenAtEnd(run: Run, tree: DuctTree): number {
  const gate = run.gate?.end === 'downstream' ? GATE_BODY : 0;
  const into = tree.into.get(run.to) ?? [];
  const out = tree.outOf.get(run.to);
  if (into.length < 2) return gate;
  const main = bodyDiameter(into, out ?? run);
  const angle = joinAngle(run.joins);
  if (angle !== null) return gate + wyeBody(main, run.diameter, angle).branch;
  const ahead = into.map((leg) => {
    const own = joinAngle(leg.joins);
    return own === null ? 0 : wyeBody(main, leg.diameter, own).ahead;
  });
  return gate + Math.max(0, ...ahead);
}

/** A wye's body is as wide as what goes straight through it; of a Y as its outlet. */
const bodyDiameter = (into: readonly Run[], out: Run): number =>
  into.find(({ joins }) => joinAngle(joins) === null)?.diameter ?? out.diameter;
