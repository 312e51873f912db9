import { describe, expect, it } from 'vitest';
import { bareMachine, withFilterArea } from '../../reference/shop-facts';
import { workingLoading } from '../collector/filter';
import type { Shop } from '../design/schema';
import { solveShop } from '../network/solve-shop';
import { toSI } from '../quantity/units';
import { collectorLoad } from './collector-load';
import { DUE_SHARE, LATEST_DUE } from './due-loading';

function at(shop: Shop, loading: number) {
  const loaded: Shop = structuredClone(shop);
  loaded.condition.filterLoading.value = loading;
  const solved = solveShop(loaded, { view: 'found' });
  if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
  const filter = collectorLoad(loaded, solved, 'found').filter;
  if (!filter) throw new Error('no filter');
  return { flow: solved.blower.flow, due: filter.dueLoading };
}

describe('when a filter is due', () => {
  it.each([
    ['a stock cloth bag', bareMachine('two', 'cloth')],
    ['a cartridge', bareMachine('two', 'spunBond')],
    ['a small cartridge', withFilterArea(bareMachine('two', 'spunBond'), toSI(60, 'ft2'))],
    ['a cartridge on a good 1 hp', bareMachine('one', 'spunBond')],
  ])('%s has then taken a tenth of the air, and cleaning brings it back', (_, shop) => {
    const clean = at(shop, 1);
    const due = at(shop, clean.due);
    expect(due.flow / clean.flow).toBeCloseTo(1 - DUE_SHARE, 2);
  });

  it('is the same however loaded it is when it is asked', () => {
    const shop = withFilterArea(bareMachine('two', 'spunBond'), toSI(80, 'ft2'));
    expect(at(shop, 4).due / at(shop, 1).due).toBeCloseTo(1, 1);
  });

  it('comes later the larger the filter, and at the latest at ten times clean', () => {
    const due = (area: number) =>
      at(withFilterArea(bareMachine('two', 'spunBond'), toSI(area, 'ft2')), 1).due;
    expect(due(60)).toBeLessThan(due(100));
    expect(due(2000)).toBe(LATEST_DUE);
    const cloth = bareMachine('two', 'cloth');
    expect(at(cloth, 1).due).toBeGreaterThan(workingLoading({ seasoned: 3 }, 1));
  });
});
