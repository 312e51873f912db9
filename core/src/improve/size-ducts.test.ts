import { describe, expect, it } from 'vitest';
import { generatedShop, threeBranchShop } from '../../reference/sample-shops';
import { circleArea } from '../air/velocity-pressure';
import { neededFlow } from '../analysis/judge-drops';
import type { Shop } from '../design/schema';
import { PIPES } from '../duct/pipes';
import { solveShop } from '../network/solve-shop';
import { toSI } from '../quantity/units';
import { arrangeDucts } from '../routing/arrange-ducts';
import { isBetter, type SizeScore, sizeDucts } from './size-ducts';

function treeOf(shop: Shop) {
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error('no tree');
  return arranged.tree;
}

/** Two drops on one main, hoses short: three runs. */
function twoDrops(): Shop {
  const shop = threeBranchShop();
  const gone = shop.ducts.runs.find(({ id }) => id === 'sander');
  shop.ducts.runs = shop.ducts.runs.filter((run) => run !== gone);
  shop.machines = shop.machines.slice(0, 2);
  shop.ducts.nodes = shop.ducts.nodes.filter(({ id }) => id !== gone?.from);
  for (const run of shop.ducts.runs) if (run.gate) run.gate.closedGap = 0.003;
  shop.collector.separator.inletDiameter = toSI(7, 'in');
  return shop;
}

/**
 * The score of a choice by the plain solver, on the document itself: written apart from what is
 * checked, with the rule of one gate at a time.
 */
function scoreOf(shop: Shop, diameters: ReadonlyMap<string, number>): SizeScore {
  const sized: Shop = structuredClone(shop);
  for (const run of sized.ducts.runs) run.diameter = diameters.get(run.id) ?? run.diameter;
  const { drops, upstreamFirst } = treeOf(sized);
  const shares: number[] = [];
  for (const { path, port, machine } of drops) {
    const openGates = new Set(path.filter(({ gate }) => gate).map(({ id }) => id));
    const solved = solveShop(sized, { view: 'designed', openGates });
    if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
    shares.push(1 - (solved.airIn.get(path[0]?.id ?? '')?.[0]?.flowIn ?? 0) / neededFlow(port));
    if (machine.chips === 'fine') continue;
    for (const run of path) {
      const last = solved.airIn.get(run.id)?.at(-1);
      const velocity = (last?.flowIn ?? 0) / circleArea(last?.diameter ?? 1);
      const { carryingVelocity, settlingVelocity } = sized.shop.rules;
      shares.push(1 - velocity / (run === path[0] ? carryingVelocity : settlingVelocity));
    }
  }
  const missed = shares.filter((share) => share > 1e-6);
  return {
    short: Math.max(0, ...missed),
    shortOver: missed.reduce((sum, share) => sum + share, 0),
    wall: upstreamFirst.reduce(
      (sum, { id, length }) => sum + Math.PI * (diameters.get(id) ?? 0) * (length ?? 0),
      0,
    ),
  };
}

/** Every combination of the pipe's sizes, none wider than the inlet nor than what follows it. */
function bruteForce(shop: Shop): SizeScore {
  const tree = treeOf(shop);
  const runs = tree.upstreamFirst;
  const sizes = PIPES.galvanised.sizes.map(({ inside }) => inside);
  let best: SizeScore | null = null;
  const choose = (index: number, chosen: Map<string, number>) => {
    const run = runs[index];
    if (!run) {
      const isOrdered = runs.every(({ id, to }) => {
        const next = tree.outOf.get(to);
        return !next || (chosen.get(id) ?? 0) <= (chosen.get(next.id) ?? 0);
      });
      const score = isOrdered ? scoreOf(shop, chosen) : null;
      if (score && (!best || isBetter(score, best))) best = score;
      return;
    }
    const drop = tree.drops.find(({ path }) => path[0]?.id === run.id);
    for (const size of sizes) {
      if (size > shop.collector.separator.inletDiameter * 1.05) continue;
      if (drop && size < drop.port.diameter * 0.74) continue;
      choose(index + 1, new Map([...chosen, [run.id, size]]));
    }
  };
  choose(0, new Map());
  if (!best) throw new Error('no choice');
  return best;
}

describe('sizes of ducts', () => {
  it.each([
    ['one that can be met', 1],
    ['one that cannot', 1.8],
  ])('are the best of all combinations: %s', (_, demand) => {
    const shop = twoDrops();
    for (const { ports } of shop.machines) {
      for (const { need } of ports) if (need.kind === 'flow') need.flow *= demand;
    }
    const best = bruteForce(shop);
    const exact = sizeDucts(shop, treeOf(shop), { view: 'designed' });
    expect(exact.isExact).toBe(true);
    expect(exact.score.short).toBeCloseTo(best.short, 6);
    expect(exact.score.shortOver).toBeCloseTo(best.shortOver, 6);
    expect(exact.score.wall).toBeCloseTo(best.wall, 9);
    expect(exact.unmet.length > 0).toBe(best.short > 0);
    // Searched by steps, as a large tree is, it comes to the same here.
    const stepped = sizeDucts(shop, treeOf(shop), { view: 'designed', exactUpTo: 0 });
    expect(stepped.isExact).toBe(false);
    expect(isBetter(stepped.score, best)).toBe(false);
    expect(stepped.score.short).toBeCloseTo(best.short, 6);
    expect(stepped.score.wall).toBeCloseTo(best.wall, 6);
    // And what it says of itself is so.
    expect(scoreOf(shop, exact.diameters).short).toBeCloseTo(exact.score.short, 6);
  });

  it('says which cannot be met, the worst first', () => {
    const shop = twoDrops();
    const [saw] = shop.machines;
    const need = saw?.ports[0]?.need;
    if (need?.kind === 'flow') need.flow = 2;
    const { unmet } = sizeDucts(shop, treeOf(shop), { view: 'designed' });
    const [first] = unmet;
    expect(first).toMatchObject({ kind: 'need', wants: 2 });
    expect(first?.kind === 'need' && first.gets).toBeLessThan(1);
  });

  it('of a larger tree are no worse than what stands, and are told of on the way', () => {
    const shop = generatedShop(6);
    shop.collector.separator.inletDiameter = toSI(8, 'in');
    const tree = treeOf(shop);
    const heard: number[] = [];
    const sized = sizeDucts(shop, tree, {
      view: 'designed',
      onProgress: (tried) => heard.push(tried),
    });
    const present = new Map(tree.upstreamFirst.map(({ id, diameter }) => [id, diameter]));
    expect(isBetter(scoreOf(shop, present), sized.score)).toBe(false);
    expect(heard.length).toBeGreaterThan(1);
    for (const run of tree.upstreamFirst) {
      const next = tree.outOf.get(run.to);
      if (!next) continue;
      const [own, on] = [sized.diameters.get(run.id), sized.diameters.get(next.id)];
      expect(own ?? 0).toBeLessThanOrEqual((on ?? 0) + 1e-9);
    }
  });

  it('of no ducts are none', () => {
    const shop = twoDrops();
    shop.ducts.runs = [];
    const sized = sizeDucts(shop, treeOf(shop), { view: 'designed' });
    expect(sized.diameters.size).toBe(0);
    expect(sized.unmet).toEqual([]);
  });
});
