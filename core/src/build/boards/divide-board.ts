import { plus, times } from '../../routing/space';
import { blankOf, type Outline, type PlacedBoard, rectangle } from './board';

/** A stretch that no seam goes through, m. */
export interface KeptWhole {
  readonly from: number;
  readonly to: number;
}

/** Lengths end within this of each other, m. */
const SAME = 1e-9;

/** A piece left over is made at least so long, m: narrower ones are hard to fasten. An estimate. */
const LEAST = 0.15;

/**
 * Where a length is divided, m from its start, into as few pieces as there can be of at most `most`: as long as the stock
 * first, then what is left, beside what is kept whole. Null: what is kept whole is longer than `most`.
 * @param whole in order, none within another
 */
export function seamsOf(
  length: number,
  most: number,
  whole: readonly KeptWhole[] = [],
): readonly number[] | null {
  const keptAt = (at: number) => whole.find(({ from, to }) => at > from + SAME && at < to - SAME);
  const seams: number[] = [];
  for (let at = 0; length - at > most + SAME; ) {
    const end = at + most;
    const next = keptAt(end)?.from ?? end;
    if (next <= at + SAME) return null;
    seams.push(next);
    at = next;
  }
  const back = length - LEAST;
  const [before = 0, last] = [seams.at(-2), seams.at(-1)];
  const isSliver = last !== undefined && last > back;
  if (isSliver && back > before + LEAST && !keptAt(back)) seams.splice(-1, 1, back);
  return seams;
}

/** A rectangular board from its own origin, sawn along seams right across it, each piece where it was; m. */
export function dividedBoard(
  placed: PlacedBoard,
  seams: { readonly x: readonly number[]; readonly y: readonly number[] },
): PlacedBoard[] {
  const count = (seams.x.length + 1) * (seams.y.length + 1);
  if (count === 1) return [placed];
  const { board } = placed;
  const { width, height } = blankOf(board);
  const name = `${board.name}, in ${count} pieces`;
  return stretches(seams.y, height).flatMap((up) =>
    stretches(seams.x, width).map((across): PlacedBoard => {
      const holes = board.holes.filter((hole) => {
        const { x, y, width: wide, height: high } = blankOf({ outline: hole });
        return isWithin(x + wide / 2, across) && isWithin(y + high / 2, up);
      });
      const { note, ...rest } = board;
      return {
        ...placed,
        board: {
          ...{ ...rest, name, outline: rectangle(across.to - across.from, up.to - up.from) },
          holes: holes.map((hole) => moved(hole, -across.from, -up.from)),
          ...(note && holes.length > 0 && { note }),
        },
        at: plus(placed.at, plus(times(placed.x, across.from), times(placed.y, up.from))),
      };
    }),
  );
}

const stretches = (seams: readonly number[], length: number): KeptWhole[] =>
  [0, ...seams].map((from, i) => ({ from, to: seams[i] ?? length }));

const isWithin = (at: number, { from, to }: KeptWhole) => at > from && at < to;

function moved(outline: Outline, dx: number, dy: number): Outline {
  const on = ({ x, y }: { readonly x: number; readonly y: number }) => ({ x: x + dx, y: y + dy });
  return outline.kind === 'circle'
    ? { ...outline, at: on(outline.at) }
    : { ...outline, points: outline.points.map(on) };
}
