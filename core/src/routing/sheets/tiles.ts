/** Paper that a household printer takes, mm, upright: ISO 216 and ANSI Y14.1. */
export const PAPERS = {
  a4: { width: 210, height: 297 },
  letter: { width: 215.9, height: 279.4 },
} as const;

export type Paper = keyof typeof PAPERS;

/** White around what is drawn on each sheet, mm: more than any usual printer leaves blank. */
export const MARGIN = 15;
/** What neighbouring sheets both show, mm. */
export const OVERLAP = 10;

/** How a drawing is laid over several sheets of paper. All in mm on paper. */
export interface Tiling {
  readonly columns: number;
  readonly rows: number;
  /** Of each sheet, as it is turned. */
  readonly page: { readonly width: number; readonly height: number };
  /** From one sheet's drawn area to the next. */
  readonly step: { readonly width: number; readonly height: number };
}

/**
 * The fewest sheets that show all of a drawing, upright or on their side, each within its margins and overlapping its
 * neighbours.
 * @param extent of the drawing on paper, mm
 * @example tilesOf({ width: 500, height: 100 }, 'a4').columns // 2, on their side
 */
export function tilesOf(
  extent: { readonly width: number; readonly height: number },
  paper: Paper,
): Tiling {
  const upright = PAPERS[paper];
  const onItsSide = { width: upright.height, height: upright.width };
  const [one, other] = [upright, onItsSide].map((page) => tiled(extent, page)) as [Tiling, Tiling];
  return other.columns * other.rows < one.columns * one.rows ? other : one;
}

function tiled(extent: Tiling['page'], page: Tiling['page']): Tiling {
  const [width, height] = [page.width - 2 * MARGIN, page.height - 2 * MARGIN];
  return {
    columns: sheetsFor(extent.width, width),
    rows: sheetsFor(extent.height, height),
    page,
    step: { width: width - OVERLAP, height: height - OVERLAP },
  };
}

/** A drawing this much longer than what fits is not worth another sheet, mm. */
const SAME = 1e-6;

const sheetsFor = (long: number, each: number): number =>
  1 + Math.max(0, Math.ceil((long - each - SAME) / (each - OVERLAP)));
