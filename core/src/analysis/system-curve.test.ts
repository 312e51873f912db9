import { describe, expect, it } from 'vitest';
import { threeBranchShop } from '../../reference/sample-shops';
import { NO_CHANGE } from '../network/assemble/setting';
import { solveTree } from '../network/solve-shop';
import { lookUp } from '../quantity/look-up';
import { arrangeDucts } from '../routing/arrange-ducts';
import { fanCurveLine, systemCurve } from './system-curve';

const shop = threeBranchShop();
const arranged = arrangeDucts(shop);
if (!arranged.ok) throw new Error('no tree');
const { tree } = arranged;

function solvedWith(open: string, blower = 1) {
  const factors = { ...NO_CHANGE, blower };
  const openGates = new Set([open]);
  const solved = solveTree(shop, tree, { view: 'found', openGates, factors });
  if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
  return solved;
}

describe('the system curve', () => {
  it('begins at nothing, goes through the operating point, and rises about with flow squared', () => {
    const asked = systemCurve(shop, tree, 'found', new Set(['saw']));
    expect(asked[0]).toEqual({ flow: 0, pressure: 0 });
    const { flow, rise } = solvedWith('saw').blower;
    const own = asked.find((point) => Math.abs(point.flow / flow - 1) < 1e-9);
    expect(own?.pressure).toBeCloseTo(rise, 6);
    expect(asked.length).toBeGreaterThan(8);
    for (const [i, point] of asked.slice(1).entries()) {
      expect(point.flow).toBeGreaterThan(asked[i]?.flow ?? 0);
      const exponent = Math.log(point.pressure / rise) / Math.log(point.flow / flow);
      if (Math.abs(point.flow / flow - 1) > 1e-6) expect(exponent).toBeGreaterThan(1.7);
      if (Math.abs(point.flow / flow - 1) > 1e-6) expect(exponent).toBeLessThan(2.1);
    }
  });

  it('belongs to the ducts: a stronger blower runs on it too, and other gates have another', () => {
    const asked = systemCurve(shop, tree, 'found', new Set(['saw']));
    const at = (flow: number) =>
      lookUp(
        asked.map((point) => [Math.log(point.flow + 1e-12), Math.log(point.pressure + 1e-12)]),
        Math.log(flow),
      );
    const stronger = solvedWith('saw', 1.3).blower;
    expect(Math.exp(at(stronger.flow)) / stronger.rise).toBeCloseTo(1, 2);
    const planer = solvedWith('planer').blower;
    expect(Math.exp(at(planer.flow)) / planer.rise).toBeGreaterThan(1.1);
  });

  it('leaves out flows the blower’s curve does not reach', () => {
    const short = structuredClone(shop);
    // The curve ends a little beyond the operating point.
    const { flow, rise } = solvedWith('saw').blower;
    short.collector.blower.curve = [
      { flow: 0, pressure: 2500 },
      { flow: flow * 1.02, pressure: rise },
    ];
    const asked = systemCurve(short, tree, 'found', new Set(['saw']));
    expect(asked.length).toBeLessThan(systemCurve(shop, tree, 'found', new Set(['saw'])).length);
    for (const point of asked) expect(point.flow).toBeLessThanOrEqual(flow * 1.02);
  });
});

describe('the fan curve', () => {
  it('is drawn from shut-off to its last point', () => {
    const solved = solvedWith('saw');
    const line = fanCurveLine(solved);
    // The 2500 Pa are for standard air; the air here is a little thinner.
    const shutOff = solved.network.blower[0]?.pressure ?? 0;
    expect(shutOff / 2500).toBeCloseTo(1, 2);
    expect(line).toHaveLength(41);
    for (const [i, share] of [
      [0, 0],
      [20, 0.5],
      [40, 1],
    ] as const) {
      expect(line[i]?.flow).toBeCloseTo(0.6 * share, 9);
      expect(line[i]?.pressure).toBeCloseTo(shutOff * (1 - share), 6);
    }
  });
});
