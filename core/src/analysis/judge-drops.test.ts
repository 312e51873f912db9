import { describe, expect, it } from 'vitest';
import { copyOf, threeBranchShop } from '../../reference/sample-shops';
import { circleArea } from '../air/velocity-pressure';
import type { Shop } from '../design/schema';
import { hoodSuction } from '../fittings/hood';
import { dropFlow } from '../network/drop-flow';
import { solveTree } from '../network/solve-shop';
import { toSI } from '../quantity/units';
import { arrangeDucts } from '../routing/arrange-ducts';
import { collectorLoad } from './collector-load';
import { findings } from './findings/findings';
import { sensitivities } from './flow-sensitivities';
import {
  dropSensitivities,
  FITTED_SEPARATOR_UNCERTAINTY,
  flowUncertainty,
  UNCERTAINTY,
} from './flow-uncertainty';
import { gatesOfDrop } from './gate-sets';
import { type DropAir, judgeDrops, neededFlow } from './judge-drops';
import { pressureProfile } from './pressure-profile';
import { byMargin, marginShare, worstDrop } from './worst-drop';

function judged(shop: Shop, rule: 'one' | 'now' = 'one') {
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error(arranged.problems[0]?.message);
  const results = judgeDrops(shop, arranged.tree, 'found', rule);
  const airs = results.flatMap((result) => (result.kind === 'judged' ? [result] : []));
  const named = (name: string): DropAir => {
    const air = airs.find(({ drop }) => drop.path[0]?.id === name);
    if (!air) throw new Error(`no ${name}`);
    return air;
  };
  return { tree: arranged.tree, airs, named };
}

describe('verdicts', () => {
  it('one gate at a time gives each drop at least what it gets with all open', () => {
    const shop = threeBranchShop();
    for (const run of shop.ducts.runs) if (run.gate) run.gate.open = true;
    const alone = judged(shop, 'one');
    const together = judged(shop, 'now');
    for (const name of ['saw', 'planer', 'sander']) {
      expect(alone.named(name).flow).toBeGreaterThan(together.named(name).flow);
    }
  });

  /** The planer's result if it needs this flow. */
  const needing = (need: number) => {
    const shop = threeBranchShop();
    const port = shop.machines[1]?.ports[0];
    if (port) port.need = { kind: 'flow', flow: need };
    return judged(shop).named('planer');
  };

  it('say enough, a little short, or starved by the share that is missing', () => {
    const { flow } = judged(threeBranchShop()).named('planer');
    for (const [need, standing] of [
      [0.99 * flow, 'enough'],
      [flow, 'enough'],
      [1.03 * flow, 'little short'],
      [(flow / 0.95) * 0.9999, 'little short'],
      [(flow / 0.95) * 1.0001, 'starved'],
      [1.2 * flow, 'starved'],
    ] as const) {
      expect(needing(need).standing, String(need)).toBe(standing);
      expect(needing(need).margin).toBeCloseTo(flow - need, 9);
    }
  });

  it('name the slowest run after a drop’s own, and the velocity its chips need there', () => {
    const shop = threeBranchShop();
    // A wider main between the first one and the collector, where the air is slowest.
    const main = shop.ducts.runs.find(({ id }) => id === 'id1');
    if (!main) throw new Error('no main');
    shop.ducts.nodes.push({ id: 'half', kind: { kind: 'joint' }, at: null, style: {} });
    const wider = { ...main, id: 'wide', to: main.to, from: 'half', diameter: 1.5 * main.diameter };
    shop.ducts.runs.push(wider);
    main.to = 'half';
    const air = judged(shop).named('saw');
    const speed = (run: string) => air.solution.airIn.velocityInto(run);
    expect(speed('wide')).toBeLessThan(speed('id1'));
    const { settlingVelocity, carryingVelocity } = shop.shop.rules;
    expect(air.main).toEqual({ run: 'wide', velocity: speed('wide'), transport: settlingVelocity });
    expect(air.transport).toBe(carryingVelocity);
    // It is not simply the last run, nor the drop's own pipe.
    wider.diameter = 0.8 * main.diameter;
    const saw = shop.ducts.runs.find(({ id }) => id === 'saw');
    if (saw) saw.diameter = 3 * main.diameter;
    const narrow = judged(shop).named('saw');
    expect(narrow.main?.run).toBe('id1');
    expect(narrow.velocity).toBeLessThan(narrow.main?.velocity ?? 0);
    const sander = judged(shop).named('sander');
    expect(sander.transport).toBeNull();
    expect(sander.main?.transport).toBeNull();
  });

  it('have no main where the drop’s own run leads to the collector', () => {
    const shop = threeBranchShop();
    shop.ducts.runs = shop.ducts.runs.filter(({ id }) => id === 'saw' || id === 'id1');
    const saw = shop.ducts.runs.find(({ id }) => id === 'saw');
    const main = shop.ducts.runs.find(({ id }) => id === 'id1');
    if (!saw || !main) throw new Error('no saw');
    const joint = main.from;
    saw.to = main.to;
    shop.ducts.runs = [saw];
    const kept = new Set([saw.from, saw.to]);
    shop.ducts.nodes = shop.ducts.nodes.filter(({ id }) => id !== joint && kept.has(id));
    shop.machines = shop.machines.slice(0, 1);
    expect(judged(shop).named('saw').main).toBeNull();
  });

  it('are ordered by how short each drop is of its need, without those that are shut or unsolved', () => {
    const shop = threeBranchShop();
    for (const run of shop.ducts.runs) if (run.gate) run.gate.open = run.id !== 'saw';
    const { tree, airs } = judged(shop, 'now');
    expect(airs.find(({ drop }) => drop.path[0]?.id === 'saw')?.standing).toBe('shut');
    const inOrder = byMargin(airs).map(({ drop }) => drop.path[0]?.id);
    const shares = airs.map((air) => [air.drop.path[0]?.id, marginShare(air)] as const);
    const wanted = shares.filter(([id]) => id !== 'saw').toSorted((a, b) => a[1] - b[1]);
    expect(inOrder).toEqual(wanted.map(([id]) => id));
    expect(byMargin(airs.toReversed()).map(({ drop }) => drop.path[0]?.id)).toEqual(inOrder);
    expect(worstDrop(airs)?.drop.path[0]?.id).toBe(inOrder[0]);
    const [drop] = tree.drops;
    if (!drop) throw new Error('no drop');
    const reason = { kind: 'not-a-tree', problems: [] } as const;
    expect(worstDrop([{ kind: 'unsolved', drop, reason }])).toBeNull();
    expect(worstDrop([])).toBeNull();
    const half = { margin: -0.1, need: 0.2 };
    expect(marginShare(half)).toBe(-0.5);
  });

  it('give the reason where there is no answer', () => {
    const shop = threeBranchShop();
    shop.collector.blower.curve = [
      { flow: 0, pressure: 2500 },
      { flow: 0.01, pressure: 2400 },
    ];
    const arranged = arrangeDucts(shop);
    if (!arranged.ok) throw new Error('no tree');
    const [result] = judgeDrops(shop, arranged.tree, 'found', 'one');
    expect(result).toMatchObject({ kind: 'unsolved', reason: { kind: 'beyond-curve' } });
  });

  it('a need may be a velocity at the port’s true diameter', () => {
    const shop = threeBranchShop();
    const port = shop.machines[0]?.ports[0];
    if (!port) throw new Error('no port');
    port.need = { kind: 'velocity', velocity: 20 };
    expect(neededFlow(port)).toBeCloseTo(20 * circleArea(port.diameter), 12);
  });

  it('the hood’s suction is (1 + h_e)·VP where nothing else is between', () => {
    const shop = threeBranchShop();
    const run = shop.ducts.runs.find(({ id }) => id === 'saw');
    if (!run) throw new Error('no saw');
    run.hose = null;
    const air = judged(shop).named('saw');
    const [segment] = air.solution.airIn.get('saw') ?? [];
    const pressure = ((segment?.velocity ?? 0) ** 2 * air.solution.network.air.density) / 2;
    expect(-air.hoodStatic).toBeCloseTo(hoodSuction(2, pressure), 6);
  });
});

