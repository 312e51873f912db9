'use client';

import type { DuctTree } from '@frank-gauge/core';
import { chooseDrop, choosePart } from '@/store/choices';

/** Opens a machine, the collector or a run; a machine's drop, or a drop, is explained from now on. */
export function chooseThing(shop: string, { drops }: DuctTree, id: string): void {
  choosePart(shop, id);
  const drop = drops.find(({ machine, path }) => machine.id === id || path[0]?.id === id);
  if (drop) chooseDrop(shop, drop.id);
}
