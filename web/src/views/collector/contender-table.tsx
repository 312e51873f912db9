'use client';

import {
  type Contender,
  compareCandidates,
  type DropWith,
  formatShort,
  fromSI,
  type QuantityKind,
  STYLES,
  unitSymbol,
  writeNumber,
} from '@frank-gauge/core';
import { type ReactNode, useMemo } from 'react';
import { useChoices } from '@/store/choices';
import { dueIn } from '@/words/due-words';
import { useSolvedShop } from '../frame/solved-shop';
import { ShopQuantity } from '../parts/line';
import { editCandidate } from './edit-candidates';

/** Every collector in a column of its own, what it does in the rows: the worst drop first. */
export function ContenderTable() {
  const { shop, tree } = useSolvedShop();
  const view = useChoices((choices) => choices.view);
  const contenders = useMemo(() => compareCandidates(shop, tree, view), [shop, tree, view]);
  if (tree.drops.length === 0) {
    return (
      <p className="max-w-prose pt-16 text-[17px]">
        Collectors are held against each other by what the drops get. Lay the main and connect a
        machine first, under Air.
      </p>
    );
  }
  return (
    <table className="w-full border-collapse text-right">
      <Names contenders={contenders} />
      <WorstRows contenders={contenders} />
      <DropRows contenders={contenders} />
      <LoadRows contenders={contenders} />
      <CostRows contenders={contenders} />
    </table>
  );
}

interface Props {
  readonly contenders: readonly Contender[];
}

function Names({ contenders }: Props) {
  const { shop } = useSolvedShop();
  const view = useChoices((choices) => choices.view);
  const loading = shop.condition.filterLoading.value.toFixed(1);
  return (
    <thead className="sticky top-0 z-20 bg-paper shadow-[inset_0_-1px_0_var(--ink)]">
      <tr className="align-bottom [&>th]:px-2 [&>th]:py-1.5">
        <th className="sticky left-0 w-28 min-w-28 bg-paper shadow-[inset_0_-1px_0_var(--ink)] text-left font-normal text-[13px] text-quiet md:w-40">
          each drop’s own gate open; every filter{' '}
          {view === 'found' ? `×${loading} loaded` : 'clean'}
        </th>
        {contenders.map(({ id }) => (
          <th key={id ?? ''} className="font-medium font-name text-[17px]">
            {shop.candidates.find((candidate) => candidate.id === id)?.name ?? 'In the shop'}
          </th>
        ))}
      </tr>
    </thead>
  );
}

interface RowProps extends Props {
  readonly label: string;
  readonly cell: (contender: Contender, present: Contender) => ReactNode;
  readonly isBig?: boolean;
}

function Row({ label, cell, contenders, isBig = false }: RowProps) {
  const [present] = contenders;
  if (!present) return null;
  return (
    <tr className="border-rule border-b align-baseline [&>*]:px-1.5 [&>*]:py-1 lg:[&>*]:px-2">
      <th scope="row" className="sticky left-0 bg-paper bg-clip-padding text-left font-normal">
        {label}
      </th>
      {contenders.map((contender) => (
        <td
          key={contender.id ?? ''}
          className={isBig ? 'font-semibold text-[21px]' : 'whitespace-nowrap'}
        >
          {cell(contender, present) ?? '–'}
        </td>
      ))}
    </tr>
  );
}

function Part({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <tbody>
      <tr>
        <th
          scope="rowgroup"
          colSpan={5}
          className="px-2 pt-4 pb-1 text-left font-medium font-name text-[16px]"
        >
          <span className="sticky left-2">{name}</span>
        </th>
      </tr>
      {children}
    </tbody>
  );
}

/** Flow with its sign against the need: enough, or short by how much. */
function Held({ drop }: { readonly drop: DropWith }) {
  const { system } = useSolvedShop();
  if (drop.flow === null) return 'no answer';
  const over = drop.flow - drop.need;
  const isShort = over < 0;
  return (
    <span className={isShort ? 'text-starved-text' : 'text-enough-text'}>
      <span aria-hidden>{isShort ? '▼' : '●'}</span> {isShort ? '' : '+'}
      {writeNumber(over, STYLES[system].flow)}
    </span>
  );
}

function WorstRows({ contenders }: Props) {
  const { system } = useSolvedShop();
  const flow = unitSymbol('flow', system);
  const named = (drop: DropWith | null) =>
    drop && (
      <>
        <Held drop={drop} />
        <span className="block font-normal text-[14px] text-quiet">{drop.name}</span>
      </>
    );
  return (
    <Part name={`Against its need, ${flow}`}>
      <Row
        contenders={contenders}
        label="worst drop"
        isBig
        cell={({ worst }) => named(worst) ?? 'no answer'}
      />
      <Row contenders={contenders} label="best drop" cell={({ best }) => named(best)} />
    </Part>
  );
}

