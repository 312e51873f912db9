import { recordWith } from '@frank-gauge/core/journal';
import { describe, expect, it } from 'vitest';
import { byPoint, visitsOf } from './visits';

// Noon, so that it is the same day wherever this runs between UTC−11 and UTC+11.
const reading = (id: string, day: string, testPoint = 'planer', isStruckOut = false) =>
  recordWith('readings', {
    id,
    at: `${day}T12:0${id.length}:00Z`,
    testPoint,
    instrument: 'm',
    quantity: 'flow',
    spot: 'average',
    diameter: 0.1,
    taken: [{ kind: 'value', value: 0.2 }],
    unit: 'CFM',
    openGates: [],
    struckOut: isStruckOut ? { at: `${day}T13:00:00Z`, reason: 'slip' } : null,
    note: '',
  });

describe('visits', () => {
  it('are the days readings were taken on, the latest first, each in order of time', () => {
    const visits = visitsOf([
      reading('bb', '2026-11-07'),
      reading('a', '2026-11-07', 'saw'),
      reading('c', '2026-09-13'),
    ]);
    expect(visits.map(({ day }) => day)).toEqual(['2026-11-07', '2026-09-13']);
    expect(visits[0]?.readings.map(({ id }) => id)).toEqual(['a', 'bb']);
    expect([...byPoint(visits[0] ?? { day: '', readings: [] }).keys()]).toEqual(['saw', 'planer']);
  });

  it('are none where all readings of the day are struck out', () => {
    expect(visitsOf([reading('a', '2026-11-07', 'saw', true)])).toEqual([]);
    expect(visitsOf([])).toEqual([]);
  });
});
