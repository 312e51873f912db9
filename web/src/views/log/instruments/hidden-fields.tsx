'use client';

import { formatShort } from '@frank-gauge/core/quantity';
import { useState } from 'react';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { Segmented } from '@/ui/segmented';
import { hide, useHidden } from '../taking/use-hidden';

/** A seed nobody can guess a condition from. */
const newSeed = () => Math.floor(Math.random() * 2 ** 31);

/** What simulated meters read: the shop as it is believed to be, or in a condition they alone know. */
export function HiddenFields() {
  const shop = useDesign(({ id }) => id);
  const hidden = useHidden();
  const [isShown, setShown] = useState(false);
  return (
    <section aria-label="Simulated meters" className="max-w-prose px-3 pb-4">
      <h2 className="text-[16px]">Simulated meters read</h2>
      <div className="py-1.5">
        <Segmented
          label="Simulated meters read"
          value={hidden ? 'hidden' : 'believed'}
          options={[
            { value: 'believed', label: 'the shop as found' },
            { value: 'hidden', label: 'a hidden condition' },
          ]}
          onChange={(next) => {
            setShown(false);
            hide(shop, next === 'hidden' ? newSeed() : null);
          }}
        />
      </div>
      {hidden && (
        <>
          <p className="text-quiet">
            The shop now differs from the model somewhere; find out where by measuring. It stays the
            same until you ask for another condition. Simulated readings are marked as such in the
            log.
          </p>
          <div className="flex gap-2 pt-1.5">
            <Button onClick={() => setShown(!isShown)}>
              {isShown ? 'Hide it again' : 'Show what is hidden'}
            </Button>
            <Button
              look="quiet"
              onClick={() => {
                setShown(false);
                hide(shop, newSeed());
              }}
            >
              Another condition
            </Button>
          </div>
          {isShown && <Revealed hidden={hidden} />}
        </>
      )}
    </section>
  );
}

function Revealed({ hidden }: { readonly hidden: NonNullable<ReturnType<typeof useHidden>> }) {
  const system = useUnits();
  const { upstreamFirst } = useDuctTree();
  const { hole, filterLoading, separator, leakage } = hidden;
  const run = upstreamFirst.find(({ id }) => id === hole?.run);
  const times = (factor: number) => `× ${factor.toFixed(2)}`;
  return (
    <ul className="list-disc pt-2 pl-4">
      <li>
        {hole
          ? `An opening of ${formatShort(hole.area, 'smallArea', system)} in ${run?.name ?? 'a duct'}`
          : 'No opening anywhere'}
      </li>
      <li>Filter loading {times(filterLoading)}, though never below a clean filter</li>
      <li>Loss of the separator {times(separator)}</li>
      <li>Leakage of all ducts {times(leakage)}</li>
    </ul>
  );
}
