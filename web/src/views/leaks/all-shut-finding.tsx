'use client';

import type { AllShut } from '@frank-gauge/core/inference';
import { formatQuantity } from '@frank-gauge/core/quantity';
import { useDesign, useUnits } from '@/model/use-design';

const asClass = (value: number) => (value < 10 ? value.toFixed(1) : value.toFixed(0));

/** What leaks in all over the shop, by a reading with all gates shut; or how to take one. */
export function AllShutFinding({ found }: { readonly found: AllShut | null }) {
  const system = useUnits();
  const believed = useDesign(({ condition }) => condition.sealing.usual);
  return (
    <section aria-label="All gates shut" className="pt-5">
      <h2 className="text-[18px]">All gates shut</h2>
      {found ? (
        <p>
          {formatQuantity(found.flow, 'flow', system)} still flow at the collector; the model
          expects {formatQuantity(found.predicted, 'flow', system)}. The ducts leak like leakage
          class <strong className="font-semibold">{asClass(found.leakageClass)}</strong> (
          {asClass(found.low)} to {asClass(found.high)}); you believe in class {asClass(believed)}.
        </p>
      ) : (
        <p>
          Shut every gate, leave the blower on, and read the airflow at the collector’s inlet with{' '}
          <em>gates open: none</em>. What still flows leaks in: it gives the leakage class of your
          ducts.
        </p>
      )}
      <p className="pt-1 text-[14px] text-quiet">
        Such a reading says how much leaks in, not where. Joints and openings count together. With
        gates shut the suction is at its highest, so the same leaks take less while you work.
      </p>
    </section>
  );
}
