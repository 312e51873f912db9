'use client';

import { type FloorConflict, floorConflicts } from '@frank-gauge/core/room';
import { createContext, type ReactNode, useContext, useMemo } from 'react';
import { standingPart } from '@/model/shop-parts';
import { useDesign } from '@/model/use-design';
import { useRested } from '@/ui/use-rested';

/** With more machines than this, what is in the way is said when a drag rests. */
export const FEW_MACHINES = 12;

const Context = createContext<readonly FloorConflict[] | null>(null);

/** Works out once, for the order of work and for the floor, what stands in the way of what. */
export function FloorConflictsProvider({ children }: { readonly children: ReactNode }) {
  const part = useDesign(standingPart);
  const rested = useRested(part, part.machines.length <= FEW_MACHINES);
  const conflicts = useMemo(() => floorConflicts(rested), [rested]);
  return <Context value={conflicts}>{children}</Context>;
}

export function useFloorConflicts(): readonly FloorConflict[] {
  const conflicts = useContext(Context);
  if (!conflicts) throw new Error('outside a shop');
  return conflicts;
}
