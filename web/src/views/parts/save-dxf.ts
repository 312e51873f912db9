import type { SheetItem } from '@frank-gauge/core/routing';
import { saveFile } from '@/storage/save-file';

/** Saves a sheet as DXF; what writes the format is loaded now. */
export async function saveDxf(name: string, items: readonly SheetItem[]): Promise<void> {
  const { sheetDxf } = await import('@frank-gauge/core/dxf');
  saveFile(`${name}.dxf`, sheetDxf(items), 'image/vnd.dxf');
}
