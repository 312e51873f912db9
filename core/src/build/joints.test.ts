import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { copyOf, threeBranchShop } from '../../reference/sample-shops';
import type { Shop } from '../design/schema';
import { PIPES } from '../duct/pipes';
import { toSI } from '../quantity/units';
import { arrangeDucts } from '../routing/arrange-ducts';
import { BAND_SPARE, bandChain } from './band-chain';
import { type FitEnd, fitEnds, MOST_TURNS } from './fit';
import { type JointPlace, jointsOfShop, USUAL_WALL } from './joints-of-shop';

function jointsOf(shop: Shop): JointPlace[] {
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error(arranged.problems[0]?.message);
  return jointsOfShop(shop, arranged.tree);
}

/** The sample shop with a cyclone, a blower and a filter in its collector. */
function filteredShop(): Shop {
  const shop = copyOf(threeBranchShop());
  Object.assign(shop.collector.separator, { kind: 'cyclone', lossCoefficient: 5 });
  const filter = { name: '', area: 10, permeability: 0.1, seasoned: 1, grade: null };
  shop.collector.exhaust = { kind: 'filter', filter };
  return shop;
}

const find = (joints: readonly JointPlace[], id: string) => {
  const joint = joints.find((each) => each.id === id);
  if (!joint) throw new Error(`no joint ${id}`);
  return joint;
};

const runOf = (shop: Shop, id: string) => {
  const run = shop.ducts.runs.find((each) => each.id === id);
  if (!run) throw new Error(`no run ${id}`);
  return run;
};

describe('the joints of a shop', () => {
  it('has port and hose of every drop, and each joint once', () => {
    const joints = jointsOf(filteredShop());
    for (const run of ['saw', 'planer', 'sander']) {
      expect(find(joints, `${run} port`)).toMatchObject({
        upstream: { what: 'port', origin: 'estimate' },
        downstream: { what: 'hose', isFlexible: true },
      });
      expect(find(joints, `${run} hose`).downstream.what).toBe('gate');
    }
    expect(new Set(joints.map(({ id }) => id)).size).toBe(joints.length);
  });

  it('without a gate there the hose is clamped onto the pipe; without a hose the port meets it', () => {
    const shop = filteredShop();
    runOf(shop, 'saw').gate = null;
    expect(find(jointsOf(shop), 'saw hose').downstream.what).toBe('pipe');
    runOf(shop, 'saw').hose = null;
    const joints = jointsOf(shop);
    expect(find(joints, 'saw port').downstream.what).toBe('pipe');
    expect(joints.some(({ id }) => id === 'saw hose')).toBe(false);
  });

  it('a branch of the main’s own make and size is that pipe’s own fitting; another make is a joint', () => {
    const shop = filteredShop();
    const saw = runOf(shop, 'saw');
    saw.joins = { kind: 'branch', angle: Math.PI / 4 };
    Object.assign(saw, { pipe: 'galvanised', diameter: toSI(5, 'in') });
    expect(jointsOf(shop).some(({ id }) => id === 'saw end')).toBe(false);
    const drain = PIPES.drain.sizes[0];
    if (!drain) throw new Error('no drain pipe');
    Object.assign(saw, { pipe: 'drain', diameter: drain.inside });
    const joint = find(jointsOf(shop), 'saw end');
    expect(joint.upstream.outside).toBeCloseTo(toSI(4.215, 'in'), 9);
    expect(joint.downstream).toMatchObject({ what: 'branch', origin: 'estimate' });
  });

  it('a pipe’s ends are as its standard has them', () => {
    const shop = filteredShop();
    const sewer = PIPES.sewer.sizes[0];
    if (!sewer) throw new Error('no sewer pipe');
    Object.assign(runOf(shop, 'saw'), { gate: null, pipe: 'sewer', diameter: sewer.inside });
    expect(find(jointsOf(shop), 'saw hose').downstream).toMatchObject({
      outside: sewer.outside,
      origin: 'catalogue',
    });
  });

  it('an end that was measured is as measured, and only that one', () => {
    const shop = filteredShop();
    const before = find(jointsOf(shop), 'saw port');
    shop.ducts.measuredEnds = [
      { joint: 'saw port', side: 'upstream', inside: 0.12, outside: 0.1265 },
      { joint: 'gone', side: 'upstream', inside: 0.1, outside: 0.1 },
    ];
    const after = find(jointsOf(shop), 'saw port');
    expect(after.upstream).toMatchObject({ inside: 0.12, outside: 0.1265, origin: 'measured' });
    expect(after.downstream).toEqual(before.downstream);
    expect(after.fit).not.toEqual(before.fit);
  });

  it('follows the collector’s chain in its order', () => {
    const shop = filteredShop();
    const chain = () =>
      jointsOf(shop)
        .filter(({ id }) => / (out|in)$/.test(id))
        .map(({ upstream, downstream }) => `${upstream.what} ${downstream.what}`);
    expect(chain()).toEqual([
      'separatorOutlet coupling',
      'coupling blowerInlet',
      'blowerOutlet transition',
      'transition filter',
    ]);
    shop.collector.assembly.order = 'cleanSide';
    expect(chain()).toEqual([
      'separatorOutlet coupling',
      'coupling filter',
      'filter transition',
      'transition blowerInlet',
    ]);
    shop.collector.separator.kind = 'none';
    shop.collector.assembly.order = 'pulled';
    expect(chain()).toEqual(['blowerOutlet transition', 'transition filter']);
    shop.collector.exhaust = { kind: 'room', filter: null, opening: 0.2 };
    expect(chain()).toEqual([]);
  });
});

