import { fromSI, STYLES } from '@frank-gauge/core/quantity';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCurve } from '@/views/parts/read-curve';
import { readField } from './read-field';
import { roundLimit } from './round-limit';

describe('a field', () => {
  const length = { kind: 'length', system: 'us', min: 0, max: 500 } as const;

  it.each([
    ['-3', /too little: 0′ is the least/],
    ['40k', /'40k' is not a number/],
    ['9999 m', /too much/],
    ['20 mph', /is a velocity; this field takes a length/],
  ])('refuses %s with a sentence', (text, reason) => {
    const read = readField(text, length);
    expect(read.ok ? '' : read.reason).toMatch(reason);
  });

  it('ends a sentence once, though its unit ends in a full stop', () => {
    const read = readField('0', { kind: 'diameter', system: 'us', min: 0, isMinExcluded: true });
    expect(read.ok ? '' : read.reason).toBe('0 in. is too little: it has to be more than 0 in.');
  });

  it.each([
    // 10 mm and 1 m, in inches 0.394 and 39.37.
    ['0.1', 'us', '0.1 in. is too little: 0.4 in. is the least.'],
    ['40', 'us', '40 in. is too much: 39 in. is the most.'],
    ['1', 'metric', '1 mm is too little: 10 mm is the least.'],
    ['1001', 'metric', '1,001 mm is too much: 1,000 mm is the most.'],
  ] as const)('names a round limit that it takes: %s, %s', (text, system, reason) => {
    const limits = { kind: 'diameter', system, min: 0.01, max: 1 } as const;
    const read = readField(text, limits);
    expect(read.ok ? '' : read.reason).toBe(reason);
    const said = reason.replace(/^.*: ([\d.,]+) .*$/, '$1');
    expect(readField(said, limits).ok).toBe(true);
  });

  it('names limits it takes, whatever they are', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-3, max: 1e3, noNaN: true }),
        fc.constantFrom('us', 'metric'),
        fc.constantFrom('length', 'diameter', 'flow', 'pressure', 'mass', 'temperature'),
        (limit, system, kind) => {
          const least = roundLimit(limit, 'least', kind, system);
          const most = roundLimit(limit, 'most', kind, system);
          const unit = STYLES[system][kind].unit;
          const value = Math.abs(fromSI(limit, unit));
          const tolerance = 1e-8 * value;
          expect(fromSI(least, unit) - fromSI(limit, unit)).toBeGreaterThanOrEqual(-tolerance);
          expect(fromSI(limit, unit) - fromSI(most, unit)).toBeGreaterThanOrEqual(-tolerance);
          expect(fromSI(least, unit) - fromSI(most, unit)).toBeLessThanOrEqual(
            0.06 * value + tolerance,
          );
        },
      ),
    );
  });

  it('takes what people write', () => {
    const read = readField('12\' 6"', length);
    expect(read.ok && fromSI(read.value, 'ft')).toBeCloseTo(12.5, 9);
  });

  it('takes whole numbers only where asked to', () => {
    const count = { kind: 'number', system: 'us', min: 1, isWhole: true } as const;
    expect(readField('2', count)).toEqual({ ok: true, value: 2 });
    expect(readField('1.5', count)).toEqual({ ok: false, reason: 'Write a whole number.' });
  });
});

describe('a curve written down', () => {
  it('is read a point a line, in any units', () => {
    const read = readCurve('0  10\n400 cfm; 2000 Pa\n\n800, 4.5', 'us');
    if (!read.ok) throw new Error(read.reason);
    expect(read.points.map(({ flow }) => Math.round(fromSI(flow, 'cfm')))).toEqual([0, 400, 800]);
    expect(read.points[1]?.pressure).toBe(2000);
  });

  it.each([
    ['0 10\n400 8\n300 6', /Line 3: the flow goes backward/],
    ['0 10\n4x 8', /Line 2: '4x' is not a number/],
    ['0 10', /at least two points/],
    ['0 10\n400', /Line 2: type a flow, then a pressure/],
    ['0 10\n-400 8', /Line 2: a curve has no values below zero/],
  ])('%j is refused with its line', (text, reason) => {
    const read = readCurve(text, 'us');
    expect(read.ok ? '' : read.reason).toMatch(reason);
  });
});
