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
import { chooseTool } from './ducts/drawing-state';
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
      name: 'Room',
      isDone: room.outline.length >= 3,
      how: <RoomStep />,
      also: <CeilingLine of="next steps" />,
    },
    {
      name: 'Collector',
      isDone: collector.place !== null,
      how: (
        <>
          <p className="pb-1.5">
            It starts at the back wall with its inlet facing the room. Drag it to where you want it;
            its heights are under Collector, Elevation.
          </p>
          <Button onClick={() => place(COLLECTOR, 'the collector')}>Place the collector</Button>
        </>
      ),
    },
    {
      name: 'Machines',
      isDone: machines.length > 0 && machines.every((machine) => machine.place !== null),
      how: (
        <>
          <p className="pb-1.5">
            Add your machines, starting with those that make the most chips. Each is placed where
            boards reach it; drag it to where you want it.
          </p>
          <div className="flex flex-wrap gap-1.5">
            <MachineMenu label="Add a machine" onChoose={addMachineHere} />
            {machines.length > 0 && (
              <Button onClick={placeEverything}>Place them all on the plan</Button>
            )}
          </div>
        </>
      ),
    },
    {
      name: 'Ducts',
      isDone:
        ducts.runs.length > 0 && !conflicts.some(({ kind }) => kind === 'port without a duct'),
      how: (
        <>
          <p className="pb-1.5">
            Let <em>Route ducts</em> propose them and change what you like, or draw them yourself.
          </p>
          <div className="flex flex-wrap gap-1.5">
            <a
              href="#routing"
              className="inline-grid min-h-11 place-items-center border border-ink px-3 font-semibold hover:bg-selection md:min-h-8"
            >
              Go to Routing
            </a>
            <Button onClick={() => chooseTool('draw')}>Draw a duct</Button>
          </div>
        </>
      ),
    },
  ];
  const next = steps.findIndex(({ isDone }) => !isDone);
  if (next < 0) return null;
  return (
    <section aria-label="Next steps" className="pb-5">
      <h2 className="text-[18px]">Next steps</h2>
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
        Start from one of these and change it, or enter your width and depth under Room. You can
        also import a DXF outline there.
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
