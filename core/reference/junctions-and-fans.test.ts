// - Idelchik, converging wyes (from memory), in its limits; and energy across the junction.
// - AMCA fan laws. NEC 430.248 single-phase full-load currents (from memory).
// - ASTM D737: a filter at its permeability loses 125 Pa.
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type BlowerPoint, scaleBlower } from '../src/collector/blower';
import { estimatedCurve } from '../src/collector/estimated-curve';
import { filterResistance } from '../src/collector/filter';
import { curveInto, monotoneCurve } from '../src/collector/monotone-curve';
import { fullLoadCurrent, motorCurrent, shaftPower } from '../src/collector/motor';
import {
  branchCoefficient,
  branchLossInto,
  type JunctionLoss,
  straightCoefficient,
  straightLossInto,
} from '../src/fitting/momentum-wye';
import { fromSI, toSI } from '../src/quantity/units';

const wye = (ratio: number, degrees: number) => ({
  combinedArea: 1,
  branchArea: ratio,
  cosine: Math.cos((degrees * Math.PI) / 180),
});

describe('momentum wye', () => {
  it('with no air from the branch: the branch is drawn along, the main loses nothing', () => {
    expect(branchCoefficient(wye(1, 45), 0)).toBeCloseTo(0.9 * (1 - 2), 12);
    expect(branchCoefficient(wye(0.3, 45), 0)).toBeCloseTo(-1, 12);
    expect(straightCoefficient(wye(1, 45), 0)).toBe(0);
  });

  it('with all air from a 45° branch of full size: 0.55·(2 − 2·cos 45°)', () => {
    expect(branchCoefficient(wye(1, 45), 1)).toBeCloseTo(0.55 * (2 - Math.SQRT2), 12);
  });

  it('steeper branches lose more', () => {
    for (const share of [0.2, 0.5, 0.8, 1]) {
      expect(branchCoefficient(wye(0.6, 30), share)).toBeLessThan(
        branchCoefficient(wye(0.6, 60), share),
      );
      expect(branchCoefficient(wye(0.6, 60), share)).toBeLessThan(
        branchCoefficient(wye(0.6, 90), share),
      );
    }
  });

  it('creates no energy at equal legs: losses weighted by flow stay above zero', () => {
    for (const degrees of [30, 45, 60, 90]) {
      for (let share = 0; share <= 1; share += 0.05) {
        const both =
          share * branchCoefficient(wye(1, degrees), share) +
          (1 - share) * straightCoefficient(wye(1, degrees), share);
        expect(both).toBeGreaterThan(-0.02);
      }
    }
  });

  it('has the derivatives it says', () => {
    const flow = fc.double({ min: 0.05, max: 0.5, noNaN: true });
    const share = fc.double({ min: 0.02, max: 0.98, noNaN: true });
    const anyWye = fc.record({
      combinedArea: fc.constant(0.02),
      branchArea: fc.constantFrom(0.005, 0.008, 0.02),
      cosine: fc.constantFrom(0, 0.5, Math.SQRT1_2, 0.97),
    });
    for (const lossInto of [branchLossInto, straightLossInto]) {
      fc.assert(
        fc.property(anyWye, flow, share, (shape, combined, part) => {
          fc.pre(Math.abs(part - 0.3889) > 0.001);
          const at = (own: number, all: number): JunctionLoss => {
            const out = { loss: 0, byOwn: 0, byCombined: 0 };
            lossInto(out, shape, own, all, 1.2);
            return out;
          };
          const own = part * combined;
          const h = 1e-7;
          const here = at(own, combined);
          const byOwn = (at(own + h, combined).loss - at(own - h, combined).loss) / (2 * h);
          const byAll = (at(own, combined + h).loss - at(own, combined - h).loss) / (2 * h);
          const scale = Math.abs(here.byOwn) + Math.abs(here.byCombined) + 1;
          expect(Math.abs(here.byOwn - byOwn) / scale).toBeLessThan(1e-4);
          expect(Math.abs(here.byCombined - byAll) / scale).toBeLessThan(1e-4);
        }),
      );
    }
  });
});

describe('blower', () => {
  const points: BlowerPoint[] = [
    { flow: 0, pressure: 2500 },
    { flow: 0.2, pressure: 2300 },
    { flow: 0.4, pressure: 1500 },
    { flow: 0.5, pressure: 0 },
  ];
  const as = { density: 1.2, speed: 57.5, wheelDiameter: 0.3 };

  it('follows the fan laws: flow N·D³, pressure ρ·N²·D²', () => {
    const [, faster] = scaleBlower(points, as, { ...as, speed: 2 * as.speed });
    expect(faster?.flow).toBeCloseTo(0.4, 12);
    expect(faster?.pressure).toBeCloseTo(9200, 9);
    const [, bigger] = scaleBlower(points, as, { ...as, wheelDiameter: 1.1 * as.wheelDiameter });
    expect(bigger?.flow).toBeCloseTo(0.2 * 1.1 ** 3, 12);
    expect(bigger?.pressure).toBeCloseTo(2300 * 1.1 ** 2, 9);
    const [, thinner] = scaleBlower(points, as, { ...as, density: 0.9 });
    expect(thinner).toEqual({ flow: 0.2, pressure: 2300 * 0.75 });
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
  ])('a %f hp motor draws %f A at 115 V and half at 230 V', (hp, ampere) => {
    const motor = { power: toSI(hp, 'hp'), voltage: 115, plateCurrent: null };
    expect(fullLoadCurrent(motor).current).toBeCloseTo(ampere, 6);
    expect(fullLoadCurrent({ ...motor, voltage: 230 }).current).toBeCloseTo(ampere / 2, 6);
  });

  it('asks the shaft for Q·P/η and its motor for full-load current at rated load', () => {
    expect(shaftPower(0.25, 2000, 0.5)).toBe(1000);
    const motor = { power: 1500, voltage: 230, plateCurrent: 12 };
    expect(motorCurrent(motor, 1500)).toBeCloseTo(12, 9);
    expect(motorCurrent(motor, 0)).toBeGreaterThan(3);
    expect(motorCurrent(motor, 0)).toBeLessThan(motorCurrent(motor, 800));
  });

  it('a filter at its permeability loses 125 Pa clean, and twice that at loading 2', () => {
    const filter = { area: 10, permeability: 0.1 };
    expect(filterResistance(filter, 1) * 1).toBeCloseTo(125, 9);
    expect(filterResistance(filter, 2) * 1).toBeCloseTo(250, 9);
  });
});
