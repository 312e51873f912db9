import { describe, expect, it } from 'vitest';
import { copyOf, threeBranchShop } from '../../reference/sample-shops';
import type { Shop } from '../design/schema';
import { overSetsSchema } from './request';
import { solutionSchema } from './solution-document';
import { type SolveResponse, solveRequest } from './solve-request';

/** The answer as it arrives: through JSON and back. */
function answered(request: Record<string, unknown>): SolveResponse {
  const result = solveRequest({ shop: threeBranchShop(), ...request });
  if (!result.ok) throw new Error(`${result.error} ${JSON.stringify(result.faults)}`);
  const arrived = JSON.parse(JSON.stringify(result.response));
  // Nothing infinite and nothing undefined: what arrives is what was answered.
  expect(arrived).toEqual(result.response);
  return arrived;
}

function refused(request: unknown): string {
  const result = solveRequest(request);
  if (result.ok) throw new Error('answered');
  return [result.error, ...result.faults.map(({ path, message }) => `${path}: ${message}`)].join(
    '\n',
  );
}

const flowOf = (solution: SolveResponse) => (solution.kind === 'solved' ? solution.blower.flow : 0);

describe('an answer', () => {
  it('is the solution, and no more, unless asked for', () => {
    const plain = answered({ openGates: ['saw'] });
    expect(solutionSchema.parse(plain)).toEqual(plain);
  });

  it('by another method is another number', () => {
    const by = (request: Record<string, unknown>) =>
      flowOf(answered({ openGates: ['saw', 'planer'], ...request }));
    const flows = [
      by({}),
      by({ friction: 'powerFit' }),
      by({ friction: 'equivalentFeet' }),
      by({ junctions: 'momentum' }),
    ];
    expect(new Set(flows).size).toBe(4);
    for (const flow of flows) expect(flow).toBeGreaterThan(0.1);
  });

  it('may have everything else with it', () => {
    const all = answered({
      openGates: ['saw'],
      include: ['load', 'findings', 'methods', 'gateSets', 'candidates'],
    });
    expect(all.load?.shaftPower).toBeGreaterThan(0);
    expect(all.load?.outdoors?.opening).toBeGreaterThan(0);
    expect(all.findings?.map(({ kind }) => kind)).toContain('air leaves the building');
    expect(all.candidates).toHaveLength(1);
    const [present] = all.candidates ?? [];
    expect(present?.elevation.height).toBeGreaterThan(1);
    expect(present?.conflicts.map(({ kind }) => kind)).toContain('heavy blower');
    expect(present?.noise).toBeGreaterThan(60);
    expect(all.methods).toHaveLength(3);
    expect(all.methods?.[0]?.flows).toHaveLength(5);
    expect(overSetsSchema.parse(all.gateSets)).toEqual(all.gateSets);
  });

  it('says each finding once, of drops that draw alone', () => {
    const { findings = [] } = answered({ openGates: ['saw', 'planer'], include: ['findings'] });
    const names = findings.map(({ kind, where }) => JSON.stringify([kind, where]));
    expect(new Set(names).size).toBe(names.length);
    const shop = threeBranchShop();
    const sander = shop.ducts.runs.find(({ id }) => id === 'sander')?.from;
    expect(JSON.stringify(findings)).not.toContain(`"drop":"${sander}"`);
  });

  it('what cutting a hose wins is computed with the gates asked for, not the document’s', () => {
    const shop = threeBranchShop();
    for (const run of shop.ducts.runs) {
      if (run.gate) run.gate.open = false;
      if (run.id === 'planer' && run.hose) run.hose.length = 6;
    }
    const port = shop.machines[1]?.ports[0];
    if (port) port.need = { kind: 'flow', flow: 1 };
    const gainWith = (openGates: string[]) => {
      const { findings = [] } = answered({ shop, openGates, include: ['findings'] });
      const starved = findings.find(({ kind }) => kind === 'starved');
      return starved?.remedy?.kind === 'shorter hose' ? starved.remedy.gain : Number.NaN;
    };
    expect(gainWith(['planer'])).toBeGreaterThan(0);
    expect(gainWith(['planer', 'saw'])).toBeGreaterThan(0);
    expect(gainWith(['planer', 'saw'])).not.toBe(gainWith(['planer']));
  });

  it('takes a filter’s area from its pleats or its bag, and a hood’s loss from its taper', () => {
    const shop = threeBranchShop();
    const filter = { name: '', area: 8, permeability: 0.1, seasoned: 1, grade: null };
    shop.collector.exhaust = { kind: 'filter', filter };
    const faceOf = (filterArea: object) =>
      answered({ shop, openGates: ['saw'], filterArea, include: ['load'] }).load?.faceVelocity ?? 0;
    // 9.6 m² of pleats; a bag of π·0.5·1 m².
    const pleats = faceOf({ kind: 'pleats', depth: 0.04, height: 0.6, pleats: 200 });
    const bag = faceOf({ kind: 'bag', diameter: 0.5, length: 1 });
    expect(pleats).toBeLessThan(0.25 * bag);
    const drop = shop.ducts.runs.find(({ id }) => id === 'saw')?.from;
    const flowAt = (degrees: number) => {
      const hoods = [{ drop, shape: 'round', angle: (degrees * Math.PI) / 180 }];
      return flowOf(answered({ shop, openGates: ['saw'], hoods }));
    };
    expect(flowAt(45)).toBeGreaterThan(flowAt(150));
    expect(flowAt(150)).toBeGreaterThan(flowOf(answered({ shop, openGates: ['saw'] })));
  });

  it('with a filter that no dust reaches is still JSON', () => {
    const shop = threeBranchShop();
    const filter = { name: '', area: 8, permeability: 0.1, seasoned: 1, grade: null };
    shop.collector.exhaust = { kind: 'filter', filter };
    shop.collector.dust.rate = 0;
    expect(answered({ shop, include: ['load'] }).load?.filter?.timeToDue).toBeNull();
  });

  it('by a curve from a file, from two tests, or estimated', () => {
    const csv = answered({ curve: { kind: 'csv', text: 'm3/h,Pa\n0,2500\n2160,0' } });
    expect(csv.curve).toHaveLength(2);
    const tests = { kind: 'tests', blocked: 2500, open: { flow: 0.3, outlet: 600 } };
    expect(answered({ curve: tests }).curve?.[0]).toEqual({ flow: 0, pressure: 2500 });
    const bare = answered({ curve: { kind: 'bare', open: { flow: 0.4 } } });
    expect(bare.curve?.at(-1)?.flow).toBeGreaterThan(0.4);
    const estimate = answered({ curve: { kind: 'estimate', freeFlow: 0.5 } });
    expect(estimate.curve?.at(-1)?.flow).toBeCloseTo(0.5, 12);
    expect(flowOf(estimate)).not.toBe(flowOf(answered({})));
  });

  it('fits a separator to a pair of readings', () => {
    const shop = threeBranchShop();
    const drop = shop.ducts.runs.find(({ id }) => id === 'saw')?.from;
    const pair = {
      drop,
      without: { value: 4000, uncertainty: 80 },
      with: { value: 3400, uncertainty: 70 },
    };
    const { separatorPair } = answered({ openGates: ['saw'], separatorPair: pair });
    expect(separatorPair?.ok && separatorPair.lossCoefficient).toBeGreaterThan(0);
  });
});

