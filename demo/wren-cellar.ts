/**
 * The demo shop "Wren Cellar": an invented luthier's workshop in a cellar, metric, with a one-stage collector on 100 mm
 * pipe under a low ceiling. Every name and number is invented for this project. Its question is where the air should go:
 * through the filter, which keeps the warmth, or out through the window, beside a gas boiler. Its year: a long ribbed
 * hose made short, a filter that loads and is cleaned three times and comes back a little less each time, a bag emptied
 * every few weeks, a lamp that shows dust at the filter's clamp.
 */
import { blowerOfClass, MEDIA } from '@frank-gauge/core/collector';
import { addCandidate, newShop, type Shop } from '@frank-gauge/core/design';
import { emptyJournal, recordWith, writeShopFile } from '@frank-gauge/core/journal';
import { arrangeDucts } from '@frank-gauge/core/routing';
import { chanceOf } from '@frank-gauge/core/simulate';
import { addMain, addPlaced, mainAt } from './lay-out';
import { asItWas, inSteps, pointsOf, readDrops, readFilter, type Taking } from './take-readings';

const HUNDRED = 0.1;
/** Ducts hang so high, m. */
const HANG = 2.05;
/** m³/h as m³/s. */
const perHour = (volume: number) => volume / 3600;

/** The text of the cellar's file, the same whenever it is made. */
export function wrenCellarFile(): string {
  const counts = { next: 1 };
  const newId = () => `wc-${counts.next++}`;
  const shop = cellar(newId);

  const far = addMain(shop, { end: 1.5, height: HANG, straight: 0.5, diameter: HUNDRED }, newId);
  const small = { diameter: HUNDRED } as const;
  addPlaced(
    shop,
    {
      ...small,
      kind: 'drumSander',
      name: 'Thickness sander',
      at: { x: 0.7, y: 1.9 },
      quarters: 0,
      need: perHour(470),
    },
    { kind: 'node', node: far },
    newId,
  );
  const band = addPlaced(
    shop,
    {
      ...small,
      kind: 'bandSaw',
      name: 'Band saw',
      at: { x: 2.6, y: 2.2 },
      quarters: 0,
      need: perHour(430),
    },
    { kind: 'run', run: mainAt(shop, 'x', 2.4) },
    newId,
  );
  addPlaced(
    shop,
    {
      ...small,
      kind: 'spindleSander',
      name: 'Side sander',
      at: { x: 3.25, y: 1.4 },
      quarters: 0,
      need: perHour(400),
    },
    { kind: 'run', run: mainAt(shop, 'x', 3.2) },
    newId,
  );
  thinkOfExhaust(shop, newId);
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error(arranged.problems[0]?.message);

  const { uniform: random } = chanceOf(23);
  const taking: Taking = {
    tree: arranged.tree,
    newId,
    scatter: () => 1 + 0.012 * (random() + random() - 1),
    minute: (drop) => 5 + (drop % 3) * 17,
    velocity: { unit: 'm/s', shown: inSteps('ms', 10), end: 30 },
    pressure: { unit: 'Pa', shown: inSteps('pa', 0.2) },
    tap: HUNDRED,
  };
  const loaded = (loading: number, hose?: number) =>
    asItWas(shop, (was) => {
      was.condition.filterLoading.value = loading;
      const own = was.ducts.runs.find(({ id }) => id === band.id)?.hose;
      if (own && hose !== undefined) Object.assign(own, { length: hose, compression: 0.2 });
    });
  // The tree holds its runs as they stand now: with the long hose it is arranged anew.
  const withLongHose = (): Taking => {
    const was = loaded(1.1, 3);
    const own = arrangeDucts(was);
    if (!own.ok) throw new Error('no ducts');
    return { ...taking, tree: own.tree };
  };
  const visit = (day: string, of: Shop, own: Taking = taking) => [
    ...readDrops(day, of, own),
    ...readFilter(day, of, 'Band saw', own),
  ];
  const readings = [
    ...visit('2026-01-10', loaded(1.1, 3), withLongHose()),
    ...visit('2026-01-24', loaded(1.2)),
    ...visit('2026-04-17', loaded(5.4)),
    ...visit('2026-04-19', loaded(2)),
    ...visit('2026-07-11', loaded(6)),
    ...visit('2026-07-12', loaded(2.9)),
    ...visit('2026-10-30', loaded(6.6)),
    ...visit('2026-11-01', loaded(3.7)),
  ];
  shop.upkeep.running = 3 * 3600;
  return writeShopFile(shop, {
    ...emptyJournal(),
    instruments: [
      recordWith('instruments', {
        ...{ id: 'vane', name: 'Vane meter', kind: 'vane', accuracy: 0.03, unit: 'm/s' },
        ...{ range: { from: 0.4, to: 30 }, resolution: 0.1, hold: 'average' },
      }),
      recordWith('instruments', {
        ...{ id: 'manometer', name: 'Tube manometer', kind: 'manometer', accuracy: 0.02 },
        ...{ unit: 'Pa', resolution: 5 },
      }),
    ],
    testPoints: pointsOf(arranged.tree),
    readings,
    events: eventsOfYear(newId),
    sounds: [
      {
        ...{ id: newId(), at: '2026-02-07T10:20:00Z', place: 'At the bench', level: 76 },
        ...{ distance: 3, expected: null, hours: 2, isSimulated: false, note: 'Door shut.' },
      },
    ],
  });
}

