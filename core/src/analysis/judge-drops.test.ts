import { describe, expect, it } from 'vitest';
import { copyOf, threeBranchShop } from '../../reference/sample-shops';
import { circleArea } from '../air/velocity-pressure';
import type { Shop } from '../design/schema';
import { hoodSuction } from '../fittings/hood';
import { solveTree } from '../network/solve-shop';
import { toSI } from '../quantity/units';
import { arrangeDucts } from '../routing/arrange-ducts';
import { collectorLoad } from './collector-load';
import { findings } from './findings/findings';
import { dropSensitivities, flowUncertainty } from './flow-uncertainty';
import { gatesOfDrop } from './gate-sets';
import { type DropAir, judgeDrops, neededFlow } from './judge-drops';
import { pressureProfile } from './pressure-profile';

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

  it('say enough, a little short, or starved by the share that is missing', () => {
    const shop = threeBranchShop();
    const { flow } = judged(shop).named('planer');
    const standing = (need: number) => {
      const changed = copyOf(shop);
      const port = changed.machines[1]?.ports[0];
      if (port) port.need = { kind: 'flow', flow: need };
      return judged(changed).named('planer').standing;
    };
    expect(standing(flow * 0.99)).toBe('enough');
    expect(standing(flow * 1.03)).toBe('little short');
    expect(standing(flow * 1.2)).toBe('starved');
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
