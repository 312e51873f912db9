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
import { useMemo } from 'react';
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

/** All that stands on the floor, and what is wrong with where it does. */
export function useStanding(): Standing {
  const { shop } = useSolvedShop();
  const { machines, collector, room } = shop;
  return useMemo(() => {
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
    return { things, conflicts: floorConflicts(shop), nameOf };
  }, [machines, collector, room]);
}
