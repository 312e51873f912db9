import { collectorLoad } from '../src/analysis/collector-load';
import type { SeparatorKind } from '../src/catalogue/ids';
import {
  BARE_ENTRY_LOSS,
  BLOWER_CLASSES,
  type BlowerClassId,
  blowerOfClass,
} from '../src/collector/blower-classes';
import { MEDIA } from '../src/collector/filter';
import { SEPARATORS } from '../src/collector/separator';
import { addDrop, addRun } from '../src/design/edit-ducts';
import { jointCount } from '../src/design/length';
import { newShop } from '../src/design/new-shop';
import type { Run, Shop } from '../src/design/schema';
import { arrangeRuns } from '../src/design/topology';
import { SLIP_JOINT_GAP } from '../src/duct/leakage';
import { PIPES } from '../src/duct/pipes';
import { solveShop } from '../src/network/solve-shop';
import { fromSI, toSI } from '../src/quantity/units';
import { counter } from './sample-shops';

/**
 * What shops measured, beside what the model says of the same shop built from the library alone: a
 * blower class, a medium with its usual area, a kind of separator, and the duct that was there.
 *
 * Common practice, no source: single shops, hand-held meters. A row is a range, not a value; where a
 * shop gave one number, the range is a tenth of it either way.
 */
export interface ShopFact {
  readonly fact: string;
  readonly unit: '%' | 'CFM';
  readonly low: number;
  readonly high: number;
  readonly model: number;
}

const inches = (value: number) => toSI(value, 'in');
const feet = (value: number) => toSI(value, 'ft');

type MediaId = keyof typeof MEDIA;

const filterOf = (id: MediaId) => {
  const { name, permeability, seasoned, usualArea } = MEDIA[id];
  return { name, permeability, seasoned, area: usualArea, grade: null };
};

/** Duct that leads to the place the air is read at, its end a plain one. */
interface TestDuct {
  readonly pipe: Run['pipe'];
  readonly diameter: number;
  readonly length: number;
  readonly fittings: Run['fittings'];
}

/** A machine with nothing before its own inlet but the meter. */
export function bareMachine(id: BlowerClassId, media: MediaId): Shop {
  const shop = newShop('s', 'Fact', 'us', []);
  const { inletDiameter } = BLOWER_CLASSES[id];
  shop.collector.blower = blowerOfClass(id, 'us');
  Object.assign(shop.collector.separator, {
    kind: 'none',
    lossCoefficient: 0,
    caught: 0,
    inletDiameter,
  });
  shop.collector.exhaust = { kind: 'filter', filter: filterOf(media) };
  const open = { pipe: 'galvanised', diameter: inletDiameter, length: 0, fittings: [] } as const;
  return withDuct(shop, { ...open, fittings: [] });
}

/** The shop with other duct to the place of reading, and nothing else changed. */
function withDuct(shop: Shop, duct: TestDuct): Shop {
  const next: Shop = structuredClone(shop);
  next.machines = [];
  next.ducts.runs = [];
  next.ducts.nodes = next.ducts.nodes.filter(({ kind }) => kind.kind === 'inlet');
  addDrop(next, 'inlet', 'floorSweep', counter());
  const [run] = next.ducts.runs;
  const port = next.machines[0]?.ports[0];
  if (!run || !port) throw new Error('no drop');
  Object.assign(run, { ...duct, hose: null, gate: null });
  Object.assign(port, { diameter: duct.diameter, entryLoss: BARE_ENTRY_LOSS });
  return next;
}

/** The shop with a separator straight on its blower, by ports as wide as the blower's inlet. */
function withSeparator(shop: Shop, kind: SeparatorKind): Shop {
  const next: Shop = structuredClone(shop);
  const { lossCoefficient, caught } = SEPARATORS[kind];
  Object.assign(next.collector.separator, { kind, lossCoefficient, caught });
  return next;
}

function withLoading(shop: Shop, loading: number): Shop {
  const next: Shop = structuredClone(shop);
  next.condition.filterLoading.value = loading;
  return next;
}

