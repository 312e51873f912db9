import { describe, expect, it } from 'vitest';
import { bagMachineOnHose, strongOnFourInch } from '../../../reference/advice-shops';
import { treeOf } from '../../../reference/plain-readings';
import type { Shop } from '../../design/schema';
import { evaluate } from '../evaluate';
import { improved, improvementsOf } from '../improvements-of';
import { rankImprovements } from '../rank';

const named = (shop: Shop, id: string) => {
  const made = improvementsOf(shop, treeOf(shop)).find((each) => each.id === id);
  if (!made) throw new Error(`no ${id}`);
  return { made, after: improved(shop, [made]) };
};

describe('a faster impeller', () => {
  it('moves a little more air, and is not offered twice', () => {
    const shop = bagMachineOnHose();
    const { made, after } = named(shop, 'faster');
    const [was, is] = [evaluate(shop), evaluate(after)];
    const ratio = (is?.worst ?? 0) / (was?.worst ?? 1);
    // Fan laws (AMCA): 8 % more speed moves 8 % more air against losses that grow with its square; a filter’s do not.
    expect(made.work).toMatchObject({ kind: 'faster' });
    expect(ratio).toBeGreaterThan(1.06);
    expect(ratio).toBeLessThan(1.12);
    expect(improvementsOf(after, treeOf(after)).some(({ id }) => id === 'faster')).toBe(false);
  });

  it('is left out where the motor could not turn it', () => {
    const weak = bagMachineOnHose();
    // Weaker and weaker: before the motor is overloaded anyway, speed would do it.
    const broken = [1.1, 1.25, 1.4, 1.55, 1.7].flatMap((share) => {
      const shop = structuredClone(weak);
      shop.collector.blower.motor.power /= share;
      const { leftOut } = rankImprovements(shop, treeOf(shop)) ?? { leftOut: [] };
      return leftOut.flatMap((each) => (each.work.kind === 'faster' ? each.broken : []));
    });
    expect(broken).toContain('over its motor');
  });
});

describe('a circuit', () => {
  it('is wanted where the motor draws more than its breaker carries, and of the next rating made', () => {
    const shop = strongOnFourInch();
    expect(improvementsOf(shop, treeOf(shop)).some(({ id }) => id === 'circuit')).toBe(false);
    shop.collector.blower.breaker = 15;
    // 5 hp at 230 V: 28 A by the American table, 1.25 times that is 35 A (NEC 430.248 and 430.22, from memory).
    const { made, after } = named(shop, 'circuit');
    expect(made.work).toEqual({ kind: 'circuit', rating: 35 });
    expect([evaluate(shop)?.isOverCircuit, evaluate(after)?.isOverCircuit]).toEqual([true, false]);
    expect(
      rankImprovements(shop, treeOf(shop))?.ranked.find(({ id }) => id === 'circuit'),
    ).toMatchObject({ gains: [] });
  });
});

it('a larger blower comes with its circuit: both are never bought together', () => {
  const shop = bagMachineOnHose();
  shop.collector.blower.breaker = 5;
  const all = improvementsOf(shop, treeOf(shop));
  const circuit = all.find(({ id }) => id === 'circuit');
  const blowers = all.filter(({ work }) => work.kind === 'blower');
  expect(blowers.length).toBeGreaterThan(0);
  for (const { changes } of blowers)
    expect(changes).toEqual(expect.arrayContaining([...(circuit?.changes ?? ['none'])]));
});

describe('another room', () => {
  it('is quieter by a partition, and takes no floor of this one', () => {
    const shop = bagMachineOnHose();
    const { after } = named(shop, 'other room');
    const [was, is] = [evaluate(shop), evaluate(after)];
    expect((was?.noise ?? 0) - (is?.noise ?? 0)).toBeGreaterThan(10);
    expect(is?.floor).toBeLessThan(was?.floor ?? 0);
    expect(improvementsOf(after, treeOf(after)).some(({ id }) => id === 'other room')).toBe(false);
  });
});
