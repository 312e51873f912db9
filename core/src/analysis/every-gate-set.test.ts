import { describe, expect, it } from 'vitest';
import { copyOf, generatedShop, threeBranchShop } from '../../reference/sample-shops';
import type { Rules, Shop } from '../design/schema';
import { solveTree } from '../network/solve-shop';
import { arrangeDucts } from '../routing/arrange-ducts';
import { everyGateSet, MOST_SETS } from './every-gate-set';
import { countGateSets, gateSets } from './gate-sets';
import { neededFlow } from './judge-drops';

function arranged(shop: Shop) {
  const tree = arrangeDucts(shop);
  if (!tree.ok) throw new Error(tree.problems[0]?.message);
  return tree.tree;
}

function evaluated(shop: Shop, rule?: Rules['gates']) {
  const over = everyGateSet(shop, arranged(shop), 'found', rule);
  if (over.kind !== 'evaluated') throw new Error(over.kind);
  return over;
}

describe('the sets of gates a rule allows', () => {
  const tree = arranged(generatedShop(12));

  it.each([
    [{ kind: 'one' }, 12],
    [{ kind: 'atMost', count: 1 }, 12],
    [{ kind: 'atMost', count: 2 }, 12 + 66],
    [{ kind: 'atMost', count: 12 }, 4095],
    [{ kind: 'atMost', count: 20 }, 4095],
  ] as const)('%o: %i', (rule, count) => {
    expect(countGateSets(tree, rule)).toBe(count);
    const sets = [...gateSets(tree, rule)];
    expect(sets).toHaveLength(count);
    const names = sets.map((set) => set.map(({ id }) => id).join());
    expect(new Set(names).size).toBe(count);
  });

  it('may be chosen drop by drop', () => {
    const [a = '', b = ''] = tree.drops.map(({ id }) => id);
    const sets = [...gateSets(tree, { kind: 'chosen', sets: [[a], [a, b]] })];
    expect(sets.map((set) => set.map(({ id }) => id))).toEqual([[a], [a, b]]);
  });
});

