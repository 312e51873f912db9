'use client';

import { costOf } from '@frank-gauge/core/advice';
import {
  amountAtHand,
  cutList,
  isAtHand,
  type PartLine,
  partsList,
  type Stage,
  type StageParts,
  stagesOf,
  withTick,
} from '@frank-gauge/core/build';
import { writeTable } from '@frank-gauge/core/spreadsheet';
import { type ReactNode, useMemo, useState } from 'react';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { saveFile } from '@/storage/save-file';
import { edit } from '@/storage/session';
import { Choice } from '@/ui/choice';
import { moneyText } from '@/words/improvement-words';
import { partName, partQuantity } from '@/words/parts-words';
import { Line } from '../parts/line';
import { ListHead } from './list-head';
import { NothingToBuild } from './nothing-to-build';
import { useCuts } from './use-cuts';

const ALL = 'all at once';

/** What the ducts want from the store, all at once or stage by stage, with what is there already ticked off. */
export function PartsView() {
  const shop = useDesign();
  const tree = useDuctTree();
  const cuts = useCuts();
  const [chosen, setChosen] = useState(ALL);
  const stages = useMemo(
    () =>
      stagesOf(tree).map((stage): StageParts => {
        const own = cutList(shop, tree, stage.runs);
        return { stage, lines: partsList(shop, tree, own, stage) };
      }),
    [shop, tree],
  );
  const whole = useMemo(() => partsList(shop, tree, cuts), [shop, tree, cuts]);
  if (shop.ducts.runs.length === 0) return <NothingToBuild />;
  const own = stages.find(({ stage }) => stage.id === chosen) ?? null;
  const nameOf = ({ drop }: Stage) => {
    const name = tree.drops.find(({ id }) => id === drop)?.name;
    return drop === null ? 'first the mains and the collector' : `then ${name ?? drop}`;
  };
  const options = [
    { value: ALL, label: 'all at once' },
    ...stages.map(({ stage }) => ({ value: stage.id, label: nameOf(stage) })),
  ];
  return (
    <Parts
      lines={own?.lines ?? whole}
      stage={own?.stage ?? null}
      stages={stages}
      choice={
        <Choice label="Buy" value={own?.stage.id ?? ALL} options={options} onChange={setChosen} />
      }
    />
  );
}

interface PartsProps {
  readonly lines: readonly PartLine[];
  /** What is bought now; null: all of it. */
  readonly stage: Stage | null;
  readonly stages: readonly StageParts[];
  readonly choice: ReactNode;
}

function Parts({ lines, stage, stages, choice }: PartsProps) {
  const system = useUnits();
  const { owned } = useDesign(({ build }) => build);
  const advice = useDesign(({ advice: own }) => own);
  const currency = useDesign(({ shop }) => shop.money.currency);
  const shown = lines.map((line): Shown => {
    const there = stage
      ? isAtHand(owned, line.key, stage)
        ? line.quantity
        : 0
      : amountAtHand(owned, line, stages);
    const price = line.bought && costOf({ buys: [line.bought], price: null, hours: 0 }, advice);
    const left = 1 - there / line.quantity;
    return { line, there, price, toPay: (price ?? 0) * left };
  });
  const wanted = shown.filter(({ line, there }) => there < line.quantity);
  const total = wanted.reduce((sum, { toPay }) => sum + toPay, 0);
  const save = () => {
    const data = shown.map(({ line, there, price }) => [
      partName(line.part, system),
      partQuantity(line, system),
      price === null ? '' : price.toFixed(2),
      there === line.quantity
        ? 'yes'
        : there > 0
          ? partQuantity({ ...line, quantity: there }, system)
          : '',
    ]);
    saveFile(
      'parts.csv',
      writeTable(['Part', 'How many', `About, ${currency}`, 'Have it'], data),
      'text/csv',
    );
  };
  const tick = (key: string, isThere: boolean) =>
    edit('part at hand', ({ build }) => {
      build.owned = withTick(build.owned, key, stage, isThere, stages);
    });
  return (
    <div className="relative px-4 pt-3 pb-6 md:h-full md:overflow-y-auto print:overflow-visible">
      <ListHead title="Parts" onSave={save}>
        <p role="status" className="text-[17px]">
          {wanted.length === 0
            ? 'You have everything.'
            : `${wanted.length === 1 ? 'One line' : `${wanted.length} lines`} to buy, about ${moneyText(total, currency)} by the price book.`}
        </p>
      </ListHead>
      <div className="max-w-120">
        <Line label="Buy">{choice}</Line>
      </div>
      <table aria-label="Parts" className="mt-2 w-full max-w-180 text-[15px]">
        <thead>
          <tr className="border-ink border-b text-left text-[14px] text-quiet">
            <th className="w-16 font-normal">have it</th>
            <th className="font-normal">part</th>
            <th className="px-2 text-right font-normal">how many</th>
            <th className="text-right font-normal">about</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((each) => (
            <PartRow
              key={each.line.key}
              {...each}
              name={partName(each.line.part, system)}
              currency={currency}
              onTick={(isThere) => tick(each.line.key, isThere)}
            />
          ))}
        </tbody>
      </table>
      <p className="max-w-prose pt-3 text-[14px] text-quiet">
        Pipe is counted in whole lengths, as the cut list cuts them; stage by stage it may take more
        of them than at once. Reducers, couplings, adapters, clamps, screws, hangers, silicone and
        gaskets have no line in the price book. Hangers every 10 ft (3 m) and at each branch are
        common practice; follow what your ceiling carries. One cartridge of silicone makes about 35
        ft (11 m) of a bead ¼ in. (6 mm) wide.
      </p>
    </div>
  );
}

interface Shown {
  readonly line: PartLine;
  /** What of it is there. */
  readonly there: number;
  /** Of all of it; null: the price book has no line for it. */
  readonly price: number | null;
  /** For what is not there yet. */
  readonly toPay: number;
}

interface RowProps extends Shown {
  readonly name: string;
  readonly currency: string;
  readonly onTick: (isThere: boolean) => void;
}

function PartRow({ line, name, there, price, currency, onTick }: RowProps) {
  const system = useUnits();
  const isOwned = there >= line.quantity;
  return (
    <tr className={`border-rule border-b ${isOwned ? 'text-quiet' : ''}`}>
      <td>
        <input
          type="checkbox"
          aria-label={`Have it: ${name}`}
          className="m-2 size-5 accent-ink md:size-4"
          checked={isOwned}
          onChange={(event) => onTick(event.target.checked)}
        />
      </td>
      <td>{name}</td>
      <td className="px-2 text-right font-figure">
        {partQuantity(line, system)}
        {there > 0 && !isOwned && (
          <span className="text-quiet">
            , {partQuantity({ ...line, quantity: there }, system)} there
          </span>
        )}
      </td>
      <td className="text-right font-figure">
        {price === null ? '–' : moneyText(price, currency)}
      </td>
    </tr>
  );
}
