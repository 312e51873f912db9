import { describe, expect, it } from 'vitest';
import { chanceOf } from './chance';
import { shownBy, simulatedMeter } from './simulated-meter';

const open = { hold: 'live', range: { from: null, to: null }, resolution: null } as const;
const PERFECT = { noise: 0, bias: 0, drift: 0 };

const valuesOf = (
  hold: 'live' | 'average' | 'maximum',
  count = 4000,
  noise = 0.05,
): readonly number[] => {
  const chance = chanceOf(7);
  return Array.from({ length: count }, () => {
    const taken = shownBy(20, { ...open, hold }, { ...PERFECT, noise }, chance);
    return taken.kind === 'value' ? taken.value : Number.NaN;
  });
};
const meanOf = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;

describe('chance', () => {
  it('of one seed is the same, of another it is not', () => {
    const three = (seed: number) => {
      const { uniform } = chanceOf(seed);
      return [uniform(), uniform(), uniform()];
    };
    expect(three(1)).toEqual(three(1));
    expect(three(1)).not.toEqual(three(2));
    for (const each of three(5)) expect(each >= 0 && each < 1).toBe(true);
  });

  it('is normally distributed: mean 0, deviation 1, 95 % within 1.96', () => {
    const { normal } = chanceOf(3);
    const drawn = Array.from({ length: 20_000 }, normal);
    expect(meanOf(drawn)).toBeCloseTo(0, 1);
    expect(meanOf(drawn.map((each) => each ** 2))).toBeCloseTo(1, 1);
    expect(drawn.filter((each) => Math.abs(each) < 1.96).length / drawn.length).toBeCloseTo(
      0.95,
      2,
    );
  });
});

describe('a simulated meter', () => {
  it('without faults shows what is true', () => {
    expect(shownBy(20, open, PERFECT, chanceOf(1))).toEqual({ kind: 'value', value: 20 });
  });

  it('swings about the truth; an average swings less, a maximum stands above it', () => {
    const spread = (values: readonly number[]) =>
      Math.sqrt(meanOf(values.map((each) => (each - meanOf(values)) ** 2)));
    expect(meanOf(valuesOf('live'))).toBeCloseTo(20, 1);
    expect(spread(valuesOf('live'))).toBeCloseTo(1, 1);
    expect(spread(valuesOf('average'))).toBeCloseTo(1 / Math.sqrt(12), 1);
    // The highest of twelve stands 1.63 deviations above the mean (order statistics of the normal, from memory).
    expect(meanOf(valuesOf('maximum'))).toBeCloseTo(20 * (1 + 1.63 * 0.05), 0);
  });

  it('stops at either end of its range, and rounds to its last digit', () => {
    const vane = { hold: 'live', range: { from: 0.4, to: 30 }, resolution: 0.1 } as const;
    const at = (truth: number) => shownBy(truth, vane, PERFECT, chanceOf(1));
    expect(at(35)).toEqual({ kind: 'over', limit: 30 });
    expect(at(0.2)).toEqual({ kind: 'under', limit: 0.4 });
    expect(at(12.34)).toEqual({ kind: 'value', value: expect.closeTo(12.3, 9) });
  });

  it('is off by its bias, and by its drift more with every value', async () => {
    const meter = simulatedMeter(open, () => 10, chanceOf(1), {
      noise: 0,
      bias: 0.02,
      drift: 0.01,
    });
    const shown = [await meter.read(), await meter.read(), await meter.read()];
    expect(shown.map((one) => (one.kind === 'value' ? one.value : 0))).toEqual([
      expect.closeTo(10.2, 9),
      expect.closeTo(10.3, 9),
      expect.closeTo(10.4, 9),
    ]);
    await meter.close();
    // Taken up again, it drifts on.
    const again = simulatedMeter(
      open,
      () => 10,
      chanceOf(1),
      { noise: 0, bias: 0.02, drift: 0.01 },
      3,
    );
    expect(await again.read()).toEqual({ kind: 'value', value: expect.closeTo(10.5, 9) });
  });

  it('follows the place it is held at', async () => {
    let truth = 10;
    const meter = simulatedMeter(open, () => truth, chanceOf(1), PERFECT);
    expect(await meter.read()).toEqual({ kind: 'value', value: 10 });
    truth = 15;
    expect(await meter.read()).toEqual({ kind: 'value', value: 15 });
  });
});
