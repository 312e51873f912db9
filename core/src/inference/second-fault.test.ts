import { describe, expect, it } from 'vitest';
import { chanceShop, ownGateRound } from '../../reference/hidden-shops';
import { SIGMA, treeOf } from '../../reference/plain-readings';
import { chanceOf } from '../simulate/chance';
import { asBelieved, type Fault, keyOfFault, shownMore, withFault } from './faults';
import { candidatesOf, nextReadings } from './next-reading';
import type { Observation } from './observations';
import { keyOfPlace } from './places';
import { weighFaults } from './posterior';
import { type Asked, Solutions } from './predictor';

const shop = chanceShop(8, chanceOf(5));
const tree = treeOf(shop);
const [near, far] = [tree.upstreamFirst.at(-2)?.id ?? '', tree.upstreamFirst[0]?.id ?? ''];

type Amounts = readonly (readonly [Fault, number])[];

/** What is read of a shop with several faults at once, without any chance. */
function readings(asked: readonly Asked[], faults: Amounts): Observation[] {
  const real = new Solutions(
    faults.reduce(
      (shopSoFar, [fault, amount]) => withFault(shopSoFar, fault, amount),
      asBelieved(shop, tree),
    ),
  );
  return asked.map((each, i) => ({
    reading: { id: `${i}`, at: '2026-01-10T10:00:00Z', testPoint: `${i}`, instrument: 'vane' },
    ...each,
    ln:
      (real.lnOf(each) ?? 0) +
      faults.reduce((sum, [fault, amount]) => sum + shownMore(fault, amount, 'vane'), 0),
    bound: null,
    sigma: SIGMA,
    meter: 'vane',
    meterSigma: SIGMA,
  }));
}

const round = ownGateRound({ tree });
const gated = tree.upstreamFirst.filter(({ gate }) => gate).map(({ id }) => id);
const verdictOf = (faults: Amounts) => weighFaults(shop, tree, readings(round, faults)).verdict;

describe('two faults at once', () => {
  it('are not looked for where nothing is wrong, or where one explains the readings', () => {
    expect(verdictOf([]).two).toBeNull();
    const one: Fault[] = [
      { kind: 'opening', run: near },
      { kind: 'clog', run: far },
      { kind: 'leakage' },
      { kind: 'meter', meter: 'vane', way: 'less' },
    ];
    const amounts = [5e-3, 8, 5, 1.25];
    one.forEach((fault, i) => {
      expect(verdictOf([[fault, amounts[i] ?? 0]]).two, fault.kind).toBeNull();
    });
  });

  const clog: Fault = { kind: 'gate not open', run: gated[2] ?? '' };
  const opening: Fault = { kind: 'opening', run: far };

  it('are both named, each about as large as it is', () => {
    const { two, suspects, places, isWrong } = verdictOf([
      [clog, 0.3],
      [opening, 6e-3],
    ]);
    expect(isWrong).toBe(true);
    expect(two?.probability).toBeGreaterThan(0.9);
    const sized = new Map(suspects.map((each) => [keyOfFault(each.fault), each]));
    const gate = sized.get(keyOfFault(clog));
    expect(gate?.probability).toBeGreaterThan(0.8);
    expect(gate?.low).toBeLessThan(0.34);
    expect(gate?.high).toBeGreaterThan(0.26);
    // Whichever run the opening is in, these readings cannot quite say; the true one is among the likeliest.
    expect(
      places.slice(0, 4).flatMap(({ suspects: own }) => own.map(({ fault }) => keyOfFault(fault))),
    ).toContain(keyOfFault(opening));
  });

  it('are as likely as everything beside them leaves, and each suspect as the pairs it is in', () => {
    const { two, suspects, nothing } = verdictOf([
      [clog, 0.3],
      [opening, 6e-3],
    ]);
    expect(nothing).toBeLessThan(1e-3);
    const pairs = two?.pairs ?? [];
    expect(pairs.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(
      two?.probability ?? 0,
      9,
    );
    const whole = suspects.reduce((sum, { probability }) => sum + probability, 0);
    expect(whole).toBeGreaterThan(1.9 * (two?.probability ?? 0));
    expect(whole).toBeLessThan(2.001 * (two?.probability ?? 0));
  });

  it('are told apart by the next readings', () => {
    const faults: Amounts = [
      [clog, 0.3],
      [opening, 6e-3],
    ];
    const own = readings(round, faults);
    const candidates = candidatesOf(tree, { air: 'vane', pressure: null, mayOpenDucts: true });
    let taken = own;
    for (let i = 0; i < 3; i++) {
      const [best] = nextReadings(weighFaults(shop, tree, taken), taken, candidates, 1);
      if (!best) throw new Error('no reading is worth taking');
      // What each pair expects, and no pair twice.
      const named = best.outcomes.map(({ place, also }) =>
        [place, also]
          .flatMap((each) => (each ? [keyOfPlace(each)] : []))
          .sort()
          .join(' + '),
      );
      expect(new Set(named).size).toBe(named.length);
      const [next] = readings([best.candidate], faults);
      if (next) taken = [...taken, next];
    }
    const { suspects } = weighFaults(shop, tree, taken).verdict;
    const both = new Set(suspects.slice(0, 2).map(({ fault }) => keyOfFault(fault)));
    expect(both).toEqual(new Set([keyOfFault(clog), keyOfFault(opening)]));
  }, 20_000);
});
