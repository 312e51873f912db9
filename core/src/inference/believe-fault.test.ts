import { describe, expect, it } from 'vitest';
import { chanceShop, ownGateRound } from '../../reference/hidden-shops';
import { plainReadings, treeOf } from '../../reference/plain-readings';
import { UNCERTAINTY, uncertaintyBefore, uncertaintyOf } from '../analysis/flow-uncertainty';
import { shopSchema } from '../design/schema';
import { chanceOf } from '../simulate/chance';
import {
  type Believed,
  believeFault,
  canBeBelieved,
  takeBack,
  uncertaintyOfAmount,
} from './believe-fault';
import { AMOUNTS, asBelieved, type Fault, withFault } from './faults';
import { weighFaults } from './posterior';
import { nuisancesOf, Solutions } from './predictor';

const ON = '2026-01-10T10:00:00Z';
const shop = chanceShop(5, chanceOf(5));
const tree = treeOf(shop);
const gated = tree.upstreamFirst.find(({ gate }) => gate)?.id ?? '';
const main = tree.upstreamFirst.at(-1)?.id ?? '';
const FAULTS: readonly (readonly [Fault, number])[] = [
  [{ kind: 'opening', run: main }, 3e-3],
  [{ kind: 'gate not open', run: gated }, 0.4],
  [{ kind: 'filter' }, 2.5],
  [{ kind: 'separator' }, 2],
  [{ kind: 'leakage' }, 3],
];
/** An amount that is known to a fifth or so. */
const about = (fault: Fault, amount: number) => ({
  ...{ fault, amount },
  low: amount * 0.85,
  high: amount * 1.15,
});

const believing = (fault: Fault, amount: number) => {
  const believed = structuredClone(shop);
  believeFault(believed, about(fault, amount), ON);
  return believed;
};

describe('a fault that is believed', () => {
  it.each(FAULTS)('predicts what the shop with it does: %o', (fault, amount) => {
    const believed = believing(fault, amount);
    expect(shopSchema.safeParse(believed).error?.issues ?? []).toEqual([]);
    const own = new Solutions(asBelieved(believed, treeOf(believed)));
    const other = new Solutions(withFault(asBelieved(shop, tree), fault, amount));
    for (const asked of ownGateRound({ tree })) {
      const [a, b] = [own.lnOf(asked), other.lnOf(asked)];
      expect(a).not.toBeNull();
      // A wider gap around every joint does not let in quite in proportion.
      expect(Math.abs((a ?? 0) - (b ?? 0))).toBeLessThan(fault.kind === 'leakage' ? 0.01 : 1e-9);
    }
  });

  it('is nothing wrong any more for the readings that showed it', () => {
    const [opening, area] = FAULTS[0] ?? [{ kind: 'filter' as const }, 1];
    const read = plainReadings(shop, tree, ownGateRound({ tree }), opening, area);
    expect(weighFaults(shop, tree, read).verdict.isWrong).toBe(true);
    const believed = believing(opening, area);
    expect(weighFaults(believed, treeOf(believed), read).verdict.isWrong).toBe(false);
  });

  it('stays within what a shop may have, and of others nothing is believed', () => {
    for (const kind of Object.keys(AMOUNTS) as Fault['kind'][]) {
      const fault: Fault =
        kind === 'meter'
          ? { kind, meter: 'm', way: 'more' }
          : kind === 'opening' ||
              kind === 'clog' ||
              kind === 'gate not open' ||
              kind === 'gate not shut'
            ? { kind, run: gated }
            : { kind };
      const believed = structuredClone(shop);
      for (let times = 0; times < 40; times++)
        believeFault(believed, about(fault, AMOUNTS[kind].to), ON);
      expect(shopSchema.safeParse(believed).error?.issues ?? []).toEqual([]);
      if (!canBeBelieved(fault, shop)) expect(believed).toEqual(shop);
    }
  });

  it('narrows predictions, by the interval the readings leave of it, and not the readings’ own weighing', () => {
    // 15 % either way holds 90 %; 95 % lie within 1.96/1.645 times as much.
    expect(uncertaintyOfAmount(about({ kind: 'filter' }, 3))).toBeCloseTo((0.15 * 1.96) / 1.645, 9);
    for (const [fault, amount] of FAULTS) {
      if (fault.kind !== 'filter' && fault.kind !== 'separator' && fault.kind !== 'leakage')
        continue;
      const kind = fault.kind === 'leakage' ? 'leaks' : fault.kind;
      const believed = believing(fault, amount);
      expect(uncertaintyOf(kind, believed)).toBeCloseTo(
        Math.min(UNCERTAINTY[kind], (0.15 * 1.96) / 1.645),
        9,
      );
      expect(uncertaintyOf(kind, shop)).toBe(UNCERTAINTY[kind]);
      expect(uncertaintyBefore(kind, believed)).toBe(UNCERTAINTY[kind]);
      expect(nuisancesOf(asBelieved(believed, treeOf(believed))).sigmas).toEqual(
        nuisancesOf(asBelieved(shop, tree)).sigmas,
      );
    }
  });

  it('can be taken back, to the digit', () => {
    for (const [fault, amount] of FAULTS) {
      if (fault.kind === 'gate not open') continue;
      const believed = believing(fault, amount);
      const what: Believed =
        fault.kind === 'opening'
          ? { kind: 'opening', place: believed.condition.holes.length - 1 }
          : { kind: fault.kind as 'filter' | 'separator' | 'leakage' };
      takeBack(believed, what);
      expect(believed.condition.sealing.usual).toBeCloseTo(shop.condition.sealing.usual, 9);
      believed.condition.sealing.usual = shop.condition.sealing.usual;
      expect(believed).toEqual(shop);
    }
  });
});
