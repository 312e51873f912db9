'use client';

import { flowUncertainty } from '@frank-gauge/core/analysis';
import type { Shop } from '@frank-gauge/core/design';
import { type Believed, takeBack } from '@frank-gauge/core/inference';
import { formatQuantity, type UnitSystem } from '@frank-gauge/core/quantity';
import { format } from 'date-fns';
import { airPart } from '@/model/shop-parts';
import { useDesign, useDuctTree, useSelectedDrop, useUnits } from '@/model/use-design';
import { edit } from '@/storage/session';
import { Button } from '@/ui/button';
import { estimateName, estimateOff } from '@/words/estimate-words';
import type { PlaceNames } from '@/words/fault-words';
import { usePlaceNames } from '../parts/leaks/use-place-names';

type Origin = Shop['condition']['filterLoading']['origin'];

interface Value {
  readonly believed: Believed;
  readonly name: string;
  readonly value: string;
  readonly origin: Origin;
}

/** What the shop is believed to be by its readings, which everything is predicted with; each can be taken back. */
export function BelievedValues() {
  const shop = useDesign();
  const names = usePlaceNames();
  const system = useUnits();
  const { drops } = useDuctTree();
  const dropName = (node: string) => drops.find(({ id }) => id === node)?.name ?? node;
  const values = believedOf(shop, names, dropName, system);
  if (values.length === 0) return null;
  return (
    <section aria-label="Believed" className="pt-5">
      <h2 className="text-[18px]">Believed</h2>
      <p className="text-[14px] text-quiet">
        Part of the shop as found: every prediction counts it. Take an opening back once it is
        sealed.
      </p>
      <ul className="border-rule border-t">
        {values.map(({ believed, name, value, origin }) => (
          <li
            key={`${name} ${'place' in believed ? believed.place : ''}`}
            className="flex items-center gap-2 border-rule border-b py-1"
          >
            <span>
              <span className="font-semibold">{name}</span>: {value}
              <span className="text-quiet">{originWords(origin)}</span>
            </span>
            <Button
              look="quiet"
              className="ml-auto shrink-0"
              onClick={() =>
                edit(`take back ${name}`, (own) => {
                  takeBack(own, believed);
                })
              }
            >
              Take back
            </Button>
          </li>
        ))}
      </ul>
      <Narrowed />
    </section>
  );
}

function believedOf(
  shop: Shop,
  names: PlaceNames,
  dropName: (node: string) => string,
  system: UnitSystem,
): Value[] {
  const { condition, collector } = shop;
  const ofReadings = (origin: Origin | undefined): origin is Extract<Origin, { kind: 'fitted' }> =>
    origin?.kind === 'fitted' && origin.uncertainty !== undefined;
  const { filterLoading, sealing, holes, estimates } = condition;
  const { separator } = collector;
  return [
    ...holes.map(({ run, area, origin }, place) => ({
      believed: { kind: 'opening', place } as const,
      name: names.run(run),
      value: `opening of ${formatQuantity(area, 'smallArea', system)}`,
      origin,
    })),
    ...(ofReadings(filterLoading.origin)
      ? [
          {
            believed: { kind: 'filter' } as const,
            name: 'Filter loading',
            value: `${filterLoading.value.toFixed(1)} times clean`,
            origin: filterLoading.origin,
          },
        ]
      : []),
    ...(ofReadings(separator.origin)
      ? [
          {
            believed: { kind: 'separator' } as const,
            name: 'Separator',
            value: `${separator.lossCoefficient.toFixed(1)} velocity pressures`,
            origin: separator.origin,
          },
        ]
      : []),
    ...(ofReadings(sealing.origin)
      ? [
          {
            believed: { kind: 'leakage' } as const,
            name: 'Leakage class',
            value: sealing.usual.toFixed(0),
            origin: sealing.origin,
          },
        ]
      : []),
    ...estimates.map(({ of, factor, uncertainty, on }) => ({
      believed: { kind: 'estimate', of } as const,
      name: estimateName(of, dropName),
      value: estimateOff(factor),
      origin: { kind: 'fitted', on, uncertainty } as const,
    })),
  ];
}

function originWords(origin: Origin): string {
  if (origin.kind === 'assumed') return ', assumed';
  const { on, uncertainty } = origin;
  const within = uncertainty === undefined ? '' : ` ±\u00a0${Math.round(100 * uncertainty)}\u00a0%`;
  return `${within}, by readings, ${format(Date.parse(on), 'd MMM yyyy')}`;
}

/** The same shop with everything it is believed to be by readings as uncertain as an estimate. */
const asEstimated = (shop: Shop): Shop => ({
  ...shop,
  collector: {
    ...shop.collector,
    separator: { ...shop.collector.separator, origin: { kind: 'assumed' } },
  },
  condition: {
    ...shop.condition,
    filterLoading: { ...shop.condition.filterLoading, origin: { kind: 'assumed' } },
    sealing: { ...shop.condition.sealing, origin: { kind: 'assumed' } },
    estimates: [],
  },
});

/** By how much the prediction of the drop that is explained is surer for it; nothing where it is not. */
function Narrowed() {
  const part = useDesign(airPart);
  const drop = useSelectedDrop();
  const system = useUnits();
  if (!drop || !('solution' in drop)) return null;
  const [now, before] = [part, asEstimated(part)].map((shop) =>
    flowUncertainty(shop, 'found', drop),
  );
  if (now === undefined || before === undefined || now > 0.995 * before) return null;
  return (
    <p className="pt-1 text-[14px]">
      {drop.drop.name} is predicted within ±{formatQuantity(now, 'flow', system)}, instead of ±
      {formatQuantity(before, 'flow', system)} by estimates alone.
    </p>
  );
}
