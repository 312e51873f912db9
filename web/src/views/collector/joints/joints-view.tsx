'use client';

import { type JointPlace, jointsOfShop } from '@frank-gauge/core/assembly';
import { useMemo, useState } from 'react';
import { airPart } from '@/model/shop-parts';
import { useDesign, useDuctTree } from '@/model/use-design';
import { edit } from '@/storage/session';
import { PresentCollector } from '../../parts/edited-collector';
import { FieldLine } from '../../parts/line';
import { AdapterMaker } from './adapter-maker';
import { BandFields } from './band-fields';
import { JointTable } from './joint-table';

/** Every joint by its true diameters, and what closes it. */
export function JointsView() {
  const part = useDesign(airPart);
  const tree = useDuctTree();
  const joints = useMemo(() => jointsOfShop(part, tree), [part, tree]);
  const [chosen, setChosen] = useState<string | null>(null);
  const joint = joints.find(({ id }) => id === chosen) ?? null;
  return (
    <PresentCollector>
      <div className="grid grid-cols-1 md:h-full md:grid-cols-[minmax(0,1fr)_300px] md:overflow-y-auto xl:overflow-hidden">
        <section
          aria-label="Joints"
          // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
          tabIndex={0}
          className="@container min-w-0 px-3 pb-6 xl:overflow-y-auto"
        >
          <h1 className="pt-2 text-[17px]">Joints</h1>
          <p className="max-w-prose pb-2 text-[14px] text-quiet">
            Nominal sizes are not true sizes. Each end starts with the diameter from its standard,
            or with a typical wall. Measure with a caliper and type over what is wrong.
          </p>
          <JointTable
            joints={joints}
            chosen={chosen}
            onAdapter={(next: JointPlace) => setChosen(next.id)}
          />
        </section>
        <section
          aria-label="Closing the joints"
          className="border-rule p-3 max-md:border-t md:border-l xl:overflow-y-auto"
        >
          <Tape />
          <h2 className="pt-4 text-[17px]">{joint ? 'Adapter for this joint' : 'Adapter'}</h2>
          <AdapterMaker key={joint?.id ?? 'free'} joint={joint} />
          <h2 className="pt-4 text-[17px]">Band clamps</h2>
          <BandFields />
        </section>
      </div>
    </PresentCollector>
  );
}

function Tape() {
  const tape = useDesign(({ ducts }) => ducts.stock.tape);
  return (
    <FieldLine
      label="Tape thickness"
      value={tape}
      kind="thickness"
      min={0}
      isMinExcluded
      max={0.01}
      onChange={(tape) =>
        edit(
          'tape',
          ({ ducts }) => {
            ducts.stock.tape = tape;
          },
          { merge: 'tape' },
        )
      }
    />
  );
}
