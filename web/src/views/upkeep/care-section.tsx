'use client';

import { formatShort } from '@frank-gauge/core/quantity';
import type { CareWorth } from '@frank-gauge/core/upkeep';
import { format } from 'date-fns';
import Link from 'next/link';
import { useDesign, useUnits } from '@/model/use-design';
import { EVENT_NAMES } from '@/words/change-words';
import { broughtWords, leftWords } from '@/words/upkeep-words';
import type { useCare } from './use-due';

/** What the latest cleanings and emptyings brought, and when only a new filter helps. */
export function CareSection({ worths, left }: ReturnType<typeof useCare>) {
  const id = useDesign((shop) => shop.id);
  if (worths.length === 0) return null;
  return (
    <section aria-label="Results of cleaning and emptying" className="max-w-180 pt-5">
      <h2 className="text-[17px]">Results of cleaning and emptying</h2>
      <ul className="border-ink border-t">
        {worths.map((worth) => (
          <Brought key={worth.event.id} worth={worth} />
        ))}
      </ul>
      {left && (
        <p className="max-w-prose pt-1 text-[15px]">
          {leftWords(left)}{' '}
          <Link className="underline" href={`/shop/${id}/improve`}>
            Improve
          </Link>{' '}
          shows what a new filter would gain at each drop, and what it costs.
        </p>
      )}
    </section>
  );
}

function Brought({ worth }: { readonly worth: CareWorth }) {
  const system = useUnits();
  const { event, pressure } = worth;
  const name = EVENT_NAMES[event.kind];
  return (
    <li className="border-rule border-b py-1 text-[15px]">
      <span className="text-quiet">{format(Date.parse(event.at), 'MMM d, yyyy')}, </span>
      {name}: {broughtWords(worth)}
      {pressure && (
        <>
          {' '}
          Pressure across the filter at one flow: {formatShort(pressure.before, 'pressure', system)}{' '}
          before, {formatShort(pressure.after, 'pressure', system)} after.
        </>
      )}
    </li>
  );
}
