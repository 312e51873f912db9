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
  /** Paper over drawing; 1 unless it is said. */
  readonly scale?: number;
  /** Letters in the picture are so many times smaller than it is wide and high. */
  readonly letters?: number;
  /** Saves it as a body to print, where that makes sense. */
  readonly stl?: () => void;
}

/** Usual letters in the picture. */
const LETTERS = 50;

/** A template as a picture, and as files: at true size, or to scale. */
export function Template({ name, file, items, scale = 1, letters = LETTERS, stl }: Props) {
  const paper = usePaper();
  const { width, height } = sheetExtent(items) ?? { width: 0, height: 0 };
  const title = scale === 1 ? name : `${name}, 1:${Math.round(1 / scale)}`;
  const ways = [
    { format: 'PDF', save: () => void savePdf(file, items, { paper, title, scale }) },
    {
      format: 'SVG',
      save: () => saveFile(`${file}.svg`, sheetSvg(items, scale), 'image/svg+xml'),
    },
    { format: 'DXF', save: () => void saveDxf(file, items) },
    ...(stl ? [{ format: 'STL', save: stl }] : []),
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
      <SheetSvg name={`${name}, to scale`} items={items} letters={letters} className="max-h-90" />
    </figure>
  );
}
