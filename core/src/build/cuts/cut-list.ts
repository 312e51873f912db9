import type { PipeId } from '../../catalogue/ids';
import type { PipeJoints } from '../../design/joints-of-run';
import { pieceLength } from '../../design/length';
import type { Run, Shop } from '../../design/schema';
import type { DuctTree } from '../../design/topology';
import { isBend, piecesOf } from '../../fittings/kinds/fitting-kinds';
import { straightsOf } from '../../routing/derive-runs';
import { type CutPiece, cutPieces, type Overlap } from './cut-pieces';
import { begunSticks, groupOf } from './cut-ticks';
import { packStock, type Stick } from './pack-stock';
import { lengthOverlap } from './pipe-joints';

/** All pieces of one kind of pipe and one size, and the stock they are cut from. */
export interface CutGroup {
  readonly pipe: PipeId;
  /** Inside, m. */
  readonly diameter: number;
  /** Length the pipe is bought in, m. */
  readonly stock: number;
  readonly pieces: readonly CutPiece[];
  readonly sticks: readonly Stick[];
  /** No cutting needs fewer. */
  readonly bound: number;
}

export interface CutList {
  readonly groups: readonly CutGroup[];
  readonly overlaps: readonly Overlap[];
}

/**
 * Pieces grouped by pipe and size, the widest first, each group cut from stock.
 * @param only runs that are cut; all, where it is not said
 */
export function cutList(shop: Shop, tree: DuctTree, only?: ReadonlySet<string>): CutList {
  const all = cutPieces(shop, tree);
  const isIn = ({ run }: { readonly run: string }) => only === undefined || only.has(run);
  const [pieces, overlaps] = [all.pieces.filter(isIn), all.overlaps.filter(isIn)];
  const { kerf } = shop.build;
  /** Of some runs only what was cut for these counts. */
  const ticksOf = (own: readonly CutPiece[]) =>
    only === undefined
      ? shop.build.cut
      : shop.build.cut.filter((tick) => own.some(({ key }) => tick.startsWith(`${key} `)));
  const groups = new Map<string, CutPiece[]>();
  for (const piece of pieces) {
    const key = groupOf(piece);
    groups.set(key, [...(groups.get(key) ?? []), piece]);
  }
  return {
    overlaps,
    groups: [...groups.values()]
      .flatMap((own): CutGroup[] => {
        const [first] = own;
        if (!first) return [];
        const { pipe, diameter } = first;
        const stock = stockOf(shop, first);
        const overlap = lengthOverlap(pipe, diameter);
        const cuts = own.flatMap(({ key, length }) => inSections(key, length, stock, overlap));
        const begun = begunSticks(groupOf(first), own, cuts, ticksOf(own));
        const done = new Set(begun.flatMap((each) => each.cuts.map(({ key }) => key)));
        const left = cuts.filter(({ key }) => !done.has(key));
        return [{ pipe, diameter, stock, pieces: own, ...packStock(left, stock, kerf, begun) }];
      })
      .sort((a, b) => b.diameter - a.diameter),
  };
}

/** How many lengths of stock a piece is put together from. */
export const lengthsOf = ({ sticks }: Pick<CutGroup, 'sticks'>, { key }: CutPiece): number =>
  1 +
  sticks
    .flatMap(({ done, cuts }) => [...done, ...cuts])
    .filter((cut) => cut.key.startsWith(`${key} + `)).length;

/** Length a piece's pipe is bought in, m. */
const stockOf = ({ build }: Shop, { pipe }: CutPiece): number =>
  build.stockLength ?? pieceLength({ pipe });

/** How the pipe of every drawn run is pieced together: a straight longer than the stock is made of several. */
export function jointsInPieces(shop: Shop, tree: DuctTree): ReadonlyMap<string, PipeJoints> {
  const joints = new Map<string, number[]>();
  for (const piece of cutPieces(shop, tree).pieces) {
    const { run, from } = piece;
    if (from === null) continue;
    const stock = stockOf(shop, piece);
    const overlap = lengthOverlap(piece.pipe, piece.diameter);
    const sections = inSections(piece.key, piece.length, stock, overlap);
    const own = sections.slice(1).map((_, i) => from + (i + 1) * eachOf(stock, overlap));
    joints.set(run, [...(joints.get(run) ?? []), ...own]);
  }
  const straights = straightsOf(shop);
  return new Map(
    tree.upstreamFirst.flatMap((run) => {
      const { id, fittings } = run;
      const own = straights.get(id);
      if (!own) return [];
      const next = tree.outOf.get(run.to);
      // Pipe ahead of each elbow, and behind the last unless that one meets what follows.
      const bends = fittings.reduce((sum, each) => sum + (isBend(each) ? piecesOf(each) : 0), 0);
      const endsInElbow = own.length === bends && (next === undefined || goesOnAs(run, next));
      return [[id, { along: joints.get(id) ?? [], endsInElbow }] as const];
    }),
  );
}

/** Whether a run goes on in pipe of its own kind and size, which an elbow at its end fits. */
const goesOnAs = ({ pipe, diameter }: Run, next: Run): boolean =>
  next.pipe === pipe && Math.abs(next.diameter - diameter) < SAME_SIZE && next.hose === null;

/** Diameters this near are one size, m. */
const SAME_SIZE = 0.5e-3;

/** What a whole length adds to a piece, m: the rest of it goes into the next. */
const eachOf = (stock: number, overlap: number): number => stock - Math.min(overlap, stock / 2);

/** A piece longer than the stock is made of whole lengths and a rest, each joint taking an overlap. */
function inSections(key: string, length: number, stock: number, overlap: number) {
  if (length <= stock) return [{ key, length }];
  const each = eachOf(stock, overlap);
  const whole = Math.ceil((length - stock) / each - 1e-9);
  return [
    ...Array.from({ length: whole }, (_, i) => ({ key: `${key} + ${i}`, length: stock })),
    { key, length: length - whole * each },
  ];
}
