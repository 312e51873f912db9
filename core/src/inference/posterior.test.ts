import { determinant, inverse, Matrix } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { chanceShop, hiddenShop, ownGateRound } from '../../reference/hidden-shops';
import { plainReadings, SIGMA, treeOf } from '../../reference/plain-readings';
import { threeBranchShop } from '../../reference/sample-shops';
import type { DuctTree } from '../design/topology';
import { solveReal } from '../practice/real-shop';
import { chanceOf } from '../simulate/chance';
import {
  AMOUNTS,
  asBelieved,
  type BelievedShop,
  type Fault,
  keyOfFault,
  PRIOR_OF_NOTHING,
  possibleFaults,
  withFault,
} from './faults';
import { weighFaults } from './posterior';
import { type Asked, nuisancesOf, Solutions } from './predictor';

const taps = (tree: DuctTree, drops: number): Asked[] =>
  ownGateRound({ tree })
    .slice(0, drops)
    .flatMap(({ gates, gatesKey }) =>
      (['separator inlet', 'filter'] as const).map(
        (tap): Asked => ({
          measurand: { at: { kind: 'collector', tap }, shows: 'pressure' },
          gates,
          gatesKey,
        }),
      ),
    );

describe('what is wrong', () => {
  const shop = chanceShop(8, chanceOf(5));
  const tree = treeOf(shop);
  const round = [...ownGateRound({ tree }), ...taps(tree, 3)];
  const verdictOf = (fault: Fault | null, amount: number) =>
    weighFaults(shop, tree, plainReadings(shop, tree, round, fault, amount)).verdict;

  it('is nothing in a shop that is as it is believed to be, and where nobody has read anything', () => {
    const sound = verdictOf(null, 1);
    expect(sound.isWrong).toBe(false);
    expect(sound.nothing).toBeGreaterThan(0.6);
    const unread = weighFaults(shop, tree, []).verdict;
    expect(unread.nothing).toBeCloseTo(PRIOR_OF_NOTHING, 9);
    expect(unread.isWrong).toBe(false);
  });

  const gated = tree.upstreamFirst.find(({ gate }) => gate)?.id ?? '';
  it.each<[string, Fault, number]>([
    ['a separator at three times its loss', { kind: 'separator' }, 3],
    ['a gate stuck at 40 %', { kind: 'gate not open', run: gated }, 0.4],
    ['a filter four times as loaded', { kind: 'filter' }, 4],
  ])('%s is named for what it is', (_, fault, amount) => {
    const { kinds, suspects, nothing } = verdictOf(fault, amount);
    expect(kinds[0]?.kind).toBe(fault.kind);
    expect(suspects[0] && keyOfFault(suspects[0].fault)).toBe(keyOfFault(fault));
    expect(nothing).toBeLessThan(0.5);
    expect(suspects[0]?.low).toBeLessThanOrEqual(amount * 1.01);
    expect(suspects[0]?.high).toBeGreaterThanOrEqual(amount / 1.01);
  });

  it('a meter that shows 7 % too little is named for what it is, once another was held at a few drops', () => {
    const fault = { kind: 'meter', meter: 'vane', way: 'less' } as const;
    const own = plainReadings(shop, tree, round, fault, 1.07);
    const others = plainReadings(shop, tree, round.slice(0, 4), null, 1).map((each) => ({
      ...each,
      reading: { ...each.reading, instrument: 'wire' },
      meter: 'wire',
    }));
    const { suspects, kinds } = weighFaults(shop, tree, [...own, ...others]).verdict;
    expect(kinds[0]?.kind).toBe('meter');
    expect(suspects[0] && keyOfFault(suspects[0].fault)).toBe(keyOfFault(fault));
  });

  it('is weighed exactly where an opening takes nearly half of the air and the first order is far off', () => {
    const large = hiddenShop(7919 * 88, 'opening', null, 'mostly two');
    const read = ownGateRound(large).flatMap((asked) => large.read(asked) ?? []);
    const { leaders } = weighFaults(large.shop, large.tree, read);
    const truth = large.fault && keyOfFault(large.fault);
    const known = leaders.map(({ fault }) => fault && keyOfFault(fault));
    expect(known).toContain(truth);
  });

  it('is, of 5 square inches open in a run, one of few runs, told by the air with all gates shut', () => {
    const area = 5 * 6.4516e-4;
    for (const run of tree.upstreamFirst.filter((_, i) => i % 3 === 0)) {
      const fault = { kind: 'opening', run: run.id } as const;
      const shut = tree.upstreamFirst.map(
        ({ id }): Asked => ({
          measurand: { at: { kind: 'run', run: id, along: 100 }, shows: 'flow' },
          gates: new Set(),
          gatesKey: '',
        }),
      );
      const all = plainReadings(shop, tree, [...round, ...shut], fault, area);
      const { among, suspects } = weighFaults(shop, tree, all).verdict;
      // Where the drop's own reading cannot tell a gate that does not shut from an opening, the run is right.
      const runs = among.map(({ place }) => (place.kind === 'run' ? place.run : place.kind));
      expect(new Set(runs)).toEqual(new Set([run.id]));
      const found = suspects.find((each) => each.fault.kind === 'opening');
      expect((found?.amount ?? 0) / area).toBeGreaterThan(0.7);
      expect((found?.amount ?? 0) / area).toBeLessThan(1.4);
    }
  });
});

