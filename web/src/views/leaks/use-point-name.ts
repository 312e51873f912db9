'use client';

import { useDuctTree } from '@/model/use-design';
import { useJournal } from '@/storage/session';

/** What a reading's test point is called: a drop by its present name, another place as it was named. */
export function usePointName(): (id: string) => string {
  const { drops } = useDuctTree();
  const testPoints = useJournal((journal) => journal.testPoints);
  return (id) => {
    const point = testPoints.find((each) => each.id === id);
    const node = point?.at.kind === 'port' ? point.at.node : id;
    return drops.find((drop) => drop.id === node)?.name ?? point?.name ?? 'an unknown place';
  };
}
