import { type Reading, recordWith } from '@frank-gauge/core/journal';
import { describe, expect, it } from 'vitest';
import { rowsByDay } from './rows-by-day';

const reading = (id: string, at: string, note = ''): Reading =>
  recordWith('readings', {
    id,
    at,
    testPoint: 'p',
    instrument: 'm',
    quantity: 'flow',
    spot: 'average',
    diameter: 0.1,
    taken: [{ kind: 'value', value: 0.2 }],
    unit: 'cfm',
    openGates: [],
    note,
  });

describe('rows of the log', () => {
  it('name each day once, above its readings, and put a note under its reading', () => {
    // Noon, so that it is the same day wherever this runs between UTC−11 and UTC+11.
    const rows = rowsByDay([
      reading('c', '2026-11-07T12:10:00Z'),
      reading('b', '2026-11-07T12:00:00Z', 'Gate stuck.'),
      reading('a', '2026-09-13T12:00:00Z'),
    ]);
    expect(rows.map(({ kind, key }) => `${kind}: ${key}`)).toEqual([
      'day: day c',
      'reading: c',
      'reading: b',
      'note: note b',
      'day: day a',
      'reading: a',
    ]);
  });

  it('are none without readings', () => {
    expect(rowsByDay([])).toEqual([]);
  });
});
