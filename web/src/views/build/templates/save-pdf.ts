import type { Paper } from '@frank-gauge/core/pdf';
import type { SheetItem } from '@frank-gauge/core/routing';
import { saveFile } from '@/storage/save-file';

/** Saves a template as PDF at true size, over as many sheets as it takes; what writes the format is loaded now. */
export async function savePdf(
  file: string,
  items: readonly SheetItem[],
  { paper, title }: { readonly paper: Paper; readonly title: string },
): Promise<void> {
  const { sheetPdf } = await import('@frank-gauge/core/pdf');
  const bytes = await sheetPdf(items, {
    ...{ paper, scale: 1, ruler: '100 mm' },
    footOf: ({ sheet, of, row, column }) =>
      of === 1
        ? `${title}. Print at 100 %.`
        : `${title}, sheet ${sheet} of ${of}: row ${row}, column ${column}. Print at 100 %.`,
  });
  saveFile(`${file}.pdf`, bytes, 'application/pdf');
}
