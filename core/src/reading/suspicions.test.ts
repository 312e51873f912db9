import { describe, expect, it } from 'vitest';
import { threeBranchShop } from '../../reference/sample-shops';
import { circleArea } from '../air/velocity-pressure';
import { gatesOfDrop } from '../analysis/gate-sets';
import type { PipeId } from '../catalogue/ids';
import { PIPES } from '../duct/pipes';
import { recordWith } from '../journal/journal';
import type { Taken } from '../journal/reading';
import { measuredValue } from '../measuring/measured-flow';
import { UNITS, type UnitId } from '../quantity/units';
import { arrangeDucts } from '../routing/arrange-ducts';
import { chanceOf } from '../simulate/chance';
import { type ExpectedReading, expectedReading } from './expected-reading';
import { type Suspicion, suspicionsOf } from './suspicions';

const shop = threeBranchShop();
for (const run of shop.ducts.runs) {
  run.gate ??= { opening: 1, open: false, closedGap: 0, end: 'upstream' };
}
const arranged = arrangeDucts(shop);
if (!arranged.ok) throw new Error('no tree');
const { tree } = arranged;
const instrument = recordWith('instruments', {
  id: 'vane',
  name: 'Vane',
  kind: 'vane',
  accuracy: 0.03,
});

const expectations = tree.drops.map((drop) => {
  const expected = expectedReading(
    shop,
    tree,
    { at: { kind: 'port', node: drop.id }, shows: 'flow' },
    gatesOfDrop(drop),
  );
  if (!expected) throw new Error('no air');
  return { drop, expected };
});

interface Read {
  /** Velocities as they stand in the reading, m/s. */
  readonly velocities: readonly number[];
  readonly unit?: UnitId;
  readonly diameter: number;
  readonly expected: ExpectedReading | null;
  readonly pipe?: { readonly id: PipeId; readonly diameter: number } | null;
  readonly isOver?: boolean;
  readonly rangeEnd?: number | null;
}

function suspicions({
  velocities,
  unit = 'fpm',
  diameter,
  expected,
  pipe = null,
  isOver,
  rangeEnd = null,
}: Read) {
  const taken = velocities.map(
    (value): Taken => (isOver ? { kind: 'over', limit: value } : { kind: 'value', value }),
  );
  const reading = recordWith('readings', {
    id: 'r',
    at: '2026-01-01T10:00:00Z',
    testPoint: 'p',
    instrument: 'vane',
    quantity: 'velocity',
    spot: 'average',
    diameter,
    taken,
    unit: UNITS[unit].symbol,
    openGates: [],
    note: '',
  });
  const air = { density: 1.2, viscosity: 1.82e-5 };
  const by = { instrument, point: undefined, air, roughness: 9e-5 };
  const measured = measuredValue(reading, by);
  return suspicionsOf(reading, { measured, expected, pipe, rangeEnd });
}

/** One simulated try: the shop is not quite the model, the meter not quite true, the hand not quite steady. */
function tries(count: number, seed: number, make: (own: ReturnType<typeof one>) => Suspicion[]) {
  const chance = chanceOf(seed);
  const one = () => oneTry(chance);
  const found: Suspicion[][] = [];
  for (let i = 0; i < count; i++) found.push(make(one()));
  return found;
}
const one = () => oneTry(chanceOf(1));

function oneTry({ normal, uniform }: ReturnType<typeof chanceOf>) {
  const { drop, expected } = expectations[
    Math.floor(uniform() * expectations.length)
  ] as (typeof expectations)[number];
  const { diameter } = drop.port;
  const model = 1 + (expected.uncertainty / expected.value / 1.96) * normal();
  const meter = 1 + (0.03 / 1.96) * normal();
  const velocities = (flow: number) =>
    [0, 1, 2].map(() => ((flow * model * meter) / circleArea(diameter)) * (1 + 0.03 * normal()));
  return { drop, expected, diameter, velocities, uniform };
}