function DropRows({ contenders }: Props) {
  const { tree, system } = useSolvedShop();
  const style = STYLES[system].flow;
  return (
    <Part name={`What each machine gets, ${unitSymbol('flow', system)}`}>
      {tree.drops.map(({ id, name }) => (
        <Row
          key={id}
          contenders={contenders}
          label={name}
          cell={(contender, present) => {
            const own = contender.drops.find(({ drop }) => drop === id)?.flow ?? null;
            const now = present.drops.find(({ drop }) => drop === id)?.flow ?? null;
            if (own === null) return 'no answer';
            const change = contender.id !== null && now !== null ? own - now : null;
            return (
              <>
                <strong className="font-semibold">{writeNumber(own, style)}</strong>
                {change !== null && (
                  <span className="inline-block w-11 text-[14px] text-quiet">
                    {change >= 0 ? '+' : ''}
                    {writeNumber(change, style)}
                  </span>
                )}
              </>
            );
          }}
        />
      ))}
    </Part>
  );
}

function LoadRows({ contenders }: Props) {
  const { system } = useSolvedShop();
  const write = (value: number, kind: QuantityKind) => formatShort(value, kind, system);
  return (
    <Part name="What it asks">
      <Row
        contenders={contenders}
        label="at the blower, worst drop open"
        cell={({ atWorst }) =>
          atWorst && (
            <>
              {write(atWorst.flow, 'flow')}
              <span className="block">{write(atWorst.pressure, 'pressure')}</span>
            </>
          )
        }
      />
      <Row
        contenders={contenders}
        label="shaft, at most"
        cell={({ load }) =>
          load && (
            <span className={load.isOverloaded ? 'text-starved-text' : ''}>
              {load.isOverloaded && '▼ '}
              {write(load.shaftPower, 'power')}
            </span>
          )
        }
      />
      <Row
        contenders={contenders}
        label="current, of its breaker"
        cell={({ load }) =>
          load && (
            <span className={load.isCircuitSmall ? 'text-starved-text' : ''}>
              {load.isCircuitSmall && <span className="block">▼ small circuit</span>}
              {write(load.current, 'current')} of {write(load.breaker, 'current')}
            </span>
          )
        }
      />
      <Row
        contenders={contenders}
        label="through the filter"
        cell={({ load }) =>
          load?.filter && (
            <span
              className={load.filter.faceVelocity > load.filter.comfortable ? 'font-semibold' : ''}
            >
              {load.filter.faceVelocity > load.filter.comfortable && '◆ small, '}
              {write(load.filter.faceVelocity, 'faceVelocity')}
            </span>
          )
        }
      />
      <Row
        contenders={contenders}
        label="filter due in"
        cell={({ load }) => {
          if (!load?.filter) return null;
          const { timeToDue } = load.filter;
          return timeToDue === 0 ? 'due now' : dueIn(timeToDue, system);
        }}
      />
      <Row
        contenders={contenders}
        label="lets by of 0.3–1 µm, at most"
        cell={({ load }) =>
          load?.outdoors
            ? 'all, outdoors'
            : load?.filter?.letBy && `${Math.round(100 * load.filter.letBy[0])} %`
        }
      />
      <Row
        contenders={contenders}
        label="bin gets of the dust"
        cell={({ load }) => load && `${Math.round(100 * load.separator.caught)} %`}
      />
    </Part>
  );
}

function CostRows({ contenders }: Props) {
  const { shop, system } = useSolvedShop();
  const { currency } = shop.shop.money;
  const unit = STYLES[system].flow.unit;
  return (
    <Part name={`Money, ${currency}`}>
      <Row
        contenders={contenders}
        label="to change to it"
        cell={({ id }) => {
          const candidate = shop.candidates.find((each) => each.id === id);
          if (!candidate) return null;
          const setCost = (cost: number | null) =>
            editCandidate(candidate, 'cost', (own) => {
              own.cost = cost;
            });
          return (
            <ShopQuantity
              label={`What changing to ${candidate.name} costs`}
              value={candidate.cost}
              kind="number"
              min={0}
              max={1e9}
              placeholder="not known"
              onChange={setCost}
              onClear={() => setCost(null)}
            />
          );
        }}
      />
      <Row
        contenders={contenders}
        label={`for each ${unitSymbol('flow', system)} its worst drop gains`}
        cell={({ id, gain, costOfGain }) => {
          if (id === null) return null;
          if (gain !== null && gain <= 0) return 'nothing gained';
          if (costOfGain === null) return null;
          return `${currency} ${(costOfGain / fromSI(1, unit)).toFixed(2)}`;
        }}
      />
    </Part>
  );
}
