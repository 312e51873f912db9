'use client';

import type { Machine } from '@frank-gauge/core/design';
import {
  type Block,
  collectorBlock,
  cornersOf,
  type FloorConflict,
  machineBlock,
  type Spot,
} from '@frank-gauge/core/room';
import { createContext, type ReactNode, useContext, useMemo } from 'react';
import { standingPart } from '@/model/shop-parts';
import { useDesign } from '@/model/use-design';
import { useFloorConflicts } from '../frame/floor-conflicts';
import { COLLECTOR } from './collector-id';

/** Something with a place on the floor. */
export interface Thing {
  readonly id: string;
  readonly name: string;
  readonly block: Block;
  readonly corners: readonly Spot[];
}

interface Standing {
  readonly things: readonly Thing[];
  readonly conflicts: readonly FloorConflict[];
  readonly nameOf: (machine: string) => string;
}

/** A machine is another object when anything about it changed: what stood as it did is not new. */
const known = new WeakMap<Machine, Thing | null>();

function thingOf(machine: Machine): Thing | null {
  const before = known.get(machine);
  if (before !== undefined) return before;
  const block = machineBlock(machine);
  const { id, name } = machine;
  const thing = block && { id, name, block, corners: cornersOf(block) };
  known.set(machine, thing);
  return thing;
}

function useComputed(): Standing {
  const part = useDesign(standingPart);
  const still = useMemo(() => {
    const { machines } = part;
    const nameOf = (id: string) => machines.find((machine) => machine.id === id)?.name ?? '';
    const block = collectorBlock(part);
    const things = machines.flatMap((machine) => thingOf(machine) ?? []);
    if (block) {
      things.push({ id: COLLECTOR, name: 'Collector', block, corners: cornersOf(block) });
    }
    return { things, nameOf };
  }, [part]);
  const conflicts = useFloorConflicts();
  return useMemo(() => ({ ...still, conflicts }), [still, conflicts]);
}

const Context = createContext<Standing | null>(null);

/** Works out once, for all that look at the floor, what stands there and what is in the way. */
export function StandingProvider({ children }: { readonly children: ReactNode }) {
  return <Context value={useComputed()}>{children}</Context>;
}

/** All that stands on the floor, and what is wrong with where it does. */
export function useStanding(): Standing {
  const standing = useContext(Context);
  if (!standing) throw new Error('not on the floor');
  return standing;
}
