import {
  clip,
  closePath,
  endPath,
  lineTo,
  moveTo,
  PDFDocument,
  type PDFFont,
  type PDFOperator,
  type PDFPage,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  StandardFonts,
  setLineWidth,
  stroke,
} from 'pdf-lib';
import { oneLine } from '../../document/one-line';
import type { Spot } from '../../room/plane';
import type { CheckRuler } from './check-ruler';
import { inkExtent, type SheetItem } from './sheet';
import { MARGIN, OVERLAP, type Paper, type Tiling, tilesOf } from './tiles';

const MILLIMETRES = 1000;
/** PDF measures in points, 72 to the inch. */
const POINTS_PER_MM = 72 / 25.4;
const LINE = { cut: 0.25, mark: 0.12 };
/** The foot of every sheet with its check ruler, and letters beside it, mm. */
const FOOT = 6;
const TICK = 2;
const LETTERS = 2.8;
/** Arms of a mark that two sheets are joined by, mm; and how many there are along each seam, as shares of it. */
const ARM = 4;
const ALONG = [0.2, 0.8];
const CIRCLE_STEPS = 72;

export interface SheetPdf {
  readonly paper: Paper;
  /** Paper over drawing: 1 for a template, 1/20 for a plan. */
  readonly scale: number;
  /** What is written at the foot of a sheet: which one it is, of how many, in which row and column. */
  readonly footOf: (place: SheetPlace) => string;
  readonly ruler: CheckRuler;
}

export interface SheetPlace {
  readonly sheet: number;
  readonly of: number;
  readonly row: number;
  readonly column: number;
}

/** A spot of a drawing on paper, mm from the drawing's own lower left corner. */
type ToPaper = (spot: Spot) => Spot;

/**
 * A drawing to scale as a PDF, over as many sheets of paper as it takes, to be printed at 100 %: neighbouring sheets
 * overlap and both show the crosses they are laid on each other by, and each has a ruler to check the print.
 */
export async function sheetPdf(
  items: readonly SheetItem[],
  options: SheetPdf,
): Promise<Uint8Array> {
  const { paper, scale, footOf, ruler } = options;
  const extent = inkExtent(items) ?? { x0: 0, y0: 0, width: 0, height: 0 };
  const onPaper = scale * MILLIMETRES;
  const size = { width: extent.width * onPaper, height: extent.height * onPaper };
  const tiling = tilesOf(size, paper);
  const toPaper: ToPaper = ({ x, y }) => ({
    x: (x - extent.x0) * onPaper,
    y: (y - extent.y0) * onPaper,
  });
  const pdf = await PDFDocument.create();
  const font = await pdf.embedFont(StandardFonts.Helvetica);
  const { columns, rows, page, step } = tiling;
  // From the top left on, as one reads.
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const made = pdf.addPage([page.width * POINTS_PER_MM, page.height * POINTS_PER_MM]);
      const corner = { x: column * step.width, y: (rows - 1 - row) * step.height };
      const draw = drawerOn(made, font, corner);
      draw.within(() => {
        for (const item of items) drawItem(item, draw, toPaper, onPaper);
        for (const cross of crossesOf(tiling)) drawCross(cross, draw);
      });
      const sheet = row * columns + column + 1;
      drawFoot(
        draw,
        `${ruler.text}    ${footOf({ sheet, of: rows * columns, row: row + 1, column: column + 1 })}`,
        MILLIMETRES * ruler.length,
      );
    }
  }
  return pdf.save();
}

/** Draws on one page, in mm of the whole drawing on paper. */
interface Drawer {
  readonly line: (points: readonly Spot[], isClosed: boolean, width: number) => void;
  readonly text: (at: Spot, text: string, height: number, anchor: 'middle' | 'start') => void;
  /** Cuts off what is beyond the page's margins. */
  readonly within: (draw: () => void) => void;
  /** The page's own lower left corner, in mm of the drawing. */
  readonly pageCorner: Spot;
}

