'use client';

import { useCommandsOfView, type ViewCommand } from '../frame/view-commands';
import { chooseTool } from './ducts/drawing-state';
import { placeEverything } from './edit-things';
import { LOOKS, lookAt } from './floor-look';
import { letGo } from './selection';

/** Tools that work on the plan. */
function onPlan(tool: 'draw' | 'select'): void {
  lookAt('plan');
  letGo();
  chooseTool(tool);
}

const COMMANDS: readonly ViewCommand[] = [
  { name: 'Draw a duct', keys: 'D', run: () => onPlan('draw') },
  { name: 'Select several', run: () => onPlan('select') },
  { name: 'Place the rest on the plan', run: placeEverything },
  ...(['placement', 'routing', 'sizing'] as const).map((id) => ({
    name: `Go to suggestions: ${id}`,
    run: () => document.getElementById(id)?.scrollIntoView({ block: 'center' }),
  })),
  ...LOOKS.map(({ value, command }) => ({ name: command, run: () => lookAt(value) })),
];

/** What the Floor does, in the palette. */
export const useFloorCommands = (): void => useCommandsOfView(COMMANDS);
