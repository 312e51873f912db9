/** Readings as tables that spreadsheets read and write. */

export {
  type Column,
  guessColumns,
  TABLE_FIELDS,
  type TableField,
} from '../src/spreadsheet/columns';
export { decodeText, type Encoding } from '../src/spreadsheet/decode-text';
export { type DateOrder, dateOrderOf } from '../src/spreadsheet/read-moment';
export { MOST_ROWS, type ReadTable, readTable, type Table } from '../src/spreadsheet/read-table';
export {
  type CellFault,
  type PlaceOfTable,
  type RowOutcome,
  readingsOfTable,
  type TableReading,
} from '../src/spreadsheet/readings-of-table';
export { type DropLine, writeDrops } from '../src/spreadsheet/write-drops';
export { writeReadings } from '../src/spreadsheet/write-readings';
export { writeTable } from '../src/spreadsheet/write-table';
