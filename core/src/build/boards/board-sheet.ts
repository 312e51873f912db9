import { formatShort } from '../../quantity/format-quantity';
import { writeInchesOnTape } from '../../quantity/tape';
import type { UnitSystem } from '../../quantity/unit-system';
import type { Spot } from '../../room/plane';
import { checkRuler } from '../../routing/sheets/check-ruler';
import { lineOf, type SheetItem, textOf } from '../../routing/sheets/sheet';
import { rulerAt } from '../templates/template-sheets';
import { type Board, blankOf, type Outline } from './board';
import type { NestedBlank, SheetStock } from './nest-boards';

/** Letters on a part, m: at least so high, or so much of its width and height together. */
const LETTERS = { least: 0.008, share: 1 / 55 } as const;
/** From one row of letters to the next, in letters. */
const ROW = 1.6;
/** Arms of the cross at a center, and how far below the part the ruler lies, m. */
const CROSS = 0.01;
const BELOW = 0.025;
/** Holes narrower than this are named in the part's note, m. */
const WORTH_NAMING = 0.03;
/** Letters that go side by side into their own height. */
const NARROW = 0.45;
/** Centers nearer than this are one, m. */
const ONE_SPOT = 1e-6;

/**
 * A part to mark out or to cut around, 1:1: its cuts, centers of its holes, sizes, and a ruler.
 * @param note its note in words; '' for none
 */
export function boardSheet(
  board: Board,
  letter: string,
  note: string,
  units: UnitSystem,
): SheetItem[] {
  const say = sayOnTape(units);
  const { x, y, width, height } = blankOf(board);
  const size = Math.max(LETTERS.least, LETTERS.share * (width + height));
  const middle = x + width / 2;
  const across =
    board.outline.kind === 'circle'
      ? `${say(width)} across`
      : `${say(width)} wide, ${say(height)} high`;
  const head = `${letter}: ${board.name}, ${across}, ${say(board.thickness)} thick`;
  const foot = { x: middle, y: y - BELOW - 2 * ROW * size };
  return [
    cutOf(board.outline),
    ...board.holes.map(cutOf),
    ...[board.outline, ...board.holes].flatMap(crossOf),
    ...(board.marks ?? []).map((points) => lineOf('marks', points)),
    ...board.holes.flatMap((hole) => nameOf(hole, board, size, say)),
    textOf('names', { x: middle, y: y + height + 0.6 * size }, head, size),
    ...rulerAt({ x, y: y - BELOW }, checkRuler(units)),
    ...(note === '' ? [] : [textOf('names', foot, note, size)]),
  ];
}

/** As a ruler shows it: sixteenths of an inch, or tenths of a millimeter. */
const sayOnTape = (units: UnitSystem) => (length: number) =>
  units === 'us' ? `${writeInchesOnTape(length, 1)} in.` : formatShort(length, 'diameter', units);

const cutOf = (outline: Outline): SheetItem =>
  outline.kind === 'circle'
    ? { kind: 'circle', layer: 'cuts', at: outline.at, radius: outline.radius }
    : lineOf('cuts', outline.points, true);

function crossOf(outline: Outline): SheetItem[] {
  if (outline.kind !== 'circle') return [];
  const { at, radius } = outline;
  const arm = Math.min(CROSS, radius);
  return [
    lineOf('marks', [
      { x: at.x - arm, y: at.y },
      { x: at.x + arm, y: at.y },
    ]),
    lineOf('marks', [
      { x: at.x, y: at.y - arm },
      { x: at.x, y: at.y + arm },
    ]),
  ];
}

/** What a larger hole measures, and where its center is from the part's lower left corner. */
function nameOf(
  hole: Outline,
  board: Board,
  size: number,
  say: (length: number) => string,
): SheetItem[] {
  const { x, y, width, height } = blankOf({ outline: hole });
  if (Math.min(width, height) < WORTH_NAMING) return [];
  const whole = blankOf(board);
  const [right, up] = [x + width / 2 - whole.x, y + height / 2 - whole.y];
  const isInMiddle = Math.hypot(right - whole.width / 2, up - whole.height / 2) < ONE_SPOT;
  const rows = [
    hole.kind === 'circle' ? `${say(width)} across` : `${say(width)} × ${say(height)}`,
    isInMiddle ? 'in the middle' : `${say(right)} right, ${say(up)} up`,
  ];
  // Inside where there is room, over the cross; otherwise below the hole.
  const longest = Math.max(...rows.map((row) => row.length)) * NARROW * size;
  const isRoomy = longest < 0.9 * width && 4 * ROW * size < height;
  const top = isRoomy ? y + height / 2 + ROW * size : y - ROW * size;
  return rows.map((row, i) =>
    textOf('names', { x: x + width / 2, y: top - (isRoomy ? 2 : 1) * i * ROW * size }, row, size),
  );
}

/** Letters of a nested blank are so large by its shorter side, and no larger than this, m. */
const NEST_LETTERS = { share: 0.35, most: 0.09 } as const;

/** A sheet of stock with what is sawn out of it: saw along the blanks, then cut the parts' own outlines. */
export function nestSheet(
  blanks: readonly NestedBlank[],
  stock: SheetStock,
  outlines: ReadonlyMap<string, Board>,
): SheetItem[] {
  const box = (x: number, y: number, width: number, height: number) => [
    { x, y },
    { x: x + width, y },
    { x: x + width, y: y + height },
    { x, y: y + height },
  ];
  return [
    lineOf('walls', box(0, 0, stock.width, stock.height), true),
    ...blanks.flatMap((blank): SheetItem[] => {
      const { x, y, width, height, letter } = blank;
      const board = outlines.get(letter);
      const size = Math.min(NEST_LETTERS.most, NEST_LETTERS.share * Math.min(width, height));
      const at = { x: x + width / 2, y: y + height / 2 - size / 2.6 };
      return [
        lineOf('marks', box(x, y, width, height), true),
        ...(board ? cutsOn(blank, board) : []),
        textOf('pieces', at, letter, size),
      ];
    }),
  ];
}

/** A part's own cuts as they lie on its blank, turned with it. */
function cutsOn({ x, y, isTurned }: NestedBlank, board: Board): SheetItem[] {
  const own = blankOf(board);
  const on = (spot: Spot): Spot => {
    const [dx, dy] = [spot.x - own.x, spot.y - own.y];
    return isTurned ? { x: x + own.height - dy, y: y + dx } : { x: x + dx, y: y + dy };
  };
  return [board.outline, ...board.holes].map((outline): SheetItem => {
    if (outline.kind === 'polygon') return lineOf('cuts', outline.points.map(on), true);
    return { kind: 'circle', layer: 'cuts', at: on(outline.at), radius: outline.radius };
  });
}
