import { describe, expect, it } from 'vitest';
import { circleArea } from '../air/velocity-pressure';
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
import { PLUG_IDS, plugCarries, plugSuits, startCurrent } from './plug';

const air = { density: 1.2, viscosity: 1.82e-5 };
const inch = (value: number) => toSI(value, 'in');

describe('a slotted baffle', () => {
  const designed = baffleFor(inch(18.5), inch(28), inch(6));
  if (!designed.ok) throw new Error(designed.reason);
  const { baffle } = designed;

  it('is cut as the trade cuts it, worked by hand for an 18½-in. drum', () => {
    expect(baffle.slotRadius).toBeCloseTo(inch(9.25 - 1.125), 9);
    expect(baffle.slotTo - baffle.slotFrom).toBeCloseTo(SLOT_ARC, 9);
    expect(baffle.drop).toBeCloseTo(inch(6), 9);
    expect(baffle.inletOffset).toBeCloseTo(inch(9.25 - 3), 9);
    // Two thirds of a ring from 8⅛ to 9¼ in.: π·(85.56 − 66.02)·⅔ = 40.9 in².
    expect(baffle.slotArea / inch(1) ** 2).toBeCloseTo(40.93, 1);
    expect(baffle.slotShare).toBeCloseTo(40.93 / (Math.PI * 9), 2);
    expect(baffle.room).toBeCloseTo(circleArea(inch(18.5)) * inch(22), 9);
  });

  it('keeps solid plate under the entry’s far side', () => {
    expect(baffle.slotFrom).toBeGreaterThanOrEqual(baffle.entryAngle);
    expect(baffle.slotTo).toBeLessThanOrEqual(2 * Math.PI + baffle.slotFrom);
  });

  it.each([
    [12, 28, 6, /do not both fit/],
    [18.5, 16, 6, /too low/],
  ])('in a drum of %i × %i in. is refused', (across, high, inlet, says) => {
    const refused = baffleFor(inch(across), inch(high), inch(inlet));
    expect(refused.ok ? '' : refused.reason).toMatch(says);
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
    expect(work.heads).toBeCloseTo(6.4, 9);
    expect(work.pressure).toBeCloseTo(6.4 * 0.6 * 18 ** 2, 6);
    expect(work.cutSize).toBe(cutSize(proportions, 0.288, air));
    // The same loss on the round duct's own velocity pressure.
    const round = 0.288 / circleArea(0.15);
    expect(work.roundHeads * 0.6 * round ** 2).toBeCloseTo(work.pressure, 6);
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

  it('a start takes about six times full load, or what the plate says', () => {
    expect(startCurrent(motor(2, 230))).toBeCloseTo(72, 9);
    expect(startCurrent({ ...motor(2, 230), startRatio: 5 })).toBeCloseTo(60, 9);
  });
});
