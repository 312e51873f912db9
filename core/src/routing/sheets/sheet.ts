import type { Spot } from '../../room/plane';

/** Layers of a drawing, by what they hold; colours are the DXF format's own numbers. */
export const SHEET_LAYERS = {
  walls: { name: 'WALLS', color: 7 },
  outline: { name: 'ROOM_OUTLINE', color: 8 },
  studs: { name: 'STUDS', color: 9 },
  doors: { name: 'DOORS', color: 8 },
  windows: { name: 'WINDOWS', color: 8 },
  posts: { name: 'POSTS', color: 7 },
  machines: { name: 'MACHINES', color: 7 },
  rooms: { name: 'WORKING_ROOM', color: 9 },
  collector: { name: 'COLLECTOR', color: 7 },
  ducts: { name: 'DUCTS', color: 5 },
  centrelines: { name: 'DUCT_CENTRELINES', color: 8 },
  hoses: { name: 'HOSES', color: 4 },
  gates: { name: 'GATES', color: 1 },
  sizes: { name: 'SIZES', color: 8 },
  names: { name: 'NAMES', color: 8 },
  cuts: { name: 'CUT', color: 1 },
  marks: { name: 'MARKS', color: 8 },
  pieces: { name: 'PIECE_NUMBERS', color: 5 },
  hangers: { name: 'HANGERS', color: 1 },
} as const;

export type SheetLayer = keyof typeof SHEET_LAYERS;

/** Something on a sheet, in m of the sheet's own plane: x to the right, y up. */
export type SheetItem =
  | {
      readonly kind: 'line';
      readonly layer: SheetLayer;
      readonly points: readonly Spot[];
      readonly isClosed: boolean;
      /** The run it is part of, if it is a duct's. */
      readonly run?: string;
    }
  | {
      readonly kind: 'circle';
      readonly layer: SheetLayer;
      readonly at: Spot;
      readonly radius: number;
      readonly run?: string;
    }
  | {
      readonly kind: 'text';
      readonly layer: SheetLayer;
      readonly at: Spot;
      readonly text: string;
      /** Height of its letters, m. */
      readonly size: number;
      /** Other spots along what it measures, for whoever finds no room at its own. */
      readonly elsewhere?: readonly Spot[];
    };

/** Height of letters that name things, m; on paper at 1 to 50 a little over two millimetres. */
const LETTERS = 0.12;

export const lineOf = (
  layer: SheetLayer,
  points: readonly Spot[],
  isClosed = false,
  run?: string,
): SheetItem => ({ kind: 'line', layer, points, isClosed, ...(run !== undefined && { run }) });

export const textOf = (
  layer: SheetLayer,
  at: Spot,
  text: string,
  size = LETTERS,
  elsewhere?: readonly Spot[],
): SheetItem => ({ kind: 'text', layer, at, text, size, ...(elsewhere && { elsewhere }) });

/** Letters are about so wide, by their height. */
const LETTER_WIDTH = 0.6;

/** What a sheet takes up, its texts by where they stand, m; null: nothing is on it. */
export const sheetExtent = (items: readonly SheetItem[]) => extentBy(items, ({ at }) => [at]);

/** What a sheet takes up with its texts as wide as they are, about, m; null: nothing is on it. */
export const inkExtent = (items: readonly SheetItem[]) =>
  extentBy(items, ({ at, text, size }) => {
    const half = (LETTER_WIDTH * size * text.length) / 2;
    return [
      { x: at.x - half, y: at.y },
      { x: at.x + half, y: at.y + size },
    ];
  });

function extentBy(
  items: readonly SheetItem[],
  ofText: (text: SheetItem & { readonly kind: 'text' }) => readonly Spot[],
) {
  const spots = items.flatMap((item) => {
    if (item.kind === 'text') return ofText(item);
    if (item.kind === 'line') return item.points;
    const { at, radius } = item;
    return [-radius, radius].map((by) => ({ x: at.x + by, y: at.y + by }));
  });
  if (spots.length === 0) return null;
  const xs = spots.map(({ x }) => x);
  const ys = spots.map(({ y }) => y);
  const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
  return { x0, y0, width: Math.max(...xs) - x0, height: Math.max(...ys) - y0 };
}
