import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShop } from '../../../reference/any-shop';
import { copyOf, threeBranchShop } from '../../../reference/sample-shops';
import { pressureProfile } from '../../analysis/pressure-profile';
import { type ChainPart, reorderChain } from '../../design/chain-order';
import type { Shop } from '../../design/schema';
import { type ShopSolution, solveShop } from '../solve-shop';

/** The sample shop with a cyclone and a filter. */
function filteredShop(): Shop {
  const shop = threeBranchShop();
  Object.assign(shop.collector.separator, { kind: 'cyclone', lossCoefficient: 5 });
  const filter = { name: '', area: 10, permeability: 0.1, seasoned: 1, grade: null };
  shop.collector.exhaust = { kind: 'filter', filter };
  return shop;
}

const ordered = (shop: Shop, order: Shop['collector']['assembly']['order']): Shop => {
  const changed = copyOf(shop);
  changed.collector.assembly.order = order;
  return changed;
};

function solved(shop: Shop, view: 'designed' | 'found' = 'designed'): ShopSolution {
  const solution = solveShop(shop, { view });
  if (solution.kind !== 'solved') throw new Error(solution.reason.kind);
  return solution;
}

describe('the order of a collector’s parts', () => {
  it('costs the same air whichever way round, while nothing leaks out', () => {
    fc.assert(
      fc.property(anyShop({ junctions: 'momentum' }), (shop) => {
        shop.condition.pressureSide.area = 0;
        const pulled = solveShop(ordered(shop, 'pulled'), { view: 'found' });
        for (const order of ['pushed', 'cleanSide'] as const) {
          const other = solveShop(ordered(shop, order), { view: 'found' });
          expect(other.kind).toBe(pulled.kind);
          if (pulled.kind !== 'solved' || other.kind !== 'solved') continue;
          expect(other.blower.flow).toBeCloseTo(pulled.blower.flow, 7);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('moves what the blower’s inlet and outlet feel', () => {
    const shop = filteredShop();
    const pulled = solved(ordered(shop, 'pulled')).blower;
    const pushed = solved(ordered(shop, 'pushed')).blower;
    const clean = solved(ordered(shop, 'cleanSide')).blower;
    expect(pushed.outletStatic).toBeGreaterThan(pulled.outletStatic * 1.5);
    expect(pushed.inletTotal).toBeGreaterThan(pulled.inletTotal);
    expect(clean.outletStatic).toBe(0);
    expect(clean.inletTotal).toBeCloseTo(-clean.rise, 9);
    expect(pulled.outletStatic - pulled.inletTotal).toBeCloseTo(pulled.rise, 9);
  });

  it('shows on the ladder, whose losses still add up to the rise', () => {
    const kinds = (order: 'pulled' | 'pushed' | 'cleanSide') => {
      const solution = solved(ordered(filteredShop(), order));
      const [drop] = solution.tree.drops;
      if (!drop) throw new Error('no drop');
      const steps = pressureProfile(solution, drop);
      const sum = steps.reduce((total, { loss }) => total + loss, 0);
      expect(sum).toBeCloseTo(0, 6);
      expect(steps.at(-1)?.totalAfter).toBeCloseTo(0, 6);
      return steps.filter(({ run }) => run === '').map(({ kind }) => kind);
    };
    expect(kinds('pulled')).toEqual(['blower', 'exhaust']);
    expect(kinds('pushed')).toEqual(['blower', 'separator', 'exhaust']);
    expect(kinds('cleanSide')).toEqual(['exhaust', 'blower']);
  });

  it('lets dust blow out of a pushed separator, and none behind a filter', () => {
    const shop = filteredShop();
    shop.condition.pressureSide.area = 4e-4;
    expect(solved(ordered(shop, 'pushed'), 'found').blower.outletLeak).toBeGreaterThan(
      solved(ordered(shop, 'pulled'), 'found').blower.outletLeak,
    );
    expect(solved(ordered(shop, 'cleanSide'), 'found').blower.outletLeak).toBe(0);
  });

  const { collector } = filteredShop();
  const tried = (wanted: ChainPart[], exhaust = collector.exhaust) => {
    const reordered = reorderChain({ ...collector, exhaust }, wanted);
    return reordered.ok ? reordered.order : reordered.why;
  };

  it.each([
    [['separator', 'blower', 'filter'], 'pulled'],
    [['blower', 'separator', 'filter'], 'pushed'],
    [['separator', 'filter', 'blower'], 'cleanSide'],
    [['filter', 'separator', 'blower'], 'filter ahead of the separator'],
    [['blower', 'filter', 'separator'], 'filter ahead of the separator'],
  ] as [ChainPart[], string][])('%j: %s', (wanted, answer) => {
    expect(tried(wanted)).toBe(answer);
  });

  it('keeps the way outdoors last', () => {
    const outdoors = {
      kind: 'room' as const,
      filter: null,
      opening: 0.2,
    };
    expect(tried(['separator', 'filter', 'blower'], outdoors)).toBe('nothing behind the filter');
  });
});
