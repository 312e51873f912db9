'use client';

import {
  type MakerId,
  nestBoards,
  nestSheet,
  type PartKind,
  sheetJobs,
} from '@frank-gauge/core/makers';
import { useMemo } from 'react';
import { useUnits } from '@/model/use-design';
import { fileStem } from '@/storage/file-stem';
import { Choice } from '@/ui/choice';
import { listWords, MAKER_WORDS, MATERIAL_WORDS } from '@/words/maker-words';
import { rulerLength, tapeLength } from '@/words/tape-length';
import { FieldLine, Line } from '../../parts/line';
import { Template } from '../templates/template';
import { useListedKinds, useMakeList, useMakerChoices, useSheetStock } from './use-maker';

/** Letters on a sheet, by its width and height together: strips are narrow. */
const NEST_LETTERS = 120;

/** Nothing is laid out together: then nothing of the list is worked out. */
const NOTHING: readonly MakerId[] = [];

interface Props {
  readonly name: string;
  readonly kinds: readonly PartKind[];
}

/** What is sawn out of which sheet, by cuts from edge to edge. */
export function SheetCuts({ name: ownName, kinds: own }: Props) {
  const system = useUnits();
  const { stock, change } = useSheetStock();
  const { choices, choose } = useMakerChoices();
  const { list } = useMakeList();
  const isTogether = list.length > 1 && choices.isTogether === true;
  const listed = useListedKinds(isTogether ? list : NOTHING);
  const kinds = isTogether ? listed.kinds : own;
  const name = isTogether ? 'Everything on the list' : ownName;
  const { width, height, kerf, isGrainKept } = stock;
  const jobs = useMemo(() => {
    const own = { width, height, kerf, isGrainKept };
    return sheetJobs(kinds).map((job) => ({ ...job, nesting: nestBoards(job.blanks, own) }));
  }, [kinds, width, height, kerf, isGrainKept]);
  const boards = new Map(kinds.map(({ letter, board }) => [letter, board]));
  const tooLarge = jobs.flatMap(({ nesting }) => nesting.tooLarge);
  const [first] = tooLarge;
  const warning = first
    ? `No sheet is large enough for ${tooLarge.map(({ letter }) => letter).join(', ')}: ${tapeLength(first.width, system).replace(/ in\.$/, '')} × ${tapeLength(first.height, system)}`
    : null;
  const isTooWide = first !== undefined && (first.width > width || !isGrainKept);
  return (
    <section aria-label="Sheet goods" className="pt-3">
      <h2 className="text-[17px]">Sheet goods</h2>
      {list.length > 1 && (
        <div className="max-w-120 print:hidden">
          <Line label="Lay out">
            <Choice
              label="Lay out"
              value={isTogether ? 'all' : 'one'}
              options={[
                { value: 'one', label: 'this part alone' },
                { value: 'all', label: 'everything on my list together' },
              ]}
              onChange={(value) => choose({ isTogether: value === 'all' })}
            />
          </Line>
        </div>
      )}
      {isTogether && (
        <p className="max-w-prose text-[15px]">
          {listWords(list)}: the number stands before each letter.
          {listed.refused.length > 0 &&
            ` Left out, because a size of it is wrong: ${listed.refused.map((id) => MAKER_WORDS[id].name).join(', ')}.`}
        </p>
      )}
      <div className="grid max-w-220 gap-x-8 md:grid-cols-2 print:hidden [&_[data-line]]:grid-cols-[minmax(0,15rem)_8.5rem]">
        <FieldLine
          label="Sheet, width"
          value={width}
          kind="diameter"
          min={0.1}
          max={5}
          warning={isTooWide ? warning : null}
          onChange={(value) => change({ width: value })}
        />
        <FieldLine
          label="Sheet, height along the grain"
          value={height}
          kind="diameter"
          min={0.1}
          max={5}
          warning={isTooWide ? null : warning}
          onChange={(value) => change({ height: value })}
        />
        <FieldLine
          label="Saw kerf"
          value={kerf}
          kind="diameter"
          min={0}
          max={0.01}
          onChange={(value) => change({ kerf: value })}
        />
        <Line label="Grain">
          <Choice
            label="Grain"
            value={isGrainKept ? 'kept' : 'free'}
            options={[
              { value: 'kept', label: 'runs upright' },
              { value: 'free', label: 'may be turned' },
            ]}
            onChange={(value) => change({ isGrainKept: value === 'kept' })}
          />
        </Line>
      </div>
      {jobs.map(({ material, thickness, nesting }) => {
        const what = `${MATERIAL_WORDS[material]}, ${rulerLength(thickness, system)}`;
        const { sheets, bound } = nesting;
        return (
          <div key={what} className="pt-2">
            <p className="text-[15px]">
              {what.slice(0, 1).toUpperCase() + what.slice(1)}:{' '}
              {sheets.length === 0
                ? 'nothing fits these sheets'
                : `${sheets.length} ${sheets.length === 1 ? 'sheet' : 'sheets'}, by area no fewer than ${bound}`}
              .
            </p>
            <div className="grid gap-x-6 sm:grid-cols-2 lg:grid-cols-3">
              {sheets.map((blanks, i) => (
                <Template
                  key={`${what} ${blanks[0]?.letter}`}
                  name={`Sheet ${i + 1} of ${what}`}
                  file={`${fileStem(name)}-sheet-${i + 1}`}
                  items={nestSheet(blanks, stock, boards)}
                  scale={0.1}
                  letters={NEST_LETTERS}
                />
              ))}
            </div>
          </div>
        );
      })}
      <p className="max-w-prose pt-1 text-[14px] text-quiet">
        Saw the rectangles first, from edge to edge; then cut circles and slants. A round part takes
        the square around it.
      </p>
    </section>
  );
}
