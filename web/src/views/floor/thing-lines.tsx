'use client';

import type { Machine } from '@frank-gauge/core/design';
import type { UnitSystem } from '@frank-gauge/core/quantity';
import { collectorBlock, machineSize } from '@frank-gauge/core/room';
import dynamic from 'next/dynamic';
import { memo } from 'react';
import { useDesign, useUnits } from '@/model/use-design';
import { PartLoading } from '@/ui/part-loading';
import { tapeLength } from '@/words/tape-length';
import { OpeningLine } from '../parts/opening-line';
import { COLLECTOR } from './collector-id';

export const loadThingFields = () => import('./thing-fields');
const MachineFields = dynamic(() => loadThingFields().then((fields) => fields.MachineFields), {
  loading: PartLoading,
});
const CollectorFields = dynamic(() => loadThingFields().then((fields) => fields.CollectorFields), {
  loading: PartLoading,
});

interface MachineProps {
  readonly machine: Machine;
  readonly system: UnitSystem;
  readonly onOpen: (id: string) => void;
}

/** A machine in a line, which opens to its fields. */
export const MachineLine = memo(function MachineLine({ machine, system, onOpen }: MachineProps) {
  const size = machineSize(machine);
  const about = machine.place
    ? `${tapeLength(size.width, system)} × ${tapeLength(size.depth, system)}`
    : 'not placed';
  return (
    <OpeningLine
      id={machine.id}
      name={machine.name}
      about={about}
      onOpen={() => onOpen(machine.id)}
    >
      <MachineFields machine={machine} />
    </OpeningLine>
  );
});

/** Where the collector stands; how large it is follows from how it stacks. */
export function CollectorPlaceLine() {
  const shop = useDesign();
  const system = useUnits();
  const block = collectorBlock(shop);
  const about = block
    ? `${tapeLength(block.width, system)} × ${tapeLength(block.depth, system)}`
    : 'not placed';
  return (
    <OpeningLine id={COLLECTOR} name="Collector" about={about}>
      <CollectorFields />
    </OpeningLine>
  );
}
