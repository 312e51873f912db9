import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { treeOf } from '../../reference/plain-readings';
import { threeBranchShop } from '../../reference/sample-shops';
import type { Shop } from '../design/schema';
import { readShop } from '../file/shop-file';
import { assemblyOrder } from './assembly-order';
import { amountAtHand, isAtHand, type StageParts, withTick } from './at-hand';
import { cutList } from './cuts/cut-list';
import { hangersOf } from './drawings/marks';
import { gasketsOf } from './gaskets';
import { ELBOW_SEAMS, type PartLine, partsList } from './parts-list';
import { MAINS, stagesOf } from './stages';

function demo(): Shop {
  const read = readShop(JSON.parse(readFileSync('demo/heron-slip.json', 'utf8')));
  if (!read.ok) throw new Error('no demo');
  return structuredClone(read.shop);
}
const SHOP = demo();
const TREE = treeOf(SHOP);
const WHOLE = partsList(SHOP, TREE);
const STAGES = stagesOf(TREE).map((stage): StageParts => {
  return { stage, lines: partsList(SHOP, TREE, cutList(SHOP, TREE, stage.runs), stage) };
});

describe('the stages of building', () => {
  it('have every run once: the mains first, then each drop by itself', () => {
    const all = STAGES.flatMap(({ stage }) => [...stage.runs]);
    expect(all.toSorted()).toEqual(TREE.upstreamFirst.map(({ id }) => id).toSorted());
    expect(STAGES[0]?.stage.id).toBe(MAINS);
    expect(STAGES.slice(1).map(({ stage }) => stage.drop)).toEqual(TREE.drops.map(({ id }) => id));
  });

  it('take together what the whole takes, pipe in no fewer lengths', () => {
    const sums = new Map<string, number>();
    for (const { key, quantity } of STAGES.flatMap(({ lines }) => lines)) {
      sums.set(key, (sums.get(key) ?? 0) + quantity);
    }
    expect([...sums.keys()].toSorted()).toEqual(WHOLE.map(({ key }) => key).toSorted());
    for (const { key, part, quantity } of WHOLE) {
      if (part.kind === 'pipe') expect(sums.get(key)).toBeGreaterThanOrEqual(quantity);
      else expect(sums.get(key), key).toBeCloseTo(quantity, 9);
    }
  });
});

describe('what is at hand', () => {
  const line = WHOLE.find(({ key }) => STAGES.filter((each) => has(each, key)).length > 1);
  if (!line) throw new Error('nothing in two stages');
  const own = STAGES.filter((each) => has(each, line.key));
  const [first, second] = own;
  if (!first || !second) throw new Error('no stages');

  function has({ lines }: StageParts, key: string) {
    return lines.some((each) => each.key === key);
  }

  it('of a stage counts for the whole as far as it goes', () => {
    const owned = withTick([], line.key, first.stage, true, STAGES);
    expect(isAtHand(owned, line.key, first.stage)).toBe(true);
    expect(isAtHand(owned, line.key, second.stage)).toBe(false);
    expect(isAtHand(owned, line.key, null)).toBe(false);
    const inFirst = first.lines.find(({ key }) => key === line.key)?.quantity ?? 0;
    expect(amountAtHand(owned, line, STAGES)).toBeCloseTo(Math.min(inFirst, line.quantity), 9);
    const all = own.reduce((ticks, { stage }) => withTick(ticks, line.key, stage, true, STAGES), [
      'another',
    ] as string[]);
    expect(amountAtHand(all, line, STAGES)).toBeCloseTo(line.quantity, 9);
    expect(all).toContain('another');
  });

  it('of the whole counts for every stage; taken from one, it stays with the others', () => {
    const whole = withTick(['another'], line.key, null, true, STAGES);
    expect(whole).toEqual(['another', line.key]);
    expect(own.every(({ stage }) => isAtHand(whole, line.key, stage))).toBe(true);
    const less = withTick(whole, line.key, first.stage, false, STAGES);
    expect(isAtHand(less, line.key, first.stage)).toBe(false);
    expect(isAtHand(less, line.key, second.stage)).toBe(true);
    expect(withTick(less, line.key, null, false, STAGES)).toEqual(['another']);
    // Back again, it is whole by its stages.
    const back = withTick(less, line.key, first.stage, true, STAGES);
    expect(amountAtHand(back, line, STAGES)).toBeCloseTo(line.quantity, 9);
  });
});

describe('what closes and holds', () => {
  const quantity = (lines: readonly PartLine[], kind: string) =>
    lines.reduce((sum, { part, quantity: own }) => sum + (part.kind === kind ? own : 0), 0);

  it('is silicone around every seam of an adjustable elbow, and none where there is none', () => {
    const withElbows = (style: 'adjustable' | 'fivePiece') => {
      // Nothing is drawn here: its elbows are as typed.
      const shop = threeBranchShop();
      const run = shop.ducts.runs[0];
      if (!run) throw new Error('no runs');
      run.fittings = [
        {
          ...{ kind: 'elbow', id: 'e', style, angle: Math.PI / 2 },
          ...{ radiusRatio: 1.5, count: 2, after: null },
        },
      ];
      return { shop, around: 2 * Math.PI * run.diameter };
    };
    const { shop: plain } = withElbows('fivePiece');
    expect(quantity(partsList(plain, treeOf(plain)), 'silicone')).toBe(0);
    const { shop, around } = withElbows('adjustable');
    const parts = partsList(shop, treeOf(shop));
    expect(quantity(parts, 'silicone')).toBeCloseTo(ELBOW_SEAMS * around, 9);
  });

  it('is a gasket around the bin and one below the filter, as wide as they are', () => {
    const shop = demo();
    shop.collector.assembly.bin.diameter = 0.5;
    const own = gasketsOf(assemblyOrder(shop, treeOf(shop)), shop).filter(
      ({ thickness }) => thickness === null,
    );
    expect(own).toHaveLength(2);
    expect(own[0]).toEqual({ run: null, thickness: null, length: expect.closeTo(Math.PI / 2, 9) });
  });

  it('is a strap where the pipe climbs and a hanger where it lies: as many as the drawing has', () => {
    const hangings = hangersOf(SHOP, TREE);
    const drawn = new Set(hangings.map(({ run }) => run));
    // Every run of the demo is drawn.
    expect(drawn.size).toBe(TREE.upstreamFirst.length);
    const straps = hangings.filter(({ isStrap }) => isStrap).length;
    expect(straps).toBeGreaterThan(0);
    expect(quantity(WHOLE, 'strap')).toBe(straps);
    expect(quantity(WHOLE, 'hanger')).toBe(hangings.length - straps);
  });
});
