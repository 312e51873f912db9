import {
  type Column,
  type DateOrder,
  dateOrderOf,
  decodeText,
  type Encoding,
  guessColumns,
  MOST_ROWS,
  readTable,
  type Table,
} from '@frank-gauge/core/spreadsheet';

/** A table that was chosen, and how it is going to be read. */
export interface ChosenTable {
  readonly fileName: string;
  readonly encoding: Encoding;
  readonly table: Table;
  readonly columns: readonly Column[];
}

/** The largest file that is read, bytes: fifty thousand readings are a tenth of it. */
const MOST_BYTES = 50_000_000;

/** Reads a file as a table, or says in a sentence why it is none. */
export async function readTableFile(file: File): Promise<ChosenTable | string> {
  if (file.size > MOST_BYTES) {
    return `${file.name} is ${Math.round(file.size / 1e6)} MB; a table of readings is at most ${MOST_BYTES / 1e6} MB.`;
  }
  const { text, encoding } = decodeText(new Uint8Array(await file.arrayBuffer()));
  const read = readTable(text);
  if (!read.ok) return `${file.name} ${WHY[read.why]}`;
  const { table } = read;
  return { fileName: file.name, encoding, table, columns: guessColumns(table.headers) };
}

const WHY = {
  empty: 'is empty.',
  'too long': `has more than ${MOST_ROWS.toLocaleString('en')} rows; split it in two.`,
  'no table':
    'is not a table: it needs a first line with headers, a line for each reading, and at least two columns.',
} as const;

/** The texts of the column that holds something. */
export function textsOf({ table, columns }: ChosenTable, field: Column['field']): string[] {
  const column = columns.findIndex((each) => each.field === field);
  return column < 0 ? [] : table.rows.map(({ cells }) => (cells[column] ?? '').trim());
}

/** The order its dates show; null where they leave it open. */
export const shownOrder = (chosen: ChosenTable): DateOrder | null =>
  dateOrderOf(textsOf(chosen, 'date'));

/** Whether any of its dates could be read in either order. */
export const hasOpenOrder = (chosen: ChosenTable): boolean =>
  shownOrder(chosen) === null &&
  textsOf(chosen, 'date').some((text) => /^\d{1,2}[/-]\d{1,2}[/-]\d/.test(text));
