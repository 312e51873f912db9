'use client';

import { compareCandidates } from '@frank-gauge/core/analysis';
import type { Shop } from '@frank-gauge/core/design';
import { useMemo, useState } from 'react';
import { useDesign, useDuctTree } from '@/model/use-design';
import { useChoices } from '@/storage/choices';
import { useJournal } from '@/storage/session';
import { Choice } from '@/ui/choice';
import { useSize } from '@/ui/use-size';
import { ShopQuantity } from '../parts/line';
import { editCandidate } from './edit-candidates';
import { AssemblyRows } from './table/assembly-rows';
import { DropRows } from './table/drop-rows';
import { GlanceRows } from './table/glance-rows';
import { LoadRows } from './table/load-rows';
import { type CollectorOptions, Part, Row } from './table/table-parts';

/** What the labels of the rows take, and a collector, px. */
const LABELS = 160;
const COLUMN = 96;

/** Every collector in a column of its own, what it does in the rows: what matters most first. */
export function OptionTable() {
  const shop = useDesign();
  const tree = useDuctTree();
  const [box, { width }] = useSize<HTMLDivElement>();
  const [chosen, setChosen] = useState('');
  const view = useChoices((choices) => choices.view);
  const sounds = useJournal((journal) => journal.sounds);
  const options = useMemo(
    () => compareCandidates(shop, tree, view, sounds),
    [shop, tree, view, sounds],
  );
  if (tree.drops.length === 0) {
    return (
      <div ref={box}>
        <p className="max-w-prose pt-16 text-[17px]">
          Collectors are compared by the airflow at the drops. Add the main and connect a machine
          first, under Air.
        </p>
      </div>
    );
  }
  const others = options.slice(1);
  const other = others.find(({ id }) => id === chosen) ?? others[0];
  // Where not all have room, two do: the present one, and the one it is compared with.
  const isRoom = width === 0 || width >= LABELS + options.length * COLUMN;
  const shown = isRoom || !other ? options : [...options.slice(0, 1), other];
  return (
    <div ref={box}>
      {!isRoom && others.length > 1 && other && (
        <div data-line className="grid grid-cols-[auto_1fr] items-center gap-x-2 pt-2">
          <span className="text-quiet">Compare with</span>
          <Choice
            label="Compare with"
            value={other.id ?? ''}
            options={others.map(({ id }) => ({ value: id ?? '', label: nameOf(shop, id) }))}
            onChange={setChosen}
          />
        </div>
      )}
      <table className="w-full border-collapse text-right">
        <Names options={shown} />
        <GlanceRows options={shown} />
        <DropRows options={shown} />
        <LoadRows options={shown} />
        <AssemblyRows options={shown} />
        <CostRows options={shown} />
      </table>
    </div>
  );
}

const nameOf = ({ candidates }: Shop, id: string | null): string =>
  candidates.find((candidate) => candidate.id === id)?.name ?? 'In the shop';

function Names({ options }: CollectorOptions) {
  const shop = useDesign();
  const view = useChoices((choices) => choices.view);
  const loading = shop.condition.filterLoading.value.toFixed(1);
  return (
    <thead className="sticky top-0 z-20 bg-paper shadow-[inset_0_-1px_0_var(--ink)]">
      <tr className="align-bottom [&>th]:px-2 [&>th]:py-1.5">
        <th className="sticky left-0 w-28 min-w-28 bg-paper shadow-[inset_0_-1px_0_var(--ink)] text-left font-normal text-[13px] text-quiet md:w-40">
          each drop’s own gate open; every filter{' '}
          {view === 'found' ? `loading ×${loading}` : 'clean'}
        </th>
        {options.map(({ id }) => (
          <th key={id ?? ''} className="font-medium font-name text-[17px]">
            {nameOf(shop, id)}
          </th>
        ))}
      </tr>
    </thead>
  );
}

function CostRows({ options }: CollectorOptions) {
  const candidates = useDesign((shop) => shop.candidates);
  const money = useDesign(({ shop }) => shop.money);
  const { currency } = money;
  return (
    <Part name={`Money, ${currency}`}>
      <Row
        options={options}
        label="cost to change"
        cell={({ id }) => {
          const candidate = candidates.find((each) => each.id === id);
          if (!candidate) return null;
          const setCost = (cost: number | null) =>
            editCandidate(candidate, 'cost', (own) => {
              own.cost = cost;
            });
          return (
            <ShopQuantity
              label={`Cost to change to ${candidate.name}`}
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
    </Part>
  );
}
