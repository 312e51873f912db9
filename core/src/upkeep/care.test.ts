import { describe, expect, it } from 'vitest';
import { recordWith } from '../journal/journal';
import { indexOf } from '../reading/reading-index';
import { careWorths, cleaningsLeft } from './care';
import type { FilterPressure } from './pressure-trend';

const vane = recordWith('instruments', { id: 'vane', name: 'Vane', kind: 'vane', accuracy: 0.03 });
const by = () => ({
  instrument: vane,
  point: undefined,
  air: { density: 1.2, viscosity: 1.82e-5 },
  roughness: 9e-5,
});

const on = (day: number) => Date.UTC(2026, 0, day, 12);
const read = (day: number, flow: number) =>
  recordWith('readings', {
    ...{ id: `r${day}`, at: new Date(on(day)).toISOString(), testPoint: 'saw', instrument: 'vane' },
    ...{ quantity: 'flow', spot: 'average', diameter: 0.1, unit: 'm³/s', openGates: [], note: '' },
    taken: [0.99, 1, 1.01].map((share) => ({ kind: 'value', value: share * flow })),
  });
const event = (day: number, kind: 'emptied' | 'cleaned' | 'filter replaced' | 'sealed') =>
  recordWith('events', {
    ...{ id: `${kind} ${day}`, at: new Date(on(day)).toISOString(), kind, note: '', cost: null },
  });
const across = (day: number, pressure: number): FilterPressure => ({
  ...{ at: on(day), pressure, uncertainty: 0.02 * pressure },
});

describe('what care brought', () => {
  it('is the airflow before and after, the latest first; a full bin cost what emptying gave back', () => {
    const { byPoint } = indexOf([read(1, 0.2), read(5, 0.18), read(7, 0.2), read(20, 0.22)]);
    const events = [event(2, 'sealed'), event(6, 'emptied'), event(15, 'cleaned')];
    const worths = careWorths(events, byPoint, by, []);
    expect(worths.map(({ event: { kind } }) => kind)).toEqual(['cleaned', 'emptied']);
    expect(worths[0]?.airflow?.ratio).toBeCloseTo(1.1, 6);
    expect(worths[1]?.airflow?.ratio).toBeCloseTo(1 / 0.9, 6);
    expect(worths[1]?.airflow?.isSignificant).toBe(true);
    expect(worths.map(({ along }) => along)).toEqual([0, 0]);
  });

  it('is not known where nothing was read on both sides', () => {
    const { byPoint } = indexOf([read(1, 0.2)]);
    expect(careWorths([event(6, 'emptied')], byPoint, by, [])[0]?.airflow).toBeNull();
  });

  it('is the pressure across the filter on both sides, and not beyond another cleaning', () => {
    const pressures = [across(1, 300), across(9, 500), across(11, 350), across(30, 600)];
    const events = [event(10, 'cleaned'), event(20, 'cleaned'), event(25, 'cleaned')];
    const { byPoint } = indexOf([]);
    const worths = careWorths(events, byPoint, by, pressures);
    expect(worths.map(({ pressure }) => pressure)).toEqual([
      null,
      null,
      { before: 500, after: 350 },
    ]);
  });
});

describe('how far cleaning still gets a filter', () => {
  // New on day 1 at 300 Pa; each cleaning leaves 50 Pa more than the one before.
  const events = [
    event(1, 'filter replaced'),
    event(31, 'cleaned'),
    event(61, 'cleaned'),
    event(91, 'cleaned'),
  ];
  const pressures = [
    across(2, 300),
    ...[30, 60, 90].flatMap((day, i) => [across(day, 800), across(day + 2, 350 + 50 * i)]),
  ];

  it('is told by what each cleaning left: it rises by a line to where it is due', () => {
    const left = cleaningsLeft(events, pressures, 800);
    expect(left?.risen).toBeCloseTo(450 / 300, 9);
    // By hand: 50 Pa in 30 days from 300 Pa on day 2: 500 Pa more take 300 days.
    const day = ((left?.worn?.at ?? 0) - on(0)) / 86_400_000;
    expect(day).toBeCloseTo(302, 0);
    expect(left?.worn?.from).toBeLessThan(left?.worn?.at ?? 0);
  });

  it('begins anew with a new filter', () => {
    const later = [...events, event(100, 'filter replaced')];
    expect(cleaningsLeft(later, pressures, 800)).toBeNull();
    const read = [...pressures, across(101, 310)];
    expect(cleaningsLeft(later, read, 800)).toBeNull();
    const cleaned = cleaningsLeft(
      [...later, event(130, 'cleaned')],
      [...read, across(131, 341)],
      800,
    );
    expect(cleaned).toEqual({ risen: expect.closeTo(1.1, 9), worn: null });
  });

  it('says nothing where pressures were never read', () => {
    expect(cleaningsLeft(events, [], 800)).toBeNull();
    expect(cleaningsLeft([], pressures.slice(0, 1), null)).toBeNull();
  });
});
