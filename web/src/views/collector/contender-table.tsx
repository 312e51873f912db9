'use client';

import {
  compareCandidates,
  type DropWith,
  fromSI,
  STYLES,
  unitSymbol,
  writeNumber,
} from '@frank-gauge/core';
import { useMemo } from 'react';
import { useChoices } from '@/store/choices';
import { useSolvedShop } from '../frame/solved-shop';
import { ShopQuantity } from '../parts/line';
import { editCandidate } from './edit-candidates';
import { LoadRows } from './table/load-rows';
import { StandRows } from './table/stand-rows';
import { type Contenders, Part, Row } from './table/table-parts';

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
      <StandRows contenders={contenders} />
      <CostRows contenders={contenders} />
    </table>
  );
}

function Names({ contenders }: Contenders) {
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

function WorstRows({ contenders }: Contenders) {
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

function DropRows({ contenders }: Contenders) {
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

function CostRows({ contenders }: Contenders) {
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
