import { fromSI } from '@frank-gauge/core/quantity';
import { describe, expect, it } from 'vitest';
import { readCurve } from '@/views/parts/read-curve';
import { readField } from './read-field';

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
