import { extractText, getDocumentProxy, getResolvedPDFJS } from 'unpdf';
import { describe, expect, it } from 'vitest';
import { templateSheets } from '../../build/templates/template-sheets';
import { wrapTemplates } from '../../build/templates/wrap-templates';
import type { UnitSystem } from '../../quantity/unit-system';
import { checkRuler } from './check-ruler';
import { lineOf, type SheetItem, textOf } from './sheet';
import { sheetPdf } from './sheet-pdf';
import { MARGIN, OVERLAP, PAPERS, type Paper, tilesOf } from './tiles';

const MM_PER_POINT = 25.4 / 72;

const written = (
  items: readonly SheetItem[],
  paper: Paper,
  scale = 1,
  units: UnitSystem = 'metric',
) =>
  sheetPdf(items, {
    ...{ paper, scale, ruler: checkRuler(units) },
    footOf: ({ sheet, of, row, column }) => `Sheet ${sheet} of ${of}: row ${row}, column ${column}`,
  });

interface ReadPage {
  /** mm */
  readonly width: number;
  readonly height: number;
  /** Every line that is drawn, in mm from the page's lower left corner. */
  readonly paths: readonly (readonly { readonly x: number; readonly y: number }[])[];
}

/** A PDF as another library reads it. */
async function read(pdf: Uint8Array): Promise<ReadPage[]> {
  const { OPS } = await getResolvedPDFJS();
  const document = await getDocumentProxy(pdf.slice());
  return Promise.all(
    Array.from({ length: document.numPages }, async (_, i) => {
      const page = await document.getPage(i + 1);
      const [, , width = 0, height = 0] = page.view;
      const { fnArray, argsArray } = await page.getOperatorList();
      const paths = fnArray.flatMap((fn, k) => {
        if (fn !== OPS.constructPath || argsArray[k][0] !== OPS.stroke) return [];
        const [data] = argsArray[k][1] as [ArrayLike<number> | null];
        return data ? [spotsOf(Array.from(data))] : [];
      });
      return { width: width * MM_PER_POINT, height: height * MM_PER_POINT, paths };
    }),
  );
}

/** pdf.js lays a path out flat: 0 or 1 ahead of each spot it moves or draws to, 3 where it closes. */
function spotsOf(data: readonly number[]) {
  const spots: { x: number; y: number }[] = [];
  for (let i = 0; i < data.length; ) {
    if (data[i] === 3) {
      i++;
      continue;
    }
    const [x = Number.NaN, y = Number.NaN] = data.slice(i + 1, i + 3);
    spots.push({ x: x * MM_PER_POINT, y: y * MM_PER_POINT });
    i += 3;
  }
  return spots;
}

const template = (pipe: number, drum: number) => {
  const made = wrapTemplates({
    ...{ pipe, drum, wall: 0.001, angle: Math.PI / 2, ends: 'outside' },
    offset: (drum - pipe) / 2,
  });
  if (!made.ok) throw new Error(made.fault.kind);
  return templateSheets(made.templates, { pipe: 'pipe', hole: 'hole', ruler: checkRuler('metric') })
    .pipe;
};

