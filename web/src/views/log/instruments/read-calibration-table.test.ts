import { toSI } from '@frank-gauge/core/quantity';
import { describe, expect, it } from 'vitest';
import { readCalibrationTable, writeCalibrationTable } from './read-calibration-table';

describe('a calibration table in a line', () => {
  it('is read in the meter’s unit, or the one that is written, and sorted by what is shown', () => {
    const read = readCalibrationTable('4000 = 3900; 5 m/s = 4.9 m/s', 'fpm');
    if (!read.ok) throw new Error(read.reason);
    expect(read.table).toEqual([
      { shown: 5, truth: 4.9 },
      { shown: toSI(4000, 'fpm'), truth: toSI(3900, 'fpm') },
    ]);
    expect(writeCalibrationTable(read.table, 'fpm')).toBe('984.252 = 964.567; 4000 = 3900');
  });

  it('written and read again is the same to six figures', () => {
    const text = '1000 = 960; 4000 = 3900';
    const read = readCalibrationTable(text, 'fpm');
    expect(read.ok && writeCalibrationTable(read.table, 'fpm')).toBe(text);
    expect(readCalibrationTable('  ', 'fpm')).toEqual({ ok: true, table: [] });
  });

  it.each([
    ['4000', 'is not like'],
    ['4000 = 3900 = 3800', 'is not like'],
    ['4000 = wet', 'wet'],
    ['-1 = 2', 'not below zero'],
    ['4000 = 3900; 4000 = 3800', 'twice'],
  ])('%s is refused with a sentence', (text, part) => {
    const read = readCalibrationTable(text, 'fpm');
    expect(read.ok ? '' : read.reason).toContain(part);
  });
});
