'use client';

import { BLOWER_CLASSES, type BlowerClassId } from '@frank-gauge/core/collector';
import { useMemo } from 'react';
import { useDesign, useDuctTree } from '@/model/use-design';
import type { WorkNames } from '@/words/improvement-words';

const isClass = (id: string): id is BlowerClassId => Object.hasOwn(BLOWER_CLASSES, id);

/** What the places of improvements are called in the open shop. */
export function useWorkNames(): WorkNames {
  const runs = useDesign((shop) => shop.ducts.runs);
  const candidates = useDesign((shop) => shop.candidates);
  const machines = useDesign((shop) => shop.machines);
  const { drops } = useDuctTree();
  return useMemo(
    () => ({
      run: (id) => runs.find((run) => run.id === id)?.name ?? id,
      machine: (id) => machines.find((each) => each.id === id)?.name ?? id,
      drop: (id) => drops.find((drop) => drop.id === id)?.name ?? id,
      candidate: (id) => candidates.find((each) => each.id === id)?.name ?? id,
      blower: (id) => (isClass(id) ? BLOWER_CLASSES[id].name : id),
    }),
    [runs, drops, candidates, machines],
  );
}
