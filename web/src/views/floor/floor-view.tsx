'use client';

import { Button } from '@/ui/button';
import { useSolvedShop } from '../frame/solved-shop';
import { placeAll } from './edit-things';
import { FloorLedger } from './floor-ledger';
import { PlanPicture } from './plan-picture';
import { RoomFields } from './room-fields';
import { CollectorPlaceLine, MachineLine } from './thing-fields';

/** The room to scale, and where everything stands in it. */
export function FloorView() {
  const { shop } = useSolvedShop();
  const { machines, collector } = shop;
  const isMissing = collector.place === null || machines.some(({ place }) => place === null);
  return (
    <div className="grid grid-cols-1 md:h-full md:grid-cols-[300px_minmax(0,1fr)] md:overflow-y-auto xl:grid-cols-[300px_minmax(0,1fr)_272px] xl:overflow-hidden">
      <section
        aria-label="Room and machines"
        className="order-2 border-rule md:order-1 md:border-r xl:overflow-y-auto"
      >
        <h1 className="px-3 pt-3 pb-1 text-[17px]">Room and machines</h1>
        <RoomFields />
        <CollectorPlaceLine />
        {machines.map((machine) => (
          <MachineLine key={machine.id} machine={machine} />
        ))}
        <div className="p-3">
          {isMissing && <Button onClick={placeAll}>Place what is not placed</Button>}
          {machines.length === 0 && (
            <p className="pt-2 text-[14px] text-quiet">
              Machines come with their drops: add them under Air.
            </p>
          )}
        </div>
      </section>
      <section aria-label="Plan" className="order-1 flex min-w-0 flex-col p-2 md:order-2">
        <PlanPicture />
      </section>
      <section
        aria-label="What stands in the way"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
        tabIndex={0}
        className="order-3 border-rule p-3 max-xl:border-t md:col-span-2 xl:col-span-1 xl:overflow-y-auto xl:border-l"
      >
        <FloorLedger />
      </section>
    </div>
  );
}
