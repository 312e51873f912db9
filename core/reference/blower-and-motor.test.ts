// - AMCA fan laws. NEC 430.248 single-phase full-load currents, 430.52 breakers (from memory).
// - AMCA 210: fan static pressure is static at the outlet less total at the inlet (from memory).
// - ASTM D737: a filter at its permeability loses 125 Pa.
import { describe, expect, it } from 'vitest';
import { type BlowerPoint, scaleBlower } from '../src/collector/blower';
import { bareFanStatic, estimatedCurve } from '../src/collector/estimated-curve';
import { filterResistance } from '../src/collector/filter';
import { curveInto, monotoneCurve } from '../src/collector/monotone-curve';
import { fullLoadCurrent, largestBreaker, motorCurrent } from '../src/collector/motor';
import { greatestAirPower, shaftPower, staticEfficiency } from '../src/collector/shaft-power';
import { fromSI, toSI } from '../src/quantity/units';

describe('blower', () => {
  const points: BlowerPoint[] = [
    { flow: 0, pressure: 2500 },
    { flow: 0.2, pressure: 2300 },
    { flow: 0.4, pressure: 1500 },
    { flow: 0.5, pressure: 0 },
  ];
  const as = { density: 1.2, speed: 57.5, wheelDiameter: 0.3 };

  it('follows the fan laws for speed and density: flow N, pressure ρ·N²', () => {
    const [, faster] = scaleBlower(points, as, { ...as, speed: 2 * as.speed });
    expect(faster?.flow).toBeCloseTo(0.4, 12);
    expect(faster?.pressure).toBeCloseTo(9200, 9);
    const [, thinner] = scaleBlower(points, as, { ...as, density: 0.9 });
    expect(thinner).toEqual({ flow: 0.2, pressure: 2300 * 0.75 });
  });

  it('with a larger wheel in its housing moves more by D, not D³ (common practice, no source)', () => {
    const [, bigger] = scaleBlower(points, as, { ...as, wheelDiameter: 1.1 * as.wheelDiameter });
    expect(bigger?.flow).toBeCloseTo(0.2 * 1.1, 12);
    expect(bigger?.pressure).toBeCloseTo(2300 * 1.1 ** 2, 9);
  });

  it('asks for power by ρ·N³ (AMCA), and by D³ with a larger wheel in its housing', () => {
    const power = (state: typeof as, flow: number) =>
      shaftPower(flow, scaleBlower(points, as, state), 0.5);
    expect(power({ ...as, speed: 2 * as.speed }, 0.6) / power(as, 0.3)).toBeCloseTo(8, 6);
    const wider = { ...as, wheelDiameter: 1.1 * as.wheelDiameter };
    expect(power(wider, 0.3 * 1.1) / power(as, 0.3)).toBeCloseTo(1.1 ** 3, 6);
    expect(power({ ...as, density: 0.9 }, 0.3) / power(as, 0.3)).toBeCloseTo(0.75, 6);
  });

  it('interpolates through its points, never rising between falling ones', () => {
    const curve = monotoneCurve(points.map(({ flow, pressure }) => [flow, pressure] as const));
    const out = { value: 0, slope: 0 };
    for (const { flow, pressure } of points) {
      curveInto(out, curve, flow);
      expect(out.value).toBeCloseTo(pressure, 6);
    }
    let before = Number.POSITIVE_INFINITY;
    for (let flow = 0; flow <= 0.5; flow += 0.001) {
      curveInto(out, curve, flow);
      expect(out.value).toBeLessThanOrEqual(before + 1e-9);
      before = out.value;
    }
  });

  it('a 12-in. wheel at 3450 rpm is estimated at 9–11 in. shut off (common practice, no source)', () => {
    const [shutOff] = estimatedCurve(toSI(12, 'in'), toSI(3450, 'rpm'), 0.5, 1.2014);
    const inches = fromSI(shutOff?.pressure ?? 0, 'inwg');
    expect(inches).toBeGreaterThan(9);
    expect(inches).toBeLessThan(11);
  });

  it.each([
    [1, 16],
    [1.5, 20],
    [2, 24],
    [3, 34],
    [5, 56],
  ])('a %f hp motor draws %f A at 110–120 V and half at 220–240 V, unscaled', (hp, ampere) => {
    const motor = { power: toSI(hp, 'hp'), voltage: 115, plateCurrent: null };
    const at = (voltage: number) => fullLoadCurrent({ ...motor, voltage }, 'nec');
    for (const voltage of [110, 115, 120]) {
      expect(at(voltage)).toEqual({ current: expect.closeTo(ampere, 6), origin: 'standard' });
    }
    for (const voltage of [220, 230, 240]) {
      expect(at(voltage)).toEqual({ current: expect.closeTo(ampere / 2, 6), origin: 'standard' });
    }
    // Outside those ranges the current goes with the voltage, which is no longer the table's.
    for (const voltage of [105, 130, 208, 250]) {
      const current = expect.closeTo((ampere * 115) / voltage, 6);
      expect(at(voltage)).toEqual({ current, origin: 'estimate' });
    }
  });

  it('a motor draws what its plate says, and under other codes what its power asks', () => {
    const motor = { power: 1500, voltage: 230, plateCurrent: null };
    // 1500 W / (230 V · 0.71) = 9.19 A: P = V·I·cos φ·η, both estimates.
    expect(fullLoadCurrent(motor, 'other')).toEqual({
      current: expect.closeTo(9.186, 3),
      origin: 'estimate',
    });
    for (const code of ['nec', 'other'] as const) {
      const plate = fullLoadCurrent({ ...motor, plateCurrent: 11 }, code);
      expect(plate).toEqual({ current: 11, origin: 'practice' });
    }
  });

  // NEC 430.52: 250 % for an inverse-time breaker, the next rating of 240.6 up (from memory).
  it.each([
    [12, 30],
    [17, 45],
    [28, 70],
    [16, 40],
    // Beyond the largest rating on the list it is 250 % itself.
    [200, 500],
  ])('%f A at full load may have a breaker of up to %f A', (fullLoad, rating) => {
    expect(largestBreaker(fullLoad)).toBe(rating);
  });

  it('fan static pressure bare is the filter’s pressure and the open inlet’s entry loss', () => {
    // 900 CFM through 5 in.: 6600 fpm, 2.716 in. w.g. by VP = (V/4005)²; 0.93 of it, and 0.5 behind.
    const open = {
      flow: toSI(900, 'cfm'),
      inletDiameter: toSI(5, 'in'),
      entryLoss: 0.93,
      outlet: toSI(0.5, 'inwg'),
    };
    expect(fromSI(bareFanStatic(open, 1.2014), 'inwg')).toBeCloseTo(0.5 + 0.93 * 2.716, 2);
  });

  it('asks the shaft for Q·P/η and its motor for full-load current at rated load', () => {
    // W = Q·P/η where the air power is greatest; a straight line in flow from there.
    const best = greatestAirPower(points);
    const air = best.flow * best.pressure;
    expect(shaftPower(best.flow, points, 0.5)).toBeCloseTo(2 * air, 6);
    expect(staticEfficiency(best, points, 0.5)).toBeCloseTo(0.5, 9);
    expect(shaftPower(0.5, points, 0.5)).toBeGreaterThan(shaftPower(best.flow, points, 0.5));
    expect(shaftPower(0, points, 0.5)).toBeLessThan(0.5 * shaftPower(best.flow, points, 0.5));
    const motor = { power: 1500, voltage: 230, plateCurrent: 12 };
    expect(motorCurrent(motor, 'nec', 1500)).toBeCloseTo(12, 9);
    expect(motorCurrent(motor, 'nec', 0)).toBeGreaterThan(3);
    expect(motorCurrent(motor, 'nec', 0)).toBeLessThan(motorCurrent(motor, 'nec', 800));
  });

  it('that makes no pressure asks nothing of its shaft and has no efficiency', () => {
    const dead = [
      { flow: 0, pressure: 0 },
      { flow: 0.5, pressure: 0 },
    ];
    expect(shaftPower(0.3, dead, 0.5)).toBe(0);
    expect(staticEfficiency({ flow: 0.3, pressure: 0 }, dead, 0.5)).toBe(0);
    expect(staticEfficiency({ flow: 0, pressure: 2500 }, points, 0.5)).toBe(0);
  });

  it('may have its greatest air power at the last point of its curve', () => {
    const rising = [
      { flow: 0, pressure: 1000 },
      { flow: 0.4, pressure: 900 },
    ];
    expect(greatestAirPower(rising)).toEqual({ flow: 0.4, pressure: 900 });
    // 1000·(1 − Q/0.5)·Q is greatest at half its free flow.
    const line = [
      { flow: 0, pressure: 1000 },
      { flow: 0.5, pressure: 0 },
    ];
    expect(greatestAirPower(line).flow).toBeCloseTo(0.25, 6);
  });

  it('a filter at its permeability loses 125 Pa clean, and twice that at loading 2', () => {
    const filter = { area: 10, permeability: 0.1 };
    expect(filterResistance(filter, 1) * 1).toBeCloseTo(125, 9);
    expect(filterResistance(filter, 2) * 1).toBeCloseTo(250, 9);
  });
});
