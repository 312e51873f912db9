import { describe, expect, it } from 'vitest';
import { threeBranchShop } from '../../reference/sample-shops';
import { arrangeDucts } from '../routing/arrange-ducts';
import { carriageOf, kindOfRun, makesChips, minimumTransport, runsWithChips } from './transport';

const RULES = { carryingVelocity: 18, settlingVelocity: 14 };

describe('minimum transport velocity', () => {
  it('asks more of a branch, where chips are picked up, than of a main that keeps them moving', () => {
    expect(minimumTransport(RULES, 'branch')).toBe(18);
    expect(minimumTransport(RULES, 'main')).toBe(14);
    expect([10, -10, 15, 20, -20].map((velocity) => carriageOf(velocity, RULES))).toEqual([
      'settling',
      'settling',
      'moving',
      'carrying',
      'carrying',
    ]);
  });

  it('is met by exactly the velocity it asks for', () => {
    expect(carriageOf(14, RULES)).toBe('moving');
    expect(carriageOf(13.999, RULES)).toBe('settling');
    expect(carriageOf(18, RULES)).toBe('carrying');
    expect(carriageOf(-17.999, RULES)).toBe('moving');
  });

  it('asks nothing for fine dust: a main that only a sander draws through has no chips', () => {
    const shop = threeBranchShop();
    const arranged = arrangeDucts(shop);
    if (!arranged.ok) throw new Error('no tree');
    const { tree } = arranged;
    const drop = (id: string) => tree.drops.find(({ path }) => path[0]?.id === id);
    const [saw, sander] = [drop('saw'), drop('sander')];
    if (!saw || !sander) throw new Error('no drop');
    expect(makesChips(saw.machine)).toBe(true);
    expect(makesChips(sander.machine)).toBe(false);
    expect(runsWithChips([sander]).size).toBe(0);
    const main = tree.upstreamFirst.at(-1)?.id ?? '';
    expect([...runsWithChips([sander, saw])].sort()).toEqual(['saw', main].sort());
    expect(kindOfRun(tree, 'saw')).toBe('branch');
    expect(kindOfRun(tree, main)).toBe('main');
  });
});
