import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hiddenShop, ownGateRound } from '../../reference/hidden-shops';
import { chanceOf } from '../simulate/chance';
import { candidatesOf, information, nextReadings } from './next-reading';
import { keyOfPlace, placeOfFault } from './places';
import { weighFaults } from './posterior';

const parts = fc.array(
  fc.record({
    weight: fc.double({ min: 0.05, max: 1, noNaN: true }),
    mean: fc.double({ min: -1, max: 1, noNaN: true }),
    sigma: fc.double({ min: 0.02, max: 0.4, noNaN: true }),
  }),
  { minLength: 2, maxLength: 5 },
);

describe('what a reading can tell', () => {
  it('is what drawing suspects and readings at random gives (mutual information by simulation)', () => {
    const DRAWS = 20_000;
    fc.assert(
      fc.property(parts, fc.integer({ min: 2, max: 5 }), fc.nat(), (list, places, seed) => {
        const whole = list.reduce((sum, { weight }) => sum + weight, 0);
        const all = list.map(({ weight, ...rest }, i) => ({
          of: `place ${i % places}`,
          share: weight / whole,
          ...rest,
        }));
        const { uniform, normal } = chanceOf(seed);
        const density = (x: number, { mean, sigma }: (typeof all)[number]) =>
          Math.exp(-(((x - mean) / sigma) ** 2) / 2) / sigma;
        let sum = 0;
        for (let i = 0; i < DRAWS; i++) {
          let left = uniform();
          const own =
            all.find(({ share }) => {
              left -= share;
              return left <= 0;
            }) ?? all[0];
          if (!own) continue;
          const x = own.mean + own.sigma * normal();
          const mixed = (of: typeof all) =>
            of.reduce((total, each) => total + each.share * density(x, each), 0);
          const there = all.filter(({ of }) => of === own.of);
          const share = there.reduce((total, each) => total + each.share, 0);
          sum += Math.log(mixed(there) / share / mixed(all));
        }
        expect(Math.abs(information(all) - sum / DRAWS)).toBeLessThan(0.03);
      }),
      { numRuns: 30 },
    );
  });

  it('is nothing where all expect the same, and which of two it is where they lie far apart', () => {
    const at = (mean: number, of = `${mean}`) => ({ of, share: 0.5, mean, sigma: 0.05 });
    expect(information([at(0, 'a'), at(0, 'b')])).toBeCloseTo(0, 6);
    expect(information([at(0, 'a'), at(3, 'a')])).toBeCloseTo(0, 6);
    expect(information([at(0), at(3)])).toBeCloseTo(Math.log(2), 4);
  });
});

describe('the next reading', () => {
  const hidden = hiddenShop(7919 * 2 + 31, 'opening');
  const own = ownGateRound(hidden).flatMap((asked) => hidden.read(asked) ?? []);
  const weighed = weighFaults(hidden.shop, hidden.tree, own);

  it('is among those that can be taken with the meters there are', () => {
    const kinds = (means: Parameters<typeof candidatesOf>[1]) =>
      new Set(candidatesOf(hidden.tree, means).map(({ kind }) => kind));
    expect(kinds({ air: null, pressure: null, mayOpenDucts: true })).toEqual(new Set());
    expect(kinds({ air: null, pressure: 'm', mayOpenDucts: true })).toEqual(new Set(['tap']));
    expect(kinds({ air: 'v', pressure: null, mayOpenDucts: false })).toEqual(
      new Set(['drop, own gate', 'drop, another gate open too', 'blower, all gates shut']),
    );
    expect(kinds({ air: 'v', pressure: null, mayOpenDucts: true })).toContain(
      'duct, all gates shut',
    );
  });

  it('is expected of a suspected meter as that meter would show it', () => {
    const off = hiddenShop(7919 * 2 + 31, 'meter');
    const read = ownGateRound(off).flatMap((asked) => off.read(asked) ?? []);
    const all = candidatesOf(off.tree, { air: 'vane', pressure: null, mayOpenDucts: false });
    const of = weighFaults(off.shop, off.tree, read);
    const [again] = read;
    const same = all.filter(
      ({ gatesKey, measurand }) =>
        gatesKey === again?.gatesKey &&
        JSON.stringify(measurand) === JSON.stringify(again.measurand),
    );
    const [next] = nextReadings(of, read, same, 1);
    const meter = next?.outcomes.find(({ place }) => place?.kind === 'meter');
    // What it has shown of this drop it is expected to show again.
    expect(meter?.low).toBeLessThan(Math.exp(again?.ln ?? 0));
    expect(meter?.high).toBeGreaterThan(Math.exp(again?.ln ?? 0));
    expect(Math.abs(Math.log(off.amount))).toBeGreaterThan(0.1);
    expect(next?.gain).toBeLessThan(0.1);
  });

  it('leaves fewer suspects, and says beforehand what each of them expects', () => {
    const candidates = candidatesOf(hidden.tree, {
      ...{ air: 'vane', pressure: 'gauge', mayOpenDucts: true },
    });
    const observations = [...own];
    let now = weighed;
    for (let taken = 0; taken < 3; taken++) {
      const [best, second] = nextReadings(now, observations, candidates, 2);
      if (!best || !second) throw new Error('no candidate');
      // A little trouble is worth a little information, and no more.
      expect(best.gain).toBeGreaterThan(second.gain - 0.05);
      for (const { value, low, high } of best.outcomes) {
        expect(low).toBeLessThan(value);
        expect(high).toBeGreaterThan(value);
      }
      const read = hidden.read(best.candidate);
      if (read) observations.push(read);
      now = weighFaults(hidden.shop, hidden.tree, observations);
    }
    expect(now.verdict.among.length).toBeLessThan(weighed.verdict.among.length);
    const truth = hidden.fault && keyOfPlace(placeOfFault(hidden.fault));
    expect(now.verdict.among.map(({ place }) => keyOfPlace(place))).toContain(truth);
  });
});
