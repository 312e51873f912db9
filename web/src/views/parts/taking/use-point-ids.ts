'use client';

import { useMemo } from 'react';
import { useJournal } from '@/storage/session';

/** The id of the test point at a drop's port: its own, or the one it gets with its first reading. */
export function usePointIds(): (drop: string) => string {
  const testPoints = useJournal((journal) => journal.testPoints);
  return useMemo(() => {
    const known = new Map(
      testPoints.flatMap(({ id, at }) => (at.kind === 'port' ? [[at.node, id] as const] : [])),
    );
    return (drop) => known.get(drop) ?? drop;
  }, [testPoints]);
}
