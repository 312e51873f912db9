import { describe, expect, it } from 'vitest';
import { UNITS } from '../quantity/units';
import { ALL_SHUT, blowerOf, withGate } from './gate-switches';
import { hiddenImperfection, unitLeftOn } from './hidden-meter';
import { trueLevel, trueMass } from './other-meters';

describe('a stand-in for a sound meter', () => {
  it('is 6 dB lower twice as far off (inverse square, as in the open), and as much louder as is hidden', () => {
    const near = trueLevel(80, 2, null);
    expect(near - trueLevel(80, 4, null)).toBeCloseTo(6.02, 2);
    expect(trueLevel(80, 3, null)).toBe(80);
    expect(trueLevel(80, 3, { louder: 4 })).toBe(84);
  });
});

describe('a stand-in for a scale', () => {
  const dust = { rate: 1 / 3600, caught: 0.9 };
  it('finds in both bins together what the machines made', () => {
    const [bin, filter] = (['separator', 'filter'] as const).map((own) =>
      trueMass(dust, own, 10, null),
    );
    expect(bin).toBeCloseTo(9, 9);
    expect(filter).toBeCloseTo(1, 9);
    const hidden = { dust: 1.2, letBy: 3 };
    expect(trueMass(dust, 'filter', 10, hidden)).toBeCloseTo(3.6, 9);
    expect(trueMass(dust, 'separator', 10, hidden)).toBeCloseTo(8.4, 9);
    // It cannot let by more than there is.
    expect(trueMass(dust, 'separator', 10, { dust: 1, letBy: 100 })).toBe(0);
  });
});

describe('a stand-in with a unit button', () => {
  const shows = (seed: number, id = 'vane') => unitLeftOn({ seed }, { id }, 'velocity', 'ms');
  it('shows another unit in one condition of three, the same whenever it is asked', () => {
    const shown = Array.from({ length: 600 }, (_, seed) => shows(seed));
    const pressed = shown.filter((unit) => unit !== 'ms');
    expect(pressed.length / shown.length).toBeGreaterThan(0.27);
    expect(pressed.length / shown.length).toBeLessThan(0.4);
    expect(new Set(pressed).size).toBe(4);
    for (const unit of pressed) expect(UNITS[unit].dimension).toBe('velocity');
    expect(shows(7)).toBe(shows(7));
  });

  it('has none where a quantity has one unit only', () => {
    for (let seed = 0; seed < 50; seed++) {
      expect(unitLeftOn({ seed }, { id: 'a' }, 'current', 'a')).toBe('a');
    }
  });
});

describe('a stand-in in a hidden condition', () => {
  const of = (seed: number) => hiddenImperfection({ seed }, { id: 'vane', accuracy: 0.03 });
  const all = Array.from({ length: 400 }, (_, seed) => of(seed));
  it('is off by its accuracy, 95 times in 100, and drifts a little either way', () => {
    const within = all.filter(({ bias }) => Math.abs(bias) <= 0.03).length / all.length;
    expect(within).toBeGreaterThan(0.91);
    expect(within).toBeLessThan(0.99);
    expect(all.some(({ drift }) => drift > 0.001)).toBe(true);
    expect(all.some(({ drift }) => drift < -0.001)).toBe(true);
    for (const { drift } of all) expect(Math.abs(drift)).toBeLessThanOrEqual(0.002);
    expect(of(5)).toEqual(of(5));
  });
});

describe('gates with switches', () => {
  const NOW = 1_800_000_000_000;
  it('start the blower, and stop it the delay after the last has shut', () => {
    expect(blowerOf(ALL_SHUT, 8, NOW)).toEqual({ kind: 'stopped' });
    const open = withGate(withGate(ALL_SHUT, 'saw', true, NOW), 'planer', true, NOW);
    expect(blowerOf(open, 8, NOW)).toEqual({ kind: 'running' });
    const one = withGate(open, 'saw', false, NOW + 1000);
    expect(one).toMatchObject({ open: ['planer'], lastShut: null });
    const shut = withGate(one, 'planer', false, NOW + 2000);
    expect(blowerOf(shut, 8, NOW + 3000)).toEqual({ kind: 'running on', until: NOW + 10_000 });
    expect(blowerOf(shut, 8, NOW + 10_000)).toEqual({ kind: 'stopped' });
    // Shut once more, it stays when it was.
    expect(withGate(shut, 'planer', false, NOW + 5000).lastShut).toBe(NOW + 2000);
  });

  it('leave it running where it is on by hand', () => {
    expect(blowerOf({ ...ALL_SHUT, isOnByHand: true }, 8, NOW)).toEqual({ kind: 'running' });
  });

  it('open twice are open once', () => {
    const twice = withGate(withGate(ALL_SHUT, 'saw', true, NOW), 'saw', true, NOW);
    expect(twice.open).toEqual(['saw']);
  });
});
