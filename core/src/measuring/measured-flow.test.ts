import { describe, expect, it } from 'vitest';
import type { Instrument } from '../journal/instrument';
import { recordWith } from '../journal/journal';
import type { Reading, Taken } from '../journal/reading';
import { fromSI, toSI } from '../quantity/units';
import { centreToMean } from './centre-to-mean';
import { type MeasuredFlow, measuredFlow } from './measured-flow';
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
    if (mean.kind !== 'at least') throw new Error(mean.kind);
    expect(fromSI(mean.mean, 'fpm')).toBeCloseTo((5800 + 5900 + 5906) / 3, 9);
  });

  it('one under range makes it an upper bound; one over and one under say nothing', () => {
    const under: Taken = { kind: 'under', limit: toSI(60, 'fpm') };
    expect(meanOfRepeats([...values('fpm', 100), under]).kind).toBe('at most');
    const over: Taken = { kind: 'over', limit: toSI(5900, 'fpm') };
    expect(meanOfRepeats([over, under])).toEqual({ kind: 'nothing', count: 2 });
  });

  it('that all say the same still scatter by the rounding of the last digit', () => {
    const mean = meanOfRepeats(values('fpm', 4000, 4000, 4000), { resolution: toSI(10, 'fpm') });
    if (mean.kind !== 'value') throw new Error(mean.kind);
    // 10/√12 about the mean, t = 4.303, three of them.
    expect(fromSI(mean.spread, 'fpm')).toBeCloseTo((4.303 * 10) / Math.sqrt(12 * 3), 6);
  });

  it('a reading taken once has a usual scatter, not none', () => {
    const mean = meanOfRepeats(values('fpm', 4000));
    expect(mean.kind === 'value' && mean.spread / mean.mean).toBeCloseTo(0.05, 12);
  });
});

/** What a reading comes to in standard air in smooth metal duct. */
function flowOf(
  fields: Partial<Reading>,
  instrument?: Partial<Instrument>,
  straightAhead: number | null = null,
): Exclude<MeasuredFlow, { kind: 'no flow' }> {
  const reading = recordWith('readings', {
    id: 'r',
    at: '2026-06-01T10:00:00Z',
    testPoint: 'p',
    instrument: 'm',
    quantity: 'velocity',
    spot: 'average',
    diameter: toSI(4.75, 'in'),
    taken: values('fpm', 3583, 3583, 3583),
    unit: 'fpm',
    openGates: [],
    note: '',
    ...fields,
  });
  const meter = recordWith('instruments', {
    id: 'm',
    name: 'Vane',
    kind: 'vane',
    accuracy: 0.03,
    ...instrument,
  });
  const measured = measuredFlow(reading, {
    instrument: meter,
    point: { straightAhead, holding: '' },
    air,
    roughness: 9e-5,
  });
  if (measured.kind === 'no flow') throw new Error(measured.why);
  return measured;
}

const shareOf = (measured: MeasuredFlow) =>
  measured.kind === 'value' ? measured.uncertainty / measured.flow : Number.NaN;
const cfm = ({ flow }: { readonly flow: number }) => fromSI(flow, 'cfm');

