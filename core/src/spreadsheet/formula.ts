/** What a spreadsheet would run instead of show: a cell that begins with one of these. */
const RUNS = /^[=+\-@\t\r]/;

/**
 * Text that no spreadsheet takes for a formula: one that would be is led by an apostrophe, which spreadsheets
 * hide. Text that has one already gets a second, so that `asWritten` gives back what went in.
 * @example defused('=1+1') // "'=1+1"
 */
export const defused = (text: string): string =>
  RUNS.test(text) || RUNS.test(text.replace(/^'+/, '')) ? `'${text}` : text;

/** Text as it was before it was defused. */
export const asWritten = (cell: string): string =>
  cell.startsWith("'") && RUNS.test(cell.replace(/^'+/, '')) ? cell.slice(1) : cell;
