import type { CutPiece } from './cut-pieces';
import type { Begun, Stick, ToCut } from './pack-stock';

/** Lengths nearer than this are the same on a tape, m. */
const SAME_ON_TAPE = 0.0015;

/** Pieces of one pipe and size are cut from the same stock. */
export const groupOf = ({ pipe, diameter }: Pick<CutPiece, 'pipe' | 'diameter'>): string =>
  `${pipe} ${diameter.toFixed(4)}`;

/** A piece that was ticked off as cut, as it was then. */
interface CutTick extends ToCut {
  /** What it was cut from: pipe and size, and which length of it; null: ticked by a version that did not note that. */
  readonly from: { readonly group: string; readonly stick: number; readonly stock: number } | null;
}

/** Stands before the tick of a piece that was cut once more: what it was cut from is still shorter by it. */
const GONE = 'gone ';

/** Whether it is of that piece, and holds. */
const isOf = (tick: string, key: string) => tick.startsWith(`${key} `);

function read(tick: string): CutTick | null {
  const found = /^(?:gone )?(.+?) (\d+)(?: @ (.+) (\d+) of (\d+))?$/.exec(tick);
  const [, key, length, group, stick, stock] = found ?? [];
  if (key === undefined) return null;
  const from =
    group === undefined ? null : { group, stick: Number(stick), stock: Number(stock) / 1000 };
  return { key: tick.startsWith(GONE) ? tick : key, length: Number(length) / 1000, from };
}

/** A piece's own tick; null: there is none. */
function tickOf({ key }: Pick<CutPiece, 'key'>, ticks: readonly string[]): CutTick | null {
  const tick = ticks.findLast((each) => isOf(each, key));
  return tick === undefined ? null : read(tick);
}

/** Length in m that a piece was ticked off as cut at; null: it was not. */
export const cutAt = (piece: Pick<CutPiece, 'key'>, ticks: readonly string[]): number | null =>
  tickOf(piece, ticks)?.length ?? null;

/** Whether a piece is cut as it now has to be: as long, and of the same pipe. */
export function isCut(piece: CutPiece, ticks: readonly string[]): boolean {
  const tick = tickOf(piece, ticks);
  if (!tick || Math.abs(tick.length - piece.length) >= SAME_ON_TAPE) return false;
  return tick.from === null || tick.from.group === groupOf(piece);
}

/**
 * Ticks with a piece ticked off as cut, with its length, so that one cut for an earlier plan is told, and what it was cut
 * from, so that the rest of that is known.
 * @param stick the length it is cut from; null: not known
 */
export function withCut(
  ticks: readonly string[],
  piece: Pick<CutPiece, 'key' | 'length' | 'pipe' | 'diameter'>,
  stick: Pick<Stick, 'id' | 'stock'> | null,
): string[] {
  const millimeters = (length: number) => (length * 1000).toFixed(0);
  const from = stick ? ` @ ${groupOf(piece)} ${stick.id} of ${millimeters(stick.stock)}` : '';
  const kept = ticks.map((each) => (isOf(each, piece.key) ? `${GONE}${each}` : each));
  return [...kept, `${piece.key} ${millimeters(piece.length)}${from}`];
}

/** Ticks without that of a piece. */
export const withoutCut = (
  ticks: readonly string[],
  { key }: Pick<CutPiece, 'key'>,
): readonly string[] => ticks.filter((each) => !isOf(each, key));

/**
 * Lengths of stock that something was cut from. A piece that was cut for an earlier plan still took its share; its key
 * then is none of the present pieces'.
 */
export function begunSticks(
  group: string,
  pieces: readonly CutPiece[],
  /** What is cut for them; of a piece longer than the stock the rest goes by its key. */
  sections: readonly ToCut[],
  ticks: readonly string[],
): Begun[] {
  const lengths = new Map(pieces.map(({ key, length }) => [key, length]));
  const cuts = new Map(sections.map((each) => [each.key, each]));
  const begun = new Map<number, { stock: number; cuts: ToCut[] }>();
  for (const tick of ticks) {
    const cut = read(tick);
    if (!cut?.from || cut.from.group !== group) continue;
    const now = lengths.get(cut.key) ?? Number.NaN;
    const present = Math.abs(now - cut.length) < SAME_ON_TAPE ? cuts.get(cut.key) : undefined;
    const own = present ?? { key: `was ${cut.key}`, length: cut.length };
    const { stick, stock } = cut.from;
    const known = begun.get(stick);
    begun.set(stick, { stock: known?.stock ?? stock, cuts: [...(known?.cuts ?? []), own] });
  }
  return [...begun].sort(([a], [b]) => a - b).map(([id, own]) => ({ id, ...own }));
}
