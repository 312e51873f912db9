'use client';

import { checkRuler, type SheetItem, sheetSvg } from '@frank-gauge/core/routing';
import { useUnits } from '@/model/use-design';
import { saveFile } from '@/storage/save-file';
import { Button } from '@/ui/button';
import { saveDxf } from '../parts/save-dxf';
import { usePaper } from './paper-choice';
import { savePdf } from './save-pdf';

interface Props {
  readonly name: string;
  readonly file: string;
  readonly items: readonly SheetItem[];
  /** Paper over drawing. */
  readonly scale: number;
  /** Saves it as a body to print, where that makes sense. */
  readonly stl?: (() => void) | undefined;
}

/** Buttons that save a sheet as PDF over sheets of paper, as SVG and as DXF. */
export function SaveWays({ name, file, items, scale, stl }: Props) {
  const paper = usePaper();
  const ruler = checkRuler(useUnits());
  const title = scale === 1 ? name : `${name}, 1:${Number((1 / scale).toFixed(1))}`;
  const ways = [
    { format: 'PDF', save: () => void savePdf(file, items, { paper, title, scale, ruler }) },
    {
      format: 'SVG',
      save: () => saveFile(`${file}.svg`, sheetSvg(items, scale), 'image/svg+xml'),
    },
    { format: 'DXF', save: () => void saveDxf(file, items) },
    ...(stl ? [{ format: 'STL', save: stl }] : []),
  ];
  return ways.map(({ format, save }) => (
    <Button
      key={format}
      look="quiet"
      className="print:hidden"
      aria-label={`Save as ${format}: ${name}`}
      onClick={save}
    >
      Save as {format}
    </Button>
  ));
}
