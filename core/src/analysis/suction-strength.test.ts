import { describe, expect, it } from 'vitest';
import { threeBranchShop } from '../../reference/sample-shops';
import { pipeCollapse } from '../duct/collapse';
import { suctionStrength } from './suction-strength';

describe('what stands the blower’s suction', () => {
  it('is held against its shut-off pressure: the weakest run and the bin by its walls', () => {
    const shop = threeBranchShop();
    const [thin] = shop.ducts.runs;
    if (!thin) throw new Error('no run');
    thin.pipe = 'drain';
    thin.diameter = 0.1543;
    const strength = suctionStrength(shop, shop.collector);
    expect(strength.shutOff).toBeGreaterThan(2000);
    expect(strength.weakestPipe).toEqual({
      run: thin.id,
      pressure: pipeCollapse('drain', 0.1543),
    });
    expect(strength.bin.length).toBe(3);
    shop.collector.separator.kind = 'none';
    expect(suctionStrength(shop, shop.collector).bin).toEqual([]);
    // The weakest is found wherever it stands in the list.
    shop.ducts.runs.reverse();
    expect(suctionStrength(shop, shop.collector).weakestPipe?.run).toBe(thin.id);
  });

  it('a square bin of thin sheet gives way; one that is pushed into is not under suction', () => {
    const shop = threeBranchShop();
    shop.collector.assembly.bin.shape = 'square';
    const { bin, shutOff } = suctionStrength(shop, shop.collector);
    expect(bin.some(({ pressure }) => pressure < shutOff)).toBe(true);
    expect(bin.some(({ pressure }) => pressure > shutOff)).toBe(true);
    shop.collector.assembly.order = 'pushed';
    expect(suctionStrength(shop, shop.collector).bin).toEqual([]);
    shop.ducts.runs = [];
    expect(suctionStrength(shop, shop.collector).weakestPipe).toBeNull();
  });
});
