'use client';

import type { DropOutcome, Ranking } from '@frank-gauge/core/advice';
import { formatQuantity } from '@frank-gauge/core/quantity';
import { useState } from 'react';
import { useUnits } from '@/model/use-design';
import { Choice } from '@/ui/choice';

type Kind = keyof DropOutcome['changes'];

/** What each kind of estimate is called, and what makes it surer. */
const KINDS: Readonly<Record<Kind, { readonly name: string; readonly surer: string }>> = {
  entries: {
    name: 'entry loss of the hoods',
    surer: 'read this drop’s airflow with only its gate open',
  },
  fittings: {
    name: 'elbows, wyes and reducers',
    surer: 'read this drop’s airflow, and another one’s on the same main',
  },
  friction: {
    name: 'friction in duct and hose',
    surer: 'read this drop’s airflow, and another one’s on the same main',
  },
  separator: {
    name: 'the separator’s loss',
    surer: 'read the pressure before and after the separator',
  },
  filter: { name: 'the filter’s loss', surer: 'read the pressure across the filter' },
  leaks: {
    name: 'leakage of the joints',
    surer: 'shut every gate and read the airflow at the collector',
  },
  blower: { name: 'the blower’s pressure', surer: 'do a field test of the blower' },
};

/** Below this share of the airflow a kind decides nothing. */
const WORTH_NAMING = 0.002;

/** What a drop's airflow depends on most: sensitivity times uncertainty, the largest first. */
export function WhatDecides({ ranking: { now } }: { readonly ranking: Ranking }) {
  const system = useUnits();
  const inOrder = now.drops.toSorted((a, b) => a.flow / a.need - b.flow / b.need);
  const [chosen, setChosen] = useState<string | null>(null);
  const drop = inOrder.find((each) => each.drop === chosen) ?? inOrder[0];
  if (!drop) return null;
  const bars = (Object.keys(KINDS) as Kind[])
    .map((kind) => ({ kind, by: Math.abs(drop.changes[kind]) }))
    .filter(({ by }) => by > WORTH_NAMING * drop.flow)
    .sort((a, b) => b.by - a.by);
  const [first] = bars;
  return (
    <section aria-label="What decides" className="pt-6">
      <div className="flex flex-wrap items-center gap-x-3">
        <h2 className="text-[18px]">What decides</h2>
        <span className="ml-auto w-56">
          <Choice
            label="Drop"
            value={drop.drop}
            options={inOrder.map((each) => ({ value: each.drop, label: each.name }))}
            onChange={setChosen}
          />
        </span>
      </div>
      <p className="text-[14px] text-quiet">
        {drop.name} gets {formatQuantity(drop.flow, 'flow', system)} ±&nbsp;
        {formatQuantity(drop.uncertainty, 'flow', system)}. This is how much of that comes from each
        thing the model only estimates:
      </p>
      <ul className="pt-1">
        {bars.map(({ kind, by }) => (
          <li
            key={kind}
            className="grid grid-cols-[minmax(0,200px)_minmax(0,1fr)_90px] items-center gap-2 py-0.5 text-[14px]"
          >
            <span>{KINDS[kind].name}</span>
            <span aria-hidden className="h-3 bg-selection">
              <span
                className="block h-3 bg-quiet"
                style={{ width: `${(100 * by) / (first?.by ?? 1)}%` }}
              />
            </span>
            <span className="text-right font-figure tabular-nums">
              ±&nbsp;{formatQuantity(by, 'flow', system)}
            </span>
          </li>
        ))}
      </ul>
      {first && (
        <p className="max-w-prose pt-1">
          To be surer of {drop.name}: {KINDS[first.kind].surer}. Then believe it under Leaks.
        </p>
      )}
    </section>
  );
}
