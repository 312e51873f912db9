import { describe, expect, it } from 'vitest';
import { treeOf } from '../../reference/plain-readings';
import { generatedShop } from '../../reference/sample-shops';
import { everyGateSet } from './every-gate-set';
import { gateMatrix } from './gate-matrix';
import { neededFlow } from './judge-drops';

const shop = generatedShop(5);
shop.shop.rules.gates = { kind: 'atMost', count: 2 };
for (const port of shop.machines.flatMap(({ ports }) => ports)) {
  port.need = { kind: 'flow', flow: 0.12 };
}
const tree = treeOf(shop);

describe('drops by combinations', () => {
  const whole = gateMatrix(shop, tree, 'found', 100);

  it('has every combination once, five alone and ten pairs', () => {
    expect(whole.columns).toHaveLength(15);
    expect(whole).toMatchObject({ solved: 15, sets: 15 });
    expect(new Set(whole.columns.map(({ drawing }) => drawing.join())).size).toBe(15);
    for (const { drawing, cells } of whole.columns) {
      expect(cells.filter((cell) => cell !== null)).toHaveLength(drawing.length);
    }
  });

  it('has the least each drop gets, as the worst over all combinations has it', () => {
    const over = everyGateSet(shop, tree, 'found');
    if (over.kind !== 'evaluated') throw new Error('too many');
    for (const [i, drop] of tree.drops.entries()) {
      const least = Math.min(
        ...whole.columns.map(({ cells }) => cells[i]?.flow ?? Number.POSITIVE_INFINITY),
      );
      const found = over.drops.find((each) => each.drop === drop.id);
      expect(least).toBeCloseTo(found?.least.value ?? Number.NaN, 9);
      for (const { cells } of whole.columns) {
        const cell = cells[i];
        if (cell) expect(cell.isShort).toBe(cell.flow < neededFlow(drop.port));
      }
    }
  });

  it('shows the combinations with most drops short first, as many as are asked for', () => {
    const shorts = whole.columns.map(({ short }) => short);
    expect(shorts).toEqual(shorts.toSorted((a, b) => b - a));
    expect(whole.enough).toBe(shorts.filter((short) => short === 0).length);
    const few = gateMatrix(shop, tree, 'found', 4);
    expect(few.columns).toEqual(whole.columns.slice(0, 4));
    expect(few.solved).toBe(15);
  });
});
