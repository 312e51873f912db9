import { describe, expect, it } from 'vitest';
import { bagMachineOnHose, strongOnFourInch, untapedShop } from '../../reference/advice-shops';
import { treeOf } from '../../reference/plain-readings';
import type { Shop } from '../design/schema';
import { evaluate } from './evaluate';
import { improved, improvementsOf } from './improvements-of';
import { planStages, type StagePlan } from './stages';

function planned(shop: Shop, each: number): StagePlan {
  const plan = planStages(shop, { each });
  if (!plan) throw new Error('no plan');
  return plan;
}

describe('a plan in stages', () => {
  it('spends no more than there is, and saves up what it does not spend', () => {
    const { stages } = planned(strongOnFourInch(), 120);
    expect(stages.length).toBeGreaterThan(1);
    let purse = 0;
    let month = 0;
    for (const stage of stages) {
      // As many months pass as the stage's money takes, one at least.
      do {
        purse += 120;
        month++;
      } while (purse < stage.cost - 1e-6);
      purse = stage.left;
      expect(stage.left).toBeGreaterThanOrEqual(-1e-6);
    }
    expect(month).toBeLessThanOrEqual(6);
    const spent = stages.reduce((sum, { cost }) => sum + cost, 0);
    expect(spent).toBeLessThanOrEqual(6 * 120 + 1e-6);
  });

  it('is at every stage what one solve of the shop as it then is says', () => {
    let shop = strongOnFourInch();
    for (const stage of planned(shop, 120).stages) {
      const all = improvementsOf(shop, treeOf(shop));
      const chosen = stage.works.flatMap(({ id }) => all.find((each) => each.id === id) ?? []);
      expect(chosen).toHaveLength(stage.works.length);
      shop = improved(shop, chosen);
      const after = evaluate(shop);
      expect(stage.worst).toBe(after?.worst);
      expect(stage.met).toBe(after?.met);
    }
  });

  it('begins with what every builder begins with', () => {
    const tape = planned(untapedShop(), 60);
    expect(tape.stages[0]?.works.map(({ work }) => work.kind)).toContain('seal all joints');
    // The filter costs 190: with a hundred a month it is saved for.
    const filter = planned(bagMachineOnHose(), 100);
    const works = filter.stages.flatMap((stage) => stage.works.map(({ work }) => work.kind));
    expect(works).toContain('cartridge');
  });

  it('stands beside the next larger blower at once', () => {
    const { atOnce, stages } = planned(untapedShop(), 60);
    const bag = planned(bagMachineOnHose(), 100);
    expect(atOnce).toBeNull();
    expect(stages.length).toBeGreaterThan(0);
    expect(bag.atOnce?.work).toEqual({ kind: 'blower', to: 'three' });
    expect(bag.atOnce?.cost).toBeGreaterThan(900);
  });

  it('has no stages where nothing is worth buying', () => {
    const shop = strongOnFourInch();
    for (const { need } of shop.machines.flatMap(({ ports }) => ports)) {
      if (need.kind === 'flow') need.flow /= 3;
    }
    for (const machine of shop.machines) machine.chips = 'fine';
    expect(planned(shop, 100).stages).toEqual([]);
  });
});
