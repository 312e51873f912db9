import { gatesOfDrop } from '@frank-gauge/core/analysis';
import { filterResistance } from '@frank-gauge/core/collector';
import type { DuctTree, Shop } from '@frank-gauge/core/design';
import { type Reading, recordWith } from '@frank-gauge/core/journal';
import { solveTree } from '@frank-gauge/core/network';
import { circleArea, fromSI, toSI, type UnitId } from '@frank-gauge/core/quantity';
import { pointOfDrop } from '@frank-gauge/core/reading';

/** How readings of an invented shop are taken: by the program's own solver, with seeded scatter. */
export interface Taking {
  readonly tree: DuctTree;
  readonly newId: () => string;
  /** A factor close to 1, another at each call. */
  readonly scatter: () => number;
  /** Minute of the hour that the so-maniest drop is read at, three in an hour. */
  readonly minute: (drop: number) => number;
  /** How meters show a value, SI, and where the vane meter's range ends. */
  readonly velocity: {
    readonly unit: 'fpm' | 'm/s';
    readonly shown: (value: number) => number;
    readonly end: number;
  };
  readonly pressure: {
    readonly unit: 'in. w.g.' | 'Pa';
    readonly shown: (value: number) => number;
  };
  /** Of the pipe at the filter's taps, m. */
  readonly tap: number;
}

/** A value as a meter shows it: in whole steps of its unit, the last so many to a unit. */
export const inSteps = (unit: UnitId, perUnit: number) => (value: number) =>
  toSI(Math.round(fromSI(value, unit) * perUnit) / perUnit, unit);

/** Every drop read with the vane meter, each with its own gates open, on a day. */
export function readDrops(day: string, of: Shop, taking: Taking): Reading[] {
  const { tree, newId, scatter, velocity } = taking;
  return tree.drops.map((where, i) => {
    const openGates = gatesOfDrop(where);
    const solved = solveTree(of, tree, { view: 'found', openGates });
    if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
    const { diameter } = where.port;
    const flow = solved.airIn.get(where.path[0]?.id ?? '')?.[0]?.flowIn ?? 0;
    const repeats = [0, 1, 2].map(() => (flow / circleArea(diameter)) * scatter());
    return recordWith('readings', {
      id: newId(),
      at: `${day}T1${3 + Math.floor(i / 3)}:${String(taking.minute(i)).padStart(2, '0')}:00Z`,
      testPoint: where.id,
      instrument: 'vane',
      quantity: 'velocity',
      spot: 'average',
      diameter,
      taken: repeats.map((value) =>
        value > velocity.end
          ? { kind: 'over', limit: velocity.end }
          : { kind: 'value', value: velocity.shown(value) },
      ),
      unit: velocity.unit,
      openGates: [...openGates],
      note: '',
    });
  });
}

export const FILTER = 'across-the-filter';

/** Test points of every drop and across the filter. */
export const pointsOf = (tree: DuctTree) => [
  ...tree.drops.map(pointOfDrop),
  recordWith('testPoints', {
    id: FILTER,
    name: 'Across the filter',
    at: { kind: 'collector', tap: 'filter' },
  }),
];

/** The manometer across the filter, with the gates of one drop open. */
export function readFilter(day: string, of: Shop, drop: string, taking: Taking): Reading[] {
  const { tree, newId, scatter, pressure, tap } = taking;
  const where = tree.drops.find(({ name }) => name === drop);
  if (!where || of.collector.exhaust.kind !== 'filter') throw new Error('no filter to read');
  const openGates = gatesOfDrop(where);
  const solved = solveTree(of, tree, { view: 'found', openGates });
  if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
  const { filter } = of.collector.exhaust;
  const across = filterResistance(filter, of.condition.filterLoading.value) * solved.blower.flow;
  return [
    recordWith('readings', {
      id: newId(),
      at: `${day}T16:40:00Z`,
      testPoint: FILTER,
      instrument: 'manometer',
      quantity: 'pressure',
      spot: 'point',
      diameter: tap,
      taken: [0, 1, 2].map(() => ({
        kind: 'value',
        value: pressure.shown(across * scatter()),
      })),
      unit: pressure.unit,
      openGates: [...openGates],
      note: '',
    }),
  ];
}

/** A shop as it was on a day: changed from how it stands now. */
export function asItWas(shop: Shop, change: (was: Shop) => void): Shop {
  const was: Shop = structuredClone(shop);
  change(was);
  return was;
}
