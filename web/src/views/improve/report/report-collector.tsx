'use client';

import { collectorLoad, type DropAir } from '@frank-gauge/core/analysis';
import { SEPARATORS } from '@frank-gauge/core/collector';
import { formatQuantity } from '@frank-gauge/core/quantity';
import { useMemo } from 'react';
import { airPart } from '@/model/shop-parts';
import { useDesign, useUnits } from '@/model/use-design';

/** The collector at its operating point while the worst drop draws. */
export function ReportCollector({ worst }: { readonly worst: DropAir }) {
  const part = useDesign(airPart);
  const system = useUnits();
  const load = useMemo(() => collectorLoad(part, worst.solution, 'found'), [part, worst]);
  const { blower, separator } = part.collector;
  const { flow, rise } = worst.solution.blower;
  const lines: readonly (readonly [string, string])[] = [
    ['Blower', blower.name],
    ['Separator', SEPARATORS[separator.kind].name],
    [
      'Operating point',
      `${formatQuantity(flow, 'flow', system)} at ${formatQuantity(rise, 'pressure', system)}`,
    ],
    ['Motor', `${load.current.toFixed(1)} A of a ${blower.breaker} A circuit, an estimate`],
    ...(load.filter
      ? ([
          [
            'Filter',
            `${formatQuantity(load.filter.pressure, 'pressure', system)} at ${load.filter.loading.toFixed(1)} times clean`,
          ],
          ['Face velocity', formatQuantity(load.filter.faceVelocity, 'velocity', system)],
        ] as const)
      : []),
  ];
  return (
    <section aria-label="Collector" className="pt-3">
      <h2 className="text-[16px]">Collector, while {worst.drop.name} draws</h2>
      <dl className="border-ink border-t">
        {lines.map(([name, value]) => (
          <div key={name} className="flex gap-2 border-rule border-b">
            <dt className="text-quiet">{name}</dt>
            <dd className="ml-auto text-right">{value}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
