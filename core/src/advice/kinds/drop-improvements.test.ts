import { describe, expect, it } from 'vitest';
import { untapedShop } from '../../../reference/advice-shops';
import { chanceShop } from '../../../reference/hidden-shops';
import { treeOf } from '../../../reference/plain-readings';
import { everyGateSet } from '../../analysis/every-gate-set';
import { gateMatrix } from '../../analysis/gate-matrix';
import { judgeDrops } from '../../analysis/judge-drops';
import { BLOWER_CLASSES } from '../../collector/blower-classes';
import type { Shop } from '../../design/schema';
import { ENTRIES } from '../../fittings/hood';
import { ductConflicts } from '../../routing/duct-conflicts';
import { chanceOf } from '../../simulate/chance';
import { evaluate } from '../evaluate';
import { improved, improvementsOf } from '../improvements-of';

const madeIn = (shop: Shop, kind: string) => {
  const all = improvementsOf(shop, treeOf(shop)).filter(({ work }) => work.kind === kind);
  const [first] = all;
  if (!first) throw new Error(`no ${kind}`);
  return { all, first, after: improved(shop, [first]) };
};
const airOf = (shop: Shop, drop: string) => {
  const air = judgeDrops(shop, treeOf(shop), 'found', 'one').find((each) => each.drop.id === drop);
  if (air?.kind !== 'judged') throw new Error('unsolved');
  return air;
};

describe('a second gate left open', () => {
  const shop = chanceShop(12, chanceOf(12));
  const { all, first, after } = madeIn(shop, 'bleed');
  const { work } = first;
  if (work.kind !== 'bleed') throw new Error('no bleed');

  it('keeps a main moving in which chips would settle', () => {
    for (const each of all) {
      if (each.work.kind !== 'bleed') continue;
      const before = airOf(shop, each.work.drop).main;
      const { main } = airOf(improved(shop, [each]), each.work.drop);
      expect(before?.velocity).toBeLessThan(before?.transport ?? 0);
      expect(main?.velocity).toBeGreaterThanOrEqual(main?.transport ?? Number.NaN);
    }
  });

  it('takes air from the drop, asks nothing of the other, and leaves the rest as it was', () => {
    const [was, is] = [evaluate(shop), evaluate(after)];
    const flowIn = (of: typeof was, drop: string) =>
      of?.drops.find((own) => own.drop === drop)?.flow;
    expect(flowIn(is, work.drop)).toBeLessThan(flowIn(was, work.drop) ?? 0);
    for (const { drop, flow } of was?.drops ?? []) {
      if (drop !== work.drop) expect(flowIn(is, drop)).toBe(flow);
    }
  });

  it('is no combination of its own, in every set and in the table of them', () => {
    const tree = treeOf(after);
    const over = everyGateSet(after, tree, 'found');
    if (over.kind !== 'evaluated') throw new Error('too many sets');
    const own = over.drops.find(({ drop }) => drop === work.drop);
    expect(own?.least.drawing).toEqual([work.drop]);
    expect(own?.least.value).toBeCloseTo(airOf(after, work.drop).flow, 9);
    const { columns } = gateMatrix(after, tree, 'found', 100);
    expect(columns.every(({ drawing }) => drawing.length === 1)).toBe(true);
    const column = columns.find(({ drawing }) => drawing[0] === work.drop);
    const cell = column?.cells.find((each) => each !== null);
    expect(cell?.flow).toBeCloseTo(airOf(after, work.drop).flow, 9);
  });

  it('is offered to a drop once', () => {
    const again = improvementsOf(after, treeOf(after));
    expect(again.some(({ id }) => id === first.id)).toBe(false);
  });
});

describe('a flange', () => {
  it('halves what a plain pipe end loses, once', () => {
    const shop = untapedShop();
    const { first, after } = madeIn(shop, 'flange');
    const { work } = first;
    const drop = work.kind === 'flange' ? work.drop : '';
    // ACGIH Industrial Ventilation: a plain duct end 0.93, a flanged one 0.49 (from memory).
    expect(airOf(shop, drop).drop.port.entryLoss).toBeCloseTo(0.93, 2);
    expect(airOf(after, drop).drop.port.entryLoss).toBe(ENTRIES.flanged.loss);
    expect(airOf(after, drop).flow).toBeGreaterThan(airOf(shop, drop).flow);
    expect(improvementsOf(after, treeOf(after)).some(({ id }) => id === first.id)).toBe(false);
  });
});

describe('a small collector beside a machine', () => {
  const shop = untapedShop();
  const { all, first, after } = madeIn(shop, 'own collector');
  const { work } = first;
  if (work.kind !== 'own collector') throw new Error('no collector');

  it('is offered where a drop is short, the smallest that brings what it needs', () => {
    for (const { work: each } of all) {
      if (each.kind !== 'own collector') continue;
      const { flow, need } = airOf(shop, each.drop);
      expect(flow).toBeLessThan(need);
      expect(each.flow).toBeGreaterThanOrEqual(need);
      // Bare, by its inlet alone, it would move more; and three quarters of a horsepower would not do.
      const { bareFlow } = BLOWER_CLASSES[each.blower];
      expect(each.flow).toBeLessThan(bareFlow);
      expect(each.blower).toBe('one');
      expect(BLOWER_CLASSES.threeQuarter.bareFlow).toBeLessThan(need * 1.01);
    }
  });

  it('takes its drop off the ducts, and nothing is missed there', () => {
    const [was, is] = [evaluate(shop), evaluate(after)];
    expect(is?.drops).toHaveLength((was?.drops.length ?? 0) - 1);
    expect(is?.drops.some(({ drop }) => drop === work.drop)).toBe(false);
    const served = after.machines
      .flatMap(({ ports }) => ports)
      .filter(({ servedBy }) => servedBy === 'own collector');
    expect(served).toHaveLength(1);
    expect(after.machines).toHaveLength(shop.machines.length);
    const missed = ductConflicts(after).filter(({ kind }) => kind === 'port without a duct');
    expect(missed).toEqual([]);
    expect(is?.floor).toBeGreaterThan(was?.floor ?? Number.NaN);
  });
});
