import { describe, expect, it } from 'vitest';
import { faultOfRecord } from './check-journal';
import {
  byTime,
  isRecordKind,
  type JournalRecord,
  migrateRecord,
  type RecordFields,
  timeOf,
} from './journal';

const event = (id: string, at: string) => ({ id, at }) as unknown as JournalRecord;

describe('records', () => {
  it('are told apart by their kinds’ names alone', () => {
    expect(isRecordKind('readings')).toBe(true);
    for (const kind of ['thoughts', 'toString', '', 7, null, undefined, ['readings']]) {
      expect(isRecordKind(kind)).toBe(false);
    }
  });

  it('have a time in milliseconds, or none', () => {
    expect(timeOf({ at: '1970-01-01T00:00:01Z' })).toBe(1000);
    expect(timeOf({})).toBe(0);
    expect(timeOf({ at: { kind: 'port', node: 'n' } })).toBe(0);
  });

  it('are ordered by time, and by id where they share a time', () => {
    const early = event('z', '2026-01-01T10:00:00Z');
    const late = event('a', '2026-01-02T10:00:00Z');
    const twin = event('b', '2026-01-02T10:00:00Z');
    const sorted = [early, late, twin];
    expect([twin, late, early].sort(byTime)).toEqual(sorted);
    expect([late, early, twin].sort(byTime)).toEqual(sorted);
    expect(byTime(late, twin)).toBeLessThan(0);
    expect(byTime(twin, late)).toBeGreaterThan(0);
    expect(byTime(late, { ...late })).toBe(0);
  });

  it('are brought from one version to another by the steps between, and by no other', () => {
    const old = { id: 'r', node: 'port', place: 'Saw' };
    const now = { id: 'r', testPoint: 'port' };
    expect(migrateRecord('readings', old, 4, 5)).toEqual(now);
    expect(migrateRecord('readings', old, 3, 6)).toEqual(now);
    expect(migrateRecord('readings', old, 4, 4)).toBe(old);
    expect(migrateRecord('readings', old, 3, 4)).toBe(old);
    expect(migrateRecord('readings', now, 5, 6)).toBe(now);
  });
});

describe('a traverse', () => {
  const taken = (count: number) =>
    Array.from({ length: count }, () => ({ kind: 'value' as const, value: 20 }));
  const faultOf = (fields: Partial<RecordFields<'readings'>>) =>
    faultOfRecord('readings', {
      id: 'r',
      at: '2026-01-01T10:00:00Z',
      testPoint: 'p',
      instrument: 'm',
      quantity: 'velocity',
      spot: 'traverse',
      traverse: { points: 6, diameters: 2 },
      diameter: 0.1,
      taken: taken(12),
      unit: 'm/s',
      openGates: [],
      note: '',
      ...fields,
    })?.message;

  it('has a value for each of its points, once or several times over', () => {
    expect(faultOf({})).toBeUndefined();
    expect(faultOf({ taken: taken(24) })).toBeUndefined();
    expect(faultOf({ taken: taken(11) })).toBe('a traverse has a value for each of its points');
  });

  it('says of how many points it is, and nothing else does', () => {
    expect(faultOf({ traverse: null })).toContain('of how many points');
    expect(faultOf({ spot: 'average' })).toContain('of how many points');
    expect(faultOf({ spot: 'average', traverse: null, taken: taken(3) })).toBeUndefined();
  });
});
