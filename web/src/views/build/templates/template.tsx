'use client';

import { type SheetItem, sheetExtent, sheetSvg } from '@frank-gauge/core/routing';
import { saveFile } from '@/storage/save-file';
import { Button } from '@/ui/button';
import { saveDxf } from '../../parts/save-dxf';
import { usePaper } from '../paper-choice';
import { savePdf } from '../save-pdf';
import { SheetSvg } from '../sheet-svg';

interface Props {
  readonly name: string;
  readonly file: string;
  readonly items: readonly SheetItem[];
}

/** Letters in the picture are so many times smaller than it is wide and high. */
const LETTERS = 50;

/** A template as a picture, and as files at true size. */
export function Template({ name, file, items }: Props) {
  const paper = usePaper();
  const { width, height } = sheetExtent(items) ?? { width: 0, height: 0 };
  const ways = [
    { format: 'PDF', save: () => void savePdf(file, items, { paper, title: name, scale: 1 }) },
    {
      format: 'SVG',
      save: () => saveFile(`${file}.svg`, sheetSvg(items), 'image/svg+xml'),
    },
    { format: 'DXF', save: () => void saveDxf(file, items) },
  ];
  return (
    <figure aria-label={`Template: ${name}`} className="pt-3">
      <figcaption className="flex flex-wrap items-baseline gap-2">
        <span className="text-[17px]">{name}</span>
        <span className="text-[14px] text-quiet">
          {Math.round(width * 1000)} by {Math.round(height * 1000)} mm
        </span>
        {ways.map(({ format, save }) => (
          <Button
            key={format}
            look="quiet"
            aria-label={`Save as ${format}: ${name}`}
            onClick={save}
          >
            Save as {format}
          </Button>
        ))}
      </figcaption>
      <SheetSvg name={`${name}, to scale`} items={items} letters={LETTERS} className="max-h-90" />
    </figure>
  );
}