/** Air a bare machine moves, CFM. */
export const bareFlow = (shop: Shop): number => read(shop);

/** The machine with so much media, m². */
export function withFilterArea(shop: Shop, area: number): Shop {
  const next: Shop = structuredClone(shop);
  const { exhaust } = next.collector;
  if (exhaust.kind === 'filter') exhaust.filter.area = area;
  return next;
}

/** Air at the place of reading, CFM. */
function read(shop: Shop, openGates?: ReadonlySet<string>, at = shop.ducts.runs[0]?.id ?? '') {
  const solved = solveShop(shop, { view: 'found', openGates });
  if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
  return fromSI(solved.airIn.get(at)?.[0]?.flowIn ?? 0, 'cfm');
}

const change = (before: number, after: number) => 100 * (after / before - 1);

const elbow = (id: string, degrees: number, count: number): Run['fittings'][number] => ({
  kind: 'elbow',
  id,
  style: 'fivePiece',
  angle: (degrees * Math.PI) / 180,
  radiusRatio: 1.5,
  count,
  after: null,
});

/** How loaded the shop's filter is when it is due, by the program's own computation. */
function dueLoadingOf(shop: Shop): number {
  const solved = solveShop(shop, { view: 'found' });
  if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
  return collectorLoad(shop, solved, 'found').filter?.dueLoading ?? Number.NaN;
}

/**
 * The table saw of the library with its hose and gate, at the end of thin 4-in. drain pipe with so many
 * feet and elbows.
 */
function withSaw(shop: Shop, length: number, elbows: Run['fittings']): Shop {
  const next: Shop = structuredClone(shop);
  next.machines = [];
  next.ducts.runs = [];
  next.ducts.nodes = next.ducts.nodes.filter(({ kind }) => kind.kind === 'inlet');
  addDrop(next, 'inlet', 'tableSaw', counter());
  const [run] = next.ducts.runs;
  if (!run) throw new Error('no drop');
  const diameter = PIPES.drain.sizes[0].inside;
  Object.assign(run, { pipe: 'drain', diameter, length: feet(length), fittings: elbows });
  return next;
}

/** Joints the ten-drop shop counted, spread over its runs: three in a main, six or seven in a drop. */
const MAIN_JOINTS = 3;
const dropJoints = (drop: number) => (drop < 8 ? 7 : 6);

/**
 * A 5 hp collector with a cyclone and two usual cartridges on 150 ft of metal duct: a main of 6 in. that
 * goes on in 5, ten drops with 4-in. gates, the farthest 60 ft away, read at each open gate in turn.
 */
export function tenDrops(): Shop {
  const shop = newShop('s', 'Ten drops', 'us', []);
  const newId = counter();
  shop.collector.blower = blowerOfClass('five', 'us');
  shop.collector.separator.inletDiameter = inches(6);
  const filter = filterOf('spunBond');
  shop.collector.exhaust = { kind: 'filter', filter: { ...filter, area: 2 * filter.area } };
  const runOf = (id: string) => {
    const run = shop.ducts.runs.find((each) => each.id === id);
    if (!run) throw new Error('no run');
    return run;
  };
  let joint = 'inlet';
  for (let i = 0; i < 10; i++) {
    if (i < 9) {
      const main = runOf(addRun(shop, joint, newId));
      Object.assign(main, {
        pipe: 'snapLock',
        length: feet(i === 0 ? 8 : 5.25),
        diameter: inches(i < 3 ? 6 : 5),
        joints: MAIN_JOINTS,
      });
      joint = main.from;
    }
    const drop = runOf(addDrop(shop, joint, 'floorSweep', newId));
    Object.assign(drop, {
      pipe: 'snapLock',
      length: feet(10),
      diameter: inches(4),
      hose: null,
      joints: dropJoints(i),
      fittings: [elbow(`bend${i}`, 90, 1)],
    });
    const port = shop.machines.at(-1)?.ports[0];
    if (port) Object.assign(port, { diameter: inches(4), entryLoss: BARE_ENTRY_LOSS });
  }
  return shop;
}

