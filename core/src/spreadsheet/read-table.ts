import papaparse from 'papaparse';

/** Rows and columns of a table's text. */
export interface Table {
  readonly headers: readonly string[];
  readonly rows: readonly TableRow[];
  readonly delimiter: string;
}

export interface TableRow {
  /** Where it begins, as a text editor counts lines. */
  readonly line: number;
  readonly cells: readonly string[];
  /** It ends before its last cell does: the file may have been cut off in the middle. */
  readonly isTorn: boolean;
}

export type ReadTable =
  | { readonly ok: true; readonly table: Table }
  | { readonly ok: false; readonly why: 'empty' | 'too long' | 'no table' };

/** The most rows and letters a table may have. */
export const MOST_ROWS = 50_000;
const MOST_LETTERS = 50_000_000;

const isBlank = (cells: readonly string[]) => cells.every((cell) => cell.trim() === '');

/**
 * Reads the rows of a CSV text, the first one as headers. Commas, semicolons, tabs or bars part the cells,
 * whichever does so alike in most lines. Blank lines are passed over and counted.
 */
export function readTable(text: string): ReadTable {
  if (text.trim() === '') return { ok: false, why: 'empty' };
  if (text.length > MOST_LETTERS) return { ok: false, why: 'too long' };
  const parsed = papaparse.parse<string[]>(text, { delimitersToGuess: [',', ';', '\t', '|'] });
  const torn = new Set(
    parsed.errors.flatMap(({ type, row }) => (type === 'Quotes' && row !== undefined ? [row] : [])),
  );
  const rows: TableRow[] = [];
  let line = 1;
  for (const [i, cells] of parsed.data.entries()) {
    if (!isBlank(cells)) rows.push({ line, cells, isTorn: torn.has(i) });
    // A cell in quotes may hold line breaks of its own.
    line += 1 + cells.reduce((sum, cell) => sum + (cell.match(/\r\n|\r|\n/g)?.length ?? 0), 0);
    if (rows.length > MOST_ROWS + 1) return { ok: false, why: 'too long' };
  }
  const [head, ...rest] = rows;
  if (!head || head.cells.length < 2 || rest.length === 0) return { ok: false, why: 'no table' };
  const headers = head.cells.map((cell) => cell.trim());
  return { ok: true, table: { headers, rows: rest, delimiter: parsed.meta.delimiter } };
}