function drawerOn(page: PDFPage, font: PDFFont, corner: Spot): Drawer {
  const put = ({ x, y }: Spot): Spot => ({
    x: (x - corner.x + MARGIN) * POINTS_PER_MM,
    y: (y - corner.y + MARGIN) * POINTS_PER_MM,
  });
  const run = (...operators: PDFOperator[]) => page.pushOperators(...operators);
  const edge = MARGIN * POINTS_PER_MM;
  return {
    pageCorner: { x: corner.x - MARGIN, y: corner.y - MARGIN },
    line: (points, isClosed, width) => {
      const [first, ...rest] = points.map(put);
      if (!first) return;
      run(
        setLineWidth(width * POINTS_PER_MM),
        moveTo(first.x, first.y),
        ...rest.map(({ x, y }) => lineTo(x, y)),
        ...(isClosed ? [closePath()] : []),
        stroke(),
      );
    },
    text: (at, text, height, anchor) => {
      const size = height * POINTS_PER_MM;
      const plain = printable(text, font);
      const { x, y } = put(at);
      const left = anchor === 'middle' ? x - font.widthOfTextAtSize(plain, size) / 2 : x;
      page.drawText(plain, { x: left, y, size, font });
    },
    within: (draw) => {
      const [width, height] = [page.getWidth() - 2 * edge, page.getHeight() - 2 * edge];
      run(pushGraphicsState(), rectangle(edge, edge, width, height), clip(), endPath());
      draw();
      run(popGraphicsState());
    },
  };
}

/**
 * Signs of feet and inches, and fractions, as every font has them: 26⅝ as 26 5/8. What the font has no letter for is a
 * question mark.
 */
function printable(text: string, font: PDFFont): string {
  const known = new Set(font.getCharacterSet());
  const plain = oneLine(text)
    .replace(/(\d?)([⅛⅜⅝⅞])/g, (_, whole: string, sign: string) => {
      const fraction = sign.normalize('NFKD').replace('⁄', '/');
      return whole === '' ? fraction : `${whole} ${fraction}`;
    })
    .replace(/′/g, "'")
    .replace(/″/g, '"')
    .replace(/[\u2009\u202f\u00a0]/g, ' ');
  return Array.from(plain, (sign) => (known.has(sign.codePointAt(0) ?? 0) ? sign : '?')).join('');
}

function drawItem(item: SheetItem, draw: Drawer, toPaper: ToPaper, onPaper: number): void {
  const width = item.layer === 'cuts' ? LINE.cut : LINE.mark;
  switch (item.kind) {
    case 'line':
      draw.line(item.points.map(toPaper), item.isClosed, width);
      return;
    case 'circle': {
      const { x, y } = toPaper(item.at);
      const radius = item.radius * onPaper;
      const around = Array.from({ length: CIRCLE_STEPS }, (_, i) => {
        const angle = (2 * Math.PI * i) / CIRCLE_STEPS;
        return { x: x + radius * Math.cos(angle), y: y + radius * Math.sin(angle) };
      });
      draw.line(around, true, width);
      return;
    }
    case 'text':
      draw.text(toPaper(item.at), item.text, item.size * onPaper, 'middle');
  }
}

/** Where sheets are laid on each other: in the middle of what both show, mm of the drawing. */
function crossesOf({ columns, rows, step }: Tiling): Spot[] {
  const seams = (count: number, long: number) =>
    Array.from({ length: count - 1 }, (_, i) => (i + 1) * long + OVERLAP / 2);
  const along = (count: number, long: number) =>
    Array.from({ length: count }, (_, i) => ALONG.map((share) => (i + share) * long)).flat();
  return [
    ...seams(columns, step.width).flatMap((x) =>
      along(rows, step.height).map((y) => ({ x, y: y + OVERLAP / 2 })),
    ),
    ...seams(rows, step.height).flatMap((y) =>
      along(columns, step.width).map((x) => ({ x: x + OVERLAP / 2, y })),
    ),
  ];
}

function drawCross({ x, y }: Spot, { line }: Drawer): void {
  line(
    [
      { x: x - ARM, y },
      { x: x + ARM, y },
    ],
    false,
    LINE.mark,
  );
  line(
    [
      { x, y: y - ARM },
      { x, y: y + ARM },
    ],
    false,
    LINE.mark,
  );
}

function drawFoot({ line, text, pageCorner }: Drawer, words: string, ruler: number): void {
  const [x, y] = [pageCorner.x + MARGIN, pageCorner.y + FOOT];
  line(
    [
      { x, y },
      { x: x + ruler, y },
    ],
    false,
    LINE.cut,
  );
  for (const at of [x, x + ruler]) {
    line(
      [
        { x: at, y: y - TICK },
        { x: at, y: y + TICK },
      ],
      false,
      LINE.cut,
    );
  }
  text({ x, y: y + TICK + 1 }, words, LETTERS, 'start');
}