const readDrops = (shop: Shop): number[] =>
  shop.ducts.runs.flatMap(({ id, gate }) => (gate ? [read(shop, new Set([id]), id)] : []));

export function tenDropsBuilt(): { joints: number; feet: number } {
  const shop = tenDrops();
  const arranged = arrangeRuns(shop);
  if (!arranged.ok) throw new Error('no tree');
  return {
    joints: shop.ducts.runs.reduce((sum, run) => sum + jointCount(run, arranged.tree), 0),
    feet: shop.ducts.runs.reduce((sum, run) => sum + fromSI(run.length ?? 0, 'ft'), 0),
  };
}

/** Every row of what shops measured, with the model beside it. */
export function shopFacts(): ShopFact[] {
  const stock = bareMachine('two', 'cloth');
  const cartridge = bareMachine('two', 'spunBond');
  const cyclone = withSeparator(cartridge, 'cyclone');
  const baffle = withSeparator(cartridge, 'baffle');
  const near = withSaw(cyclone, 0, []);
  const piped = withSaw(cyclone, 18, [elbow('a', 45, 2), elbow('b', 90, 1)]);
  const far = withSaw(cyclone, 18 + 43, [elbow('a', 45, 2), elbow('b', 90, 3)]);
  const due = withLoading(cyclone, dueLoadingOf(cyclone));
  const taped = tenDrops();
  const untaped = tenDrops();
  untaped.condition.joints.usual = SLIP_JOINT_GAP;
  const drops = readDrops(untaped);
  const atElbow: TestDuct = {
    pipe: 'galvanised',
    diameter: inches(4),
    length: 0,
    fittings: [elbow('e', 90, 1)],
  };
  const small = withDuct(bareMachine('smallWheelTwo', 'cloth'), atElbow);
  const one = withDuct(bareMachine('one', 'cloth'), atElbow);
  return [
    {
      fact: 'bare 2 hp machine: stock 5 µm bag to a cartridge of 110 ft²',
      unit: '%',
      low: 13,
      high: 18,
      model: change(read(stock), read(cartridge)),
    },
    {
      fact: 'cyclone with 5-in. ports straight on the bare 2 hp machine',
      unit: '%',
      low: -32,
      high: -24,
      model: change(read(cartridge), read(cyclone)),
    },
    {
      fact: 'slotted baffle drum instead',
      unit: '%',
      low: -50,
      high: -44,
      model: change(read(cartridge), read(baffle)),
    },
    {
      fact: 'cyclone machine at a table saw, then 18 ft of 4-in. pipe with two 45s and a 90',
      unit: '%',
      low: -17,
      high: -11,
      model: change(read(near), read(piped)),
    },
    {
      fact: 'the same, then 43 ft and two 90s more',
      unit: '%',
      low: -18,
      high: -12,
      model: change(read(piped), read(far)),
    },
    {
      fact: 'filter of the cyclone machine cleaned when due',
      unit: '%',
      low: 9,
      high: 14,
      model: change(read(due), read(cyclone)),
    },
    {
      fact: '5 hp, ten drops, joints not taped: the nearest 4-in. gate',
      unit: 'CFM',
      low: 414,
      high: 506,
      model: drops[0] ?? 0,
    },
    {
      fact: '5 hp, ten drops, joints not taped: the farthest 4-in. gate',
      unit: 'CFM',
      low: 216,
      high: 264,
      model: drops.at(-1) ?? 0,
    },
    {
      fact: '5 hp, ten drops, joints taped: the weakest gate',
      unit: 'CFM',
      low: 600,
      high: 800,
      model: Math.min(...readDrops(taped)),
    },
    {
      fact: '2 hp with a small wheel against a good 1 hp, at the same 4-in. elbow',
      unit: '%',
      low: -5,
      high: 5,
      model: change(read(one), read(small)),
    },
  ];
}
