import { type Box, boxOfText, crosses, overlap, type Stroke } from '@/ui/place-labels';

/** What a step of the ladder is called, a line or two, below its middle. */
export interface NameOfStep {
  readonly lines: readonly string[];
  readonly x: number;
  /** What matters most is named first, where there is no room for all. */
  readonly weight: number;
}

export interface PlacedName {
  readonly lines: readonly { readonly text: string; readonly x: number; readonly y: number }[];
  /** From the picture down to a name of the second row; null: it stands in the first. */
  readonly leader: Stroke | null;
}

/** Size of the names, px. */
export const NAME_SIZE = 11;
const LINE = 12;
/** Names stand in two rows: so far down, and so far to the side of their step where it is crowded, px. */
const PLACES = [
  { row: 0, aside: [0, -5, 5] },
  { row: 26, aside: [0, -10, 10, -18, 18] },
] as const;
/** A leader begins so far below the picture, clear of the numbers at its foot, and ends so far over its name, px. */
const BEGIN = 16;
const CLEAR = 8;

/**
 * Places the names of steps in two rows below the ladder: none on another, nor on the leader of one in the second row.
 * The weightiest come first; one for which there is no room is left out.
 *
 * @param foot where the picture ends, px
 * @param first middle of the first line of the first row, px
 * @param width no name begins or ends outside 0 to this, px
 */
export function placeNames(
  names: readonly NameOfStep[],
  foot: number,
  first: number,
  width: number,
): PlacedName[] {
  const boxes: Box[] = [];
  const leaders: Stroke[] = [];
  const placed: PlacedName[] = [];
  for (const { lines, x } of names.toSorted((a, b) => b.weight - a.weight)) {
    const half = Math.max(...lines.map((text) => boxOfText(text, ORIGIN, NAME_SIZE).x1));
    for (const { row, aside } of PLACES.flatMap(({ row, aside }) =>
      aside.map((by) => ({ row, aside: by })),
    )) {
      // At the edge of the picture a name moves in.
      const middle = Math.min(Math.max(x + aside, half), Math.max(half, width - half));
      const top = first + row;
      const own = lines.map((text, line) => ({ text, x: middle, y: top + line * LINE }));
      const ownBoxes = own.map(({ text, y }) => boxOfText(text, { x: middle, y }, NAME_SIZE));
      const leader =
        row === 0 ? null : { from: { x, y: foot + BEGIN }, to: { x, y: top - CLEAR }, half: 0.5 };
      const isClear =
        ownBoxes.every(
          (box) =>
            boxes.every((other) => !overlap(other, box)) &&
            leaders.every((other) => !crosses(other, box)),
        ) &&
        (leader === null || boxes.every((box) => !crosses(leader, box)));
      if (!isClear) continue;
      boxes.push(...ownBoxes);
      if (leader) leaders.push(leader);
      placed.push({ lines: own, leader });
      break;
    }
  }
  return placed;
}

const ORIGIN = { x: 0, y: 0 };
