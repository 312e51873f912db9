/** Sheets as PDF: a door of its own, since what writes the format is large and seldom wanted. */

export { type SheetPdf, type SheetPlace, sheetPdf } from '../src/routing/sheets/sheet-pdf';
export { PAPERS, type Paper } from '../src/routing/sheets/tiles';
