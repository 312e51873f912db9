// Handbook values, all from memory until someone has the books open:
// - ASHRAE friction chart, galvanised duct: 1000 CFM in 12 in. → 0.19–0.20 in. w.g. per 100 ft.
// - ACGIH Industrial Ventilation: velocity pressure at 4005 fpm, flows at 4000 fpm, elbow, branch and
//   hood entry tables.
// - Borda–Carnot: sudden expansion. SMACNA: leakage classes. ASTM: plastic pipe sizes.
// - ASHRAE Fundamentals after Abushakra et al. 2004: flexible duct that is not stretched out.
// - Bresse: collapse of a long thin pipe; ASTM D1784: PVC of 400,000 psi.
import { describe, expect, it } from 'vitest';
import { STANDARD_DENSITY } from '../src/air/air-at-site';
import { circleArea, velocityPressure } from '../src/air/velocity-pressure';
import { ELBOW_STYLE_IDS } from '../src/catalogue/ids';
import {
  binStrengths,
  drumCollapse,
  panelPressure,
  pipeCollapse,
  tubeCollapse,
  WALL_MATERIALS,
} from '../src/duct/collapse';
import { HOSES, hoseMultiplier } from '../src/duct/hose';
import { holeLeakage, LEAKAGE_CLASSES, seamLeakage } from '../src/duct/leakage';
import { pipeFriction } from '../src/duct/pipe-friction';
import { PIPES } from '../src/duct/pipes';
import { POWER_FITS, powerFitFriction } from '../src/duct/power-fit';
import { branchEntryLoss } from '../src/fittings/branch-entry';
import { closeElbowMultiplier, inletSystemEffect } from '../src/fittings/close-elbows';
import { elbowClamped, elbowLoss, elbowRadii, usualRadiusRatio } from '../src/fittings/elbow';
import { gateLoss } from '../src/fittings/gate';
import { ENTRIES, hoodSuction, taperedHoodLoss } from '../src/fittings/hood';
import { changeOfDiameterLoss } from '../src/fittings/reducer';
import { fromSI, toSI } from '../src/quantity/units';

const degrees = (angle: number) => (angle * Math.PI) / 180;
const standardAir = { density: STANDARD_DENSITY, viscosity: 1.82e-5 };

describe('air in ducts', () => {
  it('has one inch of velocity pressure at 4005 fpm', () => {
    const pressure = velocityPressure(toSI(4005, 'fpm'), STANDARD_DENSITY);
    expect(fromSI(pressure, 'inwg')).toBeCloseTo(1, 2);
  });

  it('loses 0.19–0.20 in. per 100 ft at 1000 CFM in 12-in. galvanised', () => {
    const loss = pipeFriction(
      toSI(1000, 'cfm'),
      toSI(100, 'ft'),
      toSI(12, 'in'),
      PIPES.galvanised.roughness,
      standardAir,
    );
    expect(fromSI(loss, 'inwg')).toBeGreaterThan(0.185);
    expect(fromSI(loss, 'inwg')).toBeLessThan(0.205);
  });

  // ASHRAE's friction chart, round galvanised duct, at its line of 0.1 in. w.g. per 100 ft (read
  // from memory, good to about a tenth in the pressure).
  it.each([
    [6, 110],
    [8, 235],
    [10, 425],
    [12, 690],
    [16, 1480],
  ])('loses about 0.1 in. per 100 ft in %i in. at %i CFM', (inches, cfm) => {
    const { roughness } = PIPES.galvanised;
    const diameter = toSI(inches, 'in');
    const loss = pipeFriction(toSI(cfm, 'cfm'), toSI(100, 'ft'), diameter, roughness, standardAir);
    expect(fromSI(loss, 'inwg')).toBeGreaterThan(0.09);
    expect(fromSI(loss, 'inwg')).toBeLessThan(0.11);
  });

  it.each([
    [4, 350],
    [5, 550],
    [6, 785],
    [7, 1070],
    [8, 1400],
  ])('%i in. carries about %i CFM at 4000 fpm', (inches, cfm) => {
    const flow = circleArea(toSI(inches, 'in')) * toSI(4000, 'fpm');
    expect(Math.abs(fromSI(flow, 'cfm') - cfm)).toBeLessThan(6);
  });

  it('3583 fpm in 4.75 in. is 441 CFM', () => {
    const flow = circleArea(toSI(4.75, 'in')) * toSI(3583, 'fpm');
    expect(fromSI(flow, 'cfm')).toBeCloseTo(441, 0);
  });
});

