'use client';

import { formatShort, UNITS } from '@frank-gauge/core/quantity';
import { hiddenImperfection, unitLeftOn } from '@frank-gauge/core/simulate';
import { useState } from 'react';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { Button } from '@/ui/button';
import { Segmented } from '@/ui/segmented';
import { usualQuantity } from '@/words/measuring-words';
import { FieldLine } from '../../parts/line';
import { hide, useHidden } from '../../parts/stand-ins/use-hidden';
import { fitSwitches, setStopDelay, useSwitches } from '../../parts/stand-ins/use-switches';
import { bareUnit } from '../../parts/taking/read-repeat';

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
      <SwitchFields />
    </section>
  );
}

/** Simulated switches at the gates, and how long they let the blower run on. */
function SwitchFields() {
  const shop = useDesign(({ id }) => id);
  const switches = useSwitches();
  return (
    <div className="pt-3">
      <h2 className="text-[16px]">Gate switches</h2>
      <div className="py-1.5">
        <Segmented
          label="Gate switches"
          value={switches ? 'simulated' : 'none'}
          options={[
            { value: 'none', label: 'none' },
            { value: 'simulated', label: 'simulated' },
          ]}
          onChange={(next) => fitSwitches(shop, next === 'simulated')}
        />
      </div>
      {switches && (
        <>
          <FieldLine
            saves={false}
            label="Stop delay, s"
            value={switches.stopDelay}
            kind="number"
            min={0}
            max={600}
            onChange={(stopDelay) => setStopDelay(shop, stopDelay)}
          />
          <p className="text-quiet">
            Opening a gate starts the blower; it stops this long after the last one was shut. You
            work the gates where you take a reading, and the reading notes which of them were open.
          </p>
        </>
      )}
    </div>
  );
}

const signedPercent = (share: number, places: number) =>
  `${share < 0 ? '−' : '+'}${Math.abs(100 * share).toFixed(places)} %`;

function Revealed({ hidden }: { readonly hidden: NonNullable<ReturnType<typeof useHidden>> }) {
  const system = useUnits();
  const { upstreamFirst } = useDuctTree();
  const instruments = useJournal((journal) => journal.instruments);
  const { hole, filterLoading, separator, leakage, louder, dust, letBy } = hidden;
  const simulated = instruments.filter(
    ({ isSimulated, kind }) => isSimulated && kind !== 'sound meter' && kind !== 'scale',
  );
  const misset = simulated.flatMap((each) => {
    const quantity = usualQuantity(each);
    const unit = bareUnit({ quantity, system, instrument: each });
    const shown = unitLeftOn(hidden, each, quantity, unit);
    return shown === unit ? [] : [`${each.name} shows ${UNITS[shown].symbol}`];
  });
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
      <li>
        Noise {louder < 0 ? '−' : '+'}
        {Math.abs(louder).toFixed(1)} dB
      </li>
      <li>
        Dust made {times(dust)}; past the separator {times(letBy)}
      </li>
      {misset.map((each) => (
        <li key={each}>{each}, whatever its record says</li>
      ))}
      {simulated.map((each) => {
        const { bias, drift } = hiddenImperfection(hidden, each);
        return (
          <li key={each.id}>
            {each.name} is off by {signedPercent(bias, 1)}, and by {signedPercent(drift, 2)} more
            with every value
          </li>
        );
      })}
    </ul>
  );
}
