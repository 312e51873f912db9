'use client';

import type { Assembly } from '@frank-gauge/core/design';
import { toSI } from '@frank-gauge/core/quantity';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { useUnits } from '@/model/use-design';
import { useCollector } from '../../parts/edited-collector';
import type { Drawing } from './drawing';

/** What can be dragged up and down, where it hangs at a height of its own. */
export type Hanging = 'blower' | 'filter' | 'separator';

const HIGHEST = 20;

/** The height a part hangs at; null where something under it sets it. */
export function heightOf(assembly: Assembly, part: Hanging): number | null {
  if (part === 'filter') return assembly.filter.hungAt;
  if (part === 'separator') return assembly.separator.hungAt;
  const { mount } = assembly;
  return mount.kind === 'wall' || mount.kind === 'nextRoom' ? mount.height : null;
}

function setHeight(assembly: Assembly, part: Hanging, height: number): void {
  if (part === 'filter') assembly.filter.hungAt = height;
  else if (part === 'separator') assembly.separator.hungAt = height;
  else if (assembly.mount.kind === 'wall' || assembly.mount.kind === 'nextRoom') {
    assembly.mount.height = height;
  }
}

/** Handlers that move what hangs: by the pointer, or a quarter inch (5 mm) by the arrow keys. */
export function useDragHeight(drawing: Drawing) {
  const system = useUnits();
  const { parts, editAssembly } = useCollector();
  const drag = useRef<{ part: Hanging; from: number; y: number } | null>(null);
  const step = system === 'us' ? toSI(0.25, 'in') : 0.005;
  const move = (part: Hanging, wanted: number) => {
    const height = Math.min(Math.max(Math.round(wanted / step) * step, 0), HIGHEST);
    editAssembly(`height of the ${part}`, (own) => setHeight(own, part, height));
  };
  return (part: Hanging) => {
    const height = heightOf(parts.assembly, part);
    if (height === null) return {};
    return {
      onPointerDown: (event: PointerEvent<SVGGElement>) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        drag.current = { part, from: height, y: event.clientY };
      },
      onPointerMove: (event: PointerEvent<SVGGElement>) => {
        const held = drag.current;
        if (held?.part !== part) return;
        move(part, held.from + (held.y - event.clientY) / drawing.scale);
      },
      onPointerUp: () => {
        drag.current = null;
      },
      onPointerCancel: () => {
        drag.current = null;
      },
      onKeyDown: (event: KeyboardEvent<SVGGElement>) => {
        const by = event.key === 'ArrowUp' ? step : event.key === 'ArrowDown' ? -step : 0;
        if (by === 0) return;
        event.preventDefault();
        move(part, height + by);
      },
    };
  };
}