describe('the pressure ladder', () => {
  it('goes from the room to the room and its losses add up to the blower’s rise', () => {
    for (const air of judged(threeBranchShop()).airs) {
      const steps = pressureProfile(air.solution, air.drop);
      const taken = steps.reduce((sum, { loss }) => sum + loss, 0);
      expect(Math.abs(taken)).toBeLessThan(1e-5 * air.solution.blower.rise);
      expect(steps[0]?.staticBefore).toBe(0);
      expect(steps.at(-1)?.staticAfter).toBe(0);
      steps.slice(1).forEach((step, i) => {
        expect(step.staticBefore).toBe(steps[i]?.staticAfter);
        expect(step.totalBefore).toBe(steps[i]?.totalAfter);
      });
    }
  });
});

describe('findings', () => {
  const kindsOf = (shop: Shop, name = 'planer') => {
    const air = judged(shop).named(name);
    return findings(shop, air, 'found', 'one');
  };

  it('a starved drop names what takes most and what a shorter hose wins', () => {
    const shop = threeBranchShop();
    const run = shop.ducts.runs.find(({ id }) => id === 'planer');
    if (run?.hose) run.hose.length = 6;
    const port = shop.machines[1]?.ports[0];
    if (port) port.need = { kind: 'flow', flow: 1 };
    const [starved] = kindsOf(shop);
    if (starved?.kind !== 'starved') throw new Error('not starved');
    const { remedy, numbers } = starved;
    if (remedy?.kind !== 'shorter hose') throw new Error('no shorter hose');
    expect(remedy.gain).toBeGreaterThan(0);
    expect(numbers.share).toBeGreaterThan(0.1);
    // What the finding promises is what comes of doing it.
    const before = judged(shop).named('planer').flow;
    if (run?.hose) run.hose.length = remedy.length;
    expect(judged(shop).named('planer').flow - before).toBeCloseTo(remedy.gain, 9);
  });

  it('a true 2 hp motor does not live on a 15 A, 120 V circuit', () => {
    const shop = threeBranchShop();
    shop.collector.blower.motor = {
      power: toSI(2, 'hp'),
      voltage: 120,
      plateCurrent: null,
      startRatio: null,
    };
    shop.collector.blower.breaker = 15;
    expect(kindsOf(shop).map(({ kind }) => kind)).toContain('small circuit');
    shop.collector.blower.motor.voltage = 230;
    shop.collector.blower.breaker = 15;
    expect(kindsOf(shop).map(({ kind }) => kind)).not.toContain('small circuit');
  });

  it('opening everything loads the motor most', () => {
    const shop = threeBranchShop();
    for (const run of shop.ducts.runs) if (run.gate) run.gate.open = true;
    const open = collectorLoad(shop, judged(shop, 'now').named('saw').solution, 'found');
    const one = collectorLoad(shop, judged(shop, 'one').named('saw').solution, 'found');
    expect(open.shaftPower).toBeGreaterThan(one.shaftPower);
  });
});