describe('fittings', () => {
  it.each([
    ['smooth', 0.5, 0.71],
    ['smooth', 0.75, 0.33],
    ['smooth', 1, 0.22],
    ['smooth', 1.5, 0.15],
    ['smooth', 2, 0.13],
    ['smooth', 2.5, 0.12],
    ['fivePiece', 0.75, 0.46],
    ['fivePiece', 1, 0.33],
    ['fivePiece', 1.5, 0.24],
    ['fivePiece', 2, 0.19],
    ['fivePiece', 2.5, 0.17],
    ['fourPiece', 0.75, 0.5],
    ['fourPiece', 1, 0.37],
    ['fourPiece', 1.5, 0.27],
    ['fourPiece', 2, 0.24],
    ['fourPiece', 2.5, 0.23],
    ['threePiece', 0.5, 0.9],
    ['threePiece', 0.75, 0.54],
    ['threePiece', 1, 0.42],
    ['threePiece', 1.5, 0.34],
    ['threePiece', 2, 0.33],
    ['threePiece', 2.5, 0.33],
    ['adjustable', 0.75, 0.5],
    ['adjustable', 1, 0.37],
    ['mitred', 1.5, 1.2],
  ] as const)('%s elbow, R/D %f: %f', (style, ratio, loss) => {
    expect(elbowLoss(style, degrees(90), ratio)).toBeCloseTo(loss, 9);
    // Other angles in proportion; a mitre has no radius to turn in, and Weisbach's rule instead.
    if (style === 'mitred') return;
    expect(elbowLoss(style, degrees(45), ratio)).toBeCloseTo(loss / 2, 9);
    expect(elbowLoss(style, degrees(30), ratio)).toBeCloseTo(loss / 3, 9);
  });

  it('mitres by Weisbach (from memory): 45° loses about a fifth of 90°, 30° a fourteenth', () => {
    const share = (angle: number) =>
      elbowLoss('mitred', degrees(angle), 0.5) / elbowLoss('mitred', degrees(90), 0.5);
    // By hand: 0.946·sin²(22.5°) + 2.047·sin⁴(22.5°) = 0.1824; at 45°: 0.473 + 0.5118 = 0.9848.
    expect(share(45)).toBeCloseTo(0.1824 / 0.9848, 3);
    expect(share(30)).toBeCloseTo(0.0726 / 0.9848, 3);
  });

  it('of drain pipe turn like mitres at an R/D of 0.5, in proportion to the angle at 1.5, and as a mixture between', () => {
    const share = (ratio: number) => {
      const whole = elbowLoss('drain', degrees(90), ratio);
      return elbowLoss('drain', degrees(45), ratio) / whole;
    };
    const { least, most } = elbowRadii('drain');
    const mitre = 0.1824 / 0.9848;
    for (const ratio of [least, (least + most) / 2, most]) {
      const edge = 1.5 - ratio;
      expect(share(ratio)).toBeCloseTo(edge * mitre + (1 - edge) * 0.5, 3);
    }
  });

  it('have a usual radius, which their table covers', () => {
    for (const style of ELBOW_STYLE_IDS) {
      const { least, most } = elbowRadii(style);
      const usual = usualRadiusRatio(style);
      expect(least, style).toBeGreaterThan(0);
      expect(usual >= least && usual <= most, style).toBe(true);
    }
    expect(usualRadiusRatio('fivePiece')).toBe(1.5);
    expect(usualRadiusRatio('drain')).toBeLessThan(1);
  });

  it('between tabled radii straight lines, beyond them the nearer end, which it says', () => {
    expect(elbowLoss('fivePiece', degrees(90), 1.75)).toBeCloseTo(0.215, 9);
    expect(elbowLoss('fourPiece', degrees(90), 0.875)).toBeCloseTo(0.435, 9);
    expect(elbowLoss('fourPiece', degrees(90), 0.5)).toBeCloseTo(0.5, 9);
    expect(elbowLoss('fivePiece', degrees(90), 4)).toBeCloseTo(0.17, 9);
    expect(elbowClamped('fivePiece', degrees(90), 4)).toEqual([
      { what: 'radius over diameter', kind: 'number', given: 4, used: 2.5 },
    ]);
    expect(elbowClamped('fivePiece', degrees(90), 2)).toEqual([]);
  });

  it('two 45s beat one tight 90 (common practice, no source)', () => {
    const one = elbowLoss('drain', degrees(90), 0.7);
    // Even made of the same tight elbows, and even with nothing between them.
    const pair = (spacer: number) =>
      elbowLoss('drain', degrees(45), 0.7) * (1 + closeElbowMultiplier(spacer, 0.1));
    expect(pair(0)).toBeLessThan(0.6 * one);
    expect(pair(0.3)).toBeLessThan(pair(0));
    expect(2 * elbowLoss('fivePiece', degrees(45), 1.5)).toBeLessThan(one / 2);
    expect(one).toBeGreaterThanOrEqual(0.6);
    expect(one).toBeLessThanOrEqual(0.9);
  });

  it.each([
    [15, 0.09],
    [30, 0.18],
    [45, 0.28],
    [60, 0.44],
    [90, 1],
  ])('branch entry at %i°: %f', (angle, loss) => {
    expect(branchEntryLoss(degrees(angle))).toBeCloseTo(loss, 9);
  });

  it('changes of diameter follow Borda–Carnot when abrupt, and less when tapered', () => {
    expect(changeOfDiameterLoss(0.1, 0.2, Math.PI)).toBeCloseTo((1 - 1 / 4) ** 2, 12);
    expect(changeOfDiameterLoss(0.2, 0.1, Math.PI)).toBeCloseTo(0.5 * (1 - 1 / 4), 12);
    expect(changeOfDiameterLoss(0.1, 0.2, degrees(10))).toBeLessThan(0.15);
    expect(changeOfDiameterLoss(0.1, 0.1, Math.PI)).toBe(0);
    // Crane at 20°, sin 10° = 0.17365: 0.8·0.17365·0.75 and 2.6·0.17365·0.75².
    expect(changeOfDiameterLoss(0.2, 0.1, degrees(20))).toBeCloseTo(0.10419, 5);
    expect(changeOfDiameterLoss(0.1, 0.2, degrees(20))).toBeCloseTo(0.25396, 4);
  });

  it.each([
    ['round', 45, 0.06],
    ['round', 90, 0.15],
    ['rectangular', 45, 0.15],
    ['rectangular', 90, 0.25],
    ['round', 180, 0.5],
  ] as const)('a %s hood tapering %i° loses %f', (shape, angle, loss) => {
    expect(taperedHoodLoss(shape, degrees(angle))).toBeCloseTo(loss, 9);
  });

  it('an elbow at a blower’s inlet by AMCA 201 (from memory): less the farther off, worse mitred', () => {
    const at = (ratio: number, diameters: number) =>
      inletSystemEffect(ratio, diameters * 0.15, 0.15);
    expect([0, 2, 5].map((diameters) => at(1.5, diameters))).toEqual([1.2, 0.6, 0.3]);
    expect([0, 2, 5].map((diameters) => at(0.5, diameters))).toEqual([3.2, 1.9, 1]);
    expect(at(1.5, 8)).toBe(0);
    expect(at(1.5, 20)).toBe(0);
  });

  it('hoods and gates', () => {
    expect(ENTRIES.plain.loss).toBe(0.93);
    expect(ENTRIES.flanged.loss).toBe(0.49);
    expect(hoodSuction(0.25, 100)).toBe(125);
    expect(gateLoss(1)).toBeGreaterThanOrEqual(0.05);
    expect(gateLoss(1)).toBeLessThanOrEqual(0.2);
    expect(gateLoss(0, 0)).toBe(Number.POSITIVE_INFINITY);
    for (let opening = 0.1; opening < 0.95; opening += 0.1) {
      expect(gateLoss(opening)).toBeGreaterThan(gateLoss(opening + 0.1));
    }
  });

  it('hose compressed by 10 %: 3.7 times the friction at 6 in., by 1 + 0.58·r·e^(−0.126·D)', () => {
    expect(hoseMultiplier(0.1, toSI(6, 'in'))).toBeCloseTo(3.7, 1);
    // By hand: 1 + 0.58·4·e^(−0.126·10) and 1 + 0.58·30·e^(−0.126·16).
    expect(hoseMultiplier(0.04, toSI(10, 'in'))).toBeCloseTo(1 + 2.32 * 0.28365, 4);
    expect(hoseMultiplier(0.3, toSI(16, 'in'))).toBeCloseTo(1 + 17.4 * 0.13319, 3);
    expect(hoseMultiplier(0.5, 0.2)).toBe(hoseMultiplier(0.3, 0.2));
    expect(hoseMultiplier(0, 0.1)).toBe(1);
    expect(hoseMultiplier(0.1, toSI(4, 'in'))).toBeGreaterThan(hoseMultiplier(0.1, toSI(8, 'in')));
  });
});

