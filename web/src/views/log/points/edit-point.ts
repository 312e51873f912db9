import type { JournalRecord, TestPoint } from '@frank-gauge/core/journal';
import { record } from '@/storage/session';
import type { Place } from '../../parts/taking/use-places';

type Changing = { -readonly [K in keyof TestPoint]: TestPoint[K] };

/** Changes a test point; one that a drop has only by default comes into the journal with its first change. */
export function editPoint(
  { point, name }: Place,
  field: string,
  make: (own: Changing) => void,
): void {
  record(
    `${field} of ${name}`,
    ({ testPoints }) => {
      const own = testPoints.find(({ id }) => id === point.id);
      if (own) make(own);
      else {
        const made = structuredClone(point) as JournalRecord<'testPoints'>;
        make(made);
        testPoints.push(made);
      }
    },
    { merge: `test point ${point.id} ${field}` },
  );
}
