// A small part of `npm run attack`, as much of it as needs neither a browser nor a server. What it must be able to
// see is held too: a fault that is planted is reported.
import { describe, expect, it } from 'vitest';
import { faultOf } from './attack/attack';
import { broken, placesIn } from './attack/break-json';
import { Chance } from './attack/chance';
import { attackFiles } from './attack/files';
import { attackImports } from './attack/imports';
import { attackQuantities } from './attack/quantities';

describe('the attack', () => {
  it.each([
    ['files', attackFiles, 300],
    ['quantities', attackQuantities, 3000],
    ['imports', attackImports, 120],
  ] as const)(
    'on %s gets nothing through',
    (_, attack, count) => {
      const { tried, failed } = attack({ count, seed: 7 });
      expect(failed).toEqual([]);
      expect(tried).toBe(count);
    },
    60_000,
  );

  it('sees what throws and what takes too long', () => {
    expect(faultOf(1000, () => {})).toBeNull();
    expect(
      faultOf(1000, () => {
        throw new Error('planted');
      }),
    ).toMatch(/planted/);
    const slow = faultOf(1, () => {
      const until = performance.now() + 5;
      while (performance.now() < until);
    });
    expect(slow).toMatch(/^took \d+ ms$/);
  });

  it('breaks the same from the same seed, something in most tries, and never what it was given', () => {
    const value = { a: 1, b: ['x', { c: true }], d: { e: null, f: 2.5 } };
    const before = JSON.stringify(value);
    const places = placesIn(value);
    expect(places).toHaveLength(8);
    const tries = (seed: number) => {
      const chance = new Chance(seed);
      return Array.from({ length: 200 }, () => JSON.stringify(broken(value, places, 2, chance)));
    };
    expect(tries(1)).toEqual(tries(1));
    expect(tries(1)).not.toEqual(tries(2));
    expect(tries(1).filter((text) => text !== before).length).toBeGreaterThan(150);
    expect(JSON.stringify(value)).toBe(before);
  });

  it('chances spread evenly', () => {
    const chance = new Chance(5);
    const counts = [0, 0, 0, 0];
    for (let i = 0; i < 4000; i++) {
      const which = chance.below(4);
      counts[which] = (counts[which] ?? 0) + 1;
    }
    for (const count of counts) expect(Math.abs(count - 1000)).toBeLessThan(120);
  });
});
