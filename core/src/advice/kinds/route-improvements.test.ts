import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { strongOnFourInch } from '../../../reference/advice-shops';
import { treeOf } from '../../../reference/plain-readings';
import { generatedShop } from '../../../reference/sample-shops';
import { readShop } from '../../file/shop-file';
import { weightedWay } from '../../improve/place-machines';
import { floorConflicts } from '../../room/floor-conflicts';
import { isInside } from '../../room/plane';
import { removeMachine } from '../../routing/edit-machines';
import { evaluate } from '../evaluate';
import { improved, improvementsFor } from '../improvements-of';
import { rankImprovements } from '../rank';
import { withSearched } from '../searched';
import { reroutings } from './route-improvements';

const demo = readShop(JSON.parse(readFileSync('demo/heron-slip.json', 'utf8')));
if (!demo.ok) throw new Error('no demo');
const { shop } = demo;
const tree = treeOf(shop);
const works = reroutings(shop);
const madeOf = (work: (typeof works)[number]) => {
  const made = improvementsFor(shop, tree, [work]).find((each) => each.work === work);
  if (!made) throw new Error('not made');
  return made;
};

describe('rerouted ducts', () => {
  it('lead to the same drops, and leave a document that can be kept', () => {
    expect(works.filter(({ kind }) => kind === 'routed anew').length).toBeGreaterThan(0);
    const before = structuredClone(shop);
    for (const work of works) {
      const after = improved(shop, [madeOf(work)]);
      expect(readShop(after)).toMatchObject({ ok: true });
      const ports = (of: typeof shop) =>
        treeOf(of)
          .drops.map(({ machine, port }) => `${machine.id}/${port.id}`)
          .sort();
      expect(ports(after)).toEqual(ports(shop));
      const length = treeOf(after).upstreamFirst.reduce(
        (sum, run) => sum + (run.length ?? 0) + (run.hose?.length ?? 0),
        0,
      );
      expect(length).toBeCloseTo(work.length.after, 9);
    }
    expect(shop).toEqual(before);
  });

  it('stand in the ranking with what one solve of the whole says', () => {
    const ranking = rankImprovements(shop, tree);
    if (!ranking) throw new Error('no ranking');
    const { ranked } = withSearched(shop, tree, ranking);
    for (const work of works) {
      const found = ranked.find(({ id }) => id === madeOf(work).id);
      expect(found?.after.worst).toBe(evaluate(improved(shop, [madeOf(work)]))?.worst);
    }
  });

  it('are for the machines there were: with one gone they are not made', () => {
    const fewer = structuredClone(shop);
    removeMachine(fewer, shop.machines[0]?.id ?? '');
    expect(
      improvementsFor(fewer, treeOf(fewer), works).some(({ work }) => work.kind === 'routed anew'),
    ).toBe(false);
  });

  it('come without a search for sizes in a shop of many drops, which would take minutes', () => {
    const many = generatedShop(22);
    const ranking = rankImprovements(many, treeOf(many), { solves: 1 });
    if (!ranking) throw new Error('no ranking');
    const start = performance.now();
    const { tried } = withSearched(many, treeOf(many), ranking);
    expect(performance.now() - start).toBeLessThan(10_000);
    expect(tried).toBe(ranking.tried);
  });

  it('are no matter for a shop that is not drawn', () => {
    expect(reroutings(strongOnFourInch())).toEqual([]);
  });
});

describe('a collector that stands elsewhere', () => {
  it('has the air a shorter way, stands in the room, and in nobody’s way', () => {
    const work = works.find(({ kind }) => kind === 'move the collector');
    if (!work?.to) throw new Error('no better place');
    const after = improved(shop, [madeOf(work)]);
    expect(weightedWay(after)).toBeLessThan(0.85 * (weightedWay(shop) ?? 0));
    expect(isInside(after.room.outline, work.to.place)).toBe(true);
    expect(floorConflicts(after).length).toBeLessThanOrEqual(floorConflicts(shop).length);
  });
});
