'use client';

import { useCommandsOfView, type ViewCommand } from '../frame/view-commands';
import { takeTool } from './ducts/drawing-state';
import { placeEverything } from './edit-things';
import { type FloorLook, lookAt } from './floor-look';
import { letGo } from './selection';

const LOOKS: readonly { readonly look: FloorLook; readonly name: string }[] = [
  { look: 'plan', name: 'Show the plan' },
  { look: 'front', name: 'Show the elevation from the front' },
  { look: 'back', name: 'Show the elevation from the back' },
  { look: 'left', name: 'Show the elevation from the left' },
  { look: 'right', name: 'Show the elevation from the right' },
  { look: 'isometric', name: 'Show the isometric' },
  { look: 'space', name: 'Show 3D' },
];

/** Tools that work on the plan. */
function onPlan(tool: 'draw' | 'take'): void {
  lookAt('plan');
  letGo();
  takeTool(tool);
}

const COMMANDS: readonly ViewCommand[] = [
  { name: 'Draw a duct', keys: 'D', run: () => onPlan('draw') },
  { name: 'Select several', run: () => onPlan('take') },
  { name: 'Place the rest on the plan', run: placeEverything },
  ...(['placement', 'routing', 'sizing'] as const).map((id) => ({
    name: `Go to suggestions: ${id}`,
    run: () => document.getElementById(id)?.scrollIntoView({ block: 'center' }),
  })),
  ...LOOKS.map(({ look, name }) => ({
    name,
    run: () => {
      if (look !== 'plan') takeTool('move');
      lookAt(look);
    },
  })),
];

/** What the Floor does, in the palette. */
export const useFloorCommands = (): void => useCommandsOfView(COMMANDS);