const kinds = (found: readonly Suspicion[]) => found.map(({ kind }) => kind);
const share = (found: readonly Suspicion[][], is: (each: readonly Suspicion[]) => boolean) =>
  found.filter(is).length / found.length;

describe('a reading’s slips are found, in at least 95 % of simulated ones', () => {
  it('miles per hour taken for feet per minute', () => {
    const found = tries(1000, 3, ({ velocities, diameter, expected }) =>
      suspicions({
        velocities: velocities(expected.value).map((v) => (v * UNITS.fpm.size) / UNITS.mph.size),
        diameter,
        expected,
      }),
    );
    expect(
      share(found, ([first]) => first?.kind === 'unit' && first.likely === 'mph'),
    ).toBeGreaterThanOrEqual(0.95);
  });

  it('meters per second taken for miles per hour', () => {
    const found = tries(1000, 4, ({ velocities, diameter, expected }) =>
      suspicions({
        velocities: velocities(expected.value).map((v) => (v * UNITS.mph.size) / UNITS.ms.size),
        unit: 'mph',
        diameter,
        expected,
      }),
    );
    expect(
      share(found, ([first]) => first?.kind === 'unit' && first.likely === 'ms'),
    ).toBeGreaterThanOrEqual(0.95);
  });

  it('another drop’s gate left open', () => {
    const found = tries(1000, 5, ({ drop, velocities, diameter, expected, uniform }) => {
      const open = expected.withGateLeftOpen;
      const left = open[Math.floor(uniform() * open.length)];
      if (!left) throw new Error(`${drop.name} has no neighbor`);
      return suspicions({ velocities: velocities(left.value), diameter, expected });
    });
    expect(share(found, (each) => kinds(each).includes('gate left open'))).toBeGreaterThanOrEqual(
      0.95,
    );
  });

  it('the nominal diameter of plastic pipe for its true one', () => {
    const sizes = (Object.keys(PIPES) as PipeId[]).flatMap((id) =>
      PIPES[id].sizes.map((size) => ({ id, ...size })),
    );
    let tried = 0;
    for (const { id, nominal, inside } of sizes) {
      const [, number, unit] = /^([\d.]+)\s*(in\.|mm)$/.exec(nominal) ?? [];
      const typed = Number(number) * (unit === 'mm' ? UNITS.mm : UNITS.in).size;
      // A flow less than a percent off is no slip anyone could see.
      if (Math.abs(typed / inside - 1) < 0.006) continue;
      tried++;
      const found = suspicions({
        velocities: [20],
        diameter: typed,
        expected: null,
        pipe: { id, diameter: inside },
      });
      expect(found).toEqual([{ kind: 'diameter', inside }]);
      const right = { velocities: [20], diameter: inside, expected: null };
      expect(suspicions({ ...right, pipe: { id, diameter: inside } })).toEqual([]);
    }
    expect(tried).toBeGreaterThan(4);
  });
});

describe('a reading as it should be', () => {
  it('is remarked on in under 5 % of simulated ones', () => {
    const found = tries(1000, 6, ({ velocities, diameter, expected }) =>
      suspicions({ velocities: velocities(expected.value), diameter, expected }),
    );
    expect(share(found, (each) => each.length > 0)).toBeLessThan(0.05);
  });

  it('that says nothing of the flow, at a place the model does not know, is not remarked on', () => {
    expect(suspicions({ velocities: [20, 20], diameter: 0.1, expected: null })).toEqual([]);
  });

  it('over range is no slip where more was expected, and one where much less was', () => {
    const { expected, drop } = expectations[0] as (typeof expectations)[number];
    const { diameter } = drop.port;
    const own = expected.value / circleArea(diameter);
    const over = (v: number) => suspicions({ velocities: [v], diameter, expected, isOver: true });
    expect(over(0.8 * own)).toEqual([]);
    expect(kinds(over(60 * own))).not.toEqual([]);
  });
});