describe('every set of gates', () => {
  it('keeps for each drop and run the worst that solving set by set finds', () => {
    const shop = threeBranchShop();
    shop.shop.rules.junctions = 'momentum';
    const tree = arranged(shop);
    const rule = { kind: 'atMost', count: 3 } as const;
    const over = evaluated(shop, rule);
    expect(over.sets).toBe(7);
    for (const drop of tree.drops) {
      const own = drop.path[0]?.id ?? '';
      const flows = [...gateSets(tree, rule)]
        .filter((set) => set.includes(drop))
        .map((set) => {
          const openGates = new Set(set.flatMap(({ path }) => path.map(({ id }) => id)));
          const solved = solveTree(shop, tree, { view: 'found', openGates });
          return solved.kind === 'solved' ? (solved.airIn.get(own)?.[0]?.flowIn ?? 0) : 0;
        });
      const found = over.drops.find((each) => each.drop === drop.id);
      expect(found?.least.value).toBeCloseTo(Math.min(...flows), 9);
      // With everything open each gets least.
      expect(found?.least.drawing).toHaveLength(3);
    }
    const main = over.runs.find(({ run }) => run === shop.ducts.runs[0]?.id);
    expect(main?.slowest.drawing.length).toBeLessThan(main?.fastest.drawing.length ?? 0);
    expect(main?.slowest.value).toBeLessThan(main?.fastest.value ?? 0);
  });

  it('says of every run how slow and how fast it gets, and where its chips settle', () => {
    const shop = threeBranchShop();
    // The saw's own run is too slow for chips; the sander's would be too, but it carries only fine dust.
    for (const run of shop.ducts.runs) {
      if (run.id === 'saw' || run.id === 'sander') run.diameter = 0.17;
    }
    const tree = arranged(shop);
    const rule = { kind: 'atMost', count: 2 } as const;
    const solved = [...gateSets(tree, rule)].map((set) => {
      const openGates = new Set(set.flatMap(({ path }) => path.map(({ id }) => id)));
      const own = solveTree(shop, tree, { view: 'found', openGates });
      if (own.kind !== 'solved') throw new Error('no answer');
      return { set, drawing: set.map(({ id }) => id), air: own.airIn };
    });
    const over = evaluated(shop, rule);
    expect(over.runs.map(({ run }) => run).sort()).toEqual(
      shop.ducts.runs.map(({ id }) => id).sort(),
    );
    const settling: string[] = [];
    for (const found of over.runs) {
      const through = solved
        .filter(({ set }) => set.some(({ path }) => path.some(({ id }) => id === found.run)))
        .map(({ set, drawing, air }) => ({ set, drawing, value: air.velocityInto(found.run) }))
        .toSorted((a, b) => a.value - b.value);
      const [first, last] = [through[0], through.at(-1)];
      expect(found.slowest.value).toBeCloseTo(first?.value ?? Number.NaN, 9);
      expect(found.slowest.drawing).toEqual(first?.drawing);
      expect(found.fastest.value).toBeCloseTo(last?.value ?? Number.NaN, 9);
      expect(found.fastest.drawing).toEqual(last?.drawing);
      const withChips = through.find(({ set }) =>
        set.some(
          ({ path, machine }) =>
            machine.chips !== 'fine' && path.some(({ id }) => id === found.run),
        ),
      );
      const { carryingVelocity, settlingVelocity } = shop.shop.rules;
      const least = found.run === 'id1' ? settlingVelocity : carryingVelocity;
      if (withChips && withChips.value < least) {
        settling.push(found.run);
        expect(found.settles?.value).toBeCloseTo(withChips.value, 9);
        expect(found.settles?.drawing).toEqual(withChips.drawing);
      } else expect(found.settles).toBeNull();
    }
    expect(settling.sort()).toEqual(['id1', 'planer', 'saw']);
    for (const { drop, least, margin } of over.drops) {
      const port = tree.drops.find(({ id }) => id === drop)?.port;
      expect(margin).toBeCloseTo(least.value - (port ? neededFlow(port) : 0), 12);
    }
  });

  it('has nothing to say where no set is chosen', () => {
    expect(evaluated(threeBranchShop(), { kind: 'chosen', sets: [] })).toEqual({
      kind: 'evaluated',
      sets: 0,
      drops: [],
      runs: [],
      unsolved: [],
    });
  });

  it('more at once never gives a drop more', () => {
    const shop = generatedShop(6);
    const one = evaluated(shop, { kind: 'one' });
    const two = evaluated(shop, { kind: 'atMost', count: 2 });
    one.drops.forEach(({ drop, margin }, i) => {
      expect(two.drops[i]?.drop).toBe(drop);
      expect(two.drops[i]?.margin).toBeLessThanOrEqual(margin + 1e-9);
    });
  });

  it('names the sets its blower cannot answer, and goes on', () => {
    const shop = copyOf(threeBranchShop());
    shop.collector.blower.curve = [
      { flow: 0, pressure: 2500 },
      { flow: 0.22, pressure: 900 },
    ];
    const over = evaluated(shop, { kind: 'atMost', count: 3 });
    expect(over.unsolved.length).toBeGreaterThan(0);
    expect(over.unsolved.length).toBeLessThan(over.sets);
  });

  it('says so when there are more than it will solve', () => {
    const shop = generatedShop(30);
    const over = everyGateSet(shop, arranged(shop), 'found', { kind: 'atMost', count: 20 });
    expect(over).toMatchObject({ kind: 'too many sets', most: MOST_SETS });
  });

  it('says how far it is', () => {
    const shop = generatedShop(10);
    const heard: number[] = [];
    const rule = { kind: 'atMost', count: 10 } as const;
    everyGateSet(shop, arranged(shop), 'found', rule, (done, of) => {
      expect(of).toBe(1023);
      heard.push(done);
    });
    expect(heard).toEqual([0, 256, 512, 768]);
  });

  it('lets whoever has no gate of its own draw along', () => {
    const shop = threeBranchShop();
    for (const run of shop.ducts.runs) if (run.id === 'sander') run.gate = null;
    const over = evaluated(shop, { kind: 'one' });
    const ids = arranged(shop).drops.map(({ id }) => id);
    const sander = ids[2] ?? '';
    const saw = over.drops.find(({ drop }) => drop === ids[0]);
    expect(saw?.least.drawing).toContain(sander);
  });
});
