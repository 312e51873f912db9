/** Sheets as DXF: a door of its own, since what writes the format is large and seldom wanted. */

export { sheetDxf } from '../src/routing/sheets/sheet-dxf';
