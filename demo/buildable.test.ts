import { cutList } from '@frank-gauge/core/build';
import { floorConflicts } from '@frank-gauge/core/room';
import { ductConflicts } from '@frank-gauge/core/routing';
import { describe, expect, it } from 'vitest';
import { readDemo } from './read-demo';

describe.each([
  // The planer's hose is the story of the first; the school's main passes low beside its collector.
  ['heron-slip', ['long hose']],
  ['wren-cellar', []],
  ['tern-school', ['below head height']],
])('the ducts of %s can be built', (name, known) => {
  const { shop, tree } = readDemo(name);

  it('and nothing stands in their way but what is meant to', () => {
    expect(ductConflicts(shop).map(({ kind }) => kind)).toEqual(known);
    expect(floorConflicts(shop)).toEqual([]);
  });

  it('with room for a pipe between all fittings, which holds both', () => {
    const { groups, overlaps } = cutList(shop, tree);
    expect(overlaps).toEqual([]);
    expect(groups.flatMap(({ pieces }) => pieces.filter(({ isShort }) => isShort))).toEqual([]);
  });
});
