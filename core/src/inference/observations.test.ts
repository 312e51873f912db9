import { describe, expect, it } from 'vitest';
import { threeBranchShop } from '../../reference/sample-shops';
import { gatesOfDrop } from '../analysis/gate-sets';
import { recordWith } from '../journal/journal';
import type { Reading } from '../journal/reading';
import { pointOfDrop } from '../reading/point-of-drop';
import { arrangeDucts } from '../routing/arrange-ducts';
import { weighReadings } from './observations';

const shop = threeBranchShop();
const arranged = arrangeDucts(shop);
if (!arranged.ok) throw new Error('no tree');
const { tree } = arranged;
const [drop] = tree.drops;
if (!drop) throw new Error('no drop');
const point = pointOfDrop(drop);
const gates = [...gatesOfDrop(drop)];
const vane = recordWith('instruments', {
  ...{ id: 'vane', name: 'Vane', kind: 'vane', accuracy: 0.03, resolution: 0.001 },
});
const air = { density: 1.2, viscosity: 1.82e-5 };
let count = 0;
const read = (values: readonly number[], fields: Partial<Reading> = {}) =>
  recordWith('readings', {
    id: `r${count++}`,
    at: '2026-01-01T10:00:00Z',
    testPoint: point.id,
    instrument: 'vane',
    quantity: 'flow',
    spot: 'average',
    diameter: 0.1,
    taken: values.map((value) => ({ kind: 'value', value })),
    unit: 'm³/s',
    openGates: gates,
    note: '',
    ...fields,
  });
const weigh = (...readings: Reading[]) =>
  weighReadings(
    shop,
    tree,
    readings,
    ({ testPoint }) => (testPoint === point.id ? point.at : null),
    () => ({ instrument: vane, point, air, roughness: 9e-5 }),
  );
const why = (...readings: Reading[]) => weigh(...readings).setAside.map((each) => each.why);

describe('readings as evidence', () => {
  it('count each, also two of one drop, by the logarithm of what they measured', () => {
    const { observations, setAside } = weigh(read([0.2, 0.2, 0.2]), read([0.19, 0.19, 0.19]));
    expect(setAside).toEqual([]);
    expect(observations.map(({ ln }) => Math.exp(ln))).toEqual([
      expect.closeTo(0.2, 9),
      expect.closeTo(0.19, 9),
    ]);
    const [first, second] = observations;
    expect(first?.meterSigma).toBeCloseTo(0.03 / 1.96, 9);
    // One meter on one day: what it does wrong, both share.
    expect(first?.meter).toBe(second?.meter);
    expect(weigh(read([0.2], { at: '2026-02-01T10:00:00Z' })).observations[0]?.meter).not.toBe(
      first?.meter,
    );
  });

  it('scatter as all the shop’s repeats do together', () => {
    const steady = weigh(...Array.from({ length: 8 }, () => read([0.2, 0.2, 0.2]))).observations;
    const unsteady = weigh(
      ...Array.from({ length: 8 }, () => read([0.18, 0.2, 0.22])),
    ).observations;
    expect(unsteady[0]?.sigma).toBeGreaterThan(1.5 * (steady[0]?.sigma ?? 0));
    // One repeat is less sure than three.
    const [one] = weigh(read([0.2])).observations;
    const [three] = weigh(read([0.2, 0.2, 0.2])).observations;
    expect(one?.sigma).toBeGreaterThan(three?.sigma ?? 1);
  });

  it('beyond the range of the meter are bounds', () => {
    const over = read([], { taken: [{ kind: 'over', limit: 0.25 }] });
    expect(weigh(over).observations[0]).toMatchObject({
      bound: 'at least',
      ln: expect.closeTo(Math.log(0.25), 9),
    });
  });

  it('that cannot be weighed are set aside with the reason, and the rest still used', () => {
    const struckOut = { at: '2026-01-02T10:00:00Z', reason: 'slip' };
    const good = read([0.2, 0.2]);
    const found = weigh(
      good,
      read([0.2], { struckOut }),
      read([0.2], { method: 'relative' }),
      read([900], { quantity: 'rotation' }),
      read([0.2], { testPoint: 'gone' }),
      read([0.2], { openGates: ['gone'] }),
      read([0]),
      read([], {
        taken: [
          { kind: 'over', limit: 0.3 },
          { kind: 'under', limit: 0.01 },
        ],
      }),
    );
    expect(found.observations.map(({ reading }) => reading.id)).toEqual([good.id]);
    expect(found.setAside.map((each) => each.why)).toEqual([
      'struck out',
      'says nothing of the air',
      'says nothing of the air',
      'place unknown',
      'gate unknown',
      'no value',
      'no value',
    ]);
  });

  it('a factor apart at one place with the same gates contradict each other: the odd one, or both of two', () => {
    expect(why(read([0.2]), read([0.4]))).toEqual(['contradicts another', 'contradicts another']);
    const odd = read([0.8]);
    const { observations, setAside } = weigh(read([0.2]), odd, read([0.21]));
    expect(setAside).toEqual([{ reading: odd, why: 'contradicts another' }]);
    expect(observations).toHaveLength(2);
    // With other gates open they may well be.
    expect(why(read([0.2]), read([0.4], { openGates: [] }))).toEqual([]);
  });
});
