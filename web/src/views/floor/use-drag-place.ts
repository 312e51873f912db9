'use client';

import type { Spot } from '@frank-gauge/core';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { useSolvedShop } from '../frame/solved-shop';
import { GRID } from './ducts/duct-handles';
import { moveTo, turnBy } from './edit-things';
import { hold } from './floor-look';
import type { PlanDrawing } from './plan-drawing';
import type { Thing } from './use-standing';

const QUARTER = Math.PI / 2;
const TWELFTH = Math.PI / 12;

const WAYS: Readonly<Record<string, Spot>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: 1 },
  ArrowDown: { x: 0, y: -1 },
};

/**
 * Handlers that move what stands: by the pointer, snapping to the grid; by the arrow keys, a step of
 * it at a time, ten with shift; R turns it by a quarter, shift and R by 15°.
 */
export function useDragPlace({ scale }: PlanDrawing) {
  const { system } = useSolvedShop();
  const drag = useRef<{ id: string; from: Spot; x: number; y: number } | null>(null);
  const grid = GRID[system];
  const snapped = (value: number) => Math.round(value / grid) * grid;
  const letGo = () => {
    drag.current = null;
    hold(false);
  };
  return ({ id, block }: Thing) => ({
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      hold(true);
      drag.current = { id, from: block.at, x: event.clientX, y: event.clientY };
    },
    onPointerMove: (event: PointerEvent<SVGGElement>) => {
      const held = drag.current;
      if (held?.id !== id) return;
      const by = { x: (event.clientX - held.x) / scale, y: (held.y - event.clientY) / scale };
      const to = { x: snapped(held.from.x + by.x), y: snapped(held.from.y + by.y) };
      const isMoved = Math.hypot(event.clientX - held.x, event.clientY - held.y) > 3;
      if (isMoved && (to.x !== block.at.x || to.y !== block.at.y)) moveTo(id, to);
    },
    onPointerUp: letGo,
    onPointerCancel: letGo,
    onKeyDown: (event: KeyboardEvent<SVGGElement>) => {
      const way = WAYS[event.key];
      if (way) {
        event.preventDefault();
        const step = grid * (event.shiftKey ? 10 : 1);
        moveTo(id, { x: block.at.x + way.x * step, y: block.at.y + way.y * step });
      } else if (event.key.toLowerCase() === 'r' && !event.ctrlKey && !event.metaKey) {
        event.preventDefault();
        turnBy(id, event.shiftKey ? TWELFTH : QUARTER);
      }
    },
  });
}
