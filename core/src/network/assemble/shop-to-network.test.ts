import { describe, expect, it } from 'vitest';
import { copyOf, threeBranchShop } from '../../../reference/sample-shops';
import { circleArea } from '../../air/velocity-pressure';
import { runLength } from '../../design/length';
import type { Run, Shop } from '../../design/schema';
import { arrangeDucts } from '../../routing/arrange-ducts';
import { compileNetwork } from '../compiled-network';
import type { Segment } from '../network';
import { solveShop } from '../solve-shop';
import { networksByGates } from './networks-by-gates';
import { SEPARATOR_RUN } from './separator-segment';
import { type NetworkOptions, shopToNetwork } from './shop-to-network';

const runOf = (shop: Shop, id: string): Run => {
  const run = shop.ducts.runs.find((candidate) => candidate.id === id);
  if (!run) throw new Error(`no ${id}`);
  return run;
};

function segmentsOf(shop: Shop, options: NetworkOptions = { view: 'found' }): readonly Segment[] {
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error(arranged.problems[0]?.message);
  return shopToNetwork(shop, arranged.tree, options).segments;
}

const kindsOf = (segments: readonly Segment[], run: string) =>
  segments
    .filter((segment) => segment.run === run)
    .map(({ parts }) => parts.map(({ kind }) => kind));

describe('a shop as a network', () => {
  it('a drop with a hose is two segments: hood and hose, then gate, pipe, elbow, wye', () => {
    const segments = segmentsOf(threeBranchShop(), {
      view: 'found',
      openGates: new Set(['saw', 'planer']),
    });
    // The saw was hung first and goes straight on from the main, one size up.
    expect(kindsOf(segments, 'saw')).toEqual([
      ['entry', 'hose'],
      ['gate', 'pipe', 'elbow', 'reducer'],
    ]);
    expect(kindsOf(segments, 'planer')).toEqual([
      ['entry', 'hose'],
      ['gate', 'pipe', 'elbow', 'branch'],
    ]);
    expect(segments.at(-1)).toMatchObject({ run: SEPARATOR_RUN, downstream: -1, upstream: 'fed' });
  });

  it('every segment comes after what flows into it', () => {
    segmentsOf(threeBranchShop()).forEach(({ downstream }, index) => {
      expect(downstream === -1 || downstream > index).toBe(true);
    });
  });

  it('beyond an airtight shut gate nothing is left of a drop but its pipe', () => {
    const segments = segmentsOf(threeBranchShop(), { view: 'found', openGates: new Set() });
    expect(segments.filter(({ run }) => run === 'saw')).toHaveLength(1);
    expect(segments.find(({ run }) => run === 'saw')?.upstream).toBe('capped');
    const shop = threeBranchShop();
    const { gate } = runOf(shop, 'saw');
    if (gate) gate.end = 'downstream';
    const without = segmentsOf(shop, { view: 'found', openGates: new Set() });
    expect(without.some(({ run }) => run === 'saw')).toBe(false);
  });

  it('where the gate sits decides whether a shut drop’s leak still draws', () => {
    const flowIn = (end: 'upstream' | 'downstream') => {
      const shop = threeBranchShop();
      shop.condition.holes.push({ run: 'sander', area: 1e-3, origin: { kind: 'assumed' } });
      const { gate } = runOf(shop, 'sander');
      if (gate) gate.end = end;
      const solved = solveShop(shop, { view: 'found', openGates: new Set(['saw']) });
      if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
      return solved.airIn.get('saw')?.[0]?.flowIn ?? 0;
    };
    expect(flowIn('downstream')).toBeGreaterThan(flowIn('upstream') * 1.005);
  });

  it('designed leaves out what is believed of its condition', () => {
    const shop = threeBranchShop();
    shop.condition.holes.push({ run: 'saw', area: 1e-3, origin: { kind: 'assumed' } });
    const hole = (view: 'designed' | 'found') =>
      segmentsOf(shop, { view }).reduce((sum, segment) => sum + segment.hole, 0);
    expect(hole('designed')).toBe(0);
    expect(hole('found')).toBeGreaterThan(0);
    const seam = (view: 'designed' | 'found') =>
      segmentsOf(shop, { view }).reduce((sum, segment) => sum + segment.seam, 0);
    // Class 30 as found against class 3 as designed.
    expect(seam('found') / seam('designed')).toBeCloseTo(10, 9);
  });

  it('a wye whose legs are wider than what it leaves by has a body as wide, and a reducer', () => {
    const shop = threeBranchShop();
    shop.shop.rules.junctions = 'momentum';
    const main = shop.ducts.runs[0];
    if (!main) throw new Error('no main');
    main.diameter = 0.08;
    const segments = segmentsOf(shop, { view: 'found', openGates: new Set(['saw', 'planer']) });
    expect(kindsOf(segments, main.id)[0]?.[0]).toBe('reducer');
    const { junction } = segments.find(({ run, junction }) => run === 'planer' && junction) ?? {};
    expect(junction?.combinedArea).toBeCloseTo(circleArea(runOf(shop, 'planer').diameter), 12);
  });

  it('a length may be taken from the nodes’ places', () => {
    const shop = copyOf(threeBranchShop());
    const run = runOf(shop, 'saw');
    const at = (id: string, x: number, y: number, z: number) => {
      const node = shop.ducts.nodes.find((candidate) => candidate.id === id);
      if (node) node.at = { x, y, z };
    };
    at(run.from, 0, 0, 0.9);
    at(run.to, 3, 0, 4.9);
    run.length = null;
    const arranged = arrangeDucts(shop);
    expect(arranged.ok && runLength(run, arranged.tree)).toBeCloseTo(5, 12);
    run.length = 2;
    expect(arranged.ok && runLength(run, arranged.tree)).toBe(2);
  });
});

