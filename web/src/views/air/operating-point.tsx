'use client';

import dynamic from 'next/dynamic';

/** Recharts is heavy; it comes when the Air view is shown, behind the numbers. */
const OperatingPointChart = dynamic(
  () => import('./operating-point-chart').then((module) => module.OperatingPointChart),
  {
    ssr: false,
    loading: () => <p className="h-50 pt-8 text-quiet">Drawing the curves…</p>,
  },
);

export function OperatingPoint() {
  return (
    <section className="mt-5">
      <h2 className="text-[17px]">Operating point</h2>
      <OperatingPointChart />
    </section>
  );
}
