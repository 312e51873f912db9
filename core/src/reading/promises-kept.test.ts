import { describe, expect, it } from 'vitest';
import { recordWith } from '../journal/journal';
import { chanceOf } from '../simulate/chance';
import { worthOfEvents } from './event-worth';
import { promisesKept } from './promises-kept';
import { indexOf } from './reading-index';

const vane = recordWith('instruments', { id: 'vane', name: 'Vane', kind: 'vane', accuracy: 0.03 });
const by = () => ({
  instrument: vane,
  point: undefined,
  air: { density: 1.2, viscosity: 1.82e-5 },
  roughness: 9e-5,
});
const on = (day: number, hour: number) => new Date(Date.UTC(2026, 0, day, hour)).toISOString();

const read = (day: number, testPoint: string, repeats: readonly number[]) =>
  recordWith('readings', {
    ...{ id: `${testPoint} ${day}`, at: on(day, 10), testPoint, instrument: 'vane' },
    ...{ quantity: 'flow', spot: 'average', diameter: 0.1, unit: 'm³/s', openGates: [], note: '' },
    taken: repeats.map((value) => ({ kind: 'value', value })),
  });
const around = (value: number) => [0.99, 1, 1.01].map((share) => share * value);

/** A change with what was promised of test points, as after over before. */
const change = (day: number, promised: Readonly<Record<string, number>>) =>
  recordWith('events', {
    ...{ id: `e${day}`, at: on(day, 15), kind: 'sealed', note: '', cost: null },
    promised: Object.entries(promised).map(([testPoint, ratio]) => ({
      ...{ testPoint, before: 0.2, after: 0.2 * ratio },
    })),
  });

const recordOf = (
  events: readonly ReturnType<typeof change>[],
  readings: readonly ReturnType<typeof read>[],
) => promisesKept(worthOfEvents(events, indexOf(readings).byPoint, by));

describe('a promise', () => {
  it('is kept where it lies within what was measured, and broken where it does not', () => {
    const readings = [read(1, 'a', around(0.2)), read(9, 'a', around(0.24))];
    const [kept] = recordOf([change(5, { a: 1.19 })], readings).held;
    expect(kept).toMatchObject({ promised: expect.closeTo(1.19, 9), isKept: true });
    expect(kept?.measured.ratio).toBeCloseTo(1.2, 6);
    expect(recordOf([change(5, { a: 1.4 })], readings).held[0]?.isKept).toBe(false);
  });

  it('waits until its drops are read again', () => {
    const { held, waiting } = recordOf([change(5, { a: 1.2 })], [read(1, 'a', around(0.2))]);
    expect(held).toEqual([]);
    expect(waiting.map(({ id }) => id)).toEqual(['e5']);
  });

  it('is not judged by readings that another change lies between too', () => {
    const readings = [read(1, 'a', around(0.2)), read(9, 'a', around(0.24))];
    const { held, mixed } = recordOf([change(4, { a: 1.1 }), change(5, { a: 1.1 })], readings);
    expect(held).toEqual([]);
    expect(mixed.map(({ id }) => id)).toEqual(['e5', 'e4']);
  });

  it('is nothing a change without one has', () => {
    const record = recordOf(
      [change(5, {})],
      [read(1, 'a', around(0.2)), read(9, 'a', around(0.2))],
    );
    expect(record).toEqual({ held: [], waiting: [], mixed: [] });
  });

  it('that is true is kept about 19 times in 20', () => {
    const { normal, uniform } = chanceOf(2026);
    const MANY = 300;
    let kept = 0;
    for (let i = 0; i < MANY; i++) {
      const ratio = 1 + 0.4 * uniform();
      const scattered = (value: number) => [0, 1, 2].map(() => value * Math.exp(0.025 * normal()));
      const readings = [read(1, 'a', scattered(0.2)), read(9, 'a', scattered(0.2 * ratio))];
      kept += recordOf([change(5, { a: ratio })], readings).held[0]?.isKept ? 1 : 0;
    }
    expect(kept / MANY).toBeGreaterThan(0.91);
    expect(kept / MANY).toBeLessThanOrEqual(1);
  });
});
