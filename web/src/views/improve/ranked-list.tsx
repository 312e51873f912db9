'use client';

import type { RankedImprovement, Ranking } from '@frank-gauge/core/advice';
import { formatQuantity, fromSI, STYLES, unitSymbol } from '@frank-gauge/core/quantity';
import { useState } from 'react';
import { useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import {
  BROKEN_WORDS,
  filterLifeText,
  finesText,
  heatText,
  hoursText,
  needsText,
  safetyText,
  workName,
} from '@/words/improvement-words';
import { MakeButtons } from './make-buttons';
import { useMoney } from './use-money';
import { useWorkNames } from './use-work-names';

/** How long the filter lasts between cleanings, where that changes. */
const filterText = (before: number | null, after: number | null): string => {
  if (after === null || before === null || Math.abs(after / before - 1) < 0.05) return '';
  return `The filter is due after ${filterLifeText(after)} of running, now ${filterLifeText(before)}. `;
};

/** Less floor than this is none, m². */
const LEAST_FLOOR = 0.05;

/** Rows at first; the others follow when they are asked for. */
const SHOWN = 12;

const ORDERS = {
  worth: { label: 'by what it is worth', of: (a: RankedImprovement) => -a.worth.points },
  worst: { label: 'by air at the worst drop', of: (a: RankedImprovement) => -a.after.worst },
  met: { label: 'by drops that have enough', of: (a: RankedImprovement) => -a.after.met },
  money: { label: 'by money', of: (a: RankedImprovement) => a.cost },
  hours: { label: 'by hours of work', of: (a: RankedImprovement) => a.hours },
} as const;
type Order = keyof typeof ORDERS;

const percent = (share: number) => `${Math.round(100 * share)}`;

/** Points with their sign; what rounds to nothing has none. */
const signed = (points: number): string => {
  const written = Math.abs(points).toFixed(1);
  return Number(written) === 0 ? written : `${points > 0 ? '+' : '−'}${written}`;
};

/** Everything that was tried, each opening to what it does to every drop. */
export function RankedList({
  ranking: { ranked, leftOut, tried, solved },
}: {
  readonly ranking: Ranking;
}) {
  const [order, setOrder] = useState<Order>('worth');
  const [isWhole, setWhole] = useState(false);
  const [open, setOpen] = useState<string | null>(null);
  const names = useWorkNames();
  const system = useUnits();
  if (ranked.length === 0) return null;
  const inOrder = ranked.toSorted((a, b) => ORDERS[order].of(a) - ORDERS[order].of(b));
  const shown = isWhole ? inOrder : inOrder.slice(0, SHOWN);
  return (
    <section aria-label="Everything tried" className="pt-6">
      <div className="flex flex-wrap items-center gap-x-3">
        <h2 className="text-[18px]">Everything tried</h2>
        <span className="ml-auto w-56">
          <Choice
            label="Order"
            value={order}
            options={Object.entries(ORDERS).map(([value, { label }]) => ({
              value: value as Order,
              label,
            }))}
            onChange={setOrder}
          />
        </span>
      </div>
      <p className="text-[14px] text-quiet">
        {solved < tried
          ? `${solved} of ${tried} things solved with every combination of gates; the others promised less for the three worst drops.`
          : `${tried} things, each solved with every combination of gates that can occur.`}
      </p>
      <div className="overflow-x-auto">
        <table className="w-full min-w-[560px] border-collapse text-[15px]">
          <thead>
            <tr className="border-ink border-b text-left text-[13px] text-quiet">
              <th className="py-1 pr-2 font-normal">what</th>
              <th className="px-2 text-right font-normal">worst drop, %</th>
              <th className="px-2 text-right font-normal">enough, %</th>
              <th className="px-2 text-right font-normal">money</th>
              <th className="px-2 text-right font-normal">work</th>
              <th className="pl-2 text-right font-normal">worth</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((each) => (
              <Rows
                key={each.id}
                each={each}
                name={workName(each.work, names, system)}
                isOpen={open === each.id}
                onToggle={() => setOpen(open === each.id ? null : each.id)}
              />
            ))}
          </tbody>
        </table>
      </div>
      {inOrder.length > SHOWN && (
        <Button look="quiet" className="mt-1" onClick={() => setWhole(!isWhole)}>
          {isWhole ? 'Show fewer' : `Show all ${inOrder.length}`}
        </Button>
      )}
      {leftOut.length > 0 && (
        <p className="max-w-prose pt-2 text-[14px] text-quiet">
          Left out by your rules or your circuit:{' '}
          {leftOut
            .map(
              ({ work, broken }) =>
                `${workName(work, names, system)} (${broken.map((rule) => BROKEN_WORDS[rule]).join(', ')})`,
            )
            .join('; ')}
          .
        </p>
      )}
    </section>
  );
}

