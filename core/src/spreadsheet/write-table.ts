import papaparse from 'papaparse';
import { defused } from './formula';

/** A table as CSV, each line as long as its header; what a spreadsheet would run as a formula is defused. */
export const writeTable = (
  header: readonly string[],
  lines: readonly (readonly string[])[],
): string =>
  `${papaparse.unparse({ fields: [...header], data: lines.map((line) => line.map(defused)) }, { newline: '\r\n' })}\r\n`;