/** Room, collector and what the cellar believes, before any duct. */
function cellar(newId: () => string): Shop {
  const shop: Shop = newShop('wren-cellar', 'Wren Cellar', 'metric', []);
  shop.shop.note = 'A luthier’s cellar: quiet, dry, low. An invented example.';
  shop.shop.money.currency = '€';
  shop.shop.rules.carryingVelocity = 15;
  shop.shop.rules.settlingVelocity = 12;
  shop.room = {
    outline: [
      { x: 0, y: 0 },
      { x: 5.6, y: 0 },
      { x: 5.6, y: 4.2 },
      { x: 0, y: 4.2 },
    ],
    ceilingHeight: 2.35,
    walls: [
      { studSpacing: null },
      { studSpacing: 0.6 },
      { studSpacing: 0.6 },
      { studSpacing: null },
    ],
    doors: [{ id: newId(), wall: 0, along: 4.2, width: 0.9 }],
    windows: [{ id: newId(), wall: 1, along: 1.2, width: 0.8 }],
    posts: [],
    boardLength: 0.9,
  };
  const { collector, condition } = shop;
  collector.blower = { ...blowerOfClass('oneAndHalf', 'metric'), breaker: 13 };
  Object.assign(collector.separator, {
    ...{ kind: 'none', inletDiameter: HUNDRED, lossCoefficient: 0, caught: 0 },
  });
  collector.exhaust = {
    kind: 'filter',
    filter: {
      name: 'Pleated cartridge, 0.4 × 0.5 m',
      area: 5,
      permeability: MEDIA.spunBond.permeability,
      seasoned: 1,
      grade: 13,
    },
  };
  collector.dust = { rate: 0.5 / 3600, median: 40e-6, spread: 3 };
  collector.assembly.mount = { kind: 'cart', height: 0.12 };
  collector.assembly.filterBin = { kind: 'bag', height: 0.5 };
  collector.assembly.filter = { diameter: 0.4, height: 0.5, weight: 5, hungAt: null };
  collector.place = { x: 4.9, y: 3.6, z: 0 };
  condition.filterLoading = { value: 3.7, origin: { kind: 'assumed' } };
  condition.sealing.usual = 12;
  return shop;
}

/** What the luthier weighs: the air out of the window, or the collector in a box. */
function thinkOfExhaust(shop: Shop, newId: () => string): void {
  addCandidate(shop, 'Out through the window', newId);
  const outdoors = shop.candidates.at(-1);
  if (outdoors) {
    outdoors.cost = 90;
    outdoors.exhaust = {
      ...{ kind: 'outdoors', diameter: 0.15, length: 2.5, pipe: 'spiralMetric' },
      ...{ lossCoefficient: 0.35, end: 'flap', makeUp: null },
      heating: { outdoors: 278, hours: 150 },
    };
  }
  addCandidate(shop, 'Larger cartridge', newId);
  const larger = shop.candidates.at(-1);
  if (larger?.exhaust.kind === 'filter') {
    larger.cost = 160;
    Object.assign(larger.exhaust.filter, { name: 'Pleated cartridge, 0.5 × 0.75 m', area: 10 });
  }
}

function eventsOfYear(newId: () => string) {
  const event = (
    day: string,
    kind: Parameters<typeof recordWith<'events'>>[1]['kind'],
    more: Partial<Parameters<typeof recordWith<'events'>>[1]> = {},
  ) =>
    recordWith('events', {
      ...{ id: newId(), at: `${day}T09:30:00Z`, kind, note: '', cost: null },
      ...more,
    });
  return [
    event('2026-01-03', 'filter replaced', { cost: 85, note: 'The first cartridge.' }),
    event('2026-01-17', 'hose shortened', {
      ...{ cost: 12, hours: 1, note: 'From 3 m of ribbed hose to what the band saw needs.' },
    }),
    ...['02-14', '03-21', '05-02', '06-06', '07-11', '08-29', '10-10', '11-14'].map((day) =>
      event(`2026-${day}`, 'filter bin emptied'),
    ),
    event('2026-03-08', 'light test', {
      ...{ place: 'Clamp between filter and ring', found: true, note: 'A fine haze on one side.' },
    }),
    event('2026-03-09', 'sealed', { cost: 4, hours: 0.5, note: 'Foam strip under the clamp.' }),
    event('2026-03-15', 'light test', { place: 'Clamp between filter and ring', found: false }),
    event('2026-04-18', 'cleaned', { hours: 0.5 }),
    event('2026-07-11', 'cleaned', { hours: 0.5, at: '2026-07-11T18:00:00Z' }),
    event('2026-10-31', 'cleaned', { hours: 0.5 }),
    event('2026-06-13', 'checked'),
  ];
}
