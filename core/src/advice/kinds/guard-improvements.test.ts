import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { treeOf } from '../../../reference/plain-readings';
import { threeBranchShop } from '../../../reference/sample-shops';
import { gatesOfDrop } from '../../analysis/gate-sets';
import type { Shop } from '../../design/schema';
import { readShop } from '../../file/shop-file';
import { dropFlow } from '../../network/drop-flow';
import { solveShop } from '../../network/solve-shop';
import { fromSI } from '../../quantity/units';
import { floorConflicts } from '../../room/floor-conflicts';
import { evaluate } from '../evaluate';
import { improved, improvementsOf } from '../improvements-of';
import { rankImprovements } from '../rank';

const demo = readShop(JSON.parse(readFileSync('demo/heron-slip.json', 'utf8')));
if (!demo.ok) throw new Error('no demo');

const guardIn = (shop: Shop) =>
  improvementsOf(shop, treeOf(shop)).find(({ work }) => work.kind === 'saw guard');

describe.each([
  ['drawn', demo.shop],
  ['typed', threeBranchShop()],
])('an overarm guard in a shop whose ducts are %s', (_, shop) => {
  const guard = guardIn(shop);
  if (!guard) throw new Error('no guard');
  const after = improved(shop, [guard]);
  const drops = treeOf(after).drops.filter(({ machine }) => machine.kind === 'tableSaw');

  it('is a port of the saw, behind the same gate', () => {
    expect(readShop(after).ok).toBe(true);
    expect(after.machines).toHaveLength(shop.machines.length);
    expect(drops.map(({ port }) => port.name).sort()).toEqual(['cabinet', 'overarm guard']);
    const [own, other] = drops.map((drop) => [...gatesOfDrop(drop)]);
    expect(own).toHaveLength(1);
    expect(other).toEqual(own);
    expect(floorConflicts(after)).toHaveLength(floorConflicts(shop).length);
  });

  it('draws beside the saw, which gets less for it', () => {
    const saw = treeOf(shop).drops.find(({ machine }) => machine.kind === 'tableSaw');
    const [own, over] = drops;
    if (!saw || !own || !over) throw new Error('no drops');
    const was = solveShop(shop, { view: 'found', openGates: gatesOfDrop(saw) });
    const is = solveShop(after, { view: 'found', openGates: gatesOfDrop(own) });
    if (was.kind !== 'solved' || is.kind !== 'solved') throw new Error('unsolved');
    expect(dropFlow(is, own)).toBeLessThan(dropFlow(was, saw) ?? 0);
    // Handbook: 100 to 150 CFM beside a cabinet saw (common practice, no source).
    expect(fromSI(dropFlow(is, over) ?? 0, 'cfm')).toBeGreaterThan(80);
  });

  it('is missed no more, and not offered again', () => {
    expect(evaluate(shop)?.unguarded).toBe(1);
    expect(evaluate(after)?.unguarded).toBe(0);
    expect(guardIn(after)).toBeUndefined();
  });
});

it('a guard counts by what fine dust counts', () => {
  const pointsWith = (dust: number) => {
    const shop = structuredClone(demo.shop);
    shop.advice.weights.dust = dust;
    const ranked = rankImprovements(shop, treeOf(shop))?.ranked;
    return ranked?.find(({ work }) => work.kind === 'saw guard')?.worth.points ?? Number.NaN;
  };
  const [none, usual, much] = [pointsWith(0), pointsWith(1), pointsWith(3)];
  expect(usual).toBeGreaterThan(none);
  expect(much - usual).toBeCloseTo(2 * (usual - none), 6);
});

it('a guard that stands among the machines already is not offered', () => {
  const shop = structuredClone(demo.shop);
  const saw = shop.machines.find(({ kind }) => kind === 'tableSaw');
  if (!saw) throw new Error('no saw');
  shop.machines.push({ ...structuredClone(saw), id: 'guard', name: 'Guard', kind: 'sawGuard' });
  shop.machines.at(-1)?.ports.forEach((port, i) => {
    port.id = `guard-port-${i}`;
  });
  expect(guardIn(shop)).toBeUndefined();
});
