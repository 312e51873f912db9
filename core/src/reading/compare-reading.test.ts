import { describe, expect, it } from 'vitest';
import { threeBranchShop } from '../../reference/sample-shops';
import { circleArea } from '../air/velocity-pressure';
import { gatesOfDrop } from '../analysis/gate-sets';
import type { Drop } from '../design/topology';
import { outcomeOf } from '../inference/reading-outcome';
import { recordWith } from '../journal/journal';
import type { Reading } from '../journal/reading';
import { USUAL_ACCURACY } from '../measuring/corrections';
import { dropFlow } from '../network/drop-flow';
import { solveTree } from '../network/solve-shop';
import { arrangeDucts } from '../routing/arrange-ducts';
import type { Meters } from './circumstances';
import { type Compared, compareReadings, readingComparer } from './compare-reading';
import { pointOfDrop } from './point-of-drop';

const shop = threeBranchShop();
for (const run of shop.ducts.runs)
  run.gate ??= { opening: 1, open: false, closedGap: 0, end: 'upstream' };
const arranged = arrangeDucts(shop);
if (!arranged.ok) throw new Error('no tree');
const { tree } = arranged;
const [drop, other] = tree.drops as [Drop, Drop];

/** What the model says of a drop with these gates open, m³/s. */
function modelled(at: Drop, openGates: ReadonlySet<string>): number {
  const solved = solveTree(shop, tree, { view: 'found', openGates });
  if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
  return dropFlow(solved, at) ?? 0;
}

const own = gatesOfDrop(drop);
const FLOW = modelled(drop, own);
const meters: Meters = {
  instruments: [
    recordWith('instruments', { id: 'vane', name: 'Vane', kind: 'vane', accuracy: 0.02 }),
  ],
  testPoints: tree.drops.map(pointOfDrop),
};

/** A reading at the first drop with its own gates open, by the flows of its repeats. */
const reading = (flows: readonly number[], change: Partial<Reading> = {}): Reading =>
  recordWith('readings', {
    id: 'r',
    at: '2026-01-01T10:00:00Z',
    testPoint: drop.id,
    instrument: 'vane',
    quantity: 'flow',
    spot: 'average',
    diameter: drop.port.diameter,
    taken: flows.map((value) => ({ kind: 'value', value })),
    unit: 'cfm',
    openGates: [...own],
    note: '',
    ...change,
  });

function compare(read: Reading, by = meters): Compared {
  const [compared] = compareReadings(shop, tree, [read], by);
  if (!compared) throw new Error('nothing compared');
  expect(compared.reading).toBe(read);
  return compared.result;
}

function compared(read: Reading, by = meters) {
  const result = compare(read, by);
  if (result.kind !== 'compared') throw new Error(result.kind);
  return result;
}

