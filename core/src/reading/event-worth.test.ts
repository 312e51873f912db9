import { describe, expect, it } from 'vitest';
import { type JournalRecord, recordWith } from '../journal/journal';
import type { Reading } from '../journal/reading';
import { worthOfEvents as worthByPoint, worthTogether } from './event-worth';
import { indexOf } from './reading-index';

const vane = recordWith('instruments', { id: 'vane', name: 'Vane', kind: 'vane', accuracy: 0.03 });
const by = () => ({
  instrument: vane,
  point: undefined,
  air: { density: 1.2, viscosity: 1.82e-5 },
  roughness: 9e-5,
});

/** A reading of a flow, m³/s, on a day of January, three repeats a percent apart. */
const read = (day: number, testPoint: string, flow: number, fields: Partial<Reading> = {}) =>
  recordWith('readings', {
    id: `${testPoint} ${day}`,
    at: new Date(Date.UTC(2026, 0, day, 10)).toISOString(),
    testPoint,
    instrument: 'vane',
    quantity: 'flow',
    spot: 'average',
    diameter: 0.1,
    taken: [0.99, 1, 1.01].map((share) => ({ kind: 'value', value: share * flow })),
    unit: 'm³/s',
    openGates: [],
    note: '',
    ...fields,
  });

const worthOfEvents = (
  events: Parameters<typeof worthByPoint>[0],
  readings: readonly Reading[],
  circumstances: typeof by,
) => worthByPoint(events, indexOf(readings).byPoint, circumstances);

type Fields = Partial<JournalRecord<'events'>>;
const event = (day: number, fields: Fields = {}) =>
  recordWith('events', {
    id: `e${day}`,
    at: new Date(Date.UTC(2026, 0, day, 15)).toISOString(),
    kind: 'sealed',
    note: '',
    cost: null,
    ...fields,
  });