describe('ribbed hose, stretched out', () => {
  // ACGIH's fit for flexible duct (Loeffler, from memory) against Darcy at the roughness taken.
  it.each([
    [4, 350],
    [5, 550],
    [6, 785],
  ])('loses at %i in. and %i CFM what the handbook’s fit says, within an eighth', (inches, cfm) => {
    const [flow, length, diameter] = [toSI(cfm, 'cfm'), toSI(5, 'ft'), toSI(inches, 'in')];
    const darcy = pipeFriction(flow, length, diameter, HOSES.ribbed.roughness, standardAir);
    const fit = powerFitFriction(POWER_FITS.flexible, flow, length, diameter, STANDARD_DENSITY);
    expect(Math.abs(darcy / fit - 1)).toBeLessThan(0.125);
  });
});

describe('what a blower’s suction does to walls', () => {
  it('4-in. drain pipe stands about 146 in. w.g., heavier pipe far more', () => {
    const stands = (pipe: 'drain' | 'sewer' | 'schedule40') =>
      fromSI(pipeCollapse(pipe, PIPES[pipe].sizes[0].inside), 'inwg');
    expect(stands('drain')).toBeGreaterThan(142);
    expect(stands('drain')).toBeLessThan(150);
    expect(stands('sewer')).toBeGreaterThan(3 * stands('drain'));
    expect(stands('schedule40')).toBeGreaterThan(stands('sewer'));
  });

  it('a long drum buckles no sooner than a pipe, and a short one later', () => {
    const { steel } = WALL_MATERIALS;
    const pipe = tubeCollapse(steel, 0.48, 0.9e-3);
    expect(drumCollapse(steel, 0.48, 50, 0.9e-3)).toBeGreaterThanOrEqual(pipe);
    expect(drumCollapse(steel, 0.48, 0.7, 0.9e-3)).toBeGreaterThan(10 * pipe);
  });

  it('a drum of 0.9 mm steel, 480 by 700 mm, buckles at 55.0 kPa, worked by hand', () => {
    const { steel } = WALL_MATERIALS;
    // t/D = 0.001875, and to the power of 2.5: 1.5223e-7; L/D − 0.45·√(t/D) = 1.43885; 0.91^0.75 = 0.93171.
    expect(drumCollapse(steel, 0.48, 0.7, 0.9e-3) / 54_960).toBeCloseTo(1, 3);
    // A drum so flat that the formula would divide by a negative length still has a strength.
    expect(drumCollapse(steel, 0.48, 0.005, 0.9e-3)).toBeGreaterThan(1e6);
  });

  it('a panel twice as long as wide, by hand: 20 MPa · 18² / (0.6102 · 350²) mm', () => {
    expect(panelPressure(WALL_MATERIALS.plywood, 0.35, 0.7, 0.018)).toBeCloseTo(
      (20e6 * 18 ** 2) / (0.6102 * 350 ** 2),
      0,
    );
  });

  it('lists each wall a bin is met with, the strongest first', () => {
    for (const shape of ['round', 'square'] as const) {
      const bins = binStrengths(shape, 0.48, 0.71);
      expect(bins).toHaveLength(3);
      const pressures = bins.map(({ pressure }) => pressure);
      expect(pressures).toEqual(pressures.toSorted((a, b) => b - a));
    }
    expect(binStrengths('round', 0.48, 0.71)[0]?.name).toMatch(/steel/);
    expect(binStrengths('square', 0.48, 0.71)[0]?.name).toMatch(/plywood/);
  });

  it('a square panel, by hand: 20 MPa · 18² / (0.2874 · 480²) mm', () => {
    const { plywood } = WALL_MATERIALS;
    expect(panelPressure(plywood, 0.48, 0.48, 0.018)).toBeCloseTo(
      (20e6 * 18 ** 2) / (0.2874 * 480 ** 2),
      0,
    );
    expect(panelPressure(plywood, 0.48, 0.7, 0.018)).toBe(panelPressure(plywood, 0.7, 0.48, 0.018));
  });

  it('thin flat sides give way where round ones of the same plastic hold', () => {
    const plastic = (shape: 'round' | 'square') =>
      binStrengths(shape, 0.48, 0.71).find(({ name }) => name.startsWith('plastic'))?.pressure ?? 0;
    expect(fromSI(plastic('square'), 'inwg')).toBeLessThan(10);
    expect(plastic('round')).toBeGreaterThan(plastic('square'));
  });
});

