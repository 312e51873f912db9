'use client';

import { formatShort, toSI } from '@frank-gauge/core/quantity';
import { setRoomSize } from '@frank-gauge/core/room';
import type { ReactNode } from 'react';
import { standingPart } from '@/model/shop-parts';
import { useDesign, useUnits } from '@/model/use-design';
import { edit } from '@/storage/session';
import { Button } from '@/ui/button';
import { MachineMenu } from '../parts/machine-menu';
import { COLLECTOR } from './collector-id';
import { takeTool } from './ducts/drawing-state';
import { addMachineHere } from './ducts/edit-ducts';
import { useDucts } from './ducts/use-ducts';
import { place, placeEverything } from './edit-things';
import { CeilingLine } from './room-fields';

/** Rooms to start from: one bay of a garage, two, and a small hall; m. */
const ROOMS = {
  us: [
    { width: toSI(12, 'ft'), depth: toSI(22, 'ft'), name: 'One bay' },
    { width: toSI(22, 'ft'), depth: toSI(22, 'ft'), name: 'Two bays' },
    { width: toSI(30, 'ft'), depth: toSI(24, 'ft'), name: 'A hall' },
  ],
  metric: [
    { width: 3.5, depth: 6.5, name: 'One bay' },
    { width: 6.5, depth: 6.5, name: 'Two bays' },
    { width: 9, depth: 7, name: 'A hall' },
  ],
} as const;

interface Step {
  readonly name: string;
  readonly isDone: boolean;
  /** How it is done. */
  readonly how: ReactNode;
  /** What may still be said once it is. */
  readonly also?: ReactNode;
}

/** From an empty floor to one where every port has its duct, a step at a time; nothing once it is. */
export function NextSteps() {
  const ducts = useDesign((shop) => shop.ducts);
  const { conflicts } = useDucts();
  const { room, machines, collector } = useDesign(standingPart);
  const steps: Step[] = [
    {
      name: 'The room',
      isDone: room.outline.length >= 3,
      how: <RoomStep />,
      also: <CeilingLine line="its ceiling" label="How high the room is" />,
    },
    {
      name: 'The collector',
      isDone: collector.place !== null,
      how: (
        <>
          <p className="pb-1.5">
            It is put at the back wall, its inlet looking into the room. Drag it to where you want
            it; how it stands is under Collector.
          </p>
          <Button onClick={() => place(COLLECTOR, 'the collector')}>Place the collector</Button>
        </>
      ),
    },
    {
      name: 'The machines',
      isDone: machines.length > 0 && machines.every((machine) => machine.place !== null),
      how: (
        <>
          <p className="pb-1.5">
            Add what stands in the shop, the biggest chip makers first. Each is put where boards
            reach it; drag it to where you want it.
          </p>
          <div className="flex flex-wrap gap-1.5">
            <MachineMenu label="Add a machine" onChoose={addMachineHere} />
            {machines.length > 0 && <Button onClick={placeEverything}>Place them all</Button>}
          </div>
        </>
      ),
    },
    {
      name: 'The ducts',
      isDone:
        ducts.runs.length > 0 && !conflicts.some(({ kind }) => kind === 'port without a duct'),
      how: (
        <>
          <p className="pb-1.5">
            Let <em>Route it</em> propose them and change what you like, or draw them yourself.
          </p>
          <div className="flex flex-wrap gap-1.5">
            <a
              href="#route-it"
              className="inline-grid min-h-11 place-items-center border border-ink px-3 font-semibold hover:bg-selection md:min-h-8"
            >
              To Route it
            </a>
            <Button onClick={() => takeTool('draw')}>Draw a duct</Button>
          </div>
        </>
      ),
    },
  ];
  const next = steps.findIndex(({ isDone }) => !isDone);
  if (next < 0) return null;
  return (
    <section aria-label="What comes next" className="pb-5">
      <h2 className="text-[18px]">What comes next</h2>
      <ol>
        {steps.map(({ name, isDone, how, also }, i) => (
          <li key={name} aria-current={i === next ? 'step' : undefined} className="pt-1">
            <span className={i === next ? 'font-semibold' : isDone ? '' : 'text-quiet'}>
              <span aria-hidden>{isDone ? '✓' : i === next ? '▸' : '·'}</span> {name}
              {isDone && <span className="sr-only">, done</span>}
            </span>
            {i === next && <div className="pt-1 pb-1">{how}</div>}
            {isDone && also}
          </li>
        ))}
      </ol>
    </section>
  );
}

/** How large the room is: by one press, or by its own sizes. */
function RoomStep() {
  const system = useUnits();
  const write = (value: number) => formatShort(value, 'length', system);
  const draw = (width: number, depth: number) =>
    edit('size of the room', (draft) => setRoomSize(draft, width, depth));
  return (
    <>
      <p className="pb-1.5">
        Start from one of these and change it, or say your own width and depth under Room; a drawing
        is read in there too.
      </p>
      <ul className="space-y-1">
        {ROOMS[system].map(({ name, width, depth }) => (
          <li key={name}>
            <Button onClick={() => draw(width, depth)}>
              {name}, {write(width)} × {write(depth)}
            </Button>
          </li>
        ))}
      </ul>
    </>
  );
}
