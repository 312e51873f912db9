'use client';

import { create } from 'zustand';
import { chooseTool } from './ducts/drawing-state';
import type { SheetView } from './sheet-picture';

/** Whether something on the plan is held by the pointer just now: the plan keeps its scale then. */
export const useHeld = create<{ readonly isHeld: boolean }>(() => ({ isHeld: false }));

export const hold = (isHeld: boolean): void => useHeld.setState({ isHeld });

/** How the floor is looked at, while it is. */
export type FloorLook = 'plan' | SheetView | 'space';

const useLook = create<{ readonly look: FloorLook }>(() => ({ look: 'plan' }));

export const useFloorLook = (): FloorLook => useLook(({ look }) => look);

/** Tools that draw and select work on the plan alone. */
export function lookAt(look: FloorLook): void {
  if (look !== 'plan') chooseTool('move');
  useLook.setState({ look });
}

/** All there are, as the buttons and the palette call them. */
export const LOOKS: readonly {
  readonly value: FloorLook;
  readonly label: string;
  readonly command: string;
}[] = [
  { value: 'plan', label: 'Plan', command: 'Show the plan' },
  { value: 'front', label: 'Front', command: 'Show the elevation from the front' },
  { value: 'back', label: 'Back', command: 'Show the elevation from the back' },
  { value: 'left', label: 'Left', command: 'Show the elevation from the left' },
  { value: 'right', label: 'Right', command: 'Show the elevation from the right' },
  { value: 'isometric', label: 'Isometric', command: 'Show the isometric' },
  { value: 'space', label: '3D', command: 'Show 3D' },
];
