import { describe, expect, it } from 'vitest';
import { chanceShop, ownGateRound } from '../../reference/hidden-shops';
import { plainReadings, treeOf } from '../../reference/plain-readings';
import { shopSchema } from '../design/schema';
import { chanceOf } from '../simulate/chance';
import { believeFault, CAN_BE_BELIEVED } from './believe-fault';
import { AMOUNTS, asBelieved, type Fault, withFault } from './faults';
import { weighFaults } from './posterior';
import { Solutions } from './predictor';

const ON = '2026-01-10T10:00:00Z';
const shop = chanceShop(5, chanceOf(5));
const tree = treeOf(shop);
const gated = tree.upstreamFirst.find(({ gate }) => gate)?.id ?? '';
const main = tree.upstreamFirst.at(-1)?.id ?? '';
const FAULTS: readonly (readonly [Fault, number])[] = [
  [{ kind: 'opening', run: main }, 3e-3],
  [{ kind: 'gate not open', run: gated }, 0.4],
  [{ kind: 'filter' }, 2.5],
  [{ kind: 'leakage' }, 3],
];

const believing = (fault: Fault, amount: number) => {
  const believed = structuredClone(shop);
  believeFault(believed, fault, amount, ON);
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
      for (let times = 0; times < 40; times++) believeFault(believed, fault, AMOUNTS[kind].to, ON);
      expect(shopSchema.safeParse(believed).error?.issues ?? []).toEqual([]);
      if (!CAN_BE_BELIEVED.has(kind)) expect(believed).toEqual(shop);
    }
  });
});
