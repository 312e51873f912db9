'use client';

import type { Drop } from '@frank-gauge/core/design';
import type { TestPoint } from '@frank-gauge/core/journal';
import { pointOfDrop } from '@frank-gauge/core/reading';
import { useMemo } from 'react';
import { useDuctTree } from '@/model/use-design';
import { useJournal } from '@/storage/session';

/** A place a reading can be taken at: a drop's port, or a test point elsewhere. */
export interface Place {
  readonly id: string;
  readonly name: string;
  readonly drop: Drop | null;
  readonly point: TestPoint;
}

/** Every drop in the order of the ducts, then the test points elsewhere. */
export function usePlaces(): readonly Place[] {
  const { drops } = useDuctTree();
  const testPoints = useJournal((journal) => journal.testPoints);
  return useMemo(() => {
    const ports = drops.map((drop): Place => {
      const own = testPoints.find(({ at }) => at.kind === 'port' && at.node === drop.id);
      return { id: drop.id, name: drop.name, drop, point: own ?? pointOfDrop(drop) };
    });
    const others = testPoints
      .filter(({ at }) => at.kind !== 'port')
      .map((point): Place => ({ id: point.id, name: point.name, drop: null, point }));
    return [...ports, ...others];
  }, [drops, testPoints]);
}

export const nextPlace = (places: readonly Place[], place: Place): Place =>
  places[(places.findIndex(({ id }) => id === place.id) + 1) % places.length] ?? place;
