import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { circleArea } from '../air/velocity-pressure';
import { PLUG_IDS } from '../catalogue/ids';
import { toSI } from '../quantity/units';
import { baffleFor, SLOT_ARC } from './baffle';
import { cutSize, DUSTS } from './cyclone';
import { bodyForSpeed, cycloneAtWork } from './cyclone-design';
import {
  type Box,
  boxQuieting,
  boxSurface,
  boxWarmth,
  MOTOR_EFFICIENCY,
  wallLoss,
} from './enclosure';
import { plugCarries, plugSuits, startCurrent, wiringCode } from './plug';

const air = { density: 1.2, viscosity: 1.82e-5 };
const inch = (value: number) => toSI(value, 'in');

describe('a slotted baffle', () => {
  const baffle = (inlet = 6) => {
    const designed = baffleFor(inch(18.5), inch(28), inch(inlet));
    if (!designed.ok) throw new Error(designed.reason);
    return designed.baffle;
  };

  it('is cut as the trade cuts it, worked by hand for an 18½-in. drum', () => {
    const made = baffle();
    expect(made.slotRadius).toBeCloseTo(inch(9.25 - 1.125), 9);
    expect(made.slotTo - made.slotFrom).toBeCloseTo(SLOT_ARC, 9);
    expect(made.drop).toBeCloseTo(inch(6), 9);
    expect(made.inletOffset).toBeCloseTo(inch(9.25 - 3), 9);
    // Two thirds of a ring from 8⅛ to 9¼ in.: π·(85.56 − 66.02)·⅔ = 40.9 in².
    expect(made.slotArea / inch(1) ** 2).toBeCloseTo(40.93, 1);
    expect(made.slotShare).toBeCloseTo(40.93 / (Math.PI * 9), 2);
    expect(made.room).toBeCloseTo(circleArea(inch(18.5)) * inch(22), 9);
  });

  it('keeps solid plate under the entry’s far side', () => {
    // By hand: 2·asin(3/6.25) = 57.4°, so the solid 120° are shared evenly; 2·asin(4/5.25) = 99.3°.
    expect(baffle(6).entryAngle).toBeCloseTo(2 * Math.asin(3 / 6.25), 9);
    expect(baffle(6).slotFrom).toBeCloseTo(Math.PI / 3, 9);
    expect(baffle(8).slotFrom).toBeCloseTo(2 * Math.asin(4 / 5.25), 9);
    for (const inlet of [4, 6, 8]) {
      const made = baffle(inlet);
      expect(made.slotFrom).toBeGreaterThanOrEqual(made.entryAngle);
      expect(made.slotTo).toBeLessThanOrEqual(2 * Math.PI + made.slotFrom);
    }
  });

  it.each([
    [12, 28, 6, /do not both fit/],
    [18.5, 16, 6, /too low/],
  ])('in a drum of %i × %i in. is refused', (across, high, inlet, reason) => {
    const refused = baffleFor(inch(across), inch(high), inch(inlet));
    expect(refused.ok ? '' : refused.reason).toMatch(reason);
  });
});

describe('a cyclone from its proportions', () => {
  it('has its body by the speed of its inlet: 0.27 m³/s at 18 m/s through 0.1·D²', () => {
    const body = bodyForSpeed('highEfficiency', 0.27, 18);
    expect(body).toBeCloseTo(Math.sqrt(0.27 / 18 / 0.1), 9);
  });

  it('works as Shepherd and Lapple say', () => {
    const proportions = {
      bodyDiameter: 0.4,
      inletHeight: 0.2,
      inletWidth: 0.08,
      outletDiameter: 0.2,
      bodyLength: 0.6,
      coneLength: 1,
    };
    const work = cycloneAtWork(proportions, 0.288, air, DUSTS.saw, 0.15);
    expect(work.inletSpeed).toBeCloseTo(18, 9);
    expect(work.lossCoefficient).toBeCloseTo(6.4, 9);
    expect(work.pressure).toBeCloseTo(6.4 * 0.6 * 18 ** 2, 6);
    expect(work.cutSize).toBe(cutSize(proportions, 0.288, air));
    // The same loss on the round duct's own velocity pressure.
    const round = 0.288 / circleArea(0.15);
    expect(work.roundCoefficient * 0.6 * round ** 2).toBeCloseTo(work.pressure, 6);
    expect(work.caught).toBeGreaterThan(0.9);
  });
});

describe('an enclosure', () => {
  const box: Box = { length: 1.2, width: 0.8, height: 1.5, surfaceMass: 13.5, absorption: 0.7 };

  it('warms by P/(ρ·c·Q + U·A), worked by hand', () => {
    // 1000 W on the shaft are 1333 W of heat; 0.25 m³/s carry 302 W/K, walls of 7.92 m² 24 W/K.
    expect(boxSurface(box)).toBeCloseTo(7.92, 9);
    const warm = boxWarmth(box, 1000, 0.25, 1.2);
    expect(warm).toBeCloseTo(1000 / MOTOR_EFFICIENCY / (1.2 * 1006 * 0.25 + 3 * 7.92), 9);
    expect(warm).toBeCloseTo(4.1, 1);
    expect(boxWarmth(box, 500, 0, 1.2)).toBeGreaterThan(20);
  });

  it('keeps back what its wall’s mass does, less what its opening lets out', () => {
    // Mass law at 500 Hz: 20·log(13.5·500) − 47 = 29.6 dB.
    expect(wallLoss(13.5)).toBeCloseTo(29.6, 1);
    expect(wallLoss(27) - wallLoss(13.5)).toBeCloseTo(6.02, 2);
    const shut = boxQuieting(box, 0);
    expect(shut).toBeCloseTo(29.6 + 10 * Math.log10(0.7), 1);
    const open = boxQuieting(box, 0.3);
    expect(open).toBeLessThan(shut);
    expect(open).toBeCloseTo(-10 * Math.log10((7.92 * 10 ** -2.959 + 0.3) / 8.22) - 1.55, 1);
    expect(boxQuieting({ ...box, absorption: 0.02 }, 3)).toBe(0);
  });
});

