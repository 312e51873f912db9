import { packer } from 'guillotine-packer';

/** Sheets as they are bought, and how they are cut; m. */
export interface SheetStock {
  readonly width: number;
  readonly height: number;
  /** What a cut takes. */
  readonly kerf: number;
  /** Boards stay as they are drawn, their height along the sheet's: the grain runs one way. */
  readonly isGrainKept: boolean;
}

/** A rectangle to be sawn out, as often as it is needed; m. */
export interface Blank {
  readonly letter: string;
  readonly width: number;
  readonly height: number;
  readonly count: number;
}

/** A blank where it lies on its sheet, from the lower left corner; m. */
export interface NestedBlank {
  readonly letter: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly isTurned: boolean;
}

export interface Nesting {
  readonly sheets: readonly (readonly NestedBlank[])[];
  /** Blanks no sheet is large enough for. */
  readonly tooLarge: readonly Blank[];
  /** No cutting needs fewer sheets than this: their areas together. */
  readonly bound: number;
}

/** The package's own measure: hundredths of a millimetre, so that sums are exact. */
const UNIT = 1e-5;
const units = (value: number) => Math.round(value / UNIT);

/**
 * Lays blanks on as few sheets as the package finds, all by cuts that run from edge to edge, as a table saw or a track
 * saw makes them, each taking its kerf.
 */
export function nestBoards(blanks: readonly Blank[], stock: SheetStock): Nesting {
  const fits = ({ width, height }: Blank) =>
    (width <= stock.width && height <= stock.height) ||
    (!stock.isGrainKept && height <= stock.width && width <= stock.height);
  const fitting = blanks.filter(fits);
  const items = fitting.flatMap(({ letter, width, height, count }) =>
    Array.from({ length: count }, () => ({
      ...{ name: letter, letter, width: units(width), height: units(height) },
    })),
  );
  const area = fitting.reduce((sum, { width, height, count }) => sum + count * width * height, 0);
  const bound = Math.ceil(area / (stock.width * stock.height) - 1e-9);
  const tooLarge = blanks.filter((blank) => !fits(blank));
  if (items.length === 0) return { sheets: [], tooLarge, bound: 0 };
  const packed = packer(
    { binWidth: units(stock.width), binHeight: units(stock.height), items },
    { kerfSize: units(stock.kerf), allowRotation: !stock.isGrainKept },
  );
  const sheets = (packed ?? []).map((sheet) =>
    sheet.map(({ item, x, y, width, height }): NestedBlank => {
      const { letter } = item as { letter: string };
      const own = fitting.find((blank) => blank.letter === letter);
      return {
        ...{ letter, x: x * UNIT, y: y * UNIT, width: width * UNIT, height: height * UNIT },
        isTurned: own !== undefined && units(own.width) !== width,
      };
    }),
  );
  return { sheets, tooLarge, bound };
}
