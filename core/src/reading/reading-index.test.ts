import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { recordWith, timeOf } from '../journal/journal';
import { countAfter, indexOf, ReadingIndex } from './reading-index';

const HOUR = 3_600_000;
const BEGIN = Date.UTC(2026, 0, 1);

/** Readings some hours after the year began, at a few places, some of them struck out. */
const anyReadings = fc
  .array(
    fc.record({
      hour: fc.nat(200),
      testPoint: fc.constantFrom('saw', 'planer', 'filter'),
      isStruckOut: fc.boolean(),
    }),
    { maxLength: 40 },
  )
  .map((list) =>
    list.map(({ hour, testPoint, isStruckOut }, i) =>
      recordWith('readings', {
        ...{ id: `r${i}`, testPoint, instrument: 'm', quantity: 'flow', spot: 'average' },
        at: new Date(BEGIN + hour * HOUR).toISOString(),
        struckOut: isStruckOut ? { at: '2026-03-01T10:00:00Z', reason: 'slip' } : null,
        ...{ diameter: 0.1, unit: 'CFM', openGates: [], note: '' },
        taken: [{ kind: 'value', value: 0.2 }],
      }),
    ),
  );
const ids = (lists: ReadonlyMap<string, readonly { readonly id: string }[]>) =>
  [...lists.values()].flatMap((list) => list.map(({ id }) => id)).sort();
const isNewestFirst = (list: readonly object[]) =>
  list.every((each, i) => i === 0 || timeOf(list[i - 1] ?? {}) >= timeOf(each));

describe('an index of readings', () => {
  it('has each reading that counts once by place and once by day, the latest first', () => {
    fc.assert(
      fc.property(anyReadings, (readings) => {
        const { byPoint, byDay } = indexOf(readings);
        const counting = readings.filter(({ struckOut }) => !struckOut).map(({ id }) => id);
        expect(ids(byPoint)).toEqual(counting.toSorted());
        expect(ids(byDay)).toEqual(counting.toSorted());
        for (const lists of [byPoint, byDay]) {
          for (const list of lists.values()) expect(isNewestFirst(list)).toBe(true);
        }
        for (const [day, list] of byDay) {
          for (const { at } of list) expect(at.slice(0, 10)).toBe(day);
        }
      }),
    );
  });

  it('filled piece by piece is the one filled at once', () => {
    fc.assert(
      fc.property(anyReadings, fc.nat(40), (readings, cut) => {
        const sorted = readings.toSorted((a, b) => timeOf(b) - timeOf(a));
        const pieces = new ReadingIndex((time) => new Date(time).toISOString().slice(0, 10));
        pieces.add(sorted.slice(0, cut));
        pieces.add(sorted.slice(cut));
        expect(pieces.byPoint).toEqual(indexOf(readings).byPoint);
        expect(pieces.byDay).toEqual(indexOf(readings).byDay);
      }),
    );
  });

  it('counts those after a time as a filter does', () => {
    fc.assert(
      fc.property(anyReadings, fc.integer({ min: -1, max: 201 }), (readings, hour) => {
        const time = BEGIN + hour * HOUR;
        const sorted = readings.toSorted((a, b) => timeOf(b) - timeOf(a));
        expect(countAfter(sorted, time)).toBe(sorted.filter((each) => timeOf(each) > time).length);
      }),
    );
  });
});