describe('uncertainty', () => {
  it('is the root of squares of what each estimate changes, and a better blower curve narrows it', () => {
    const shop = threeBranchShop();
    const { tree, named } = judged(shop);
    const air = named('planer');
    const options = { view: 'found', openGates: gatesOfDrop(air.drop) } as const;
    // Solved anew, cold, with its gates open: the judged drop's own solution says the same.
    const solved = solveTree(shop, tree, options);
    const own = solved.kind === 'solved' && dropSensitivities(shop, 'found', solved, air.drop);
    if (!own) throw new Error('no answer');
    const { changes } = own;
    expect(flowUncertainty(shop, 'found', air)).toBeCloseTo(
      Math.hypot(...Object.values(changes)),
      9,
    );
    for (const kind of ['entries', 'fittings', 'friction', 'separator', 'leaks'] as const) {
      expect(changes[kind]).toBeLessThan(0);
    }
    expect(own.flow).toBeCloseTo(air.flow, 9);
  });

  it('is each derivative times how far its estimate may be off; less for a fitted separator', () => {
    const shop = threeBranchShop();
    const changesOf = (own: Shop) => {
      const { named } = judged(own);
      const { solution, drop } = named('planer');
      const { compiled, state } = solution;
      const found = dropSensitivities(own, 'found', solution, drop);
      if (!found) throw new Error('no answer');
      const segment = compiled.ofRun.get('planer')?.[0] ?? -1;
      const by = sensitivities(
        { shop: own, view: 'found', compiled, state },
        { kind: 'flow', segment },
      );
      return { found, by };
    };
    const { found, by } = changesOf(shop);
    for (const kind of Object.keys(UNCERTAINTY) as (keyof typeof UNCERTAINTY)[]) {
      expect(found.changes[kind]).toBeCloseTo(UNCERTAINTY[kind] * by.byEstimate[kind], 12);
    }
    expect(found.byLoading).toBe(by.byEstimate.filter);
    const fitted = copyOf(shop);
    fitted.collector.separator.origin = { kind: 'fitted', on: '2026-01-01' };
    const { separator, ...rest } = changesOf(fitted).found.changes;
    expect(separator / found.changes.separator).toBeCloseTo(
      FITTED_SEPARATOR_UNCERTAINTY / UNCERTAINTY.separator,
      9,
    );
    const { separator: _, ...others } = found.changes;
    expect(rest).toEqual(others);
  });

  it('knows what an opening in a run does to a drop', () => {
    const shop = threeBranchShop();
    const { named, tree } = judged(shop);
    const air = named('planer');
    const found = dropSensitivities(shop, 'found', air.solution, air.drop);
    if (!found) throw new Error('no answer');
    const area = 1e-5;
    const holed = copyOf(shop);
    holed.condition.holes.push({ run: 'id1', area, origin: { kind: 'assumed' } });
    const options = { view: 'found', openGates: gatesOfDrop(air.drop) } as const;
    const solved = solveTree(holed, tree, options);
    if (solved.kind !== 'solved') throw new Error('no answer');
    const change = (dropFlow(solved, air.drop) ?? 0) - air.flow;
    expect(change).toBeLessThan(0);
    expect((area * found.byOpening('id1')) / change).toBeCloseTo(1, 2);
    expect(found.byOpening('nowhere')).toBe(0);
    const elsewhere = { ...air.drop, path: [] };
    expect(dropSensitivities(shop, 'found', air.solution, elsewhere)).toBeNull();
    expect(flowUncertainty(shop, 'found', { ...air, drop: elsewhere })).toBe(0);
  });
});

describe('with the gates open now', () => {
  it('a shut drop is called shut, and no fault is found with it', () => {
    const shop = threeBranchShop();
    for (const run of shop.ducts.runs) if (run.gate) run.gate.open = run.id === 'saw';
    const { named } = judged(shop, 'now');
    expect(named('planer').standing).toBe('shut');
    expect(findings(shop, named('planer'), 'found', 'now')).toEqual([]);
    expect(named('saw').standing).not.toBe('shut');
  });
});
