'use client';

import type { Shop } from '@frank-gauge/core/design';
import { planSheet, type SheetItem } from '@frank-gauge/core/routing';
import { useMemo } from 'react';
import { DrawnItem } from '../../parts/drawn-item';
import { QuietItems, quietDrawing } from '../../parts/quiet-drawing';
import type { ShopWithTrays } from './use-trays';

/** The plan of the shop and of every tray, what a tray draws otherwise in bold. */
export function TrayPlans({ stored: { shop, trays } }: { readonly stored: ShopWithTrays }) {
  const before = useMemo(() => planSheet(shop), [shop]);
  if (!quietDrawing(before)) return null;
  return (
    <section aria-label="Plans" className="pt-4">
      <h2 className="text-[17px]">Plans</h2>
      <div className="grid grid-cols-[repeat(auto-fill,minmax(260px,1fr))] gap-4 pt-1">
        <Plan name="The shop" design={shop} before={before} />
        {trays.map(({ id, name, design }) => (
          <Plan key={id} name={`Tray ${name}`} design={design} before={before} />
        ))}
      </div>
    </section>
  );
}

interface PlanProps {
  readonly name: string;
  readonly design: Shop;
  readonly before: readonly SheetItem[];
}

function Plan({ name, design, before }: PlanProps) {
  const drawing = useMemo(() => quietDrawing(planSheet(design)), [design]);
  const known = useMemo(() => new Set(before.map((item) => JSON.stringify(item))), [before]);
  if (!drawing) return <p className="text-quiet">{name}: nothing is drawn.</p>;
  const { width, height, items, onSheet, scale } = drawing;
  const otherwise = items.filter((item) => !known.has(JSON.stringify(item)));
  return (
    <figure>
      <svg
        role="img"
        aria-label={`The plan of ${name === 'The shop' ? 'the shop' : name.toLowerCase()}`}
        viewBox={`0 0 ${width} ${height}`}
        className="w-full [&_*]:[vector-effect:non-scaling-stroke]"
      >
        <QuietItems drawing={drawing} />
        {otherwise.map((item, i) => (
          <DrawnItem
            key={`${i} ${item.layer}`}
            item={item}
            look="fill-none stroke-ink [stroke-width:2.5]"
            onSheet={onSheet}
            scale={scale}
          />
        ))}
      </svg>
      <figcaption className="text-[14px]">
        {name}
        {otherwise.length > 0 && <span className="text-quiet">, what is new in bold</span>}
      </figcaption>
    </figure>
  );
}