describe('a gate drawn part way', () => {
  it('lets through less the less it is open, and a shut one only a little', () => {
    const flowAt = (opening: number, isOpen = true) => {
      const shop = threeBranchShop();
      const { gate } = runOf(shop, 'saw');
      if (gate) Object.assign(gate, { opening, closedGap: 0.003 });
      const openGates = new Set(isOpen ? ['saw'] : []);
      const solved = solveShop(shop, { view: 'designed', openGates });
      if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
      return solved.airIn.get('saw')?.[0]?.flowIn ?? 0;
    };
    const flows = [1, 0.8, 0.6, 0.4, 0.2, 0.1].map((opening) => flowAt(opening));
    flows.slice(1).forEach((flow, i) => {
      expect(flow).toBeLessThan(flows[i] ?? 0);
    });
    const shut = flowAt(1, false);
    expect(shut).toBeGreaterThan(0);
    expect(shut).toBeLessThan(0.02 * (flows[0] ?? 0));
  });
});

describe('what goes where behind the blower', () => {
  it('a filter takes in proportion to flow, a duct outdoors to its square', () => {
    const shop = threeBranchShop();
    const outlet = (view: 'designed' | 'found') => {
      const solved = solveShop(shop, { view, openGates: new Set(['saw', 'planer']) });
      if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
      return solved.blower;
    };
    const outdoors = outlet('designed');
    const velocity = outdoors.flow / circleArea(0.2);
    // Half the density of the velocity pressure, 1.5 of it in fittings and one at the open end.
    expect(outdoors.outletStatic / (2.5 * velocity ** 2)).toBeCloseTo(0.6, 1);
    const filter = { name: '', area: 10, permeability: 0.1, seasoned: 1, grade: null };
    shop.collector.exhaust = { kind: 'filter', filter };
    shop.condition.filterLoading.value = 3;
    const clean = outlet('designed');
    expect(clean.outletStatic).toBeCloseTo(125 * clean.flow, 6);
    const loaded = outlet('found');
    expect(loaded.outletStatic).toBeCloseTo(3 * 125 * loaded.flow, 6);
    // Cloth that has run is seasoned in both views, whatever cleaning is believed of it.
    filter.seasoned = 3;
    shop.condition.filterLoading.value = 1;
    for (const view of ['designed', 'found'] as const) {
      const seasoned = outlet(view);
      expect(seasoned.outletStatic).toBeCloseTo(3 * 125 * seasoned.flow, 6);
    }
  });
});

describe('networks by gates', () => {
  it('are what building the shop anew gives, for every set of gates', () => {
    for (const closedGap of [0.003, 0]) {
      const shop = threeBranchShop();
      for (const run of shop.ducts.runs) {
        if (run.gate) Object.assign(run.gate, { closedGap, opening: 0.7 });
      }
      const arranged = arrangeDucts(shop);
      if (!arranged.ok) throw new Error('no tree');
      const networkOf = networksByGates(shop, arranged.tree, { view: 'found' });
      for (const open of [[], ['saw'], ['planer', 'sander'], ['saw', 'planer', 'sander']]) {
        const openGates = new Set(open);
        const anew = shopToNetwork(shop, arranged.tree, { view: 'found', openGates });
        const { network, kUp, kDown } = networkOf(openGates);
        expect(network).toEqual(anew);
        const compiled = compileNetwork(anew);
        expect(kUp).toEqual(compiled.kUp);
        expect(kDown).toEqual(compiled.kDown);
      }
    }
  });
});
