import { type Instrument, recordWith } from '@frank-gauge/core/journal';
import { nanoid } from 'nanoid';
import { record } from '@/storage/session';
import type { Place } from './use-places';
import type { ReadingFields } from './use-taking';

/** Puts a reading into the journal, with its meter and test point where those are new. */
export function logReading(
  { name, point }: Pick<Place, 'name' | 'point'>,
  instrument: Instrument,
  fields: ReadingFields,
): void {
  record(`log ${name}`, ({ instruments, testPoints, readings }) => {
    if (!instruments.some(({ id }) => id === instrument.id)) {
      instruments.push(structuredClone(instrument));
    }
    if (!testPoints.some(({ id }) => id === point.id)) testPoints.push({ ...point });
    readings.push(
      recordWith('readings', { ...fields, id: nanoid(10), at: new Date().toISOString() }),
    );
  });
}
