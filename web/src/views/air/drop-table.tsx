'use client';

import {
  type DropAir,
  type DropResult,
  flowUncertainty,
  neededFlow,
  type Standing,
} from '@frank-gauge/core/analysis';
import type { Shop } from '@frank-gauge/core/design';
import type { View } from '@frank-gauge/core/network';
import {
  formatQuantity,
  type QuantityKind,
  STYLES,
  type UnitSystem,
  unitSymbol,
  writeNumber,
} from '@frank-gauge/core/quantity';
import { useDeferredValue, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { airPart } from '@/model/shop-parts';
import { useDesign, useDropResults, useSelectedDrop, useUnits } from '@/model/use-design';
import { choose, chooseDrop, useChoices } from '@/storage/choices';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { Segmented } from '@/ui/segmented';
import { useNear } from '@/ui/use-near';
import { failureSentence } from '@/words/failure-words';
import { OwnCollectors } from '../parts/own-collectors';
import { useOwnGates } from '../parts/own-gate';

const SIGNS: Record<Standing, { sign: string; word: string; tone: string }> = {
  shut: { sign: '○', word: 'shut', tone: 'text-quiet' },
  enough: { sign: '●', word: 'enough', tone: 'text-enough-text' },
  'little short': { sign: '◐', word: 'a little short', tone: 'text-starved-text' },
  starved: { sign: '▼', word: 'starved', tone: 'text-starved-text' },
};

/** How far a prediction may be off. It follows a moment behind the edit, drop by drop. */
function Uncertainty({ result }: { readonly result: DropAir }) {
  const part = useDesign(airPart);
  const system = useUnits();
  const view = useChoices((choices) => choices.view);
  const later = useDeferredValue(result);
  const uncertainty = useMemo(() => flowUncertainty(part, view, later), [part, view, later]);
  return <>±{writeNumber(uncertainty, STYLES[system].flow)}</>;
}

const ORDERS = {
  listed: 'as listed',
  worst: 'worst first',
  flow: 'by airflow',
} as const;
type Order = keyof typeof ORDERS;

/** Drops without an answer come first wherever the worst does. */
const inOrder = (results: readonly DropResult[], order: Order): readonly DropResult[] => {
  if (order === 'listed') return results;
  const of = (result: DropResult) =>
    result.kind === 'unsolved' ? 0 : order === 'worst' ? result.flow / result.need : result.flow;
  const sign = order === 'worst' ? 1 : -1;
  return results.toSorted((a, b) => sign * (of(a) - of(b)));
};

/** The table as text for a spreadsheet, on the clipboard. */
async function copyDrops(
  part: Shop,
  results: readonly DropResult[],
  view: View,
  system: UnitSystem,
) {
  const { writeDrops } = await import('@frank-gauge/core/spreadsheet');
  const lines = results.map((result) => ({
    name: result.drop.name,
    need: neededFlow(result.drop.port),
    air:
      result.kind === 'judged'
        ? {
            flow: result.flow,
            uncertainty: flowUncertainty(part, view, result),
            velocity: result.velocity,
            mainVelocity: result.main?.velocity ?? null,
            hoodSuction: -result.hoodStatic,
            status: SIGNS[result.standing].word,
          }
        : null,
  }));
  try {
    await navigator.clipboard.writeText(writeDrops(lines, system));
    toast(`Copied ${lines.length === 1 ? 'one drop' : `${lines.length} drops`} as CSV`);
  } catch {
    toast('The browser did not allow copying: click into the page and try again.');
  }
}

/** What every drop needs and gets. Arrow keys go from drop to drop. */
export function DropTable() {
  const [order, setOrder] = useState<Order>('listed');
  const part = useDesign(airPart);
  const view = useChoices((choices) => choices.view);
  const system = useUnits();
  const shopId = useDesign((shop) => shop.id);
  const all = useDropResults();
  const results = inOrder(all, order);
  const selected = useSelectedDrop();
  const rule = useChoices((choices) => choices.rule);
  const ownGates = useOwnGates();
  const unit = (kind: QuantityKind) => unitSymbol(kind, system);
  return (
    <section className="@container mt-5">
      <div className="flex items-center gap-3">
        <h2 className="text-[17px]">Every drop</h2>
        <span className="hidden text-quiet @min-[33rem]:inline">
          {rule === 'one' ? ownGates.all : 'with the gates open now'}
        </span>
        <span className="ml-auto">
          <Segmented
            label="Gates open"
            value={rule}
            options={[
              { value: 'one', label: 'One' },
              { value: 'now', label: 'As now' },
            ]}
            onChange={(next) => choose({ rule: next })}
          />
        </span>
      </div>
      <table className="mt-1 w-full border-collapse">
        <thead>
          <tr className="border-ink border-b text-right text-[13px] text-quiet [&>th]:px-1 [&>th]:py-1 [&>th]:align-bottom [&>th]:font-normal [&>th]:leading-tight">
            <th className="text-left">drop</th>
            <th>required</th>
            <th>airflow, {unit('flow')}</th>
            <th className="hidden pl-2 text-left @min-[33rem]:table-cell">of required</th>
            <th className="hidden @min-[33rem]:table-cell">drop velocity, {unit('velocity')}</th>
            <th className="hidden @min-[33rem]:table-cell">main velocity</th>
            <th className="hidden @min-[33rem]:table-cell">
              hood SP, {system === 'us' ? 'in.' : unit('pressure')}
            </th>
            <th className="sr-only">status</th>
          </tr>
        </thead>
        <tbody
          onKeyDown={(event) => {
            const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
            if (by === 0) return;
            event.preventDefault();
            const at = results.findIndex(({ drop }) => drop.id === selected?.drop.id);
            const next = results[Math.min(Math.max(at + by, 0), results.length - 1)];
            if (!next) return;
            chooseDrop(shopId, next.drop.id);
            const buttons = event.currentTarget.querySelectorAll<HTMLButtonElement>('button');
            buttons[results.indexOf(next)]?.focus();
          }}
        >
          {results.map((result, index) => (
            <DropRow
              key={result.drop.id}
              result={result}
              isSelected={result.drop.id === selected?.drop.id}
              index={index}
            />
          ))}
        </tbody>
      </table>
      <OwnCollectors className="pt-1 text-[14px] text-quiet" />
      {results.length > 1 && (
        <div className="flex items-center gap-2 pt-1 text-[14px]">
          <span className="w-36">
            <Choice
              label="Order of the drops"
              value={order}
              options={Object.entries(ORDERS).map(([value, label]) => ({
                value: value as Order,
                label,
              }))}
              onChange={setOrder}
            />
          </span>
          <Button look="quiet" onClick={() => void copyDrops(part, results, view, system)}>
            Copy as CSV
          </Button>
        </div>
      )}
    </section>
  );
}

interface RowProps {
  readonly result: DropResult;
  readonly isSelected: boolean;
  /** Its place in the table, from 0. */
  readonly index: number;
}

/** A drop's figures. Far out of sight it is its name and its standing alone. */
function DropRow({ result, isSelected, index }: RowProps) {
  const row = useRef<HTMLTableRowElement>(null);
  const isNear = useNear(row, index);
  const shopId = useDesign((shop) => shop.id);
  const system = useUnits();
  const write = (value: number, kind: QuantityKind) => writeNumber(value, STYLES[system][kind]);
  const { drop } = result;
  const name = (
    <td className="text-left">
      <button
        type="button"
        aria-pressed={isSelected}
        onClick={() => chooseDrop(shopId, drop.id)}
        title={drop.name}
        className="min-h-11 w-full truncate text-left md:min-h-8 xl:max-w-28 2xl:max-w-none"
      >
        {drop.name}
      </button>
    </td>
  );
  const look = `border-rule border-b text-right ${isSelected ? 'bg-selection shadow-[inset_3px_0_0_var(--ink)]' : ''} [&>td]:whitespace-nowrap [&>td]:px-1 [&>td:first-child]:pl-2`;
  if (result.kind === 'unsolved') {
    return (
      <tr ref={row} className={look}>
        {name}
        <td colSpan={7} className="text-left text-[14px] text-starved-text">
          {failureSentence(result.reason, system)}
        </td>
      </tr>
    );
  }
  const { flow, need, velocity, transport, main, hoodStatic, standing } = result;
  const isDrawing = standing !== 'shut';
  const isSlow = isDrawing && transport !== null && velocity < transport;
  const isSettling = isDrawing && main?.transport != null && main.velocity < main.transport;
  const { sign, word, tone } = SIGNS[standing];
  const standingCell = (
    <td className={`whitespace-nowrap font-semibold text-[14px] ${tone}`}>
      <span aria-hidden>{sign}</span> {word}
    </td>
  );
  if (!isNear) {
    return (
      <tr ref={row} className={look}>
        {name}
        <td colSpan={2} className="@min-[33rem]:hidden" />
        <td colSpan={6} className="hidden @min-[33rem]:table-cell" />
        {standingCell}
      </tr>
    );
  }
  return (
    <tr ref={row} className={look}>
      {name}
      <td>{write(need, 'flow')}</td>
      <td>
        <strong className="font-semibold text-[17px]">{write(flow, 'flow')}</strong>{' '}
        <span className="text-[13px] text-quiet">
          <Uncertainty result={result} />
        </span>
      </td>
      <td className="hidden pl-2 @min-[33rem]:table-cell">
        <NeedBar result={result} />
      </td>
      <td className={`hidden @min-[33rem]:table-cell ${isSlow ? 'text-starved-text' : ''}`}>
        {write(velocity, 'velocity')}
        {isSlow && <span title="below the minimum transport velocity">{'\u00a0↓'}</span>}
      </td>
      <td className={`hidden @min-[33rem]:table-cell ${isSettling ? 'text-starved-text' : ''}`}>
        {main ? write(main.velocity, 'velocity') : '–'}
        {isSettling && <span title="chips settle">{'\u00a0↓'}</span>}
      </td>
      <td className="hidden @min-[33rem]:table-cell">{write(-hoodStatic, 'pressure')}</td>
      {standingCell}
    </tr>
  );
}

/** Flow as a bar against the need as a tick: full length is a quarter more than needed. */
function NeedBar({ result }: { readonly result: DropAir }) {
  const system = useUnits();
  const share = Math.min(result.flow / result.need / 1.25, 1);
  const tones: Record<Standing, string> = {
    shut: 'bg-quiet',
    enough: 'bg-enough',
    'little short': 'hatch-starved',
    starved: 'bg-starved',
  };
  return (
    <span
      role="img"
      aria-label={`${Math.round((100 * result.flow) / result.need)} % of ${formatQuantity(result.need, 'flow', system)}`}
      className="relative block h-2.5 w-14 bg-rule/50"
    >
      <span
        className={`absolute inset-y-0 left-0 ${tones[result.standing]}`}
        style={{ width: `${100 * share}%` }}
      />
      <span className="absolute -inset-y-0.5 left-[80%] w-0.5 bg-ink" />
    </span>
  );
}
