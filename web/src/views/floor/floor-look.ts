'use client';

import { create } from 'zustand';
import type { SheetView } from './sheet-picture';

/** Whether something on the plan is held by the pointer just now: the plan keeps its scale then. */
export const useHeld = create<{ readonly isHeld: boolean }>(() => ({ isHeld: false }));

export const hold = (isHeld: boolean): void => useHeld.setState({ isHeld });

/** How the floor is looked at, while it is. */
export type FloorLook = 'plan' | SheetView | 'space';

const useLook = create<{ readonly look: FloorLook }>(() => ({ look: 'plan' }));

export const useFloorLook = (): FloorLook => useLook(({ look }) => look);

export function lookAt(look: FloorLook): void {
  useLook.setState({ look });
}
