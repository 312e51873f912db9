'use client';

import { revolvedStl } from '@frank-gauge/core/assembly';
import { blankOf, lengthJobs, type MadeThing, type PartKind } from '@frank-gauge/core/makers';
import { formatShort, fromSI } from '@frank-gauge/core/quantity';
import { writeTable } from '@frank-gauge/core/spreadsheet';
import { useUnits } from '@/model/use-design';
import { fileStem } from '@/storage/file-stem';
import { saveFile } from '@/storage/save-file';
import { Button } from '@/ui/button';
import { makerWords } from '@/words/maker-sayings';
import { MATERIAL_WORDS } from '@/words/maker-words';
import { rulerLength } from '@/words/tape-length';

interface Props {
  readonly name: string;
  readonly thing: MadeThing;
  readonly kinds: readonly PartKind[];
}

/** Parts by their letters, what is cut to length, what is bought, what is printed. */
export function ShoppingLists({ name, thing, kinds }: Props) {
  const system = useUnits();
  const say = (length: number) => rulerLength(length, system);
  const sizeOf = ({ board }: PartKind) => {
    const { width, height } = blankOf(board);
    return board.outline.kind === 'circle'
      ? `${say(width)} across`
      : `${say(width)} × ${say(height)}`;
  };
  const lengths = lengthJobs(kinds);
  const save = () => {
    const rows = kinds.map((kind) => {
      const { width, height } = blankOf(kind.board);
      const inMillimeters = [width, height, kind.board.thickness].map((size) =>
        fromSI(size, 'mm').toFixed(1),
      );
      const { letter, count, board } = kind;
      const size = [sizeOf(kind), say(board.thickness)];
      const from = MATERIAL_WORDS[board.material];
      return [letter, board.name, `${count}`, from, ...size, ...inMillimeters];
    });
    const header = ['Letter', 'Part', 'Pieces', 'From', 'Size', 'Thickness'];
    const millimeters = ['Width, mm', 'Height, mm', 'Thickness, mm'];
    saveFile(
      `${fileStem(name)}-parts.csv`,
      writeTable([...header, ...millimeters], rows),
      'text/csv',
    );
  };
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-2 pt-3">
        <h2 className="text-[17px]">Parts</h2>
        <span className="print:hidden">
          <Button look="quiet" onClick={save}>
            Save as CSV
          </Button>
        </span>
      </div>
      <table aria-label="Parts" className="w-full max-w-200 text-[15px]">
        <thead className="text-left text-[14px] text-quiet">
          <tr>
            <th className="w-10 font-normal">Letter</th>
            <th className="font-normal">Part</th>
            <th className="w-14 text-right font-normal">Pieces</th>
            <th className="pl-4 font-normal">Size</th>
            <th className="font-normal">From</th>
          </tr>
        </thead>
        <tbody>
          {kinds.map((kind) => (
            <tr key={kind.letter} className="border-rule border-t align-baseline">
              <td>{kind.letter}</td>
              <td>{kind.board.name}</td>
              <td className="text-right font-figure">{kind.count}</td>
              <td className="pl-4 font-figure">{sizeOf(kind)}</td>
              <td>
                {MATERIAL_WORDS[kind.board.material]}, {say(kind.board.thickness)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <h2 className="pt-3 text-[17px]">To buy besides sheets</h2>
      <ul aria-label="To buy besides sheets" className="max-w-prose list-disc pl-5 text-[15px]">
        {lengths.map(({ letter, board, count, length, section }) => (
          <li key={letter}>
            {count} × {say(length)} of {MATERIAL_WORDS[board.material]},{' '}
            {section.height === null
              ? say(section.width)
              : `${say(section.width)} × ${say(section.height)}`}{' '}
            ({letter})
          </li>
        ))}
        {kinds
          .filter(({ board }) => board.material === 'clear sheet')
          .map((kind) => (
            <li key={kind.letter}>
              {kind.count} {kind.count === 1 ? 'piece' : 'pieces'} of{' '}
              {MATERIAL_WORDS['clear sheet']}, {say(kind.board.thickness)}, {sizeOf(kind)} (
              {kind.letter})
            </li>
          ))}
        {thing.bought.map(({ what, amount, kind }) => (
          <li key={what.id}>
            {kind === null ? amount : formatShort(amount, kind, system)} {makerWords(what, system)}
          </li>
        ))}
      </ul>
      {(thing.prints ?? []).map((print) => (
        <p key={print.name} className="pt-1 text-[15px] print:hidden">
          Printed {print.name}, in millimeters:{' '}
          <Button
            look="quiet"
            aria-label={`Save as STL: ${print.name}`}
            onClick={() =>
              saveFile(
                `${fileStem(name)}-${fileStem(print.name)}.stl`,
                revolvedStl(print.outline, print.name),
                'model/stl',
              )
            }
          >
            Save as STL
          </Button>
        </p>
      ))}
    </>
  );
}
