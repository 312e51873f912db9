import { describe, expect, it } from 'vitest';
import { threeBranchShop } from '../../reference/sample-shops';
import { gatesOfDrop } from '../analysis/gate-sets';
import { solveTree } from '../network/solve-shop';
import { arrangeDucts } from '../routing/arrange-ducts';
import { fitSeparator } from './fit-separator';

const shop = threeBranchShop();
const arranged = arrangeDucts(shop);
if (!arranged.ok) throw new Error('no tree');
const { tree } = arranged;
const drop = tree.drops[1];
if (!drop) throw new Error('no drop');
const options = { view: 'found', openGates: gatesOfDrop(drop) } as const;

/** Flow at the drop with a separator of so many heads. */
function flowWith(lossCoefficient: number): number {
  const separator = { ...shop.collector.separator, kind: 'lid' as const, lossCoefficient };
  const changed = { ...shop, collector: { ...shop.collector, separator } };
  const solved = solveTree(changed, tree, options);
  if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
  return solved.airIn.get(drop?.path[0]?.id ?? '')?.[0]?.flowIn ?? 0;
}

const fit = (without: number, withIt: number, uncertainty = 0.02) =>
  fitSeparator(
    shop,
    tree,
    drop,
    options,
    { value: without, uncertainty: uncertainty * without },
    { value: withIt, uncertainty: uncertainty * withIt },
  );

describe('a separator fitted to a before/after pair', () => {
  it.each([1, 4.5, 10, 25])('finds the %f heads the readings were made with', (lossCoefficient) => {
    const fitted = fit(flowWith(0), flowWith(lossCoefficient));
    if (!fitted.ok) throw new Error(fitted.reason);
    expect(fitted.lossCoefficient).toBeCloseTo(lossCoefficient, 4);
    expect(fitted.least).toBeLessThan(lossCoefficient);
    expect(fitted.most).toBeGreaterThan(lossCoefficient);
  });

  it('does not mind a meter that reads in its own unit, nor one that reads high', () => {
    const plain = fit(flowWith(0), flowWith(6));
    const other = fit(1.2 * 196.85 * flowWith(0), 1.2 * 196.85 * flowWith(6));
    expect(
      plain.ok && other.ok && Math.abs(plain.lossCoefficient - other.lossCoefficient),
    ).toBeLessThan(1e-4);
  });

  it('is the surer the better the readings', () => {
    const width = (uncertainty: number) => {
      const fitted = fit(flowWith(0), flowWith(6), uncertainty);
      return fitted.ok ? fitted.most - fitted.least : 0;
    };
    expect(width(0.01)).toBeLessThan(width(0.03));
    expect(width(0)).toBeLessThan(1e-3);
  });

  it('takes in the truth 95 times in 100, as often as its interval says', () => {
    const truth = flowWith(0) === 0 ? 0 : flowWith(6) / flowWith(0);
    // Pairs off by up to their stated uncertainty along a fan of angles, not by chance.
    let within = 0;
    const tries = 60;
    for (let i = 0; i < tries; i++) {
      const angle = (2 * Math.PI * i) / tries;
      const radius = 0.02 * (i / tries);
      const fitted = fit(1 + radius * Math.cos(angle), truth * (1 + radius * Math.sin(angle)));
      if (fitted.ok && fitted.least <= 6 && 6 <= fitted.most) within++;
    }
    expect(within).toBeGreaterThanOrEqual(0.95 * tries);
  });

  it('has its interval from the ratio’s own: both uncertainties at right angles', () => {
    const [free, held] = [flowWith(0), flowWith(6)];
    const fitted = fit(free, held, 0.02);
    // The two ends fitted as sure readings: the ratio 2.83 % higher and lower.
    const off = Math.hypot(0.02, 0.02);
    const least = fit(free, held * (1 + off), 0);
    const most = fit(free, held * (1 - off), 0);
    if (!fitted.ok || !least.ok || !most.ok) throw new Error('refused');
    expect(fitted.least).toBeCloseTo(least.lossCoefficient, 5);
    expect(fitted.most).toBeCloseTo(most.lossCoefficient, 5);
    // Where one of the two readings is sure, only the other's uncertainty counts.
    const one = fitSeparator(
      shop,
      tree,
      drop,
      options,
      { value: free, uncertainty: 0 },
      { value: held, uncertainty: 0.02 * held },
    );
    const end = fit(free, held * 0.98, 0);
    expect(one.ok && end.ok && one.most - end.lossCoefficient).toBeCloseTo(0, 5);
  });

  it('ranges from no heads to a hundred where the readings leave that open', () => {
    const fitted = fit(flowWith(0), flowWith(0.2), 0.2);
    expect(fitted.ok && fitted.least).toBeCloseTo(0, 5);
    const wide = fit(flowWith(0), flowWith(99), 0.3);
    expect(wide.ok && wide.most).toBe(100);
  });

  it('has no fit where the shop has no answer', () => {
    const dead = structuredClone(shop);
    dead.collector.blower.curve = [
      { flow: 0, pressure: 2500 },
      { flow: 0.001, pressure: 2400 },
    ];
    const pair = [
      { value: 3, uncertainty: 0.1 },
      { value: 2, uncertainty: 0.1 },
    ] as const;
    const fitted = fitSeparator(dead, tree, drop, options, ...pair);
    expect(fitted.ok ? '' : fitted.reason).toMatch(/no answer to fit to/);
  });

  it.each([
    [0, 3, /above zero/],
    [3, -1, /above zero/],
    [3, 3, /did not fall/],
    [3, 4, /did not fall/],
    [3, 0.05, /further than a separator explains/],
  ] as const)('refuses %f and %f with a sentence', (without, withIt, reason) => {
    const fitted = fit(without, withIt);
    expect(fitted.ok ? '' : fitted.reason).toMatch(reason);
  });
});
