'use client';

import { type SheetItem, sheetExtent } from '@frank-gauge/core/routing';
import { useUnits } from '@/model/use-design';
import { rulerLength } from '@/words/tape-length';
import { SaveWays } from '../save-ways';
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
  /** It is of earlier sizes: to be looked at, not to be cut from. */
  readonly isStale?: boolean;
}

/** Usual letters in the picture. */
const LETTERS = 50;

/** A template as a picture, and as files: at true size, or to scale. */
export function Template({ name, file, items, scale = 1, letters = LETTERS, stl, isStale }: Props) {
  const system = useUnits();
  const { width, height } = sheetExtent(items) ?? { width: 0, height: 0 };
  return (
    <figure aria-label={`Template: ${name}`} className="pt-3">
      <figcaption className="flex flex-wrap items-baseline gap-2">
        <span className="text-[17px]">{name}</span>
        <span className="text-[14px] text-quiet">
          {rulerLength(width, system)} by {rulerLength(height, system)}
        </span>
        {scale === 1 && (
          <span className="hidden text-[14px] print:inline">
            not at true size here: cut by the PDF
          </span>
        )}
        {!isStale && <SaveWays name={name} file={file} items={items} scale={scale} stl={stl} />}
      </figcaption>
      <SheetSvg
        name={`${name}, to scale`}
        items={items}
        letters={letters}
        className={`max-h-90 ${isStale ? 'opacity-50' : ''}`}
      />
    </figure>
  );
}