describe('leakage and sizes', () => {
  it('has SMACNA’s classes, and marks what stands between them as an estimate', () => {
    const published = Object.values(LEAKAGE_CLASSES).filter(({ origin }) => origin === 'standard');
    expect(published.map(({ leakageClass }) => leakageClass)).toEqual([3, 6, 12, 24, 48]);
  });

  it('class 30 is 30 CFM from 100 ft² at one inch', () => {
    const flow = seamLeakage(30, toSI(100, 'ft2')) * toSI(1, 'inwg') ** 0.65;
    expect(fromSI(flow, 'cfm')).toBeCloseTo(30, 9);
  });

  it('a square inch at 6 in. w.g. draws about 41 CFM', () => {
    // By hand: √(2·1494.5/1.2014) = 49.9 m/s; × 0.61 × 6.4516e-4 m² = 0.01963 m³/s.
    const flow = holeLeakage(toSI(1, 'in2'), STANDARD_DENSITY) * Math.sqrt(toSI(6, 'inwg'));
    expect(fromSI(flow, 'cfm')).toBeCloseTo(41.6, 1);
  });

  it.each([
    ['drain', 0, 4.065],
    ['sewer', 0, 3.975],
    ['schedule40', 0, 4.026],
    ['drain', 1, 6.075],
    ['sewer', 1, 5.915],
    ['schedule40', 1, 6.065],
  ] as const)('%s pipe %i measures %f in. inside', (pipe, index, inches) => {
    expect(fromSI(PIPES[pipe].sizes[index]?.inside ?? 0, 'in')).toBeCloseTo(inches, 9);
  });
});
