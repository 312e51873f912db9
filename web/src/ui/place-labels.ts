/** A point of a drawing, px; y goes down. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** A rectangle of a drawing, px. */
export interface Box {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

/** A stroke that no label may cover, with half of its width, px. */
export interface Stroke {
  readonly from: Spot;
  readonly to: Spot;
  readonly half: number;
}

/** A label and the places it may stand at, the best first: each the middle of its text. */
export interface Label<T> {
  readonly of: T;
  readonly text: string;
  readonly places: readonly Spot[];
  /** Turned so that it reads along a line of so many degrees; 0: level. */
  readonly turn?: number;
  /** It is drawn in its first place rather than not at all. */
  readonly isNeeded?: boolean;
}

export interface PlacedLabel<T> {
  readonly of: T;
  readonly text: string;
  readonly at: Spot;
  readonly turn: number;
}

/** A letter is about so wide and a line so high, as a share of the size of the type. */
const LETTER = 0.47;
const LINE = 1.1;
/** Between labels, and between a label and a stroke, stay so many px. */
const GAP = 2;

/** The rectangle a text of that size takes about its middle, px. */
export function boxOfText(text: string, at: Spot, size: number, turn = 0): Box {
  const angle = (turn * Math.PI) / 180;
  const [wide, high] = [(text.length * size * LETTER) / 2, (size * LINE) / 2];
  const x = wide * Math.abs(Math.cos(angle)) + high * Math.abs(Math.sin(angle));
  const y = wide * Math.abs(Math.sin(angle)) + high * Math.abs(Math.cos(angle));
  return { x0: at.x - x, x1: at.x + x, y0: at.y - y, y1: at.y + y };
}

export const overlap = (a: Box, b: Box): boolean =>
  a.x0 < b.x1 + GAP && b.x0 < a.x1 + GAP && a.y0 < b.y1 + GAP && b.y0 < a.y1 + GAP;

/** Whether a stroke passes through a box: by what is left of it between the box's four sides (Liang and Barsky). */
export function crosses({ from, to, half }: Stroke, box: Box): boolean {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const reach = half + GAP;
  let [enters, leaves] = [0, 1];
  for (const [step, room] of [
    [-dx, from.x - box.x0 + reach],
    [dx, box.x1 + reach - from.x],
    [-dy, from.y - box.y0 + reach],
    [dy, box.y1 + reach - from.y],
  ] as const) {
    if (step === 0) {
      if (room < 0) return false;
    } else if (step < 0) enters = Math.max(enters, room / step);
    else leaves = Math.min(leaves, room / step);
  }
  return enters <= leaves;
}

/**
 * Places labels one after the other, the first in the list first: each at the first of its places where it
 * covers no stroke and no other label. One for which there is no such place is left out, unless it is needed.
 *
 * @param size of the type, px
 * @param taken where no label may stand: what is written already
 */
export function placeLabels<T>(
  labels: readonly Label<T>[],
  size: number,
  strokes: readonly Stroke[],
  taken: readonly Box[] = [],
): PlacedLabel<T>[] {
  const boxes = [...taken];
  return labels.flatMap(({ of, text, places, turn = 0, isNeeded = false }): PlacedLabel<T>[] => {
    const boxAt = (at: Spot) => boxOfText(text, at, size, turn);
    const isApart = (box: Box) => boxes.every((other) => !overlap(other, box));
    const isClear = (at: Spot) => {
      const box = boxAt(at);
      return isApart(box) && !strokes.some((stroke) => crosses(stroke, box));
    };
    const at = places.find(isClear) ?? (isNeeded ? places[0] : undefined);
    if (!at) return [];
    boxes.push(boxAt(at));
    return [{ of, text, at, turn }];
  });
}

/**
 * Places around a spot for a label of that text, the nearest first: so many px away, and then farther by a line in
 * each ring.
 */
export function placesAround(text: string, at: Spot, size: number, away = 4, rings = 4): Spot[] {
  const [wide, high] = [(text.length * size * LETTER) / 2, (size * LINE) / 2];
  const distances = Array.from({ length: rings }, (_, ring) => away + ring * size);
  return distances.flatMap((distance) =>
    [
      [1, 0],
      [-1, 0],
      [0, -1],
      [0, 1],
      [1, -1],
      [1, 1],
      [-1, -1],
      [-1, 1],
    ].map(([right = 0, down = 0]) => ({
      x: at.x + right * (wide + distance),
      y: at.y + down * (high + distance),
    })),
  );
}
