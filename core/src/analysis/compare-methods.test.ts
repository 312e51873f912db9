import { describe, expect, it } from 'vitest';
import { counter, threeBranchShop } from '../../reference/sample-shops';
import { airAtSite } from '../air/air-at-site';
import { circleArea, velocityPressure } from '../air/velocity-pressure';
import { addDrop } from '../design/edit-ducts';
import { newShop } from '../design/new-shop';
import { pipeFriction } from '../duct/pipe-friction';
import { POWER_FITS, powerFitFriction } from '../duct/power-fit';
import { solveTree } from '../network/solve-shop';
import { arrangeDucts } from '../routing/arrange-ducts';
import { compareMethods, METHODS } from './compare-methods';
import { gatesOfDrop } from './gate-sets';

describe('the methods side by side', () => {
  const shop = threeBranchShop();
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error('no tree');
  const { tree } = arranged;

  it('of one straight pipe each gives the flow its own formula does, worked from the formula', () => {
    // A blower on a straight line, an open pipe end, 30 m of 5-in. galvanised pipe, nothing behind.
    const [shutOff, free, length, diameter] = [2500, 0.6, 30, 0.127] as const;
    const one = newShop('s', 'One', 'us', [
      { flow: 0, pressure: shutOff },
      { flow: free, pressure: 0 },
    ]);
    Object.assign(one.collector.separator, {
      kind: 'none',
      lossCoefficient: 0,
      inletDiameter: diameter,
    });
    one.collector.exhaust = { kind: 'room', filter: null, opening: 100 };
    addDrop(one, 'inlet', 'floorSweep', counter());
    const [run] = one.ducts.runs;
    const port = one.machines[0]?.ports[0];
    if (!run || !port) throw new Error('no drop');
    Object.assign(run, { diameter, length, fittings: [], hose: null, gate: null });
    Object.assign(port, { diameter, entryLoss: 0.93 });
    one.condition.sealing.usual = 0;
    const lone = arrangeDucts(one);
    if (!lone.ok) throw new Error('no tree');
    const [drop] = lone.tree.drops;
    if (!drop) throw new Error('no drop');
    const air = airAtSite(one.shop.site);
    const friction = {
      darcy: (flow: number) => pipeFriction(flow, length, diameter, 0.09e-3, air),
      powerFit: (flow: number) =>
        powerFitFriction(POWER_FITS.galvanised, flow, length, diameter, air.density),
      // Nothing to count as feet: straight pipe alone.
      equivalentFeet: (flow: number) => pipeFriction(flow, length, diameter, 0.09e-3, air),
    };
    const { flows, spread } = compareMethods(one, lone.tree, drop, { view: 'found' });
    for (const { method, flow } of flows) {
      if (flow === null) throw new Error('no answer');
      const entry = 0.93 * velocityPressure(flow / circleArea(diameter), air.density);
      const given = ((shutOff * air.density) / 1.2014) * (1 - flow / free);
      expect(entry + friction[method.friction](flow)).toBeCloseTo(given, 1);
    }
    const [least, most] = [
      Math.min(...flows.map(({ flow }) => flow ?? 0)),
      Math.max(...flows.map(({ flow }) => flow ?? 0)),
    ];
    expect(most - least).toBeGreaterThan(0.001);
    expect(spread).toBeCloseTo((most - least) / most, 12);
  });

  it('methods agree on a plain drop within a fifth, and do not agree to the last digit', () => {
    const [drop] = tree.drops;
    if (!drop) throw new Error('no drop');
    const options = { view: 'designed', openGates: gatesOfDrop(drop) } as const;
    const { spread } = compareMethods(shop, tree, drop, options);
    expect(spread).toBeGreaterThan(0.005);
    expect(spread).toBeLessThan(0.2);
  });

  it('show no spread where none of them finds an answer', () => {
    const dead = threeBranchShop();
    dead.collector.blower.curve = [
      { flow: 0, pressure: 2500 },
      { flow: 0.01, pressure: 2400 },
    ];
    const [drop] = tree.drops;
    if (!drop) throw new Error('no drop');
    const { flows, spread } = compareMethods(dead, tree, drop, { view: 'found' });
    expect(flows.map(({ flow }) => flow)).toEqual([null, null, null, null, null]);
    expect(spread).toBe(0);
  });

  it('leave a method without an answer out of the spread', () => {
    // The curve ends where some methods still have an answer and others run past it.
    const [drop] = tree.drops;
    if (!drop) throw new Error('no drop');
    const options = { view: 'found', openGates: gatesOfDrop(drop) } as const;
    const all = compareMethods(shop, tree, drop, options).flows.map(({ flow }) => flow ?? 0);
    const blowerFlows = [Math.min(...all), Math.max(...all)];
    expect(blowerFlows[0]).toBeLessThan(blowerFlows[1] ?? 0);
    const near = threeBranchShop();
    const solved = METHODS.map((method) => {
      const rules = { ...near.shop.rules, ...method };
      const own = solveTree({ ...near, shop: { ...near.shop, rules } }, tree, options);
      return own.kind === 'solved' ? own.blower.flow : 0;
    });
    const end = (Math.min(...solved) + Math.max(...solved)) / 2;
    // The same straight line, cut off between the flows the methods find.
    near.collector.blower.curve = [
      { flow: 0, pressure: 2500 },
      { flow: end, pressure: 2500 * (1 - end / 0.6) },
    ];
    const { flows, spread } = compareMethods(near, tree, drop, options);
    const known = flows.flatMap(({ flow }) => flow ?? []);
    expect(known.length).toBeGreaterThan(0);
    expect(known.length).toBeLessThan(METHODS.length);
    expect(spread).toBeCloseTo(1 - Math.min(...known) / Math.max(...known), 12);
  });
});
