'use client';

import { create } from 'zustand';
import type { SheetView } from './sheet-picture';

/** How the floor is looked at, while it is. */
export type FloorLook = 'plan' | SheetView | 'space';

const useLook = create<{ readonly look: FloorLook }>(() => ({ look: 'plan' }));

export const useFloorLook = (): FloorLook => useLook(({ look }) => look);

export function lookAt(look: FloorLook): void {
  useLook.setState({ look });
}