describe('the posterior', () => {
  const shop = threeBranchShop();
  for (const run of shop.ducts.runs) if (run.gate) run.gate.closedGap = 0.003;
  const tree = treeOf(shop);
  const round = ownGateRound({ tree });
  const believed = asBelieved(shop, tree);
  const nuisances = nuisancesOf(believed);
  const fault = { kind: 'opening', run: tree.upstreamFirst.at(-1)?.id ?? '' } as const;
  const observations = plainReadings(shop, tree, round, fault, 4e-3);

  /** By central differences of solved shops, one factor after another: nothing of the program's adjoint is in it. */
  function rowsOf(own: BelievedShop): number[][] {
    const STEP = 1e-3;
    return round.map(({ gates, measurand: { at } }) =>
      nuisances.names.map((_, p) => {
        const lnAt = (factor: number) => {
          const drawn = nuisances.names.map((__, i) => (i === p ? factor : 1));
          const solution = solveReal(own, gates, nuisances, drawn);
          const run = tree.drops.find(({ id }) => at.kind === 'port' && id === at.node)?.path[0];
          return Math.log(solution?.airIn.get(run?.id ?? '')?.[0]?.flowIn ?? Number.NaN);
        };
        return (lnAt(1 + STEP) - lnAt(1 - STEP)) / (2 * STEP);
      }),
    );
  }
  const density = (residuals: readonly number[], rows: readonly (readonly number[])[]) => {
    const j = new Matrix(
      rows.map((row) => row.map((each, p) => each * (nuisances.sigmas[p] ?? 0))),
    );
    const c = j.mmul(j.transpose());
    observations.forEach((_, i) => {
      observations.forEach((__, k) => {
        c.set(i, k, c.get(i, k) + SIGMA ** 2 + (i === k ? SIGMA ** 2 : 0));
      });
    });
    const r = Matrix.columnVector([...residuals]);
    const square = r.transpose().mmul(inverse(c)).mmul(r).get(0, 0);
    return Math.exp(-square / 2) / Math.sqrt(determinant(c) * (2 * Math.PI) ** residuals.length);
  };
  const residualsOf = (own: BelievedShop) => {
    const solutions = new Solutions(own);
    return observations.map((each) => each.ln - (solutions.lnOf(each) ?? 0));
  };

  it('is what summing over a plain grid of every fault and amount gives', () => {
    const GRID = 24;
    const weights = new Map<string, number>();
    weights.set('nothing', PRIOR_OF_NOTHING * density(residualsOf(believed), rowsOf(believed)));
    for (const { fault: each, prior } of possibleFaults(shop, tree, ['vane'])) {
      const { from, to } = AMOUNTS[each.kind];
      let sum = 0;
      for (let i = 0; i < GRID; i++) {
        const amount = from * (to / from) ** ((i + 0.5) / GRID);
        const own = withFault(believed, each, amount);
        const shift = each.kind === 'meter' ? Math.log(amount) * (each.way === 'more' ? 1 : -1) : 0;
        const residuals = residualsOf(own).map((residual) => residual - shift);
        sum += density(residuals, rowsOf(own)) / GRID;
      }
      weights.set(keyOfFault(each), prior * sum);
    }
    const whole = [...weights.values()].reduce((a, b) => a + b, 0);
    const { nothing, suspects } = weighFaults(shop, tree, observations).verdict;
    expect(nothing).toBeCloseTo((weights.get('nothing') ?? 0) / whole, 1);
    for (const [key, weight] of weights) {
      if (key === 'nothing') continue;
      const own = suspects.find((each) => keyOfFault(each.fault) === key)?.probability ?? 0;
      expect(Math.abs(own - weight / whole), key).toBeLessThan(0.05);
    }
  }, 60_000);
});
