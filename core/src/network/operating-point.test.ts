import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShop } from '../../reference/any-shop';
import { STALLING_CURVE, threeBranchShop } from '../../reference/sample-shops';
import type { Shop } from '../design/schema';
import { arrangeDucts } from '../routing/arrange-ducts';
import { shopToNetwork } from './assemble/shop-to-network';
import { compileNetwork } from './compiled-network';
import { solveOperatingPoint } from './operating-point';
import { solveAtFlow, solveNetwork } from './solve-network';
import { solveShop } from './solve-shop';

function compiledOf(shop: Shop) {
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error('no tree');
  return compileNetwork(shopToNetwork(shop, arranged.tree, { view: 'found' }));
}

/** All gates open, and a curve in m³/s and Pa. */
function withCurve(...points: [number, number][]): Shop {
  const shop = threeBranchShop();
  for (const run of shop.ducts.runs) if (run.gate) run.gate.open = true;
  shop.collector.blower.curve = points.map(([flow, pressure]) => ({ flow, pressure }));
  return shop;
}

const stalling = () =>
  withCurve(...STALLING_CURVE.map(({ flow, pressure }): [number, number] => [flow, pressure]));

describe('a curve that rises out of a stall', () => {
  it('meets its system three times: stable, not, and stable, where it runs', () => {
    const point = solveOperatingPoint(compiledOf(stalling()));
    if (point.kind !== 'converged') throw new Error(point.reason.kind);
    expect(point.operatingPoints.map(({ isStable }) => isStable)).toEqual([true, false, true]);
    const flows = point.operatingPoints.map(({ flow }) => flow);
    expect(flows).toEqual([...flows].sort((a, b) => a - b));
    expect(point.state.flow).toBe(flows[2]);
  });

  it('each crossing is one: there the blower gives what the system asks', () => {
    const compiled = compiledOf(stalling());
    const point = solveOperatingPoint(compiled);
    if (point.kind !== 'converged') throw new Error(point.reason.kind);
    for (const { flow, rise } of point.operatingPoints) {
      const met = solveAtFlow(compiled, flow);
      if (met.kind !== 'converged') throw new Error(met.reason.kind);
      const { linear, quadratic } = compiled.network.exhaust;
      const asked = (linear + quadratic * flow) * flow - met.state.inletPressure;
      expect(Math.abs(asked - rise)).toBeLessThan(1e-6 * compiled.shutOff);
    }
  });

  it('with little rise is met once, and Newton from there says the same', () => {
    const shop = withCurve([0, 2000], [0.1, 2100], [0.3, 1500], [0.6, 0]);
    const compiled = compiledOf(shop);
    const point = solveOperatingPoint(compiled);
    if (point.kind !== 'converged') throw new Error(point.reason.kind);
    expect(point.operatingPoints).toHaveLength(1);
    const newton = solveNetwork(compiled, point.state);
    if (newton.kind !== 'converged') throw new Error(newton.reason.kind);
    expect(newton.state.flow).toBeCloseTo(point.state.flow, 8);
  });

  it('shut solid stands at its shut-off', () => {
    const shop = withCurve([0, 2000], [0.1, 2100], [0.3, 1500], [0.6, 0]);
    shop.condition.sealing.usual = 0;
    for (const run of shop.ducts.runs) if (run.gate) run.gate.open = false;
    const solved = solveShop(shop, { view: 'found' });
    if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
    expect(Math.abs(solved.blower.flow)).toBeLessThan(1e-9);
    expect(solved.blower.operatingPoints).toHaveLength(1);
  });

  it('that ends before its system does has no answer, and says where it ends', () => {
    const shop = withCurve([0, 2000], [0.05, 2500], [0.08, 2400]);
    const solved = solveShop(shop, { view: 'found' });
    expect(solved).toMatchObject({ reason: { kind: 'beyond-curve', lastFlow: 0.08 } });
  });
});

describe('a curve that only falls', () => {
  it('is met once, and there the system asks what an imposed flow says it asks', () => {
    fc.assert(
      fc.property(anyShop({ junctions: 'momentum' }), (shop) => {
        const compiled = compiledOf(shop);
        const point = solveOperatingPoint(compiled);
        if (point.kind !== 'converged') throw new Error(point.reason.kind);
        expect(point.operatingPoints).toHaveLength(1);
        fc.pre(point.state.flow > 1e-3);
        const met = solveAtFlow(compiled, point.state.flow);
        if (met.kind !== 'converged') throw new Error(met.reason.kind);
        const apart = met.state.inletPressure - point.state.inletPressure;
        expect(Math.abs(apart)).toBeLessThan(1e-6 * compiled.shutOff);
      }),
      { numRuns: 60 },
    );
  });
});