describe('any two ends', () => {
  const end: fc.Arbitrary<FitEnd> = fc
    .record({
      inside: fc.double({ min: 0.05, max: 0.3, noNaN: true }),
      wall: fc.double({ min: 0.3e-3, max: 8e-3, noNaN: true }),
      isFlexible: fc.boolean(),
    })
    .map(({ inside, wall, isFlexible }) => ({ inside, outside: inside + 2 * wall, isFlexible }));
  const tape = fc.double({ min: 0.05e-3, max: 0.5e-3, noNaN: true });

  // Common practice, no source: a hose goes over a spigot of its own size, and a clamp holds it.
  it.each([0.1, 0.1016, 0.125, 0.15])(
    'are clamped where hose and spigot are both %s m',
    (inside) => {
      const fit = fitEnds(
        { inside, outside: inside + 2 * USUAL_WALL, isFlexible: false },
        { inside, outside: inside + 2 * USUAL_WALL, isFlexible: true },
        0.13e-3,
      );
      expect(fit).toMatchObject({ inside: 'upstream', closing: { kind: 'clamp' } });
    },
  );

  it('that go into each other leave the gap between outside and inside; else nothing is said of one', () => {
    fc.assert(
      fc.property(end, end, tape, (up, down, thickness) => {
        const fit = fitEnds(up, down, thickness);
        if (fit.inside === 'neither') {
          expect(fit.gap).toBeNull();
          expect(['coupler', 'reducer', 'adapter']).toContain(fit.closing.kind);
          return;
        }
        const [inner, outer] = fit.inside === 'upstream' ? [up, down] : [down, up];
        expect(inner.isFlexible).toBe(false);
        expect(fit.gap).toBeCloseTo(outer.inside - inner.outside, 12);
        if (fit.closing.kind === 'tape') {
          const { turns } = fit.closing;
          expect(turns).toBeLessThanOrEqual(MOST_TURNS);
          // What the turns leave is no more than half a turn on each side, or that of a single one.
          const left = Math.abs((fit.gap ?? 0) / 2 - turns * thickness);
          expect(left).toBeLessThanOrEqual(thickness + 1e-12);
        }
      }),
      { numRuns: 500 },
    );
  });

  it('turned about, go the other way round', () => {
    const turned = { upstream: 'downstream', downstream: 'upstream', neither: 'neither' } as const;
    fc.assert(
      fc.property(end, end, tape, (up, down, thickness) => {
        const there = fitEnds(up, down, thickness);
        const back = fitEnds(down, up, thickness);
        // Thin ends of one size could go either way: both then go with the air.
        if (there.inside === back.inside && there.inside !== 'neither') return;
        expect(back.inside).toBe(turned[there.inside]);
        expect(back.closing).toEqual(there.closing);
      }),
      { numRuns: 500 },
    );
  });
});

describe('a chain of bands', () => {
  /** Every chain up to four bands, the fewest first, then the least over. */
  function byTrying(outside: number, lengths: readonly number[]): number[] | null {
    const wanted = Math.PI * outside + BAND_SPARE;
    let chains: number[][] = [[]];
    for (let count = 1; count <= 4; count++) {
      chains = chains.flatMap((chain) => lengths.map((length) => [...chain, length]));
      const sum = (chain: readonly number[]) => chain.reduce((total, each) => total + each, 0);
      const reaching = chains.filter((chain) => sum(chain) >= wanted - 1e-9);
      if (reaching.length > 0) {
        const best = reaching.reduce((least, next) =>
          sum(next) < sum(least) - 1e-12 ? next : least,
        );
        return [...best].sort((a, b) => b - a);
      }
    }
    return null;
  }

  it('is the best there is, held against trying them all', () => {
    const length = fc.double({ min: 0.2, max: 1.2, noNaN: true });
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 0.6, noNaN: true }),
        fc.array(length, { minLength: 1, maxLength: 4 }),
        (outside, lengths) => {
          const tried = byTrying(outside, lengths);
          const chain = bandChain(outside, lengths);
          if (tried === null) return;
          const sum = (of: readonly number[]) => of.reduce((total, each) => total + each, 0);
          expect(chain.ok && chain.bands.length).toBe(tried.length);
          expect(chain.ok && sum(chain.bands)).toBeCloseTo(sum(tried), 9);
        },
      ),
      { numRuns: 200 },
    );
  });
});