describe('what a change was worth', () => {
  it('is the last reading before it against the first one after, at every test point', () => {
    const readings = [
      read(1, 'planer', 0.1),
      read(3, 'planer', 0.2),
      read(8, 'planer', 0.22),
      read(20, 'planer', 0.3),
      read(3, 'saw', 0.16),
      read(9, 'saw', 0.2),
      read(3, 'lathe', 0.2),
    ];
    const [worth] = worthOfEvents([event(5, { cost: 18 })], readings, by);
    expect(worth?.points.map(({ testPoint }) => testPoint)).toEqual(['planer', 'saw']);
    expect(worth?.points.map(({ before, after }) => [before.id, after.id])).toEqual([
      ['planer 3', 'planer 8'],
      ['saw 3', 'saw 9'],
    ]);
    // 10 % and 25 %, equally sure.
    expect(worth?.overall?.ratio).toBeCloseTo(Math.sqrt(1.1 * 1.25), 6);
    expect(worth?.overall?.isSignificant).toBe(true);
    expect(worth?.gained).toBeCloseTo(0.03, 9);
    expect(worth?.costPerFlow).toBeCloseTo(18 / 0.03, 6);
    expect(worth?.promised).toBeNull();
  });

  it('is surer of two test points than of one', () => {
    const one = worthOfEvents([event(5)], [read(3, 'a', 0.2), read(8, 'a', 0.22)], by)[0]?.overall;
    const two = worthOfEvents(
      [event(5)],
      [read(3, 'a', 0.2), read(8, 'a', 0.22), read(3, 'b', 0.2), read(8, 'b', 0.22)],
      by,
    )[0]?.overall;
    const widthOf = (each: typeof one) => Math.log((each?.high ?? 0) / (each?.ratio ?? 1));
    expect(widthOf(two)).toBeCloseTo(widthOf(one) / Math.SQRT2, 9);
  });

  it('is shared with other changes between the same readings, and so is their cost', () => {
    const readings = [read(1, 'a', 0.2), read(9, 'a', 0.3)];
    const events = [event(3, { cost: 10 }), event(5, { cost: 20 }), event(12)];
    const [first, second, last] = worthOfEvents(events, readings, by);
    expect(first?.along.map(({ id }) => id)).toEqual(['e5']);
    expect(second?.along.map(({ id }) => id)).toEqual(['e3']);
    expect(first?.costPerFlow).toBeCloseTo(300, 6);
    expect(last).toMatchObject({ points: [], along: [], overall: null, gained: null });
  });

  it('that shows no gain costs nothing for each, and a loss neither', () => {
    const cost = { cost: 50 };
    const same = worthOfEvents([event(5, cost)], [read(3, 'a', 0.2), read(8, 'a', 0.201)], by)[0];
    expect(same?.overall?.isSignificant).toBe(false);
    expect(same?.costPerFlow).toBeNull();
    const less = worthOfEvents([event(5, cost)], [read(3, 'a', 0.2), read(8, 'a', 0.1)], by)[0];
    expect(less?.overall?.isSignificant).toBe(true);
    expect(less?.costPerFlow).toBeNull();
  });

  it('counts no struck-out reading, and of relative ones only percentages', () => {
    const struckOut = { at: '2026-01-09T10:00:00Z', reason: 'wrong gate' };
    const readings = [read(3, 'a', 0.2), read(8, 'a', 0.9, { struckOut }), read(9, 'a', 0.22)];
    expect(worthOfEvents([event(5)], readings, by)[0]?.points[0]?.after.id).toBe('a 9');
    const relative = { method: 'relative' } as const;
    const [worth] = worthOfEvents(
      [event(5, { cost: 5 })],
      [read(3, 'a', 0.2, relative), read(8, 'a', 0.22, relative)],
      by,
    );
    expect(worth?.overall?.ratio).toBeCloseTo(1.1, 9);
    expect(worth).toMatchObject({ gained: null, costPerFlow: null });
  });

  it('is of the airflow: a filter’s pressure that fell is no loss of air', () => {
    const pressure = { quantity: 'pressure' as const, testPoint: 'filter' };
    const readings = [
      read(3, 'a', 0.2),
      read(8, 'a', 0.22),
      read(3, 'filter', 500, pressure),
      read(8, 'filter', 250, pressure),
    ];
    const [worth] = worthOfEvents([event(5)], readings, by);
    expect(worth?.points).toHaveLength(2);
    expect(worth?.overall?.ratio).toBeCloseTo(1.1, 9);
  });

  it('stands beside what the model promised of the same test points', () => {
    const promised = [
      { testPoint: 'a', before: 0.2, after: 0.24 },
      { testPoint: 'never read', before: 0.2, after: 0.9 },
    ];
    const [worth] = worthOfEvents(
      [event(5, { promised })],
      [read(3, 'a', 0.2), read(8, 'a', 0.22)],
      by,
    );
    expect(worth?.promised).toBeCloseTo(1.2, 9);
  });
});

describe('changes together', () => {
  it('multiply: +20 % and then −10 % are +8 %', () => {
    const readings = [read(1, 'a', 0.2), read(4, 'a', 0.24), read(8, 'a', 0.216)];
    const together = worthTogether(worthOfEvents([event(2), event(6)], readings, by));
    expect(together?.ratio).toBeCloseTo(1.08, 9);
    expect(together?.count).toBe(2);
    // Their intervals add at right angles.
    const [first, second] = worthOfEvents([event(2), event(6)], readings, by);
    const half = (worth: { low: number; high: number } | null | undefined) =>
      worth ? Math.log(worth.high / worth.low) / 2 : 0;
    expect(half(together)).toBeCloseTo(Math.hypot(half(first?.overall), half(second?.overall)), 9);
  });

  it('that no readings lie between count once, and one alone is nothing to multiply', () => {
    const readings = [read(1, 'a', 0.2), read(8, 'a', 0.24)];
    const both = worthOfEvents([event(2), event(6)], readings, by);
    expect(both[0]?.overall?.ratio).toBeCloseTo(1.2, 9);
    expect(worthTogether(both)).toBeNull();
    expect(worthTogether([])).toBeNull();
  });
});
