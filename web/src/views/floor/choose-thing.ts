'use client';

import type { DuctTree } from '@frank-gauge/core/design';
import { useCallback, useRef } from 'react';
import { useDesign, useDuctTree } from '@/model/use-design';
import { chooseDrop, choosePart } from '@/storage/choices';

/** Opens a machine, the collector or a run; a machine's drop, or a drop, is explained from now on. */
export function chooseThing(shop: string, { drops }: DuctTree, id: string): void {
  choosePart(shop, id);
  const drop = drops.find(({ machine, path }) => machine.id === id || path[0]?.id === id);
  if (drop) chooseDrop(shop, drop.id);
}

/** `chooseThing` in the open shop: one function as long as the view stands. */
export function useChooseThing(): (id: string) => void {
  const shop = useDesign();
  const tree = useDuctTree();
  const latest = useRef({ shop, tree });
  latest.current = { shop, tree };
  return useCallback(
    (id: string) => chooseThing(latest.current.shop.id, latest.current.tree, id),
    [],
  );
}
