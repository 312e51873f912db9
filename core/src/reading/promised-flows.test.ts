import { describe, expect, it } from 'vitest';
import { copyOf, threeBranchShop } from '../../reference/sample-shops';
import { gatesOfDrop } from '../analysis/gate-sets';
import type { Shop } from '../design/schema';
import { dropFlow } from '../network/drop-flow';
import { solveShop } from '../network/solve-shop';
import { arrangeDucts } from '../routing/arrange-ducts';
import { promisedFlows } from './promised-flows';

const arranged = (shop: Shop) => {
  const made = arrangeDucts(shop);
  if (!made.ok) throw new Error('no tree');
  return { shop, tree: made.tree };
};

describe('what the model promises of an edit', () => {
  const before = threeBranchShop();

  it('is the flow of each drop before and after, as the solver has them', () => {
    const after = copyOf(before);
    after.collector.blower.curve = after.collector.blower.curve.map(({ flow, pressure }) => ({
      flow,
      pressure: 1.2 * pressure,
    }));
    const { tree } = arranged(before);
    const promised = promisedFlows(arranged(before), arranged(after));
    expect(promised.map(({ drop }) => drop)).toEqual(tree.drops.map(({ id }) => id));
    for (const drop of tree.drops) {
      const openGates = gatesOfDrop(drop);
      const solved = solveShop(after, { view: 'found', openGates });
      if (solved.kind !== 'solved') throw new Error(solved.kind);
      const own = promised.find((each) => each.drop === drop.id);
      expect(own?.after).toBeGreaterThan(own?.before ?? 0);
      expect(own?.after).toBeCloseTo(dropFlow(solved, drop) ?? Number.NaN, 9);
    }
  });

  it('leaves out drops it does not change, and those of one design only', () => {
    expect(promisedFlows(arranged(before), arranged(copyOf(before)))).toEqual([]);
    const renamed = copyOf(before);
    renamed.shop.note = 'Same air';
    expect(promisedFlows(arranged(before), arranged(renamed))).toEqual([]);
  });
});
