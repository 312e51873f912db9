'use client';

import {
  type CutGroup,
  type CutPiece,
  cutAt,
  isCut,
  lengthsOf,
  type Overlap,
  type Stick,
  withCut,
  withoutCut,
} from '@frank-gauge/core/build';
import { PIPES } from '@frank-gauge/core/catalogue';
import { formatQuantity, formatShort, fromSI, type UnitSystem } from '@frank-gauge/core/quantity';
import { writeTable } from '@frank-gauge/core/spreadsheet';
import { useDesign, useUnits } from '@/model/use-design';
import { saveFile } from '@/storage/save-file';
import { edit } from '@/storage/session';
import { Button } from '@/ui/button';
import { tapeLength } from '@/words/tape-length';
import { FieldLine } from '../parts/line';
import { ListHead } from './list-head';
import { NothingToBuild } from './nothing-to-build';
import { useCuts } from './use-cuts';

/** Every straight piece of pipe, and the lengths of stock it is cut from. */
export function CutsView() {
  const { groups, overlaps } = useCuts();
  const system = useUnits();
  const nameOf = useRunNames();
  const { stockLength, kerf, cut } = useDesign(({ build }) => build);
  const hasCut = cut.length > 0;
  if (groups.length === 0 && overlaps.length === 0) return <NothingToBuild />;
  const save = () => {
    const data = groups.flatMap(({ pipe, diameter, pieces }) =>
      pieces.map((piece) => [
        `${piece.number}`,
        nameOf(piece.run),
        PIPES[pipe].name,
        formatShort(diameter, 'diameter', system),
        tapeLength(piece.length, system),
        fromSI(piece.length, 'mm').toFixed(0),
      ]),
    );
    const header = ['Piece', 'Run', 'Pipe', 'Inside diameter', 'Length', 'Length, mm'];
    saveFile('cut-list.csv', writeTable(header, data), 'text/csv');
  };
  return (
    <div className="relative px-4 pt-3 pb-6 md:h-full md:overflow-y-auto print:overflow-visible">
      <ListHead title="Cut list" onSave={save} />
      <p className="max-w-prose text-[15px]">
        Wyes, gates and reducers are taken as long as they usually are: hold one of yours against
        the drawing, and dry-fit a run before you cut the next.
      </p>
      <div className="max-w-90 print:hidden">
        <FieldLine
          label="Pipe is sold in"
          value={stockLength}
          kind="length"
          min={0.3}
          max={12}
          placeholder="usual lengths"
          warning={stockLength === null ? null : longWords(groups, system)}
          onChange={(length) =>
            edit('stock length', ({ build }) => {
              build.stockLength = length;
            })
          }
          onClear={() =>
            edit('stock length', ({ build }) => {
              build.stockLength = null;
            })
          }
        />
        <FieldLine
          label="Kerf of a cut"
          value={kerf}
          kind="diameter"
          min={0}
          max={0.01}
          onChange={(width) =>
            edit('kerf', ({ build }) => {
              build.kerf = width;
            })
          }
        />
      </div>
      {hasCut && (
        <p className="flex max-w-prose flex-wrap items-center gap-2 text-[15px] print:hidden">
          What is left of a length that was begun is used for what is cut later.
          <Button
            look="quiet"
            onClick={() =>
              edit('no piece cut yet', ({ build }) => {
                build.cut = [];
              })
            }
          >
            Untick all
          </Button>
        </p>
      )}
      <Overlaps overlaps={overlaps} nameOf={nameOf} />
      {groups.map((group) => (
        <Group key={`${group.pipe} ${group.diameter}`} group={group} nameOf={nameOf} />
      ))}
    </div>
  );
}

type NameOf = (run: string) => string;

function useRunNames(): NameOf {
  const runs = useDesign((shop) => shop.ducts.runs);
  return (id) => runs.find((run) => run.id === id)?.name ?? id;
}

function Overlaps({
  overlaps,
  nameOf,
}: {
  readonly overlaps: readonly Overlap[];
  readonly nameOf: NameOf;
}) {
  const system = useUnits();
  if (overlaps.length === 0) return null;
  return (
    <ul aria-label="No room for a piece" className="pt-2">
      {overlaps.map(({ run, by }, i) => (
        <li key={`${run} ${i}`} className="text-[15px] text-starved-text">
          ▼ In {nameOf(run)} two fittings lie over each other by about {tapeLength(by, system)}:
          there is no room for pipe between them.
        </li>
      ))}
    </ul>
  );
}

function Group({ group, nameOf }: { readonly group: CutGroup; readonly nameOf: NameOf }) {
  const system = useUnits();
  const { pipe, diameter, stock, pieces, sticks, bound } = group;
  const name = `${PIPES[pipe].name}, ${formatShort(diameter, 'diameter', system)}`;
  const count = sticks.length === 1 ? 'One length' : `${sticks.length} lengths`;
  return (
    <section aria-label={name} className="pt-4">
      <h2 className="text-[17px]">{name}</h2>
      <p className="text-[15px] text-quiet">
        {count}
        {sticks.every((each) => each.stock === stock) ? '' : ', new ones'} of{' '}
        {formatQuantity(stock, 'length', system)};{' '}
        {sticks.length === bound
          ? 'no way of cutting needs fewer.'
          : `no way of cutting needs fewer than ${bound}.`}
      </p>
      <div className="grid gap-x-8 lg:grid-cols-2">
        <table aria-label={`Pieces, ${name}`} className="w-full self-start text-[15px]">
          <thead>
            <tr className="border-ink border-b text-left text-[14px] text-quiet">
              <th className="w-12 font-normal">cut</th>
              <th className="w-12 font-normal">piece</th>
              <th className="font-normal">run</th>
              <th className="text-right font-normal">length</th>
            </tr>
          </thead>
          <tbody>
            {pieces.map((piece) => (
              <PieceRow
                key={piece.key}
                piece={piece}
                run={nameOf(piece.run)}
                stick={stickOf(piece, sticks)}
                lengths={lengthsOf(group, piece)}
              />
            ))}
          </tbody>
        </table>
        <Sticks group={group} sticks={sticks} />
      </div>
    </section>
  );
}

