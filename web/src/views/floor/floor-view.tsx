'use client';

import dynamic from 'next/dynamic';
import { useEffect, useRef } from 'react';
import { useDesign, useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { PartLoading } from '@/ui/part-loading';
import { usePreload } from '@/ui/use-preload';
import { MachineMenu } from '../parts/machine-menu';
import { useChooseThing } from './choose-thing';
import { useDrawKeys } from './ducts/draw-layer';
import { useDrawing } from './ducts/drawing-state';
import { DuctList, loadDuctFields } from './ducts/duct-list';
import { addMachineHere } from './ducts/edit-ducts';
import { DuctsProvider } from './ducts/use-ducts';
import { placeEverything } from './edit-things';
import { FloorLedger } from './floor-ledger';
import { FloorPicture } from './floor-picture';
import { NextSteps } from './next-steps';
import { loadRoomShape, RoomFields } from './room-fields';
import { useTakingKeys } from './selection-keys';
import { CollectorPlaceLine, loadThingFields, MachineLine } from './thing-lines';
import { useFloorCommands } from './use-floor-commands';
import { StandingProvider } from './use-standing';

const loadDrawPanel = () => import('./ducts/draw-panel').then((module) => module.DrawPanel);
const loadSelectionPanel = () =>
  import('./selection-panel').then((module) => module.SelectionPanel);
const loadDropLadder = () => import('./drop-ladder').then((module) => module.DropLadder);
const loadHelpers = () => import('./helpers/helpers').then((module) => module.Helpers);

const DrawPanel = dynamic(loadDrawPanel, { loading: PartLoading });
// Nothing stands in their place while they load, as they mostly show nothing: what is below them would move.
const SelectionPanel = dynamic(loadSelectionPanel, { loading: () => null });
const DropLadder = dynamic(loadDropLadder, { loading: () => null });
const Helpers = dynamic(loadHelpers, { loading: PartLoading });

/** The room to scale, and where everything stands in it. */
export function FloorView() {
  const shop = useDesign();
  const system = useUnits();
  const choose = useChooseThing();
  const { machines, collector } = shop;
  const tool = useDrawing((drawing) => drawing.tool);
  const plan = useRef<HTMLElement>(null);
  // Drawing may be started from a list far below the plan.
  useEffect(() => {
    if (tool === 'draw') plan.current?.scrollIntoView({ block: 'nearest' });
  }, [tool]);
  useDrawKeys();
  useTakingKeys();
  useFloorCommands();
  usePreload(
    loadDrawPanel,
    loadSelectionPanel,
    loadDropLadder,
    loadHelpers,
    loadDuctFields,
    loadThingFields,
    loadRoomShape,
  );
  const isMissing = collector.place === null || machines.some(({ place }) => place === null);
  return (
    <StandingProvider>
      <DuctsProvider>
        <div className="grid grid-cols-1 md:h-full md:grid-cols-[300px_minmax(0,1fr)] md:grid-rows-[minmax(0,3fr)_minmax(0,2fr)] md:overflow-hidden xl:grid-cols-[300px_minmax(0,1fr)_272px] xl:grid-rows-[minmax(0,1fr)]">
          <section
            aria-label="Room and machines"
            className="order-3 border-rule max-md:border-t md:order-1 md:row-span-2 md:overflow-y-auto md:border-r xl:row-span-1"
          >
            <h1 className="px-3 pt-3 pb-1 text-[17px]">Room and machines</h1>
            <RoomFields />
            <CollectorPlaceLine />
            {machines.map((machine) => (
              <MachineLine key={machine.id} machine={machine} system={system} onOpen={choose} />
            ))}
            <div className="p-3">
              <MachineMenu label="Add a machine" onChoose={addMachineHere} />{' '}
              {isMissing && <Button onClick={placeEverything}>Place the rest on the plan</Button>}
            </div>
            <DuctList />
            <Helpers />
          </section>
          <section
            ref={plan}
            aria-label="Plan"
            className="order-1 flex min-h-0 min-w-0 flex-col p-2 md:order-2"
          >
            <FloorPicture />
          </section>
          <section
            aria-label="Floor issues"
            // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
            tabIndex={0}
            className="order-2 border-rule p-3 max-xl:border-t md:order-3 md:overflow-y-auto xl:border-l"
          >
            {tool === 'draw' ? (
              <DrawPanel />
            ) : (
              <>
                <SelectionPanel />
                <NextSteps />
                <DropLadder />
                <FloorLedger />
              </>
            )}
          </section>
        </div>
      </DuctsProvider>
    </StandingProvider>
  );
}
