'use client';

import { formatQuantity } from '@frank-gauge/core/quantity';
import type { Suspect } from '@frank-gauge/core/reading';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import type { TracedShortfall } from './use-shortfall';

const listed = (names: readonly string[], last: 'and' | 'or') =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} ${last} ${names.at(-1)}`;

/** What the latest reading of every drop says together, in a sentence. */
export function Saying({ shared, isBroken }: TracedShortfall) {
  const ducts = useDesign((shop) => shop.ducts);
  const tree = useDuctTree();
  const system = useUnits();
  if (isBroken) {
    return (
      <p role="alert" className="mb-3 max-w-prose text-[17px]">
        The readings could not be compared: the browser stopped the calculation. Reload the page.
      </p>
    );
  }
  if (!shared) {
    return (
      <p role="status" className="mb-3 max-w-prose text-[17px] text-quiet">
        Comparing the readings…
      </p>
    );
  }
  const percent = (share: number) => `${Math.round(share * 100)}\u00a0%`;
  const nameOf = (suspect: Suspect) =>
    suspect.kind === 'collector'
      ? 'the collector'
      : (ducts.runs.find(({ id }) => id === suspect.run)?.name ?? suspect.run);

  switch (shared.kind) {
    case 'too few':
      return (
        <p className="mb-3 max-w-prose text-[17px]">
          {shared.drops === 0
            ? 'No readings to compare yet. Read each drop three times with only its gate open.'
            : 'One drop is not enough. Read another one to compare shortfalls.'}
        </p>
      );
    case 'no difference':
      return (
        <p className="mb-3 max-w-prose text-[17px]">
          <strong className="font-semibold text-enough-text">● No significant difference.</strong>{' '}
          The latest readings of {shared.drops} drops agree with the model within their uncertainty.
          A shortfall common to all of about {percent(shared.couldShow)} would have been visible.
        </p>
      );
    case 'shared': {
      const short = shared.drops.filter(({ shortfall }) => shortfall > 0.04);
      const drops = listed(
        short.map(({ drop, shortfall }) => {
          const name = tree.drops.find(({ id }) => id === drop)?.name ?? drop;
          return `${name} (${percent(shortfall)})`;
        }),
        'and',
      );
      const [first, ...others] = shared.suspects;
      const area =
        first.kind === 'run'
          ? ` An opening of about ${formatQuantity(first.area, 'smallArea', system).replace(/\.\d+/, '')} there would explain it.`
          : ' A loaded filter or a clogged separator would explain it.';
      return (
        <div className="mb-3 max-w-prose text-[17px]">
          <p>
            <strong className="font-semibold text-starved-text">
              ▼ The readings point to {nameOf(first)}.
            </strong>{' '}
            Below the model: {drops}.{area}
          </p>
          {others.length > 0 && (
            <p className="mt-1 text-[15px] text-quiet">
              These readings cannot tell it apart from {listed(others.map(nameOf), 'or')}. To find
              the leak, check the joints with smoke or your hand.
            </p>
          )}
        </div>
      );
    }
  }
}
