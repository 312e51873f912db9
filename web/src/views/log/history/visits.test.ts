import { type Reading, type Round, recordWith } from '@frank-gauge/core/journal';
import { indexOf } from '@frank-gauge/core/reading';
import { describe, expect, it } from 'vitest';
import { byPoint, visitsOf as visitsOfDays } from './visits';

const visitsOf = (readings: readonly Reading[], rounds: readonly Round[]) =>
  visitsOfDays(indexOf(readings).byDay, rounds);

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
    const visits = visitsOf(
      [reading('bb', '2026-11-07'), reading('a', '2026-11-07', 'saw'), reading('c', '2026-09-13')],
      [],
    );
    expect(visits.map(({ day }) => day)).toEqual(['2026-11-07', '2026-09-13']);
    expect(visits[0]?.readings.map(({ id }) => id)).toEqual(['a', 'bb']);
    const [first] = visits;
    if (!first) throw new Error('no visit');
    expect([...byPoint(first).keys()]).toEqual(['saw', 'planer']);
  });

  it('are none where all readings of the day are struck out', () => {
    expect(visitsOf([reading('a', '2026-11-07', 'saw', true)], [])).toEqual([]);
    expect(visitsOf([], [])).toEqual([]);
  });

  it('of a day with more than one round are the day and each of its rounds', () => {
    const rounds = ['r1', 'r2'].map((id) =>
      recordWith('rounds', { id, at: '2026-11-07T12:00:00Z', by: id }),
    );
    const of = (id: string, round: string | null) => ({ ...reading(id, '2026-11-07'), round });
    const visits = visitsOf([of('ccc', 'r2'), of('bb', 'r1'), of('a', 'r1')], rounds);
    expect(visits.map(({ key, readings }) => [key, readings.map(({ id }) => id)])).toEqual([
      ['2026-11-07', ['a', 'bb', 'ccc']],
      ['r2', ['ccc']],
      ['r1', ['a', 'bb']],
    ]);
    // One round alone is its day.
    expect(visitsOf([of('a', 'r1'), of('bb', null)], rounds)).toHaveLength(1);
  });
});
