import { recordWith } from '@frank-gauge/core/journal';
import { toSI } from '@frank-gauge/core/quantity';
import { describe, expect, it } from 'vitest';
import { asRead } from './as-read';

type Fields = Partial<Parameters<typeof recordWith<'readings'>>[1]>;

const reading = (fields: Fields) =>
  recordWith('readings', {
    id: 'r',
    at: '2026-01-01T10:00:00Z',
    testPoint: 'p',
    instrument: 'm',
    quantity: 'velocity',
    spot: 'average',
    diameter: toSI(4, 'in'),
    taken: [46.5, 47, 46].map((mph) => ({ kind: 'value', value: toSI(mph, 'mph') })),
    unit: 'mph',
    openGates: [],
    note: '',
    ...fields,
  });

describe('a reading as it was read', () => {
  it('is written in the unit it was read in, whatever the shop’s', () => {
    expect(asRead(reading({}), 'us')).toBe('46.5 · 47.0 · 46.0 mph in 4 in.');
    expect(asRead(reading({}), 'metric')).toBe('46.5 · 47.0 · 46.0 mph in 101.6 mm');
  });

  it('of a unit nobody knows is in the shop’s', () => {
    const taken = [{ kind: 'value', value: toSI(4000, 'fpm') } as const];
    expect(asRead(reading({ unit: 'flurbs', taken }), 'us')).toBe('4,000 fpm in 4 in.');
  });

  it('says where the meter was, and what was beyond its range', () => {
    const taken = [
      { kind: 'over', limit: toSI(30, 'ms') },
      { kind: 'under', limit: toSI(0.4, 'ms') },
    ] as const;
    const of = (fields: Fields) =>
      asRead(reading({ taken: [...taken], unit: 'm/s', ...fields }), 'us');
    expect(of({ spot: 'centre' })).toBe('> 30.0 · < 0.4 m/s in 4 in., center');
    expect(of({ spot: 'point', method: 'relative' })).toBe(
      '> 30.0 · < 0.4 m/s in 4 in., one point, relative',
    );
  });

  it('of a traverse counts what it leaves out', () => {
    const taken = Array.from({ length: 20 }, () => ({
      kind: 'value' as const,
      value: toSI(4000, 'fpm'),
    }));
    const traverse = { points: 10, diameters: 2 } as const;
    expect(asRead(reading({ taken, unit: 'fpm', spot: 'traverse', traverse }), 'us')).toMatch(
      /4,000 and 14 more fpm in 4 in\., traverse of 10 points$/,
    );
  });

  it('of a pressure or a bare number has no diameter', () => {
    const taken = [{ kind: 'value', value: toSI(2.5, 'inwg') } as const];
    expect(asRead(reading({ quantity: 'pressure', unit: 'in. w.g.', taken }), 'us')).toBe(
      '2.50 in. w.g.',
    );
    const bare = [{ kind: 'value', value: 42.9 } as const];
    expect(asRead(reading({ quantity: 'number', unit: '', taken: bare }), 'us')).toBe('42.90');
  });
});
