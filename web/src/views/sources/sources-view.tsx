'use client';

import { coefficientGroups } from '@frank-gauge/core/api';
import {
  type CoefficientGroup,
  formatShort,
  type Origin,
  type UnitSystem,
} from '@frank-gauge/core/quantity';
import Link from 'next/link';
import { useState } from 'react';
import { Segmented } from '@/ui/segmented';
import { ThemeButton } from '../frame/theme-button';

const MARKS: Record<Origin, { sign: string; says: string }> = {
  standard: { sign: '●', says: 'standard' },
  practice: { sign: '◐', says: 'practice' },
  estimate: { sign: '○', says: 'estimate' },
};

/** Where the coefficients come from, listed from the tables the program uses. */
export function SourcesView() {
  const [system, setSystem] = useState<UnitSystem>('us');
  return (
    <main className="mx-auto max-w-260 px-4 pb-16">
      <header className="flex items-center gap-3 border-ink border-b py-4">
        <Link href="/" className="font-name font-semibold text-[21px]">
          Frank Gauge
        </Link>
        <h1 className="text-[21px]">Sources</h1>
        <span className="ml-auto flex items-center gap-2">
          <Segmented
            label="Units"
            value={system}
            options={[
              { value: 'us', label: 'US' },
              { value: 'metric', label: 'SI' },
            ]}
            onChange={setSystem}
          />
          <ThemeButton />
        </span>
      </header>
      <p className="my-4 max-w-prose text-[17px]">
        The coefficients Frank Gauge computes with. <strong>● standard</strong>: a published source,
        written down from memory until someone has it open. <strong>◐ practice</strong>: common in
        small shops, no source. <strong>○ estimate</strong>: a modeling default, to be replaced by
        your own readings.
      </p>
      <div className="gap-8 md:columns-2">
        {coefficientGroups().map((group) => (
          <Group key={group.title} group={group} system={system} />
        ))}
      </div>
    </main>
  );
}

function Group({
  group,
  system,
}: {
  readonly group: CoefficientGroup;
  readonly system: UnitSystem;
}) {
  const { title, about, source, coefficients } = group;
  return (
    <section className="mb-6 break-inside-avoid">
      <h2 className="text-[18px]">{title}</h2>
      <p className="text-[14px] text-quiet">{about}</p>
      <table className="mt-1 w-full border-ink border-t">
        <tbody>
          {coefficients.map(({ name, value, kind, origin }) => (
            <tr key={name} className="border-rule border-b [&>td]:py-0.5">
              <td>{name}</td>
              <td className="whitespace-nowrap pl-3 text-right font-semibold">
                {formatShort(value, kind, system)}
              </td>
              <td className="w-24 whitespace-nowrap pl-4 text-[14px] text-quiet">
                <span aria-hidden>{MARKS[origin].sign}</span> {MARKS[origin].says}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[14px] text-quiet">{source}</p>
    </section>
  );
}
