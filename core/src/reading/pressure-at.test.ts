import { describe, expect, it } from 'vitest';
import { copyOf, threeBranchShop } from '../../reference/sample-shops';
import { circleArea, velocityPressure } from '../air/velocity-pressure';
import { gatesOfDrop } from '../analysis/gate-sets';
import { pressureProfile } from '../analysis/pressure-profile';
import { filterResistance } from '../collector/filter';
import { runLength } from '../design/length';
import type { CollectorTap, TestPoint } from '../journal/test-point';
import { solveShop } from '../network/solve-shop';
import { fromSI } from '../quantity/units';
import { pressureAt } from './pressure-at';

const shop = copyOf(threeBranchShop());
shop.collector.exhaust = {
  kind: 'filter',
  filter: {
    ...{ area: 8, permeability: 0.1, seasoned: 1, grade: null, name: 'Cartridge' },
    ...{ media: 'spunbond' },
  } as never,
};
const solvedWith = (openGates: ReadonlySet<string>, own = shop) => {
  const solved = solveShop(own, { view: 'found', openGates });
  if (solved.kind !== 'solved') throw new Error('not solved');
  return solved;
};
const [drop] = solvedWith(new Set()).tree.drops;
if (!drop) throw new Error('no drop');
const open = solvedWith(gatesOfDrop(drop));
const shut = solvedWith(new Set());
const tapped = (tap: CollectorTap, solution = open) =>
  pressureAt(shop, solution, { kind: 'collector', tap }) ?? Number.NaN;

describe('what a manometer shows at the collector', () => {
  it('across the filter is its resistance times the flow (ASTM D737, laminar)', () => {
    if (shop.collector.exhaust.kind !== 'filter') throw new Error();
    const { value } = shop.condition.filterLoading;
    const resistance = filterResistance(shop.collector.exhaust.filter, value);
    expect(tapped('filter')).toBeCloseTo(resistance * open.blower.flow, 6);
    // What the blower gives is what both sides of it differ by.
    const gauges = tapped('blower inlet') + tapped('blower outlet');
    expect(Math.abs(gauges / open.blower.rise - 1)).toBeLessThan(0.15);
  });

  it('with all gates shut is near the blower’s shut-off pressure, and more than with one open', () => {
    const suction = tapped('separator inlet', shut);
    const most = Math.max(...shop.collector.blower.curve.map(({ pressure }) => pressure));
    expect(suction).toBeGreaterThan(tapped('separator inlet'));
    expect(suction / most).toBeGreaterThan(0.8);
    expect(fromSI(suction, 'inwg')).toBeLessThan(fromSI(most, 'inwg') * 1.05);
  });

  it('agrees with the pressure profile along a way that is open', () => {
    const steps = pressureProfile(open, drop);
    const blower = steps.find(({ kind }) => kind === 'blower');
    expect(tapped('blower inlet')).toBeCloseTo(Math.abs(blower?.staticBefore ?? 0), 6);
    expect(tapped('blower outlet')).toBeCloseTo(blower?.staticAfter ?? 0, 6);
  });

  it('behind a filter on the blower’s clean side is all the blower gives, also with all gates shut', () => {
    const own = copyOf(shop);
    own.collector.assembly.order = 'cleanSide';
    const solution = solvedWith(new Set(), own);
    const at = (tap: CollectorTap) => pressureAt(own, solution, { kind: 'collector', tap });
    expect(at('blower inlet')).toBe(solution.blower.rise);
    expect(at('blower outlet')).toBe(0);
    expect(at('filter')).toBeGreaterThan(0);
  });

  it('is nothing across a filter that is not there', () => {
    const outdoors = copyOf(threeBranchShop());
    expect(outdoors.collector.exhaust.kind).not.toBe('filter');
    const solution = solvedWith(new Set(), outdoors);
    expect(pressureAt(outdoors, solution, { kind: 'collector', tap: 'filter' })).toBeNull();
  });
});

describe('what a manometer shows at a tap in a duct', () => {
  const inRun = (run: string, along: number, solution = open) =>
    pressureAt(shop, solution, { kind: 'run', run, along });

  it('grows down the pipe by its losses, from just behind the hood to what the profile ends in', () => {
    const [own] = drop.path;
    if (!own) throw new Error('no run');
    const length = runLength(own, open.tree);
    const at = [0, 0.25, 0.5, 0.75, 1].map((share) => inRun(own.id, share * length) ?? 0);
    for (const [i, pressure] of at.entries())
      if (i > 0) expect(pressure).toBeGreaterThan(at[i - 1] ?? 0);
    const steps = pressureProfile(open, drop).filter(({ run }) => run === own.id);
    const before = steps.find(({ kind }) => kind === 'pipe');
    expect(at[0]).toBeCloseTo(-(before?.staticBefore ?? 0), 0);
    // Beyond its end the tap is at its end.
    expect(inRun(own.id, 10 * length)).toBe(at[4]);
  });

  it('just behind a hood is the hood’s static pressure, (1 + loss coefficient) × VP', () => {
    const { port, path } = drop;
    const air = open.airIn.get(path[0]?.id ?? '')?.[0];
    if (!air) throw new Error('no air');
    const vp = velocityPressure(air.flowIn / circleArea(air.diameter), open.network.air.density);
    const entry = port.entryLoss * (circleArea(air.diameter) / circleArea(port.diameter)) ** 2;
    const gate = air.parts.find(({ kind }) => kind === 'gate')?.loss ?? 0;
    const hood = pressureAt(shop, open, { kind: 'port', node: drop.id }) ?? 0;
    expect((hood - gate) / ((1 + entry) * vp)).toBeCloseTo(1, 1);
  });

  it('in the main with all gates shut is nearly what the collector’s own tap shows', () => {
    const main = drop.path.at(-1)?.id ?? '';
    expect((inRun(main, 0, shut) ?? 0) / tapped('separator inlet', shut)).toBeCloseTo(1, 1);
  });

  it('is nothing in a run or at a port that is gone, or in the room', () => {
    const nowhere: TestPoint['at'][] = [
      { kind: 'run', run: 'gone', along: 0 },
      { kind: 'port', node: 'gone' },
      { kind: 'place', point: { x: 0, y: 0, z: 0 } },
    ];
    for (const at of nowhere) expect(pressureAt(shop, open, at)).toBeNull();
  });
});