describe('any enclosure', () => {
  const anyBox: fc.Arbitrary<Box> = fc.record({
    length: fc.double({ min: 0.5, max: 4, noNaN: true }),
    width: fc.double({ min: 0.5, max: 3, noNaN: true }),
    height: fc.double({ min: 0.5, max: 3, noNaN: true }),
    surfaceMass: fc.double({ min: 3, max: 80, noNaN: true }),
    absorption: fc.double({ min: 0.02, max: 1, noNaN: true }),
  });
  const measure = (min: number, max: number) => fc.double({ min, max, noNaN: true });

  it('a larger opening never makes it quieter, a heavier wall or more lining never louder', () => {
    fc.assert(
      fc.property(anyBox, measure(0, 2), measure(1, 3), (box, opening, more) => {
        const quieting = boxQuieting(box, opening);
        expect(quieting).toBeGreaterThanOrEqual(0);
        expect(boxQuieting(box, opening * more + 0.01)).toBeLessThanOrEqual(quieting + 1e-9);
        const heavier = { ...box, surfaceMass: box.surfaceMass * more };
        expect(boxQuieting(heavier, opening)).toBeGreaterThanOrEqual(quieting - 1e-9);
        const lined = { ...box, absorption: Math.min(1, box.absorption * more) };
        expect(boxQuieting(lined, opening)).toBeGreaterThanOrEqual(quieting - 1e-9);
        expect(quieting).toBeLessThanOrEqual(wallLoss(box.surfaceMass) + 1e-9);
      }),
      { numRuns: 200 },
    );
  });

  it('more air or a larger box is cooler, and twice the power twice as warm', () => {
    fc.assert(
      fc.property(anyBox, measure(50, 4000), measure(0, 0.6), (box, shaft, flow) => {
        const warmth = boxWarmth(box, shaft, flow, 1.2);
        expect(boxWarmth(box, shaft, flow + 0.05, 1.2)).toBeLessThan(warmth);
        expect(boxWarmth({ ...box, length: box.length + 1 }, shaft, flow, 1.2)).toBeLessThan(
          warmth,
        );
        expect(boxWarmth(box, 2 * shaft, flow, 1.2)).toBeCloseTo(2 * warmth, 9);
      }),
      { numRuns: 200 },
    );
  });
});

describe('any drum and inlet', () => {
  it('has a slot within the plate, over no more than the drum, or a reason why not', () => {
    const measure = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        measure(0.25, 0.8),
        measure(0.3, 1.2),
        measure(0.08, 0.25),
        (across, high, inlet) => {
          const designed = baffleFor(across, high, inlet);
          if (!designed.ok) {
            expect(inlet > 0.45 * across || high < 3 * inlet).toBe(true);
            return;
          }
          const { baffle } = designed;
          expect(baffle.slotRadius).toBeGreaterThan(0);
          expect(baffle.slotRadius).toBeLessThan(across / 2);
          // The entry's edge touches the wall: it comes in along it.
          expect(baffle.inletOffset + inlet / 2).toBeCloseTo(across / 2, 12);
          expect(baffle.slotArea).toBeLessThan(circleArea(across));
          expect(baffle.room).toBeLessThan(circleArea(across) * high);
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('plugs and starts', () => {
  const motor = (horsepower: number, voltage: number) => ({
    power: toSI(horsepower, 'hp'),
    voltage,
    plateCurrent: null,
    startRatio: null,
  });

  it('a US cord and plug carries 80 % of its rating for hours (NEC 210.23, from memory)', () => {
    expect(plugCarries('us15')).toBeCloseTo(12, 9);
    expect(plugCarries('us20')).toBeCloseTo(16, 9);
    expect(plugCarries('uk13')).toBe(13);
    expect(plugCarries('wired')).toBeNull();
  });

  it('every plug suits motors of its own voltage alone', () => {
    const suits = (voltage: number) => PLUG_IDS.filter((id) => plugSuits(id, { voltage }));
    expect(suits(115)).toEqual(['wired', 'us15', 'us20']);
    expect(suits(230)).not.toContain('us20');
    expect(new Set([...suits(115), ...suits(230)]).size).toBe(PLUG_IDS.length);
  });

  it('only a hard-wired motor suits both kinds of supply', () => {
    for (const id of PLUG_IDS) {
      expect(plugSuits(id, { voltage: 115 }) && plugSuits(id, { voltage: 230 })).toBe(
        id === 'wired',
      );
    }
  });

  it('a circuit follows its plug’s rules, else its voltage’s, else its shop’s units’', () => {
    expect(wiringCode('uk13', { voltage: 230 }, 'us')).toBe('other');
    expect(wiringCode('us20at240', { voltage: 230 }, 'metric')).toBe('nec');
    expect(wiringCode(null, { voltage: 115 }, 'metric')).toBe('nec');
    expect(wiringCode('wired', { voltage: 230 }, 'metric')).toBe('other');
    expect(wiringCode(null, { voltage: 230 }, 'us')).toBe('nec');
  });

  it('a start takes about six times full load, or what the plate says', () => {
    expect(startCurrent(motor(2, 230), 'nec')).toBeCloseTo(72, 9);
    expect(startCurrent({ ...motor(2, 230), startRatio: 5 }, 'nec')).toBeCloseTo(60, 9);
  });
});
