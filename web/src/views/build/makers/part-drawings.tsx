'use client';

import { blankOf, boardSheet, extrudedStl, type PartKind } from '@frank-gauge/core/makers';
import { checkRuler } from '@frank-gauge/core/routing';
import { useUnits } from '@/model/use-design';
import { fileStem } from '@/storage/file-stem';
import { saveFile } from '@/storage/save-file';
import { makerWords } from '@/words/maker-sayings';
import { Template } from '../templates/template';

/** Parts no larger than this can be printed on a common printer, m. */
const PRINTER = 0.3;

interface Props {
  readonly name: string;
  readonly kinds: readonly PartKind[];
}

/** Every part that is cut to a shape, at true size. */
export function PartDrawings({ name, kinds }: Props) {
  const system = useUnits();
  const shaped = kinds.filter(
    ({ board }) => board.material !== 'bought' && board.material !== 'rod',
  );
  return (
    <details className="pt-3">
      <summary className="min-h-11 cursor-pointer text-[17px] md:min-h-7">
        Each part at true size
      </summary>
      <p className="max-w-prose text-[15px]">
        Print at 100 %, and check the {checkRuler(system).text} with a ruler. Centers of holes are
        measured to the right and up, from the lower left corner of the rectangle around the part.
      </p>
      {shaped.map(({ letter, board }) => {
        const { width, height } = blankOf(board);
        const file = `${fileStem(name)}-${letter}`;
        const note = board.note ? makerWords(board.note, system) : '';
        const stl = () => saveFile(`${file}.stl`, extrudedStl(board), 'model/stl');
        return (
          <Template
            key={letter}
            name={`${letter}: ${board.name}`}
            file={file}
            items={boardSheet(board, letter, note, system)}
            {...(Math.max(width, height) <= PRINTER && { stl })}
          />
        );
      })}
    </details>
  );
}
