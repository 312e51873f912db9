import type { Paper } from '@frank-gauge/core/pdf';
import type { CheckRuler, SheetItem } from '@frank-gauge/core/routing';
import { saveFile } from '@/storage/save-file';

interface Options {
  readonly paper: Paper;
  /** Stands at the foot of every sheet. */
  readonly title: string;
  /** Paper over drawing. */
  readonly scale: number;
  readonly ruler: CheckRuler;
}

/** Saves a sheet as PDF to scale, over as many sheets of paper as it takes; what writes the format is loaded now. */
export async function savePdf(
  file: string,
  items: readonly SheetItem[],
  { paper, title, scale, ruler }: Options,
): Promise<void> {
  const { sheetPdf } = await import('@frank-gauge/core/pdf');
  const bytes = await sheetPdf(items, {
    ...{ paper, scale, ruler },
    footOf: ({ sheet, of, row, column }) =>
      of === 1
        ? `${title}. Print at 100 %.`
        : `${title}, sheet ${sheet} of ${of}: row ${row}, column ${column}. Print at 100 %.`,
  });
  saveFile(`${file}.pdf`, bytes, 'application/pdf');
}
