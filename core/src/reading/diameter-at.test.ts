import { describe, expect, it } from 'vitest';
import { threeBranchShop } from '../../reference/sample-shops';
import { machineGates } from '../analysis/gate-sets';
import { arrangeDucts } from '../routing/arrange-ducts';
import { diameterAt } from './diameter-at';

const shop = threeBranchShop();
const arranged = arrangeDucts(shop);
if (!arranged.ok) throw new Error('no tree');
const { tree } = arranged;

describe('the diameter at a test point', () => {
  it('is that of its port, its run or the collector’s inlet, and of a place in no duct none', () => {
    const [drop] = tree.drops;
    const [run] = tree.upstreamFirst;
    if (!drop || !run) throw new Error('no ducts');
    const at = (place: Parameters<typeof diameterAt>[2]) => diameterAt(shop, tree, place);
    expect(at({ kind: 'port', node: drop.id })).toBe(drop.port.diameter);
    expect(at({ kind: 'run', run: run.id, along: 0 })).toBe(run.diameter);
    expect(at({ kind: 'collector', tap: 'filter' })).toBe(shop.collector.separator.inletDiameter);
    expect(at({ kind: 'place', point: { x: 0, y: 0, z: 0 } })).toBeNull();
    expect(at({ kind: 'port', node: 'gone' })).toBeNull();
    expect(at({ kind: 'run', run: 'gone', along: 0 })).toBeNull();
  });
});

describe('the gates of machines', () => {
  it('are the first ones on the ways of the air, one for each drop that has any', () => {
    const gates = machineGates(tree);
    for (const { path } of tree.drops) {
      const own = path.filter(({ gate }) => gate).map(({ id }) => id);
      if (own.length > 0) expect(gates.has(own[0] ?? '')).toBe(true);
      for (const id of own.slice(1)) {
        const isOwnOfOther = tree.drops.some(
          (drop) => drop.path.find(({ gate }) => gate)?.id === id,
        );
        expect(gates.has(id)).toBe(isOwnOfOther);
      }
    }
  });
});
