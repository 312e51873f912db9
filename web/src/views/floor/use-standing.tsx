'use client';

import {
  type Block,
  collectorBlock,
  cornersOf,
  type FloorConflict,
  floorConflicts,
  machineBlock,
  type Spot,
} from '@frank-gauge/core';
import { createContext, type ReactNode, useContext, useMemo } from 'react';
import { useRested } from '@/ui/use-rested';
import { useSolvedShop } from '../frame/solved-shop';
import { COLLECTOR } from './edit-things';

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

/** With more machines than this, what is in the way is said when a drag rests. */
export const FEW_MACHINES = 12;

function useReckoned(): Standing {
  const { shop } = useSolvedShop();
  const { machines, collector, room } = shop;
  const still = useMemo(() => {
    const nameOf = (id: string) => machines.find((machine) => machine.id === id)?.name ?? '';
    const blocks = [
      ...machines.map((machine) => ({
        id: machine.id,
        name: machine.name,
        block: machineBlock(machine),
      })),
      { id: COLLECTOR, name: 'Collector', block: collectorBlock(shop) },
    ];
    const things = blocks.flatMap(({ block, ...rest }): Thing[] =>
      block ? [{ ...rest, block, corners: cornersOf(block) }] : [],
    );
    return { things, nameOf };
  }, [machines, collector, room]);
  const rested = useRested(shop, machines.length <= FEW_MACHINES);
  const conflicts = useMemo(
    () => floorConflicts(rested),
    [rested.machines, rested.collector, rested.room],
  );
  return useMemo(() => ({ ...still, conflicts }), [still, conflicts]);
}

const Context = createContext<Standing | null>(null);

/** Reckons once, for all that look at the floor, what stands there and what is in the way. */
export function StandingProvider({ children }: { readonly children: ReactNode }) {
  return <Context value={useReckoned()}>{children}</Context>;
}

/** All that stands on the floor, and what is wrong with where it does. */
export function useStanding(): Standing {
  const standing = useContext(Context);
  if (!standing) throw new Error('not on the floor');
  return standing;
}
