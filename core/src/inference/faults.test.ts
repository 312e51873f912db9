import { describe, expect, it } from 'vitest';
import { copyOf, threeBranchShop } from '../../reference/sample-shops';
import { gatesOfDrop } from '../analysis/gate-sets';
import type { Shop } from '../design/schema';
import { solveShop } from '../network/solve-shop';
import { arrangeDucts } from '../routing/arrange-ducts';
import {
  AMOUNTS,
  asBelieved,
  type Fault,
  keyOfFault,
  PRIOR_OF_NOTHING,
  possibleFaults,
  withFault,
} from './faults';
import { gatesKeyOf } from './observations';
import { Solutions } from './predictor';

const shop = threeBranchShop();
for (const run of shop.ducts.runs) if (run.gate) run.gate.closedGap = 0.003;
const arranged = arrangeDucts(shop);
if (!arranged.ok) throw new Error('no tree');
const { tree } = arranged;
const believed = asBelieved(shop, tree);
const [drop, other] = tree.drops;
if (!drop || !other) throw new Error('no drops');
const gates = gatesOfDrop(drop);
const own = drop.path[0]?.id ?? '';
const asked = {
  measurand: { at: { kind: 'port', node: drop.id }, shows: 'flow' },
  gates,
  gatesKey: gatesKeyOf(gates),
} as const;
const flowWith = (fault: Fault, amount: number) =>
  Math.exp(new Solutions(withFault(believed, fault, amount)).lnOf(asked) ?? Number.NaN);
const flowOf = (changed: Shop, blower = 1) => {
  const factors = {
    ...{ entries: 1, fittings: 1, friction: 1, separator: 1, filter: 1, leaks: 1, blower },
  };
  const solved = solveShop(changed, { view: 'found', openGates: gates, factors });
  return solved.kind === 'solved' ? (solved.airIn.get(own)?.[0]?.flowIn ?? 0) : Number.NaN;
};
const edited = (edit: (own: Shop) => void) => {
  const copy = copyOf(shop);
  edit(copy);
  return copy;
};
const runOf = (changed: Shop, id: string) => {
  const run = changed.ducts.runs.find((each) => each.id === id);
  if (!run) throw new Error('no run');
  return run;
};

describe('a fault', () => {
  it('makes of a shop what the same edit of its document makes', () => {
    expect(flowWith({ kind: 'opening', run: own }, 2e-3)).toBeCloseTo(
      flowOf(
        edited(({ condition }) => {
          condition.holes.push({ run: own, area: 2e-3, origin: { kind: 'assumed' } });
        }),
      ),
      9,
    );
    expect(flowWith({ kind: 'clog', run: own }, 5)).toBeCloseTo(
      flowOf(
        edited((copy) => {
          runOf(copy, own).fittings.push({
            ...{ kind: 'other', id: 'x', name: 'clog', lossCoefficient: 5, count: 1 },
          });
        }),
      ),
      9,
    );
    expect(flowWith({ kind: 'gate not open', run: own }, 0.4)).toBeCloseTo(
      flowOf(
        edited((copy) => {
          const { gate } = runOf(copy, own);
          if (gate) gate.opening = 0.4;
        }),
      ),
      9,
    );
    const shut = other.path[0]?.id ?? '';
    expect(flowWith({ kind: 'gate not shut', run: shut }, 0.15)).toBeCloseTo(
      flowOf(
        edited((copy) => {
          const { gate } = runOf(copy, shut);
          if (gate) gate.closedGap = 0.15;
        }),
      ),
      9,
    );
    expect(flowWith({ kind: 'blower' }, 0.8)).toBeCloseTo(flowOf(shop, 0.8), 9);
    expect(flowWith({ kind: 'separator' }, 3)).toBeCloseTo(
      flowOf(
        edited(({ collector }) => {
          collector.separator.lossCoefficient *= 3;
        }),
      ),
      6,
    );
  });

  it('leaves a shop whose meter is off as it is', () => {
    expect(flowWith({ kind: 'meter', meter: 'vane', way: 'less' }, 1.2)).toBeCloseTo(
      flowOf(shop),
      9,
    );
  });

  it('takes air from a drop the more, the more there is of it', () => {
    const faults: Fault[] = [
      { kind: 'opening', run: own },
      { kind: 'clog', run: own },
      { kind: 'gate not open', run: own },
      { kind: 'gate not shut', run: other.path[0]?.id ?? '' },
      { kind: 'separator' },
      { kind: 'blower' },
      { kind: 'leakage' },
    ];
    for (const fault of faults) {
      const { from, to } = AMOUNTS[fault.kind];
      expect(flowWith(fault, from)).toBeLessThan(flowOf(shop));
      expect(flowWith(fault, to)).toBeLessThan(flowWith(fault, from));
    }
  });
});

describe('what is possible', () => {
  const possible = possibleFaults(shop, tree, ['vane']);
  it('makes up, with nothing wrong, all there is', () => {
    const sum = possible.reduce((total, { prior }) => total + prior, 0);
    expect(sum + PRIOR_OF_NOTHING).toBeCloseTo(1, 12);
    expect(new Set(possible.map(({ fault }) => keyOfFault(fault))).size).toBe(possible.length);
  });

  it('has a fault of every run and every gate, and none of a filter or a separator that is not there', () => {
    const count = (kind: Fault['kind']) =>
      possible.filter(({ fault }) => fault.kind === kind).length;
    expect(count('opening')).toBe(shop.ducts.runs.length);
    expect(count('gate not open')).toBe(tree.drops.length);
    expect(count('filter')).toBe(0);
    expect(count('meter')).toBe(2);
    const bare = edited(({ collector }) => {
      collector.separator.kind = 'none';
    });
    const kinds = possibleFaults(bare, tree, []).map(({ fault }) => fault.kind);
    expect(kinds).not.toContain('separator');
    expect(kinds).not.toContain('meter');
  });
});