describe('a reading held against the model', () => {
  it('is compared with what the shop gives at its drop with the same gates open', () => {
    const alone = compared(reading([FLOW, FLOW]));
    expect(alone.drop).toBe(drop);
    expect(alone.predicted).toBeCloseTo(FLOW, 9);
    expect(alone.difference).toBeCloseTo(0, 9);
    expect(alone.isShown).toBe(false);
    const both = new Set([...own, ...gatesOfDrop(other)]);
    const shared = compared(reading([FLOW, FLOW], { openGates: [...both] }));
    expect(shared.predicted).toBeCloseTo(modelled(drop, both), 9);
    expect(shared.predicted).toBeLessThan(FLOW);
    const elsewhere = compared(
      reading([FLOW, FLOW], { testPoint: other.id, openGates: [...gatesOfDrop(other)] }),
    );
    expect(elsewhere.predicted).toBeCloseTo(modelled(other, gatesOfDrop(other)), 9);
  });

  it('adds the meter’s uncertainty and the model’s at right angles', () => {
    const { measured, predictedUncertainty, sensitivities, differenceUncertainty } = compared(
      reading([0.9 * FLOW, 0.9 * FLOW]),
    );
    if (measured.kind !== 'value') throw new Error('over');
    expect(measured.uncertainty).toBeCloseTo(0.02 * 0.9 * FLOW, 9);
    const squares = Object.values(sensitivities.changes).map((change) => change ** 2);
    const sum = squares.reduce((total, square) => total + square, 0);
    expect(predictedUncertainty).toBeGreaterThan(0);
    expect(predictedUncertainty).toBeCloseTo(Math.sqrt(sum), 12);
    expect(differenceUncertainty).toBeCloseTo(Math.sqrt(sum + (0.02 * 0.9 * FLOW) ** 2), 12);
  });

  it('shows a difference where it is larger than its uncertainty, either way', () => {
    const { differenceUncertainty } = compared(reading([FLOW, FLOW]));
    const share = differenceUncertainty / FLOW;
    for (const [factor, isShown] of [
      [1 - 0.5 * share, false],
      [1 - 2 * share, true],
      [1 + 0.5 * share, false],
      [1 + 2 * share, true],
    ] as const) {
      const read = compared(reading([factor * FLOW, factor * FLOW]));
      expect(read.difference).toBeCloseTo((factor - 1) * FLOW, 9);
      expect(read.isShown, String(factor)).toBe(isShown);
    }
  });

  it('that went over range says nothing where its limit is below the prediction', () => {
    const over = (limit: number) => compared(reading([], { taken: [{ kind: 'over', limit }] }));
    const below = over(0.5 * FLOW);
    expect(below.measured).toEqual({ kind: 'at least', flow: 0.5 * FLOW });
    expect(below.difference).toBeNull();
    expect(below.isShown).toBe(false);
    const above = over(3 * FLOW);
    expect(above.difference).toBeCloseTo(2 * FLOW, 9);
    expect(above.isShown).toBe(true);
    // The meter's uncertainty does not enter, since the flow is this or more.
    expect(above.differenceUncertainty).toBe(above.predictedUncertainty);
  });

  it('takes a usual accuracy for a meter nobody described', () => {
    const { measured } = compared(reading([FLOW, FLOW], { instrument: 'lost' }));
    expect(measured.kind === 'value' && measured.uncertainty / measured.flow).toBeCloseTo(
      USUAL_ACCURACY,
      9,
    );
  });

  it('a centre reading is brought to the mean by the friction of the pipe it was taken in', () => {
    const area = circleArea(drop.port.diameter);
    const centre = reading([FLOW / area, FLOW / area], { quantity: 'velocity', spot: 'centre' });
    const rough = structuredClone(shop);
    for (const run of rough.ducts.runs) run.pipe = 'average';
    const smooth = structuredClone(shop);
    for (const run of smooth.ducts.runs) run.pipe = 'drain';
    const flowIn = (model: typeof shop) => {
      const own = arrangeDucts(model);
      if (!own.ok) throw new Error('no tree');
      const [only] = compareReadings(model, own.tree, [centre], meters);
      return only?.result.kind === 'compared' ? only.result.measured.flow : 0;
    };
    // Smoother pipe has less friction and a fuller profile, so the same centre reading means more flow.
    expect(flowIn(smooth)).toBeGreaterThan(1.005 * flowIn(rough));
  });

  it.each([
    ['of a place nobody knows', { testPoints: [] }],
    [
      'of a place in the room',
      {
        testPoints: [{ ...pointOfDrop(drop), at: { kind: 'place', point: { x: 1, y: 1, z: 1 } } }],
      },
    ],
    [
      'of a drop that is gone',
      { testPoints: [{ ...pointOfDrop(drop), at: { kind: 'port', node: 'gone' } }] },
    ],
  ] as [string, Partial<Meters>][])('%s has no prediction, but is still measured', (_, change) => {
    const result = compare(reading([FLOW, FLOW]), { ...meters, ...change });
    expect(result).toEqual({
      kind: 'no prediction',
      measured: { kind: 'value', flow: FLOW, uncertainty: expect.closeTo(0.02 * FLOW, 9) },
    });
    expect(outcomeOf({ reading: reading([FLOW]), result })).toBe(result);
  });

  it('in a run is compared with what the run carries there', () => {
    const at = { kind: 'run', run: drop.path[0]?.id ?? '', along: 0 } as const;
    const result = compare(reading([FLOW, FLOW]), {
      ...meters,
      testPoints: [{ ...pointOfDrop(drop), at }],
    });
    expect(result).toMatchObject({ kind: 'compared', drop: null, isShown: false });
  });

  it('has no prediction where the shop has no answer', () => {
    const dead = structuredClone(shop);
    // The curve ends long before the flow the ducts let through.
    dead.collector.blower.curve = [
      { flow: 0, pressure: 2500 },
      { flow: 0.001, pressure: 2400 },
    ];
    const [only] = compareReadings(dead, tree, [reading([FLOW, FLOW])], meters);
    expect(only?.result.kind).toBe('no prediction');
  });

  it('shares its prediction with those at its drop with the same gates, in whatever order', () => {
    const compareOne = readingComparer(shop, tree);
    const both = [...own, ...gatesOfDrop(other)];
    const sensitivitiesOf = (read: Reading) => {
      const { result } = compareOne(read, meters);
      return result.kind === 'compared' ? result.sensitivities : null;
    };
    const first = sensitivitiesOf(reading([FLOW], { openGates: both }));
    expect(sensitivitiesOf(reading([0.5 * FLOW], { openGates: both.toReversed() }))).toBe(first);
    expect(sensitivitiesOf(reading([FLOW]))).not.toBe(first);
    expect(sensitivitiesOf(reading([FLOW], { testPoint: other.id, openGates: both }))).not.toBe(
      first,
    );
  });

  it('as plain data says the same, without the model it was made with', () => {
    const result = compared(reading([0.8 * FLOW, 0.8 * FLOW]));
    const { drop: _, sensitivities: __, ...rest } = result;
    expect(outcomeOf({ reading: reading([FLOW]), result })).toEqual(rest);
  });
});

describe('the test point of a drop', () => {
  it('goes by its node’s id and its name, shortened where it is too long', () => {
    expect(pointOfDrop(drop)).toMatchObject({
      id: drop.id,
      name: drop.name,
      at: { kind: 'port', node: drop.id },
      insideDiameter: drop.port.diameter,
      note: '',
    });
    expect(pointOfDrop({ ...drop, name: 'x'.repeat(300) }).name).toHaveLength(200);
    expect(pointOfDrop({ ...drop, name: '' }).name).toBe('A drop');
  });
});
