// NIOSH, Criteria for a Recommended Standard: Occupational Noise Exposure, publication 98-126 (1998),
// table 1-1 and the dose formula of section 1.1, from memory.
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blowerSoundPower, levelAt, levelMoved } from '../src/noise/blower-noise';
import { allowedHours, averageLevel, dailyDose } from '../src/noise/daily-dose';
import { toSI } from '../src/quantity/units';

describe('daily noise dose by NIOSH', () => {
  // Level, then hours, minutes and seconds as the table prints them.
  it.each([
    [80, 25, 24, 0],
    [82, 16, 0, 0],
    [85, 8, 0, 0],
    [88, 4, 0, 0],
    [91, 2, 0, 0],
    [94, 1, 0, 0],
    [97, 0, 30, 0],
    [100, 0, 15, 0],
    [103, 0, 7, 30],
    [109, 0, 1, 53],
  ])('%i dB(A) is allowed %i h %i min %i s', (level, hours, minutes, seconds) => {
    const allowed = allowedHours(level) * 3600;
    const printed = hours * 3600 + minutes * 60 + seconds;
    expect(Math.abs(allowed - printed)).toBeLessThan(printed * 0.005 + 0.5);
  });

  it('a day of three stays, worked by hand: 2/8 + 1/4 + 0.5/2 = three quarters', () => {
    const stays = [
      { level: 85, hours: 2 },
      { level: 88, hours: 1 },
      { level: 91, hours: 0.5 },
    ];
    expect(dailyDose(stays)).toBeCloseTo(0.75, 12);
    expect(averageLevel(0.75)).toBeCloseTo(83.75, 2);
  });

  it('eight hours at any level average to that level', () => {
    fc.assert(
      fc.property(fc.double({ min: 50, max: 120, noNaN: true }), (level) => {
        // The criteria's own formula rounds 10·log₁₀2 to 3, so that levels agree to 0.4 %.
        const average = averageLevel(dailyDose([{ level, hours: 8 }])) ?? 0;
        expect(Math.abs(average - level)).toBeLessThan(0.005 * Math.abs(level - 85) + 1e-9);
      }),
    );
    expect(averageLevel(0)).toBeNull();
  });
});

describe('noise in the open', () => {
  it('does not fall to nothing when the blower is choked', () => {
    const atBest = blowerSoundPower(0.3, 1600, 0.3);
    const choked = blowerSoundPower(0, 2500, 0.3);
    expect(Number.isFinite(choked)).toBe(true);
    expect(Math.abs(choked - atBest)).toBeLessThan(6);
  });

  it('falls by 6 dB for each doubling of distance', () => {
    expect(levelMoved(88, 1, 2)).toBeCloseTo(81.98, 2);
    expect(levelAt(100, 1) - levelAt(100, 2)).toBeCloseTo(6.02, 2);
  });

  it('twice the air is 3 dB more, twice the pressure 6 (fan sound laws)', () => {
    const base = blowerSoundPower(0.2, 1500, 0.3);
    expect(blowerSoundPower(0.4, 1500, 0.3) - base).toBeCloseTo(3.01, 2);
    expect(blowerSoundPower(0.2, 3000, 0.3) - base).toBeCloseTo(6.02, 2);
  });

  // Common practice, no source: small 2 hp collectors read 78–85 dB(A) at about 3 m.
  it('of a 2 hp collector lies where meters find it', () => {
    const level = levelAt(blowerSoundPower(toSI(580, 'cfm'), toSI(8, 'inwg'), toSI(600, 'cfm')), 3);
    expect(level).toBeGreaterThan(78);
    expect(level).toBeLessThan(85);
  });
});