describe('measured flow', () => {
  it('is velocity times the true inside area: 3583 fpm in 4.75 in. is 441 CFM', () => {
    // Common practice, no source.
    const measured = flowOf({});
    expect(cfm(measured)).toBeCloseTo(441, 0);
    expect(shareOf(measured)).toBeCloseTo(0.03, 9);
  });

  it('of a meter nobody described is as accurate as meters usually are', () => {
    const reading = recordWith('readings', {
      id: 'r',
      at: '2026-06-01T10:00:00Z',
      testPoint: 'p',
      instrument: 'gone',
      quantity: 'flow',
      spot: 'average',
      diameter: 0.1,
      taken: values('cfm', 400, 400),
      unit: 'cfm',
      openGates: [],
      note: '',
    });
    const by = { instrument: undefined, point: undefined, air, roughness: 9e-5 };
    expect(shareOf(measuredFlow(reading, by))).toBeCloseTo(0.03, 9);
  });

  it('a centre reading is brought to the mean, 0.8–0.85 of it, and is less sure', () => {
    const average = flowOf({});
    const centre = flowOf({ spot: 'centre' });
    const ratio = centre.flow / average.flow;
    expect(ratio).toBeGreaterThan(0.8);
    expect(ratio).toBeLessThan(0.86);
    // By hand: Re = 1.2014·18.2·0.12065/1.82e-5 = 145,000, ε/D = 7.5e-4, f = 0.0204.
    expect(ratio).toBeCloseTo(1 / (1 + 1.33 * Math.sqrt(0.0204)), 3);
    // 3 % of the meter and 6 % of the profile, at right angles.
    expect(shareOf(centre)).toBeCloseTo(Math.hypot(0.03, 0.06), 9);
    expect(centreToMean(0.02)).toBeCloseTo(1 / (1 + 1.33 * Math.sqrt(0.02)), 12);
  });

  it('ten diameters of straight pipe ahead make the profile surer, five half as much', () => {
    const at = (diameters: number) =>
      shareOf(flowOf({ spot: 'centre' }, {}, diameters * toSI(4.75, 'in')));
    expect(at(0)).toBeCloseTo(Math.hypot(0.03, 0.06), 9);
    expect(at(5)).toBeCloseTo(Math.hypot(0.03, 0.04), 9);
    expect(at(10)).toBeCloseTo(Math.hypot(0.03, 0.02), 9);
    expect(at(40)).toBeCloseTo(Math.hypot(0.03, 0.02), 9);
  });

  it('is nothing where nothing was read, centre or not', () => {
    expect(flowOf({ taken: values('fpm', 0, 0), spot: 'centre' })).toEqual({
      kind: 'value',
      flow: 0,
      uncertainty: 0,
    });
  });

  it('is at least so much where one repeat went over range, at most where one stayed under', () => {
    const over = flowOf({
      taken: [...values('fpm', 5800), { kind: 'over', limit: toSI(5900, 'fpm') }],
    });
    expect(over.kind).toBe('at least');
    expect(cfm(over)).toBeCloseTo((441 * 5850) / 3583, 0);
    const under = flowOf({ taken: [{ kind: 'under', limit: toSI(60, 'fpm') }] });
    expect(under.kind).toBe('at most');
    expect(cfm(under)).toBeCloseTo((441 * 60) / 3583, 1);
  });

  it('a flow meter’s figure is taken as it is; a relative reading says nothing of the flow', () => {
    expect(cfm(flowOf({ quantity: 'flow', taken: values('cfm', 400, 410, 420) }))).toBeCloseTo(
      410,
      9,
    );
    expect(() => flowOf({ method: 'relative' })).toThrow('relative');
    expect(() => flowOf({ quantity: 'pressure', taken: values('fpm', 1) })).toThrow(
      'other quantity',
    );
  });

  it('a flow shown for a preset 4-in. pipe is 441 CFM in 4.75 in., not 313', () => {
    // 3583 fpm through 4 in. is what a meter told of a 4-in. pipe shows: 312.7 CFM by hand.
    const shown = { quantity: 'flow', taken: values('cfm', 312.68) } as const;
    expect(cfm(flowOf(shown))).toBeCloseTo(312.68, 6);
    expect(cfm(flowOf({ ...shown, presetDiameter: toSI(4, 'in') }))).toBeCloseTo(441, 0);
  });

  it('velocity pressures: V = √(2·VP/ρ), the mean of velocities, not of pressures', () => {
    // 1 in. w.g. is 4005 fpm in standard air (ACGIH, from memory); ¼ in. half of it.
    const inches = (...each: number[]): Taken[] =>
      each.map((value) => ({ kind: 'value', value: toSI(value, 'inwg') }));
    const pitot = { kind: 'pitot', accuracy: 0.02 } as const;
    const one = flowOf({ quantity: 'velocity pressure', taken: inches(1, 1) }, pitot);
    expect(cfm(one)).toBeCloseTo((441 * 4005) / 3583, 0);
    // Half of the manometer's 2 %: a root.
    expect(shareOf(one)).toBeCloseTo(0.01, 9);
    const two = flowOf({ quantity: 'velocity pressure', taken: inches(1, 0.25) }, pitot);
    expect(two.flow / one.flow).toBeCloseTo(0.75, 9);
  });

  it('the calibration that held on the day is applied, by its table and factor', () => {
    const calibrations = [
      { id: 'old', from: '2025-01-01T00:00:00Z', factor: 0.5, table: [], note: '' },
      {
        id: 'new',
        from: '2026-05-01T00:00:00Z',
        factor: 1.1,
        table: [
          { shown: toSI(1000, 'fpm'), truth: toSI(900, 'fpm') },
          { shown: toSI(5000, 'fpm'), truth: toSI(4900, 'fpm') },
        ],
        note: '',
      },
      { id: 'later', from: '2027-01-01T00:00:00Z', factor: 2, table: [], note: '' },
    ];
    const of = (fpm: number) =>
      fromSI(flowOf({ taken: values('fpm', fpm, fpm) }, { calibrations }).flow, 'cfm') / 441.0;
    expect(of(3000)).toBeCloseTo((1.1 * 2900) / 3583, 3);
    // Beyond its ends in proportion to them.
    expect(of(500)).toBeCloseTo((1.1 * 450) / 3583, 3);
    expect(of(5500)).toBeCloseTo((1.1 * 5500 * 0.98) / 3583, 3);
    const earlier = flowOf({ at: '2025-06-01T10:00:00Z' }, { calibrations });
    expect(cfm(earlier)).toBeCloseTo(441 / 2, 0);
  });

  it('a vane’s head half as wide as the pipe closes 0.3 of a quarter of it, an estimate', () => {
    const wide = flowOf({}, { headDiameter: toSI(4.75 / 2, 'in') });
    expect(cfm(wide) / 441).toBeCloseTo(1 - 0.3 / 4, 3);
    expect(shareOf(wide)).toBeCloseTo(Math.hypot(0.03, 0.3 / 4), 9);
    // Only a vane's; a head wider than the pipe closes no more than all of it.
    expect(cfm(flowOf({}, { kind: 'hot wire', headDiameter: 0.1 }))).toBeCloseTo(441, 0);
    expect(cfm(flowOf({}, { headDiameter: 1 })) / 441).toBeCloseTo(0.7, 3);
  });

  it('the highest value held is taken 5 % down, by the reading’s word before the meter’s', () => {
    const held = flowOf({}, { hold: 'maximum' });
    expect(cfm(held) / 441).toBeCloseTo(0.95, 3);
    expect(shareOf(held)).toBeCloseTo(Math.hypot(0.03, 0.04), 9);
    expect(cfm(flowOf({ hold: 'live' }, { hold: 'maximum' }))).toBeCloseTo(441, 0);
    expect(cfm(flowOf({ hold: 'maximum' })) / 441).toBeCloseTo(0.95, 3);
  });

  it('a hot wire shows mass: in thin air the velocity is more, by the density', () => {
    const thin = { ...air, density: 1.0 };
    const by = {
      point: undefined,
      air: thin,
      roughness: 9e-5,
    };
    const reading = recordWith('readings', {
      id: 'r',
      at: '2026-06-01T10:00:00Z',
      testPoint: 'p',
      instrument: 'm',
      quantity: 'velocity',
      spot: 'average',
      diameter: 0.1,
      taken: [{ kind: 'value', value: 10 }],
      unit: 'm/s',
      openGates: [],
      note: '',
    });
    const flowBy = (kind: Instrument['kind']) => {
      const instrument = recordWith('instruments', { id: 'm', name: 'M', kind, accuracy: 0.03 });
      const measured = measuredFlow(reading, { ...by, instrument });
      return measured.kind === 'value' ? measured.flow : Number.NaN;
    };
    expect(flowBy('hot wire') / flowBy('vane')).toBeCloseTo(1.2014, 6);
    expect(flowBy('pitot') / flowBy('vane')).toBeCloseTo(Math.sqrt(1.2014), 6);
  });

  it('digits count as the last digit of the meter, beside its share', () => {
    const measured = flowOf({}, { digits: 3, resolution: toSI(10, 'fpm') });
    const scatter = (4.303 * 10) / Math.sqrt(36) / 3583;
    expect(shareOf(measured)).toBeCloseTo(Math.hypot(0.03 + 30 / 3583, scatter), 6);
  });

  it('a traverse is the mean of its points; a second one makes the scatter known', () => {
    const six = [3000, 3600, 4000, 4000, 3600, 3000];
    const traverse = { points: 6, diameters: 1 } as const;
    const once = flowOf({ spot: 'traverse', traverse, taken: values('fpm', ...six) });
    expect(cfm(once)).toBeCloseTo((441 * 3533.33) / 3583, 0);
    // 3 % of the meter, 3 % of one diameter, 3 % of no straight pipe, a twelfth's root of the hand's 5 %.
    expect(shareOf(once)).toBeCloseTo(Math.hypot(0.03, 0.03, 0.03, 0.05 / Math.sqrt(6)), 9);
    const twice = flowOf({
      spot: 'traverse',
      traverse,
      taken: values('fpm', ...six, ...six.map((each) => each * 1.02)),
    });
    expect(cfm(twice) / cfm(once)).toBeCloseTo(1.01, 6);
    const over = flowOf({
      spot: 'traverse',
      traverse,
      taken: [...values('fpm', ...six.slice(1)), { kind: 'over', limit: toSI(5900, 'fpm') }],
    });
    expect(over.kind).toBe('at least');
  });
});
