import { describe, expect, it } from 'vitest';
import type { Taken } from '../journal/reading';
import { fromSI, toSI } from '../quantity/units';
import { centreToMean } from './centre-to-mean';
import { measuredFlow } from './measured-flow';
import { meanOfRepeats } from './repeats';

const air = { density: 1.2014, viscosity: 1.82e-5 };
const values = (unit: 'fpm' | 'cfm', ...numbers: number[]): Taken[] =>
  numbers.map((number) => ({ kind: 'value', value: toSI(number, unit) }));

describe('repeats', () => {
  it('3500, 3600, 3550 are 3550 ± 124: t·s/√n by hand', () => {
    const mean = meanOfRepeats(values('fpm', 3500, 3600, 3550));
    if (mean.kind !== 'value') throw new Error('over');
    expect(fromSI(mean.mean, 'fpm')).toBeCloseTo(3550, 9);
    expect(fromSI(mean.spread, 'fpm')).toBeCloseTo((4.303 * 50) / Math.sqrt(3), 6);
  });

  it('two are 3550 ± 635: t is 12.7 with one degree of freedom', () => {
    const mean = meanOfRepeats(values('fpm', 3500, 3600));
    expect(mean.kind === 'value' && fromSI(mean.spread, 'fpm')).toBeCloseTo(12.706 * 50, 6);
  });

  it('one over range makes the mean a lower bound', () => {
    const taken: Taken[] = [
      ...values('fpm', 5800, 5900),
      { kind: 'over', limit: toSI(5906, 'fpm') },
    ];
    const mean = meanOfRepeats(taken);
    expect(mean.kind).toBe('at least');
    expect(fromSI(mean.mean, 'fpm')).toBeCloseTo((5800 + 5900 + 5906) / 3, 9);
  });

  it('a reading taken once has a usual scatter, not none', () => {
    const mean = meanOfRepeats(values('fpm', 4000));
    expect(mean.kind === 'value' && mean.spread / mean.mean).toBeCloseTo(0.05, 12);
  });
});

describe('measured flow', () => {
  const reading = {
    taken: values('fpm', 3583, 3583, 3583),
    quantity: 'velocity',
    spot: 'average',
    diameter: toSI(4.75, 'in'),
  } as const;

  it('is velocity times the true inside area: 3583 fpm in 4.75 in. is 441 CFM', () => {
    const measured = measuredFlow(reading, { accuracy: 0.03 }, air, 9e-5);
    expect(fromSI(measured.flow, 'cfm')).toBeCloseTo(441, 0);
    expect(measured.kind === 'value' && measured.uncertainty / measured.flow).toBeCloseTo(0.03, 9);
  });

  it('a centre reading is brought to the mean, 0.8–0.85 of it, and is less sure', () => {
    const average = measuredFlow(reading, undefined, air, 9e-5);
    const centre = measuredFlow({ ...reading, spot: 'centre' }, undefined, air, 9e-5);
    expect(centre.flow / average.flow).toBeGreaterThan(0.8);
    expect(centre.flow / average.flow).toBeLessThan(0.86);
    if (centre.kind !== 'value' || average.kind !== 'value') throw new Error('over');
    expect(centre.uncertainty / centre.flow).toBeGreaterThan(average.uncertainty / average.flow);
    // By hand: Re = 1.2014·18.2·0.12065/1.82e-5 = 145,000, ε/D = 7.5e-4, f = 0.0204.
    expect(centre.flow / average.flow).toBeCloseTo(1 / (1 + 1.33 * Math.sqrt(0.0204)), 3);
    // 3 % of the meter and 6 % of the profile, at right angles.
    expect(centre.uncertainty / centre.flow).toBeCloseTo(Math.hypot(0.03, 0.06), 9);
    expect(centreToMean(0.02)).toBeCloseTo(1 / (1 + 1.33 * Math.sqrt(0.02)), 12);
  });

  it('is nothing where nothing was read, centre or not', () => {
    const still = { ...reading, taken: values('fpm', 0, 0), spot: 'centre' } as const;
    expect(measuredFlow(still, undefined, air, 9e-5)).toEqual({
      kind: 'value',
      flow: 0,
      uncertainty: 0,
    });
  });

  it('is at least so much where one repeat went over range', () => {
    const taken: Taken[] = [...values('fpm', 5800), { kind: 'over', limit: toSI(5900, 'fpm') }];
    const measured = measuredFlow({ ...reading, taken }, undefined, air, 9e-5);
    expect(measured.kind).toBe('at least');
    expect(fromSI(measured.flow, 'cfm')).toBeCloseTo((441 * 5850) / 3583, 0);
  });

  it('a flow meter’s figure is taken as it is', () => {
    const measured = measuredFlow(
      { ...reading, quantity: 'flow', taken: values('cfm', 400, 410, 420) },
      undefined,
      air,
      9e-5,
    );
    expect(fromSI(measured.flow, 'cfm')).toBeCloseTo(410, 9);
  });
});
