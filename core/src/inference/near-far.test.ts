import { describe, expect, it } from 'vitest';
import { chanceShop, ownGateRound } from '../../reference/hidden-shops';
import { plainReadings, SIGMA, treeOf } from '../../reference/plain-readings';
import { realShop } from '../practice/real-shop';
import { chanceOf } from '../simulate/chance';
import { asBelieved, type Fault } from './faults';
import { nearFarOf } from './near-far';
import { nuisancesOf, Solutions } from './predictor';

const shop = chanceShop(6, chanceOf(5));
const tree = treeOf(shop);
const believed = asBelieved(shop, tree);
const base = new Solutions(believed);
const nuisances = nuisancesOf(believed);
const round = ownGateRound({ tree });
const read = (fault: Fault | null = null, amount = 0) =>
  plainReadings(shop, tree, round, fault, amount);
const compared = (fault: Fault | null = null, amount = 0) =>
  nearFarOf(base, tree, read(fault, amount), nuisances);

describe('near against far', () => {
  it('is what the model expects in a sound shop, of the nearest drop and the farthest', () => {
    const sound = compared();
    expect(sound?.measured).toBeCloseTo(sound?.predicted ?? 0, 9);
    expect(sound?.isShown).toBe(false);
    expect(sound?.far).not.toBe(sound?.near);
    // Two readings with one meter: its own error cancels. 95 % of a ratio of two of SIGMA each.
    expect((sound?.measuredUncertainty ?? 0) / (sound?.measured ?? 1)).toBeCloseTo(
      Math.sinh(1.96 * Math.SQRT2 * SIGMA),
      6,
    );
  });

  it('shows a clog in the far drop, and nothing of a meter that is off or of a loaded filter', () => {
    const far = tree.drops.find(({ id }) => id === compared()?.far)?.path[0]?.id ?? '';
    const clogged = compared({ kind: 'clog', run: far }, 8);
    expect(clogged?.isShown).toBe(true);
    expect(clogged?.measured).toBeLessThan(clogged?.predicted ?? 0);
    expect(compared({ kind: 'meter', meter: 'vane', way: 'less' }, 1.3)?.isShown).toBe(false);
    expect(compared({ kind: 'filter' }, 3)?.isShown).toBe(false);
  });

  it('is as sure as drawing everything the model is unsure of has it, what both drops share cancelling', () => {
    const sound = compared();
    const flowOf = (id: string | undefined, drawn: readonly number[]) => {
      const asked = round.find(({ measurand: { at } }) => at.kind === 'port' && at.node === id);
      return asked ? (realShop(believed, nuisances, drawn)(asked) ?? Number.NaN) : Number.NaN;
    };
    const { normal } = chanceOf(3);
    const lns = Array.from({ length: 400 }, () => {
      const drawn = nuisances.sigmas.map((sigma) => Math.exp(sigma * normal()));
      return Math.log(flowOf(sound?.far, drawn) / flowOf(sound?.near, drawn));
    });
    const mean = lns.reduce((a, b) => a + b, 0) / lns.length;
    const sigma = Math.sqrt(lns.reduce((sum, ln) => sum + (ln - mean) ** 2, 0) / lns.length);
    const own = Math.asinh((sound?.predictedUncertainty ?? 0) / (sound?.predicted ?? 1)) / 1.96;
    // Of 400 draws a standard deviation is off by 3.5 %, and the model's is of first order.
    expect(own / sigma).toBeGreaterThan(0.85);
    expect(own / sigma).toBeLessThan(1.15);
  });

  it('is nothing where fewer than two drops were read each with its own gate', () => {
    expect(nearFarOf(base, tree, [], nuisances)).toBeNull();
    expect(nearFarOf(base, tree, read().slice(0, 1), nuisances)).toBeNull();
    const withAll = new Set(tree.upstreamFirst.flatMap(({ id, gate }) => (gate ? [id] : [])));
    const other = read().map((each) => ({ ...each, gates: withAll, gatesKey: 'all' }));
    expect(nearFarOf(base, tree, other, nuisances)).toBeNull();
  });
});
