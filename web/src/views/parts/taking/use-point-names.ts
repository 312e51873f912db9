'use client';

import { useMemo } from 'react';
import { useDuctTree } from '@/model/use-design';
import { useJournal } from '@/storage/session';

/**
 * What each test point is called: its drop as it is called now, or as it was when there was one. One map by
 * identity as long as nothing is called otherwise.
 */
export function usePointNames(): ReadonlyMap<string, string> {
  const { drops } = useDuctTree();
  const testPoints = useJournal((journal) => journal.testPoints);
  const called = JSON.stringify(drops.map(({ id, name }) => [id, name]));
  return useMemo(() => {
    const dropNames = new Map<string, string>(JSON.parse(called));
    return new Map(
      testPoints.map(({ id, name, at }) => {
        if (at.kind !== 'port') return [id, name];
        return [id, dropNames.get(at.node) ?? `${name} (gone)`];
      }),
    );
  }, [testPoints, called]);
}
