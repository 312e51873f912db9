import { describe, expect, it } from 'vitest';
import { toSI } from '../quantity/units';
import { takenOfLine } from './meter-line';

const vane = { unit: 'fpm', range: { from: toSI(80, 'fpm'), to: toSI(5900, 'fpm') } } as const;
const manometer = { unit: 'pa', range: { from: null, to: null } } as const;

describe('a line that a meter sends', () => {
  it.each([
    ['3583', vane, toSI(3583, 'fpm')],
    ['  +3583.5 ft/min AVG', vane, toSI(3583.5, 'fpm')],
    ['V: 18,20 m/s', vane, 18.2],
    ['12.4 m/s 21.3 C', vane, 12.4],
    ['-245.7', manometer, 245.7],
    ['P=1.250 kPa', manometer, 1250],
    ['0.98 inH2O', manometer, toSI(0.98, 'inwg')],
    ['1,250', manometer, 1.25],
    // What stands behind a number may be no unit.
    ['412 HOLD', manometer, 412],
  ] as const)('%j is a value', (line, by, value) => {
    const taken = takenOfLine(line, by);
    expect(taken?.kind === 'value' && taken.value / value).toBeCloseTo(1, 9);
  });

  it('beyond an end of the range is a bound', () => {
    for (const line of ['OL', '  O.L m/s', 'OVER', '> 30', '6200 ft/min']) {
      expect(takenOfLine(line, vane)).toEqual({ kind: 'over', limit: vane.range.to });
    }
    expect(takenOfLine('35', vane)).toEqual({ kind: 'under', limit: vane.range.from });
    expect(takenOfLine('OL', manometer)).toBeNull();
  });

  it.each(['', '   ', 'READY', '--.--', '#'])('%j says nothing', (line) => {
    expect(takenOfLine(line, vane)).toBeNull();
  });
});
