// Lapple: cut size and grade efficiency; Shepherd and Lapple: velocity heads of the inlet; standard
// cyclone proportions. All from memory (as in Cooper and Alley, Air Pollution Control).
import { describe, expect, it } from 'vitest';
import {
  CYCLONE_FAMILIES,
  cutSize,
  cycloneOf,
  DUSTS,
  effectiveTurns,
  gradeEfficiency,
  inletCoefficient,
  shareCaught,
} from '../src/collector/cyclone';
import { roundInletCoefficient } from '../src/collector/separator';

describe('a cyclone', () => {
  it('of high-efficiency proportions takes 6.4 heads, a conventional one 8', () => {
    expect(inletCoefficient(cycloneOf('highEfficiency', 0.5))).toBeCloseTo(6.4, 12);
    expect(inletCoefficient(cycloneOf('conventional', 0.3))).toBeCloseTo(8, 12);
  });

  it('of conventional proportions turns the air six times', () => {
    expect(effectiveTurns(cycloneOf('conventional', 1))).toBeCloseTo(6, 12);
  });

  it('cuts at 6.2 µm in a worked example', () => {
    // A conventional cyclone 1 m across, 150 m³/min at 350 K, particles of 1600 kg/m³: N = 6,
    // V = 2.5/(0.5·0.25) = 20 m/s, μ = 2.08e-5 Pa·s: √(9·2.08e-5·0.25/(2π·6·20·1599)) = 6.23 µm.
    const cut = cutSize(
      cycloneOf('conventional', 1),
      2.5,
      { viscosity: 2.08e-5, density: 1.01 },
      1600,
    );
    expect(cut * 1e6).toBeCloseTo(6.23, 1);
  });

  it.each([
    [0.5, 0.2],
    [1, 0.5],
    [2, 0.8],
    [3, 0.9],
    [5, 0.96],
    [10, 0.99],
  ])('catches of particles %f times its cut size %f', (ratio, caught) => {
    expect(gradeEfficiency(ratio * 5e-6, 5e-6)).toBeCloseTo(caught, 2);
  });

  it('cuts finer the faster and the smaller it is', () => {
    const air = { viscosity: 1.8e-5, density: 1.2 };
    const at = (diameter: number, flow: number) =>
      cutSize(cycloneOf('highEfficiency', diameter), flow, air);
    expect(at(0.45, 0.4)).toBeLessThan(at(0.45, 0.2));
    expect(at(0.4, 0.3)).toBeLessThan(at(0.5, 0.3));
    // d50 ∝ √(b/(V·N)), so with the square root of flow and the three halves of size.
    expect(at(0.45, 0.2) / at(0.45, 0.4)).toBeCloseTo(Math.SQRT2, 9);
    expect(at(0.5, 0.3) / at(0.4, 0.3)).toBeCloseTo((0.5 / 0.4) ** 1.5, 9);
  });

  it('catches 95–99 % of a shop’s dust by mass (common practice, no source)', () => {
    const air = { viscosity: 1.8e-5, density: 1.2 };
    const cut = cutSize(cycloneOf('highEfficiency', 0.45), 0.33, air);
    expect(shareCaught(DUSTS.saw, cut)).toBeGreaterThan(0.95);
    expect(shareCaught(DUSTS.chips, cut)).toBeGreaterThan(0.98);
    expect(shareCaught(DUSTS.sanding, cut)).toBeLessThan(shareCaught(DUSTS.saw, cut));
  });

  it('fed by a round inlet counts its own inlet’s heads by how much faster the air is there', () => {
    const cyclone = cycloneOf('highEfficiency', 0.45);
    const asLarge = Math.sqrt((4 * cyclone.inletHeight * cyclone.inletWidth) / Math.PI);
    expect(roundInletCoefficient(cyclone, asLarge)).toBeCloseTo(6.4, 9);
    expect(roundInletCoefficient(cyclone, asLarge * 1.1)).toBeCloseTo(6.4 * 1.1 ** 4, 9);
  });

  it('has lengths in proportion to its body', () => {
    for (const id of ['highEfficiency', 'conventional'] as const) {
      const { inletHeight, bodyDiameter } = cycloneOf(id, 0.6);
      expect(inletHeight / bodyDiameter).toBeCloseTo(CYCLONE_FAMILIES[id].inletHeight, 12);
    }
  });
});

describe('share caught of a log-normal dust', () => {
  it('of one size is the grade efficiency at it', () => {
    expect(shareCaught({ median: 20e-6, spread: 1 }, 5e-6)).toBeCloseTo(
      gradeEfficiency(20e-6, 5e-6),
      9,
    );
  });

  it('with its median at the cut is a half, however wide, by symmetry', () => {
    for (const spread of [1.5, 2.5, 4]) {
      expect(shareCaught({ median: 5e-6, spread }, 5e-6)).toBeCloseTo(0.5, 6);
    }
  });

  it('agrees with the mean over ten thousand particles spread evenly over the distribution', () => {
    // The size at each ten-thousandth of the mass, found by inverting the distribution by halving.
    const normal = (z: number) => {
      // Abramowitz and Stegun 26.2.17 (from memory), good to 7.5e-8.
      const t = 1 / (1 + 0.2316419 * Math.abs(z));
      const [b1, b2, b3, b4, b5] = [
        0.31938153, -0.356563782, 1.781477937, -1.821255978, 1.330274429,
      ];
      const tail =
        ((((b5 * t + b4) * t + b3) * t + b2) * t + b1) *
        t *
        (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI));
      return z > 0 ? 1 - tail : tail;
    };
    const deviationAt = (part: number) => {
      let [low, high] = [-8, 8];
      for (let step = 0; step < 50; step++) {
        const middle = (low + high) / 2;
        if (normal(middle) < part) low = middle;
        else high = middle;
      }
      return low;
    };
    const parts = 10_000;
    const deviations = Array.from({ length: parts }, (_, i) => deviationAt((i + 0.5) / parts));
    for (const [median, spread] of [
      [25e-6, 2.5],
      [80e-6, 3],
      [4e-6, 2],
    ] as const) {
      const caught = deviations.map((z) => gradeEfficiency(median * spread ** z, 6e-6));
      const mean = caught.reduce((sum, share) => sum + share, 0) / parts;
      expect(shareCaught({ median, spread }, 6e-6)).toBeCloseTo(mean, 5);
    }
    expect(gradeEfficiency(0, 5e-6)).toBe(0);
  });
});
