import { describe, expect, it } from 'vitest';
import { bagMachineOnHose, strongOnFourInch } from '../../reference/advice-shops';
import { treeOf } from '../../reference/plain-readings';
import type { Shop } from '../design/schema';
import { evaluate } from './evaluate';
import { improved, improvementsOf } from './improvements-of';
import { needsOf } from './needs';

const needsIn = (shop: Shop, id: string) => {
  const made = improvementsOf(shop, treeOf(shop)).find((each) => each.id === id);
  const after = made && evaluate(improved(shop, [made]));
  if (!made || !after) throw new Error(`no ${id}`);
  return needsOf(made, after);
};

describe('what an improvement takes beside time and money', () => {
  it('is an electrician and a second person where a larger blower wants another circuit', () => {
    expect(needsIn(bagMachineOnHose(), 'blower five')).toEqual(['electrician', 'second person']);
  });

  it('is the maker’s word where a wheel grows or turns faster', () => {
    expect(needsIn(bagMachineOnHose(), 'impeller')).toEqual(['maker’s word']);
    expect(needsIn(bagMachineOnHose(), 'faster')).toEqual(['maker’s word']);
  });

  it('is nothing for a filter, and sheet metal for a larger port', () => {
    expect(needsIn(bagMachineOnHose(), 'cartridge 1')).toEqual([]);
    const strong = strongOnFourInch();
    const port = improvementsOf(strong, treeOf(strong)).find(
      ({ work }) => work.kind === 'wider way',
    );
    expect(needsIn(strong, port?.id ?? '')).toEqual(['sheet metal']);
  });
});
