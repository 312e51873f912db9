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

/** True inside diameter at a place, m: as it was measured, else the port's; null: it is in no duct that is known. */
export const insideOf = ({ point, drop }: Pick<Place, 'point' | 'drop'>): number | null =>
  point.insideDiameter ?? drop?.port.diameter ?? null;

/** Inside diameter of a reading in no duct, m: it plays no part. */
export const DIAMETER_OF_NO_DUCT = 0.1;

/** Where a test point is before anyone says: at the height of a bench, in the corner of the room. */
export const SOMEWHERE = { kind: 'place', point: { x: 0, y: 0, z: 1.5 } } as const;

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