describe('a drawing on sheets of paper', () => {
  // ISO 216 and ANSI Y14.1, from memory: A4 is 210 by 297 mm, letter 8½ by 11 in.
  it.each([
    ['a4', 210, 297],
    ['letter', 215.9, 279.4],
  ] as const)('is on paper of its size: %s', async (paper, width, height) => {
    const pages = await read(await written([lineOf('cuts', square(0.05), true)], paper));
    expect(pages).toHaveLength(1);
    const [page] = pages;
    expect(page?.width).toBeCloseTo(width, 3);
    expect(page?.height).toBeCloseTo(height, 3);
  });

  it('measures on paper what it measures: the square, and the ruler on every sheet', async () => {
    const pages = await read(await written([lineOf('cuts', square(0.4), true)], 'a4'));
    expect(pages.length).toBeGreaterThan(3);
    for (const { paths } of pages) {
      const whole = paths.find((spots) => spots.length === 4);
      expect(spanOf(whole ?? [])).toBeCloseTo(400, 3);
      const ruler = paths.find((spots) => Math.abs(spanOf(spots) - 100) < 1e-3);
      expect(ruler).toBeDefined();
    }
  });

  it('has a ruler of 4 in. where rulers are divided in inches, and says so', async () => {
    const pdf = await written([lineOf('cuts', square(0.4), true)], 'letter', 1, 'us');
    for (const { paths } of await read(pdf)) {
      expect(paths.some((spots) => Math.abs(spanOf(spots) - 4 * 25.4) < 1e-3)).toBe(true);
      expect(paths.some((spots) => Math.abs(spanOf(spots) - 100) < 1e-3)).toBe(false);
    }
    const { text } = await extractText(pdf);
    for (const page of text) expect(page).toContain('4 in.');
  });

  it('is a twentieth on paper at 1 to 20', async () => {
    const [page] = await read(await written([lineOf('ducts', square(2), true)], 'letter', 1 / 20));
    const drawn = page?.paths.find((spots) => spots.length === 4) ?? [];
    expect(spanOf(drawn)).toBeCloseTo(100, 3);
  });

  it('shows every spot of a drum’s template on some sheet, at its place', async () => {
    const items = template(0.16, 0.57);
    const curve = items.flatMap((item) =>
      item.kind === 'line' && item.isClosed ? [item.points] : [],
    );
    const points = curve[0] ?? [];
    const pages = await read(await written(items, 'letter'));
    expect(pages.length).toBeGreaterThan(1);
    const seen = new Set<number>();
    const shapes = pages.map(({ paths, width, height }) => {
      const drawn = paths.find((spots) => spots.length === points.length) ?? [];
      drawn.forEach(({ x, y }, i) => {
        const isWithin = x > MARGIN - 1e-6 && x < width - MARGIN + 1e-6;
        if (isWithin && y > MARGIN - 1e-6 && y < height - MARGIN + 1e-6) seen.add(i);
      });
      return drawn;
    });
    expect(seen.size).toBe(points.length);
    for (const drawn of shapes) {
      const [x0, y0] = [drawn[0]?.x ?? 0, drawn[0]?.y ?? 0];
      points.forEach(({ x, y }, i) => {
        expect((drawn[i]?.x ?? 0) - x0).toBeCloseTo((x - (points[0]?.x ?? 0)) * 1000, 2);
        expect((drawn[i]?.y ?? 0) - y0).toBeCloseTo((y - (points[0]?.y ?? 0)) * 1000, 2);
      });
    }
  });

  it('says on every sheet which it is', async () => {
    const items = [lineOf('cuts', square(0.3), true)];
    const document = await getDocumentProxy(await written(items, 'a4'));
    const { text } = await extractText(document, { mergePages: true });
    expect(text).toContain('Sheet 1 of 4: row 1, column 1');
    expect(text).toContain('Sheet 4 of 4: row 2, column 2');
  });

  it('writes feet, inches and fractions, and a question mark for a letter its font has not', async () => {
    const items = [
      textOf('names', { x: 0.1, y: 0.1 }, 'Łódź 4′ 6½″ ✓', 0.004),
      textOf('names', { x: 0.1, y: 0.08 }, '26⅝ in. ⅛', 0.004),
    ];
    const document = await getDocumentProxy(await written(items, 'a4'));
    const { text } = await extractText(document, { mergePages: true });
    expect(text).toMatch(/(\?ód\?|Łódź) 4' 6½" \? 26 5\/8 in\. 1\/8/);
  });
});

describe('tiles', () => {
  it('cover every drawing, with what neighbours both show, in no more sheets than needed', () => {
    for (const paper of ['a4', 'letter'] as const) {
      for (let width = 10; width < 2000; width += 37) {
        for (const height of [20, 150, 181, 266, 400, 905]) {
          const { columns, rows, page, step } = tilesOf({ width, height }, paper);
          const [wide, high] = [page.width - 2 * MARGIN, page.height - 2 * MARGIN];
          expect(step.width).toBeCloseTo(wide - OVERLAP, 9);
          expect((columns - 1) * step.width + wide).toBeGreaterThanOrEqual(width - 1e-5);
          expect((rows - 1) * step.height + high).toBeGreaterThanOrEqual(height - 1e-5);
          if (columns > 1) expect((columns - 2) * step.width + wide).toBeLessThan(width);
          if (rows > 1) expect((rows - 2) * step.height + high).toBeLessThan(height);
          expect(Object.values(PAPERS[paper]).sort()).toEqual([page.width, page.height].sort());
        }
      }
    }
  });

  it('turn paper on its side where that takes fewer', () => {
    const { page, columns, rows } = tilesOf({ width: 260, height: 150 }, 'a4');
    expect([columns, rows]).toEqual([1, 1]);
    expect(page.width).toBeGreaterThan(page.height);
  });
});

const square = (side: number) => [
  { x: 0, y: 0 },
  { x: side, y: 0 },
  { x: side, y: side },
  { x: 0, y: side },
];

const spanOf = (spots: readonly { readonly x: number }[]) =>
  Math.max(...spots.map(({ x }) => x)) - Math.min(...spots.map(({ x }) => x));
