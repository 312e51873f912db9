import { describe, expect, it } from 'vitest';
import { copyOf, threeBranchShop } from '../../reference/sample-shops';
import { designDifferences } from './design-differences';
import type { Shop } from './schema';

const first = threeBranchShop();
const differencesAfter = (change: (shop: Shop) => void) => {
  const second = copyOf(first);
  change(second);
  return designDifferences(first, second);
};

describe('what two designs differ in', () => {
  it('is nothing where they are the same, whatever their ids', () => {
    expect(differencesAfter((shop) => Object.assign(shop, { id: 'another' }))).toEqual([]);
  });

  it('names the things and their members', () => {
    const [machine] = first.machines;
    const [run] = first.ducts.runs;
    expect(
      differencesAfter((shop) => {
        shop.shop.note = 'moved';
        shop.collector.blower.speed = 50;
        Object.assign(shop.machines[0] ?? {}, { name: 'Band saw', chips: 'long' });
        Object.assign(shop.ducts.runs[0] ?? {}, { length: 9.5 });
      }),
    ).toEqual([
      { area: 'shop', name: null, what: 'changed', members: ['note'] },
      { area: 'machine', name: machine?.name, what: 'changed', members: ['name', 'chips'] },
      { area: 'duct', name: run?.name, what: 'changed', members: ['length'] },
      { area: 'collector', name: null, what: 'changed', members: ['blower'] },
    ]);
  });

  it('says what only one of them has, and where only the order differs', () => {
    const [own] = first.machines;
    if (!own) throw new Error('no machine');
    const added = { ...structuredClone(own), id: 'new', name: 'Planer' };
    const changes = differencesAfter((shop) => {
      shop.machines.shift();
      shop.machines.push(added);
    });
    expect(changes).toEqual([
      { area: 'machine', name: 'Planer', what: 'added', members: [] },
      { area: 'machine', name: first.machines[0]?.name, what: 'removed', members: [] },
    ]);
    expect(differencesAfter((shop) => void shop.machines.reverse())).toEqual([
      { area: 'order', name: null, what: 'changed', members: [] },
    ]);
    const nodes = differencesAfter((shop) => {
      const [node] = shop.ducts.nodes;
      if (node) Object.assign(node, { id: 'moved' });
    });
    expect(nodes).toEqual([{ area: 'junctions', name: null, what: 'changed', members: [] }]);
  });
});
