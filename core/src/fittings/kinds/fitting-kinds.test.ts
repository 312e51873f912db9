import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { copyOf, threeBranchShop } from '../../../reference/sample-shops';
import { runFindings } from '../../analysis/findings/run-findings';
import { jointCount } from '../../design/length';
import type { Shop } from '../../design/schema';
import { lossMethod } from '../../methods/loss-methods';
import { solveShop, solveTree } from '../../network/solve-shop';
import { arrangeDucts } from '../../routing/arrange-ducts';
import {
  FITTING_KIND_IDS,
  FITTING_KINDS,
  type Fitting,
  fitting,
  fittingClamped,
  fittingLoss,
  isFittingKind,
  piecesOf,
  usualFitting,
} from './fitting-kinds';
import { flapLoss } from './flap-damper';

const flap = (degrees: number, count = 1): Fitting => ({
  kind: 'flapDamper',
  id: 'flap',
  angle: (degrees * Math.PI) / 180,
  count,
});

/** One of each kind. */
const ONE_OF_EACH: readonly Fitting[] = [
  {
    kind: 'elbow',
    id: 'a',
    style: 'fivePiece',
    angle: Math.PI / 2,
    radiusRatio: 1.5,
    count: 1,
    after: 0.3,
  },
  { kind: 'pair', id: 'b', style: 'fivePiece', radiusRatio: 1.5, spacer: 0.2, count: 1 },
  flap(10),
  { kind: 'other', id: 'd', name: 'Silencer', lossCoefficient: 0.4, count: 1 },
];
const WHERE = { pipe: 'galvanised', diameter: 0.15, straight: null } as const;
const METHODS = ['darcy', 'powerFit', 'equivalentFeet'] as const;

describe('kinds of fitting', () => {
  it('each go by their own name, and are known by it', () => {
    expect(ONE_OF_EACH.map(({ kind }) => kind).sort()).toEqual([...FITTING_KIND_IDS].sort());
    for (const one of ONE_OF_EACH) {
      expect(fitting.parse(one)).toEqual(one);
      const usual = usualFitting(one.kind, 'usual');
      expect(fitting.parse(usual)).toEqual(usual);
      expect(usual).toMatchObject({ kind: one.kind, id: 'usual' });
      expect(fittingClamped(usual)).toEqual([]);
      expect(FITTING_KINDS[one.kind].schema.safeParse(one).success).toBe(true);
      expect(isFittingKind(one.kind)).toBe(true);
    }
    expect(isFittingKind('pipe')).toBe(false);
    expect(isFittingKind('toString')).toBe(false);
  });

  it.each(METHODS)('lose as many times as much as there are of them, by %s', (name) => {
    const method = lossMethod(name);
    for (const one of ONE_OF_EACH) {
      const loss = fittingLoss(one, WHERE, method);
      const three = fittingLoss({ ...one, count: 3 }, WHERE, method);
      if (loss.kind === 'coefficient' && three.kind === 'coefficient') {
        expect(loss.coefficient).toBeGreaterThan(0);
        expect(three.coefficient).toBeCloseTo(3 * loss.coefficient, 9);
      } else if (loss.kind === 'friction' && three.kind === 'friction') {
        expect(three.friction.length * three.friction.multiplier).toBeCloseTo(
          3 * loss.friction.length * loss.friction.multiplier,
          9,
        );
      } else {
        throw new Error('of two kinds');
      }
    }
  });

  it('are joined at both ends, a pair of elbows twice', () => {
    expect(ONE_OF_EACH.map(piecesOf)).toEqual([1, 2, 1, 1]);
    const shop = threeBranchShop();
    const arranged = arrangeDucts(shop);
    if (!arranged.ok) throw new Error('no tree');
    const [run] = shop.ducts.runs;
    if (!run) throw new Error('no run');
    const without = jointCount(run, arranged.tree);
    const fittings = [...run.fittings, flap(10, 2)];
    expect(jointCount({ ...run, fittings }, arranged.tree)).toBe(without + 4);
  });
});

describe('a flap damper', () => {
  it('loses more the further it hangs into the stream, without a step', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 59.9, noNaN: true }), (degrees) => {
        const [here, further] = [degrees, degrees + 0.1].map((d) => flapLoss((d * Math.PI) / 180));
        expect(further).toBeGreaterThan(here ?? 0);
        expect(further).toBeLessThan((here ?? 0) * 1.03);
      }),
    );
  });

  it('hung beyond its table’s 60° is taken to hang there, and a finding says so', () => {
    expect(flapLoss(Math.PI / 2)).toBeCloseTo(flapLoss(Math.PI / 3), 9);
    expect(fittingClamped(flap(60))).toEqual([]);
    const shop = withFlap(75);
    const solved = solveShop(shop, { view: 'found' });
    if (solved.kind !== 'solved') throw new Error('no solution');
    const [run] = shop.ducts.runs;
    const found = run ? runFindings(run, solved) : [];
    expect(found.find(({ kind }) => kind === 'outside its range')?.numbers).toEqual({
      given: expect.closeTo((75 * Math.PI) / 180, 9),
      used: expect.closeTo(Math.PI / 3, 9),
    });
  });

  /** The sample shop with a flap in its main. */
  function withFlap(degrees: number): Shop {
    const shop = copyOf(threeBranchShop());
    shop.ducts.runs[0]?.fittings.push(flap(degrees));
    return shop;
  }

  it('in the main costs every drop air, as its coefficient on the main’s velocity pressure', () => {
    const arranged = arrangeDucts(withFlap(20));
    if (!arranged.ok) throw new Error('no tree');
    const [main] = arranged.tree.upstreamFirst.slice(-1);
    const solved = solveTree(withFlap(20), arranged.tree, { view: 'found' });
    const before = solveShop(threeBranchShop(), { view: 'found' });
    if (solved.kind !== 'solved' || before.kind !== 'solved') throw new Error('no solution');
    expect(solved.blower.flow).toBeLessThan(before.blower.flow);
    const segment = solved.network.segments.find(({ run }) => run === main?.id);
    const part = segment?.parts.find(({ kind }) => kind === 'flapDamper');
    expect(part?.coefficient).toBeCloseTo(1.76, 9);
  });
});
