import { type JournalRecord, type Reading, recordWith } from '@frank-gauge/core/journal';
import { indexOf } from '@frank-gauge/core/reading';
import { describe, expect, it } from 'vitest';
import { MOST_DRAWN, trendOf as trendOfLatest } from './series';

const vane = recordWith('instruments', { id: 'vane', name: 'Vane', kind: 'vane', accuracy: 0.03 });
const by = () => ({
  instrument: vane,
  point: undefined,
  air: { density: 1.2, viscosity: 1.82e-5 },
  roughness: 9e-5,
});

const trendOf = (readings: readonly Reading[], circumstances: typeof by) =>
  trendOfLatest(indexOf(readings).byPoint.get('planer') ?? [], circumstances);

type Fields = Partial<JournalRecord<'readings'>>;
const reading = (day: number, values: readonly number[], fields: Fields = {}) =>
  recordWith('readings', {
    id: `r${day}`,
    at: new Date(Date.UTC(2026, 0, day, 12)).toISOString(),
    testPoint: 'planer',
    instrument: 'vane',
    quantity: 'flow',
    spot: 'average',
    diameter: 0.1,
    taken: values.map((value) => ({ kind: 'value', value })),
    unit: 'm³/s',
    openGates: [],
    note: '',
    ...fields,
  });

describe('the trend of a test point', () => {
  it('is its readings in order of time, each with its interval', () => {
    const trend = trendOf([reading(9, [0.3, 0.3]), reading(2, [0.2, 0.2])], by);
    expect(trend?.quantity).toBe('flow');
    expect(trend?.points.map(({ id }) => id)).toEqual(['r2', 'r9']);
    expect(trend?.points[0]?.value).toBeCloseTo(0.2, 12);
    expect(trend?.points[0]?.uncertainty).toBeCloseTo(0.03 * 0.2, 9);
  });

  it('draws bounds as bounds, and leaves struck-out readings out', () => {
    const over = { taken: [{ kind: 'over' as const, limit: 0.25 }] };
    const struckOut = { struckOut: { at: '2026-01-09T10:00:00Z', reason: 'slip' } };
    const trend = trendOf(
      [reading(2, [0.2]), reading(3, [9], struckOut), reading(4, [], over)],
      by,
    );
    expect(trend?.points.map(({ bound, uncertainty }) => [bound, uncertainty === null])).toEqual([
      [null, false],
      ['at least', true],
    ]);
  });

  it('never mixes methods or quantities: the latest says which series it is', () => {
    const relative = { method: 'relative' as const };
    const mixed = [
      reading(1, [0.2]),
      reading(2, [0.4, 0.4], relative),
      reading(3, [0.5, 0.5], relative),
    ];
    const trend = trendOf(mixed, by);
    expect(trend).toMatchObject({ quantity: 'share', leftOut: 1 });
    expect(trend?.points.map(({ value }) => value)).toEqual([1, 1.25]);
    const pressures = trendOf([reading(1, [0.2]), reading(2, [500], { quantity: 'pressure' })], by);
    expect(pressures).toMatchObject({ quantity: 'pressure', leftOut: 1 });
  });

  it('is of the latest readings where there are very many, and says how many more there are', () => {
    const many = Array.from({ length: 320 }, (_, i) => ({
      ...reading(1, [0.2]),
      id: `r${i}`,
      at: new Date(Date.UTC(2020, 0, 1 + i, 12)).toISOString(),
    }));
    const trend = trendOf(many, by);
    expect(trend?.points).toHaveLength(MOST_DRAWN);
    expect(trend?.points.at(-1)?.id).toBe('r319');
    expect(trend?.earlier).toBe(320 - MOST_DRAWN);
  });

  it('is nothing without readings that count', () => {
    expect(trendOf([], by)).toBeNull();
  });
});
