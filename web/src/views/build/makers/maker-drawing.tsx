'use client';

import { type MadeThing, viewOfBoards } from '@frank-gauge/core/makers';
import { sheetExtent } from '@frank-gauge/core/routing';
import { useDeferredValue, useMemo } from 'react';
import { fileStem } from '@/storage/file-stem';
import { SaveWays } from '../save-ways';
import { SheetSvg } from '../sheet-svg';

/** Scales that drawings are made to, and what one sheet of paper has room for either way, m. */
const SCALES = [1, 2, 2.5, 5, 10, 20, 25, 50] as const;
const ROOM = { width: 0.17, height: 0.22 } as const;
/** Letters in the picture, by its width and height together. */
const LETTERS = 70;

interface Props {
  readonly name: string;
  readonly thing: MadeThing;
  /** Of each part, in their order. */
  readonly letters: readonly string[];
  /** It is of earlier sizes: to be looked at, not to be cut from. */
  readonly isStale?: boolean;
}

/** All parts drawn a little apart, in isometric, each with its letter. */
export function MakerDrawing({ name, thing, letters, isStale }: Props) {
  const shown = useDeferredValue(thing);
  const own = useDeferredValue(letters);
  const items = useMemo(() => {
    const parts = shown.parts.map((placed, i) => ({ placed, letter: own[i] ?? '' }));
    return viewOfBoards(parts, LETTERS);
  }, [shown, own]);
  const { width, height } = sheetExtent(items) ?? { width: 1, height: 1 };
  const scale = SCALES.find((by) => width / by <= ROOM.width && height / by <= ROOM.height) ?? 50;
  return (
    <figure aria-label={`Drawing: ${name}`} className="pt-3">
      <figcaption className="flex flex-wrap items-baseline gap-2">
        <span className="text-[17px]">{name}, parts drawn apart</span>
        {!isStale && <SaveWays name={name} file={fileStem(name)} items={items} scale={1 / scale} />}
      </figcaption>
      <SheetSvg
        name={`${name}, parts drawn apart`}
        items={items}
        letters={LETTERS}
        className={`max-h-130 ${isStale ? 'opacity-50' : ''}`}
      />
    </figure>
  );
}