describe('a request that cannot be answered', () => {
  const shop = threeBranchShop();
  const broken = (change: (shop: Shop) => void) => {
    const copy = copyOf(shop);
    change(copy);
    return refused({ shop: copy });
  };

  it.each([
    [{}, /^The request is not as it should be\.\nshop: /],
    [{ shop: 7 }, /^The shop cannot be solved as it is\.\nshop: /],
    [{ shop, view: 'dreamt' }, /^The request is not as it should be\.\nview: /],
    [{ shop, openGates: ['attic'] }, /openGates\.0: no run 'attic' with a gate/],
    [{ shop, curve: { kind: 'csv', text: '0,10\n5' } }, /curve: Line 2/],
    [{ shop, curve: { kind: 'tests', blocked: 0, open: { flow: 1, outlet: 1 } } }, /curve: With/],
    [{ shop, extra: 1 }, /“extra” has no meaning here/],
    [
      {
        shop,
        separatorPair: {
          drop: 'none',
          without: { value: 1, uncertainty: 0 },
          with: { value: 1, uncertainty: 0 },
        },
      },
      /separatorPair\.drop: there is no drop 'none'/,
    ],
    [
      { shop, filterArea: { kind: 'bag', diameter: 0.5, length: 1 } },
      /filterArea: the air goes outdoors/,
    ],
    [
      { shop, hoods: [{ drop: 'none', shape: 'round', angle: 1 }] },
      /hoods\.0\.drop: there is no drop 'none'/,
    ],
    ['text', /request is not as it should be/],
    [null, /request is not as it should be/],
  ])('%#: gets a sentence with its path', (request, reason) => {
    expect(refused(request)).toMatch(reason);
  });

  it('names the place in the shop', () => {
    const message = broken((copy) => {
      copy.collector.separator.inletDiameter = -1;
    });
    expect(message).toMatch(/shop\.collector\.separator\.inletDiameter: 0.01 is the least/);
  });

  it('several blowers are refused clearly', () => {
    const collectors = { ...shop, collectors: [shop.collector, shop.collector] };
    expect(refused({ shop: collectors })).toMatch(/a shop has one blower/);
    const twice = broken((copy) => {
      copy.ducts.nodes.push({ id: 'second', kind: { kind: 'inlet' }, at: null, style: {} });
    });
    expect(twice).toMatch(/a shop has one blower/);
  });
});
