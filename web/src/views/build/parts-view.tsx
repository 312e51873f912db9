'use client';

import { costOf } from '@frank-gauge/core/advice';
import { type PartLine, partsList } from '@frank-gauge/core/build';
import { writeTable } from '@frank-gauge/core/spreadsheet';
import { useMemo } from 'react';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { saveFile } from '@/storage/save-file';
import { edit } from '@/storage/session';
import { moneyText } from '@/words/improvement-words';
import { partName, partQuantity } from '@/words/parts-words';
import { ListHead } from './list-head';
import { NothingToBuild } from './nothing-to-build';
import { useCuts } from './use-cuts';

/** What the ducts want from the store, with what is there already ticked off. */
export function PartsView() {
  const shop = useDesign();
  const tree = useDuctTree();
  const cuts = useCuts();
  const lines = useMemo(() => partsList(shop, tree, cuts), [shop, tree, cuts]);
  return lines.length === 0 ? <NothingToBuild /> : <Parts lines={lines} />;
}

function Parts({ lines }: { readonly lines: readonly PartLine[] }) {
  const system = useUnits();
  const { owned } = useDesign(({ build }) => build);
  const advice = useDesign(({ advice: own }) => own);
  const currency = useDesign(({ shop }) => shop.money.currency);
  const priceOf = ({ bought }: PartLine) =>
    bought && costOf({ buys: [bought], price: null, hours: 0 }, advice);
  const wanted = lines.filter(({ key }) => !owned.includes(key));
  const total = wanted.reduce((sum, line) => sum + (priceOf(line) ?? 0), 0);
  const save = () => {
    const data = lines.map((line) => {
      const price = priceOf(line);
      return [
        partName(line.part, system),
        partQuantity(line, system),
        price === null ? '' : price.toFixed(2),
        owned.includes(line.key) ? 'yes' : '',
      ];
    });
    saveFile(
      'parts.csv',
      writeTable(['Part', 'How many', `About, ${currency}`, 'Have it'], data),
      'text/csv',
    );
  };
  return (
    <div className="relative px-4 pt-3 pb-6 md:h-full md:overflow-y-auto print:overflow-visible">
      <ListHead title="Parts" onSave={save}>
        <p role="status" className="text-[17px]">
          {wanted.length === 0
            ? 'You have everything.'
            : `${wanted.length === 1 ? 'One line' : `${wanted.length} lines`} to buy, about ${moneyText(total, currency)} by the price book.`}
        </p>
      </ListHead>
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
          {lines.map((line) => (
            <PartRow
              key={line.key}
              line={line}
              name={partName(line.part, system)}
              isOwned={owned.includes(line.key)}
              price={priceOf(line)}
              currency={currency}
            />
          ))}
        </tbody>
      </table>
      <p className="max-w-prose pt-3 text-[14px] text-quiet">
        Pipe is counted in whole lengths, as the cut list cuts them. Reducers, clamps, screws and
        hangers have no line in the price book. Hangers every 10 ft and at each branch are common
        practice; follow what your ceiling carries.
      </p>
    </div>
  );
}

interface RowProps {
  readonly line: PartLine;
  readonly name: string;
  readonly isOwned: boolean;
  readonly price: number | null;
  readonly currency: string;
}

function PartRow({ line, name, isOwned, price, currency }: RowProps) {
  const system = useUnits();
  const tick = (isThere: boolean) =>
    edit('part at hand', ({ build }) => {
      build.owned = build.owned.filter((key) => key !== line.key);
      if (isThere) build.owned.push(line.key);
    });
  return (
    <tr className={`border-rule border-b ${isOwned ? 'text-quiet' : ''}`}>
      <td>
        <input
          type="checkbox"
          aria-label={`Have it: ${name}`}
          className="m-2 size-5 accent-ink md:size-4"
          checked={isOwned}
          onChange={(event) => tick(event.target.checked)}
        />
      </td>
      <td>{name}</td>
      <td className="px-2 text-right font-figure">{partQuantity(line, system)}</td>
      <td className="text-right font-figure">
        {price === null ? '–' : moneyText(price, currency)}
      </td>
    </tr>
  );
}
