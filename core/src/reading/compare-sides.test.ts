import { describe, expect, it } from 'vitest';
import { recordWith } from '../journal/journal';
import type { Reading, Taken } from '../journal/reading';
import type { Circumstances } from '../measuring/corrections';
import { type ComparedSides, compareSides } from './compare-sides';

const meter = (id: string, accuracy = 0.03) =>
  recordWith('instruments', { id, name: id, kind: 'vane', accuracy });
const METERS = new Map(['vane', 'other'].map((id) => [id, meter(id)]));

const by = ({ instrument }: Reading): Circumstances => ({
  instrument: METERS.get(instrument),
  point: undefined,
  air: { density: 1.2, viscosity: 1.82e-5 },
  roughness: 9e-5,
});

const values = (...each: number[]): Taken[] => each.map((value) => ({ kind: 'value', value }));

const reading = (taken: readonly Taken[], fields: Partial<Reading> = {}): Reading =>
  recordWith('readings', {
    id: 'r',
    at: '2026-01-01T10:00:00Z',
    testPoint: 'planer',
    instrument: 'vane',
    quantity: 'velocity',
    spot: 'average',
    diameter: 0.1,
    taken: [...taken],
    unit: 'm/s',
    openGates: [],
    note: '',
    ...fields,
  });

const compare = (before: readonly Reading[], after: readonly Reading[]): ComparedSides =>
  compareSides({ readings: before, by }, { readings: after, by });

const was = values(20, 20.2, 19.8);
const is = values(22, 22.2, 21.8);

/** Half the width of the interval, as a natural logarithm. */
const widthOf = (compared: ComparedSides) =>
  compared.kind === 'change' ? Math.log(compared.high / compared.ratio) : Number.NaN;

describe('before and after', () => {
  it('with one meter at one place, held one way: the meter’s error cancels, absolute or relative', () => {
    for (const method of ['absolute', 'relative'] as const) {
      const compared = compare([reading(was, { method })], [reading(is, { method })]);
      expect(compared).toMatchObject({ kind: 'change', isShared: true, isSignificant: true });
      expect(compared.kind === 'change' && compared.ratio).toBeCloseTo(1.1, 9);
      // 2.5 % of the scatter, 2 % of holding it by hand each time, and none of the meter’s 3 %.
      expect(widthOf(compared)).toBeLessThan(Math.hypot(0.025, 0.02, 0.02));
    }
  });

  it('with two meters is as sure as both of them', () => {
    const compared = compare([reading(was)], [reading(is, { instrument: 'other' })]);
    expect(compared).toMatchObject({ kind: 'change', isShared: false });
    expect(widthOf(compared)).toBeGreaterThan(Math.hypot(0.03, 0.03));
  });

  it('near against far: one meter’s own error cancels, how it stands in each pipe does not', () => {
    const centre = { spot: 'centre' } as const;
    const apart = compare([reading(was, centre)], [reading(is, { ...centre, testPoint: 'saw' })]);
    // The profile at either place, 6 % each, held by hand, 2 % each, and no 3 % of the meter.
    const ofProfile = Math.hypot(0.06, 0.06, 0.02, 0.02);
    expect(widthOf(apart)).toBeGreaterThan(ofProfile);
    expect(widthOf(apart)).toBeLessThan(Math.hypot(ofProfile, 0.03));
  });

  it('by their airflow, whatever was shown: velocities and velocity pressures compare', () => {
    // 20 m/s is 240 Pa of velocity pressure in air of 1.2 kg/m³.
    const pressures = reading(values(240, 240, 240), { quantity: 'velocity pressure' });
    const compared = compare([reading(was)], [pressures]);
    expect(compared.kind === 'change' && compared.ratio).toBeCloseTo(1, 6);
  });
});

it('is surer where a jig holds the meter', () => {
  const held = (holding: string) => (each: Reading) => ({
    ...by(each),
    point: { straightAhead: null, holding },
  });
  const of = (holding: string) =>
    widthOf(
      compareSides(
        { readings: [reading(was)], by: held(holding) },
        { readings: [reading(is)], by: held(holding) },
      ),
    );
  expect(of('In the plywood jig.')).toBeLessThan(of(''));
});

describe('what does not compare says what is missing', () => {
  const relative = { method: 'relative' } as const;
  it.each([
    ['methods', [{}, relative], ['one method']],
    ['places', [relative, { ...relative, testPoint: 'saw' }], ['one place']],
    ['meters', [relative, { ...relative, instrument: 'other' }], ['one meter']],
    ['spots', [relative, { ...relative, spot: 'centre' }], ['one way of reading']],
    ['quantities', [{}, { quantity: 'pressure' }], ['one quantity']],
    [
      'places and meters',
      [relative, { ...relative, testPoint: 'saw', instrument: 'other' }],
      ['one place', 'one meter'],
    ],
  ] as [string, [Partial<Reading>, Partial<Reading>], string[]][])('%s', (_, [a, b], missing) => {
    expect(compare([reading(was, a)], [reading(is, b)])).toEqual({
      kind: 'not comparable',
      missing,
    });
  });
});

describe('bounds', () => {
  const over = [{ kind: 'over', limit: 30 }] as const;
  const under = [{ kind: 'under', limit: 0.4 }] as const;
  it('over range after: the gain is at least so much', () => {
    expect(compare([reading(values(20))], [reading(over)])).toEqual({
      kind: 'at least',
      ratio: expect.closeTo(1.5, 9),
    });
    const risen = compare([reading(under)], [reading(values(4))]);
    expect(risen).toEqual({ kind: 'at least', ratio: expect.closeTo(10, 9) });
    expect(compare([reading(under)], [reading(over)])).toMatchObject({ kind: 'at least' });
  });
  it('over range before: what is left is at most so much', () => {
    expect(compare([reading(over)], [reading(values(20))])).toMatchObject({ kind: 'at most' });
    expect(compare([reading(values(20))], [reading(under)])).toMatchObject({ kind: 'at most' });
  });
  it('of one kind on both sides say nothing', () => {
    const bounds = { kind: 'nothing', why: 'bounds' };
    expect(compare([reading(over)], [reading(over)])).toEqual(bounds);
    expect(compare([reading(under)], [reading(under)])).toEqual(bounds);
  });
});

describe('what counts for nothing', () => {
  it('is a side without readings, or with only struck-out ones', () => {
    const none = { kind: 'nothing', why: 'no readings' };
    expect(compare([], [reading(is)])).toEqual(none);
    const struckOut = { at: '2026-01-02T10:00:00Z', reason: 'gate half shut' };
    expect(compare([reading(was, { struckOut })], [reading(is)])).toEqual(none);
    const both = compare([reading(was), reading(values(90), { struckOut })], [reading(is)]);
    expect(both.kind === 'change' && both.ratio).toBeCloseTo(1.1, 9);
  });
  it('is no air at all', () => {
    const none = { kind: 'nothing', why: 'no air' };
    expect(compare([reading(values(0, 0))], [reading(is)])).toEqual(none);
  });
});
