import type { PipeId } from '../../catalogue/ids';
import { pieceLength } from '../../design/length';
import type { Shop } from '../../design/schema';
import type { DuctTree } from '../../design/topology';
import { type CutPiece, cutPieces, type Overlap } from './cut-pieces';
import { packStock, type Stick } from './pack-stock';
import { insertionDepth } from './pipe-joints';

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
  const { stockLength, kerf } = shop.build;
  const groups = new Map<string, CutPiece[]>();
  for (const piece of pieces) {
    const key = `${piece.pipe} ${piece.diameter.toFixed(4)}`;
    groups.set(key, [...(groups.get(key) ?? []), piece]);
  }
  return {
    overlaps,
    groups: [...groups.values()]
      .flatMap((own): CutGroup[] => {
        const [first] = own;
        if (!first) return [];
        const { pipe, diameter } = first;
        const stock = stockLength ?? pieceLength({ pipe });
        const overlap = insertionDepth(pipe, diameter);
        const cuts = own.flatMap(({ key, length }) => inSections(key, length, stock, overlap));
        return [{ pipe, diameter, stock, pieces: own, ...packStock(cuts, stock, kerf) }];
      })
      .sort((a, b) => b.diameter - a.diameter),
  };
}

/** A piece longer than the stock is made of whole lengths and a rest, each joint taking an overlap. */
function inSections(key: string, length: number, stock: number, overlap: number) {
  if (length <= stock) return [{ key, length }];
  const each = stock - Math.min(overlap, stock / 2);
  const whole = Math.ceil((length - stock) / each - 1e-9);
  return [
    ...Array.from({ length: whole }, (_, i) => ({ key: `${key} + ${i}`, length: stock })),
    { key, length: length - whole * each },
  ];
}

/** What a tick of a cut piece is called: with its length, so that one cut for an earlier plan is told. */
export const tickOf = ({ key, length }: Pick<CutPiece, 'key' | 'length'>): string =>
  `${key} ${(length * 1000).toFixed(0)}`;

/** Length in m that a piece was ticked off as cut at; null: it was not. */
export function cutAt({ key }: Pick<CutPiece, 'key'>, ticks: readonly string[]): number | null {
  const tick = ticks.findLast((each) => each.startsWith(`${key} `));
  const length = Number(tick?.slice(key.length + 1));
  return tick === undefined || !Number.isFinite(length) ? null : length / 1000;
}
