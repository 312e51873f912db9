import { toSI } from '@frank-gauge/core/quantity';
import { describe, expect, it } from 'vitest';
import { type ReadAs, readRepeat } from './read-repeat';

const none: ReadAs = { quantity: 'velocity', system: 'us', instrument: null };
const typed = (text: string) => ({ text, bound: null });

describe('a repeat', () => {
  it('is a value, over or under range, or blank', () => {
    expect(readRepeat(typed('20 m/s'), none)).toEqual({
      ok: true,
      taken: { kind: 'value', value: 20 },
      unit: 'ms',
    });
    expect(readRepeat({ text: '30 m/s', bound: 'over' }, none)).toMatchObject({
      taken: { kind: 'over', limit: 30 },
    });
    expect(readRepeat({ text: '0.4 m/s', bound: 'under' }, none)).toMatchObject({
      taken: { kind: 'under', limit: 0.4 },
    });
    expect(readRepeat({ text: '0', bound: 'over' }, none)).toEqual({
      ok: false,
      reason: 'A meter’s range does not end at zero.',
    });
    expect(readRepeat(typed(' '), none)).toEqual({ ok: true, taken: null, unit: 'fpm' });
    expect(readRepeat(typed('400 cfm'), none).ok).toBe(false);
    expect(readRepeat(typed('90000'), none).ok).toBe(false);
    expect(readRepeat(typed('-1'), none).ok).toBe(false);
  });

  it('without a unit is in the meter’s, where it shows one of that kind', () => {
    const meter = { unit: 'mph', range: { from: null, to: null } };
    expect(readRepeat(typed('46.5'), { ...none, instrument: meter })).toEqual({
      ok: true,
      taken: { kind: 'value', value: toSI(46.5, 'mph') },
      unit: 'mph',
    });
    // A unit of pressure says nothing of a velocity.
    const other = { ...meter, unit: 'Pa' };
    expect(readRepeat(typed('4000'), { ...none, instrument: other })).toMatchObject({
      unit: 'fpm',
    });
  });

  it('beyond the range and blank is the end of the meter’s range, where that is known', () => {
    const meter = { unit: '', range: { from: 0.4, to: 30 } };
    const over = readRepeat({ text: '', bound: 'over' }, { ...none, instrument: meter });
    expect(over).toMatchObject({ taken: { kind: 'over', limit: 30 } });
    const under = readRepeat({ text: '', bound: 'under' }, { ...none, instrument: meter });
    expect(under).toMatchObject({ taken: { kind: 'under', limit: 0.4 } });
    expect(readRepeat({ text: '', bound: 'over' }, none).ok).toBe(false);
  });

  it('of a bare number takes any, and no unit', () => {
    const bare: ReadAs = { ...none, quantity: 'number' };
    expect(readRepeat(typed('42.9'), bare)).toMatchObject({
      taken: { kind: 'value', value: 42.9 },
    });
    expect(readRepeat(typed('42.9 Pa'), bare).ok).toBe(false);
  });
});