/** What is longer than the stock that was typed; null: nothing. */
function longWords(groups: readonly CutGroup[], system: UnitSystem): string | null {
  const long = groups.flatMap(({ stock, pieces }) => pieces.filter(({ length }) => length > stock));
  if (long.length === 0) return null;
  const longest = tapeLength(Math.max(...long.map(({ length }) => length)), system);
  return long.length === 1
    ? `One piece is longer, ${longest} in all, and is put together from several lengths.`
    : `${long.length} pieces are longer, up to ${longest} each, and are put together from several lengths.`;
}

/** The length of stock a piece is cut from; null: it is not there. */
function stickOf({ key }: CutPiece, sticks: readonly Stick[]): Stick | null {
  const isIt = (each: { readonly key: string }) => each.key === key;
  return sticks.find(({ done, cuts }) => done.some(isIt) || cuts.some(isIt)) ?? null;
}

interface PieceProps {
  readonly piece: CutPiece;
  readonly run: string;
  readonly stick: Stick | null;
  /** It is put together from so many lengths of stock. */
  readonly lengths: number;
}

function PieceRow({ piece, run, stick, lengths }: PieceProps) {
  const system = useUnits();
  const ticks = useDesign(({ build }) => build.cut);
  const was = cutAt(piece, ticks);
  const isDone = isCut(piece, ticks);
  const tick = (isNow: boolean) =>
    edit('piece cut', ({ build }) => {
      build.cut = [...(isNow ? withCut(build.cut, piece, stick) : withoutCut(build.cut, piece))];
    });
  return (
    <tr className={`border-rule border-b align-baseline ${isDone ? 'text-quiet' : ''}`}>
      <td>
        <input
          type="checkbox"
          aria-label={`Cut: piece ${piece.number}, ${run}`}
          className="m-2 size-5 accent-ink md:size-4"
          checked={isDone}
          onChange={(event) => tick(event.target.checked)}
        />
      </td>
      <td className="font-figure">{piece.number}</td>
      <td>
        {run}
        {piece.dividedBy > 0 && (
          <span className="block text-[14px] text-quiet">
            in all; divide it at {piece.dividedBy === 1 ? 'the elbow' : `${piece.dividedBy} elbows`}
            , which nobody has drawn
          </span>
        )}
        {piece.isShort && (
          <span className="block text-[14px] text-quiet">
            shorter than what goes into it from both ends: trim that, or join the fittings directly
          </span>
        )}
        {lengths > 1 && (
          <span className="block text-[14px] text-quiet">
            longer than the stock: put together from {lengths} lengths
          </span>
        )}
        {was !== null && !isDone && (
          <span className="block text-[14px] text-starved-text">
            ▼ was cut at {tapeLength(was, system)}, before the plan changed
          </span>
        )}
      </td>
      <td className="whitespace-nowrap text-right font-figure">
        {tapeLength(piece.length, system)}
      </td>
    </tr>
  );
}

/** What is cut from each length of stock, drawn to scale. */
function Sticks({
  group,
  sticks,
}: {
  readonly group: CutGroup;
  readonly sticks: readonly Stick[];
}) {
  const system = useUnits();
  const numberOf = (key: string) =>
    group.pieces.find((piece) => key === piece.key || key.startsWith(`${piece.key} +`))?.number;
  const words = ({ key, length }: Stick['cuts'][number]) => {
    const number = numberOf(key);
    const name = number === undefined ? 'a piece of an earlier plan' : `piece ${number}`;
    return `${name}: ${tapeLength(length, system)}`;
  };
  return (
    <ol aria-label="Lengths of stock" className="pt-2 text-[14px] lg:pt-0">
      {sticks.map(({ id, stock, done, cuts, left }) => (
        <li key={id} className="border-rule border-b py-1">
          <div aria-hidden className="flex h-5 border border-ink font-figure text-[12px]">
            {[...done, ...cuts].map(({ key, length }, i) => (
              <span
                key={`${key} ${i}`}
                className={`overflow-hidden border-ink border-r text-center ${i < done.length ? 'text-quiet line-through' : 'bg-selection'}`}
                style={{ width: `${(100 * length) / stock}%` }}
              >
                {numberOf(key)}
              </span>
            ))}
          </div>
          {done.length > 0 && `cut from it: ${done.map(words).join(', ')}; `}
          {cuts.length > 0 &&
            `${done.length > 0 ? 'still to cut: ' : ''}${cuts.map(words).join(', ')}; `}
          {tapeLength(left, system)} left
        </li>
      ))}
    </ol>
  );
}