it('a value the meter cannot show is beyond its range; one at its end, or over it, is not', () => {
  const at = (velocity: number, isOver = false) =>
    suspicions({ velocities: [velocity], diameter: 0.1, expected: null, rangeEnd: 30, isOver });
  expect(at(35)).toEqual([{ kind: 'beyond range', rangeEnd: 30 }]);
  expect(at(30.2)).toEqual([]);
  expect(at(35, true)).toEqual([]);
});

describe('one repeat that strays', () => {
  const at = (...velocities: number[]) => suspicions({ velocities, diameter: 0.1, expected: null });
  it('is named, by its place', () => {
    expect(at(17.8, 1.83, 18)).toEqual([{ kind: 'stray repeat', repeat: 1 }]);
    expect(at(17.8, 18.2, 180)).toEqual([{ kind: 'stray repeat', repeat: 2 }]);
  });
  it('is none where the others do not agree either, or where there are only two', () => {
    expect(at(10, 20, 40)).toEqual([]);
    expect(at(10, 100)).toEqual([]);
    expect(at(17, 18, 19)).toEqual([]);
  });
});

it('what is far off and no slip explains is said to be far off', () => {
  const { expected, drop } = expectations[0] as (typeof expectations)[number];
  const { diameter } = drop.port;
  const v = (8 * expected.value) / circleArea(diameter);
  const [found] = suspicions({ velocities: [v, v, v], diameter, expected, unit: 'ms' });
  expect(found).toMatchObject({ kind: 'far off' });
});

describe('a pressure', () => {
  const at = { kind: 'collector', tap: 'separator inlet' } as const;
  const expected = expectedReading(shop, tree, { at, shows: 'pressure' }, new Set());
  const air = { density: 1.2, viscosity: 1.82e-5 };
  const manometer = recordWith('instruments', {
    id: 'manometer',
    name: 'Manometer',
    kind: 'manometer',
    accuracy: 0.02,
  });
  const read = (pressures: readonly number[], unit: UnitId) => {
    const reading = recordWith('readings', {
      id: 'r',
      at: '2026-01-01T10:00:00Z',
      testPoint: 'p',
      instrument: 'manometer',
      quantity: 'pressure',
      spot: 'point',
      diameter: 0.1,
      taken: pressures.map((value): Taken => ({ kind: 'value', value })),
      unit: UNITS[unit].symbol,
      openGates: [],
      note: '',
    });
    const measured = measuredValue(reading, {
      instrument: manometer,
      point: undefined,
      air,
      roughness: 9e-5,
    });
    return suspicionsOf(reading, { measured, expected, pipe: null, rangeEnd: null });
  };
  const own = expected?.value ?? 0;

  it('as expected is not remarked on', () => {
    expect(read([own, 1.01 * own, 0.99 * own], 'inwg')).toEqual([]);
  });

  it('in pascals taken for inches of water, or millimeters for pascals, is named in 95 % of tries', () => {
    const { normal } = chanceOf(11);
    const tried = (unit: UnitId, likely: UnitId) =>
      Array.from({ length: 500 }, () => {
        const model = 1 + ((expected?.uncertainty ?? 0) / own / 1.96) * normal();
        const shown = () =>
          ((own * model * UNITS[unit].size) / UNITS[likely].size) * (1 + 0.01 * normal());
        return read([shown(), shown(), shown()], unit);
      });
    const pairs: [UnitId, UnitId][] = [
      ['inwg', 'pa'],
      ['pa', 'mmwg'],
      ['kpa', 'inwg'],
    ];
    for (const [as, likely] of pairs) {
      const named = share(
        tried(as, likely),
        ([first]) => first?.kind === 'unit' && first.likely === likely,
      );
      expect(named).toBeGreaterThanOrEqual(0.95);
    }
  });

  it('with a drop’s gate left open falls, and the gate is named', () => {
    for (const { drop, value } of expected?.withGateLeftOpen ?? []) {
      const [found] = read([value, value, value], 'inwg');
      expect(found).toMatchObject({ kind: 'gate left open' });
      if (found?.kind === 'gate left open') expect(found.drops).toContain(drop);
    }
  });
});
