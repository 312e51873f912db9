// Reference: mathjs units; and NIST SP 811 (from memory) for what mathjs lacks.
import { unit } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { fromSI, toSI, type UnitId } from '../src/quantity/units';

describe('unit sizes', () => {
  it.each<[UnitId, string, string]>([
    ['in', '1 inch', 'm'],
    ['ft', '1 ft', 'm'],
    ['ft2', '1 sqft', 'm^2'],
    ['in2', '1 sqin', 'm^2'],
    ['gal', '1 gallon', 'm^3'],
    ['ft3', '1 cuft', 'm^3'],
    ['cfm', '1 ft^3/min', 'm^3/s'],
    ['m3h', '1 m^3/hour', 'm^3/s'],
    ['fpm', '1 ft/min', 'm/s'],
    ['mph', '1 mile/hour', 'm/s'],
    ['kmh', '1 km/hour', 'm/s'],
    ['lbft3', '1 lbm/ft^3', 'kg/m^3'],
    ['lb', '1 lbm', 'kg'],
    ['lbft2', '1 lbm/ft^2', 'kg/m^2'],
    ['gal', '1 gallon', 'm^3'],
    ['hp', '1 hp', 'W'],
  ])('%s', (id, theirs, si) => {
    expect(toSI(1, id) / unit(theirs).toNumber(si)).toBeCloseTo(1, 5);
  });

  it('inch of water at 4 °C, millimetre of water, and temperatures', () => {
    expect(toSI(1, 'inwg')).toBeCloseTo(249.08891, 5);
    expect(toSI(25.4, 'mmwg') / toSI(1, 'inwg')).toBeCloseTo(1, 4);
    expect(toSI(70, 'f')).toBeCloseTo(unit('70 degF').toNumber('K'), 9);
    expect(fromSI(toSI(21, 'c'), 'f')).toBeCloseTo(69.8, 9);
  });

  it('the handbook’s sizes', () => {
    expect(toSI(1, 'cfm')).toBeCloseTo(4.719474e-4, 10);
    expect(toSI(1, 'fpm')).toBeCloseTo(0.00508, 15);
    expect(fromSI(1.2014, 'lbft3')).toBeCloseTo(0.075, 5);
  });
});