interface RowsProps {
  readonly each: RankedImprovement;
  readonly name: string;
  readonly isOpen: boolean;
  readonly onToggle: () => void;
}

function Rows({ each, name, isOpen, onToggle }: RowsProps) {
  const money = useMoney();
  const { after, cost, hours, worth } = each;
  return (
    <>
      <tr className="border-rule border-b hover:bg-selection">
        <td className="py-0.5 pr-2">
          <button
            type="button"
            aria-expanded={isOpen}
            onClick={onToggle}
            className="min-h-11 w-full text-left md:min-h-7"
          >
            {name}
          </button>
        </td>
        <td className="px-2 text-right font-figure tabular-nums">{percent(after.worst)}</td>
        <td className="px-2 text-right font-figure tabular-nums">{percent(after.met)}</td>
        <td className="px-2 text-right font-figure tabular-nums">{money(cost)}</td>
        <td className="whitespace-nowrap px-2 text-right font-figure tabular-nums">
          {hoursText(hours)}
        </td>
        <td className="pl-2 text-right font-figure tabular-nums">{signed(worth.points)}</td>
      </tr>
      {isOpen && (
        <tr className="border-rule border-b">
          <td colSpan={6} className="pb-3">
            <Detail each={each} name={name} />
          </td>
        </tr>
      )}
    </>
  );
}

/** What it does to every drop it changes, and to the collector. */
function Detail({ each, name }: Pick<RowsProps, 'each' | 'name'>) {
  const system = useUnits();
  const { gains, before, after, cost, hours, work } = each;
  const flow = (value: number) => Math.round(fromSI(value, STYLES[system].flow.unit));
  return (
    <div className="pl-3 text-[14px]">
      {gains.length === 0 ? (
        <p className="text-quiet">No drop gains or loses by it.</p>
      ) : (
        <table className="border-collapse">
          <thead>
            <tr className="text-left text-[13px] text-quiet">
              <th className="pr-4 font-normal">drop</th>
              <th className="px-2 text-right font-normal">needs</th>
              <th className="px-2 text-right font-normal">now</th>
              <th className="px-2 text-right font-normal">then, {unitSymbol('flow', system)}</th>
              <th className="px-2 text-right font-normal">change</th>
              <th className="px-2 text-right font-normal">has enough, %</th>
            </tr>
          </thead>
          <tbody className="font-figure tabular-nums">
            {gains.map((gain) => (
              <tr key={gain.drop}>
                <td className="pr-4 font-text">{gain.name}</td>
                <td className="px-2 text-right">{flow(gain.need)}</td>
                <td className="px-2 text-right">{flow(gain.before)}</td>
                <td className="px-2 text-right">{flow(gain.after)}</td>
                <td className="px-2 text-right">
                  {gain.after >= gain.before ? '+' : '−'}
                  {Math.abs(flow(gain.after) - flow(gain.before))} ±&nbsp;
                  {flow(gain.uncertainty)}
                </td>
                <td className="px-2 text-right">
                  {percent(gain.metBefore)} → {percent(gain.metAfter)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="pt-1 text-quiet">
        Motor {before.current.toFixed(1)} → {after.current.toFixed(1)} A, noise{' '}
        {before.noise.toFixed(0)} → {after.noise.toFixed(0)} dB(A), collector{' '}
        {formatQuantity(after.height, 'length', system)} high.{' '}
        {filterText(before.filterLife, after.filterLife)}
        {after.heat > before.heat &&
          `In a season ${heatText(after.heat - before.heat)} of heat leave with the air. `}
        {after.weight > before.weight * 1.05 &&
          `Blower and motor weigh about ${formatQuantity(after.weight, 'mass', system)}. `}
        {Math.abs(after.floor - before.floor) > LEAST_FLOOR &&
          `Collectors take ${formatQuantity(after.floor, 'area', system)} of floor, now ${formatQuantity(before.floor, 'area', system)}. `}
        {finesText(before, after)}
        {safetyText(before, after)}
        {needsText(each.needs)}
      </p>
      <MakeButtons toMake={{ ids: [each.id], works: [{ work, name }], cost, hours, gains }} />
    </div>
  );
}
