import { describe, expect, it } from 'vitest';
import { threeBranchShop } from '../../reference/sample-shops';
import { currentDrawn } from '../analysis/collector-load';
import { flowUncertainty } from '../analysis/flow-uncertainty';
import { gatesOfDrop } from '../analysis/gate-sets';
import { runLength } from '../design/length';
import { COLLECTOR_TAPS } from '../journal/test-point';
import { solveTree } from '../network/solve-shop';
import { arrangeDucts } from '../routing/arrange-ducts';
import { expectedReading } from './expected-reading';
import type { Measurand } from './measurand';

const shop = threeBranchShop();
const arranged = arrangeDucts(shop);
if (!arranged.ok) throw new Error('no tree');
const { tree } = arranged;
const expected = (measurand: Measurand, gates: ReadonlySet<string>) =>
  expectedReading(shop, tree, measurand, gates);
const solvedWith = (openGates: ReadonlySet<string>) => {
  const solved = solveTree(shop, tree, { view: 'found', openGates });
  if (solved.kind !== 'solved') throw new Error('not solved');
  return solved;
};
const allGates = new Set(shop.ducts.runs.map(({ id }) => id));

describe('what the model expects of a reading', () => {
  it('at a drop is its flow, as uncertain as the adjoint has it', () => {
    for (const drop of tree.drops) {
      const gates = gatesOfDrop(drop);
      const solution = solvedWith(gates);
      const own = expected({ at: { kind: 'port', node: drop.id }, shows: 'flow' }, gates);
      expect(own?.value).toBeCloseTo(
        solution.airIn.get(drop.path[0]?.id ?? '')?.[0]?.flowIn ?? 0,
        9,
      );
      const byAdjoint = flowUncertainty(shop, 'found', { drop, solution });
      expect((own?.uncertainty ?? 0) / byAdjoint).toBeCloseTo(1, 2);
    }
  });

  it('in a run is what the run carries there: with what leaked in, behind its middle', () => {
    const solution = solvedWith(allGates);
    for (const run of shop.ducts.runs) {
      const air = solution.airIn.get(run.id)?.at(-1);
      const at = (along: number) =>
        expected({ at: { kind: 'run', run: run.id, along }, shows: 'flow' }, allGates)?.value;
      expect(at(0)).toBeCloseTo(air?.flowIn ?? 0, 9);
      expect(at(runLength(run, tree))).toBeCloseTo(air?.flowOut ?? 0, 9);
    }
  });

  it('at the collector is the blower’s flow, ahead of the separator as at its inlet', () => {
    const { flow } = solvedWith(allGates).blower;
    for (const tap of COLLECTOR_TAPS) {
      const own = expected({ at: { kind: 'collector', tap }, shows: 'flow' }, allGates);
      expect((own?.value ?? 0) / flow).toBeCloseTo(1, 1);
    }
  });

  it('of the suction is higher with all gates shut, and less uncertain for it', () => {
    const at = { kind: 'collector', tap: 'separator inlet' } as const;
    const shut = expected({ at, shows: 'pressure' }, new Set());
    const open = expected({ at, shows: 'pressure' }, allGates);
    if (!shut || !open) throw new Error('nothing expected');
    expect(shut.value).toBeGreaterThan(open.value);
    expect(shut.uncertainty / shut.value).toBeLessThan(open.uncertainty / open.value);
    // With a gate left open it falls; with all of them open there is none to leave.
    for (const left of shut.withGateLeftOpen) expect(left.value).toBeLessThan(shut.value);
    expect(shut.withGateLeftOpen.length).toBeGreaterThan(0);
    expect(open.withGateLeftOpen).toEqual([]);
  });

  it('of the motor’s current is what it draws there, more the more air it moves', () => {
    const at = { kind: 'collector', tap: 'blower inlet' } as const;
    const current = (gates: ReadonlySet<string>) => expected({ at, shows: 'current' }, gates);
    expect(current(allGates)?.value).toBeCloseTo(currentDrawn(shop, solvedWith(allGates)), 9);
    expect(current(allGates)?.value).toBeGreaterThan(current(new Set())?.value ?? 0);
    expect(current(allGates)?.uncertainty).toBeGreaterThan(0);
  });

  it('is nothing at a place in no duct', () => {
    const at = { kind: 'place', point: { x: 1, y: 1, z: 1 } } as const;
    expect(expected({ at, shows: 'flow' }, allGates)).toBeNull();
    expect(expected({ at, shows: 'pressure' }, allGates)).toBeNull();
  });
});
