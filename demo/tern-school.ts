/**
 * The demo shop "Tern School": an invented vocational school's wood shop with a 5 hp collector, ten drops and several
 * gates open at once. Every name and number is invented for this project. Its year: ducts hung by a class that taped
 * no joint, the same ducts taped, a term of dust in the filter, a bin emptied every other week, three rounds that compare.
 */
import { blowerOfClass, MEDIA } from '@frank-gauge/core/collector';
import { newShop, type Shop } from '@frank-gauge/core/design';
import { emptyJournal, recordWith, writeShopFile } from '@frank-gauge/core/journal';
import { toSI } from '@frank-gauge/core/quantity';
import { arrangeDucts } from '@frank-gauge/core/routing';
import { chanceOf } from '@frank-gauge/core/simulate';
import { addMain, addPlaced, mainAt, type Placed } from './lay-out';
import { asItWas, inSteps, pointsOf, readDrops, readFilter, type Taking } from './take-readings';

const ft = (feet: number) => toSI(feet, 'ft');
const inches = (value: number) => toSI(value, 'in');
/** Ducts hang so high, m. */
const HANG = ft(9.5);

/** Ten machines: from the far end of the main to the collector. */
const MACHINES: readonly Placed[] = [
  {
    kind: 'drumSander',
    name: 'Drum sander',
    at: { x: ft(3.5), y: ft(20) },
    quarters: 0,
    diameter: inches(5),
  },
  { kind: 'planer', name: 'Planer', at: { x: ft(8), y: ft(18) }, quarters: 0, diameter: inches(6) },
  {
    kind: 'jointer',
    name: 'Jointer',
    at: { x: ft(12.5), y: ft(17) },
    quarters: 0,
    diameter: inches(5),
  },
  {
    kind: 'bandSaw',
    name: 'Band saw',
    at: { x: ft(17), y: ft(20.7) },
    quarters: 0,
    diameter: inches(5),
  },
  {
    kind: 'tableSaw',
    name: 'Table saw 1',
    at: { x: ft(21), y: ft(15) },
    quarters: 0,
    diameter: inches(5),
  },
  {
    kind: 'tableSaw',
    name: 'Table saw 2',
    at: { x: ft(28.5), y: ft(15) },
    quarters: 0,
    diameter: inches(5),
  },
  {
    kind: 'routerTable',
    name: 'Router table',
    at: { x: ft(33), y: ft(11) },
    quarters: 0,
    diameter: inches(5),
  },
  {
    kind: 'spindleSander',
    name: 'Spindle sander',
    at: { x: ft(36), y: ft(20.5) },
    quarters: 0,
    diameter: inches(5),
  },
  {
    kind: 'discSander',
    name: 'Disc sander',
    at: { x: ft(39.5), y: ft(20.5) },
    quarters: 0,
    diameter: inches(5),
  },
  {
    kind: 'bandSaw',
    name: 'Resaw',
    at: { x: ft(41.6), y: ft(19) },
    quarters: 0,
    diameter: inches(5),
  },
];

/** The text of the school's file, the same whenever it is made. */
export function ternSchoolFile(): string {
  const counts = { next: 1 };
  const newId = () => `ts-${counts.next++}`;
  const shop = school(newId);
  const far = addMain(
    shop,
    { end: ft(6.5), height: HANG, straight: ft(3), diameter: inches(8) },
    newId,
  );
  MACHINES.forEach((placed, i) => {
    const goal =
      i === 0
        ? ({ kind: 'node', node: far } as const)
        : ({ kind: 'run', run: mainAt(shop, 'x', placed.at.x) } as const);
    const drop = addPlaced(shop, placed, goal, newId);
    if (drop.gate) drop.gate.open = placed.name === 'Table saw 1' || placed.name === 'Planer';
  });
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error(arranged.problems[0]?.message);

  const { uniform: random } = chanceOf(57);
  const taking: Taking = {
    tree: arranged.tree,
    newId,
    scatter: () => 1 + 0.015 * (random() + random() - 1),
    minute: (drop) => 5 + (drop % 3) * 17,
    velocity: { unit: 'fpm', shown: inSteps('fpm', 0.1), end: toSI(45, 'ms') },
    pressure: { unit: 'in. w.g.', shown: inSteps('inwg', 50) },
    tap: inches(8),
  };
  const with_ = (loading: number, isTaped = true) =>
    asItWas(shop, (was) => {
      was.condition.filterLoading.value = loading;
      // Slip joints pushed together and not taped: a gap of about 0.45 mm all around each.
      if (!isTaped) was.condition.joints.usual = 0.00045;
    });
  const visit = (day: string, of: Shop) => [
    ...readDrops(day, of, taking),
    ...readFilter(day, of, 'Table saw 1', taking),
  ];
  const readings = [
    ...visit('2026-01-16', with_(1.2, false)),
    ...visit('2026-02-06', with_(1.4)),
    ...visit('2026-06-12', with_(4.8)),
    ...visit('2026-06-26', with_(2)),
    ...visit('2026-11-13', with_(2.8)),
  ];
  shop.upkeep.running = toSI(9, 'h');
  return writeShopFile(shop, {
    ...emptyJournal(),
    instruments: [
      recordWith('instruments', {
        ...{ id: 'vane', name: 'The physics room’s vane meter', kind: 'vane', accuracy: 0.03 },
        ...{ unit: 'fpm', resolution: toSI(10, 'fpm'), hold: 'average' },
        range: { from: toSI(80, 'fpm'), to: toSI(45, 'ms') },
      }),
      recordWith('instruments', {
        ...{ id: 'manometer', name: 'Tube manometer', kind: 'manometer', accuracy: 0.02 },
        ...{ unit: 'in. w.g.', resolution: toSI(0.02, 'inwg') },
      }),
    ],
    testPoints: pointsOf(arranged.tree),
    readings,
    events: eventsOfYear(newId),
    sounds: [
      {
        ...{ id: newId(), at: '2026-02-06T15:00:00Z', place: 'By the door', level: 84 },
        ...{ distance: ft(12), expected: null, hours: 5, isSimulated: false, note: '' },
      },
    ],
  });
}

/** Room, collector and what the school believes, before any duct. */
function school(newId: () => string): Shop {
  const shop: Shop = newShop('tern-school', 'Tern School', 'us', []);
  shop.shop.note = 'A vocational school’s wood shop, ten machines. An invented example.';
  shop.shop.rules.gates = { kind: 'atMost', count: 2 };
  shop.room = {
    outline: [
      { x: 0, y: 0 },
      { x: ft(52), y: 0 },
      { x: ft(52), y: ft(28) },
      { x: 0, y: ft(28) },
    ],
    ceilingHeight: ft(11),
    walls: [16, 16, 16, 16].map((spacing) => ({ studSpacing: inches(spacing) })),
    doors: [{ id: newId(), wall: 0, along: ft(20), width: ft(6) }],
    windows: [],
    posts: [],
    boardLength: ft(6),
  };
  const { collector, condition } = shop;
  collector.blower = { ...blowerOfClass('five', 'us') };
  collector.separator.inletDiameter = inches(8);
  collector.exhaust = {
    kind: 'filter',
    filter: {
      name: 'Two spun-bond cartridges',
      area: toSI(300, 'ft2'),
      permeability: MEDIA.spunBond.permeability,
      seasoned: 1,
      grade: 13,
    },
  };
  collector.dust.rate = toSI(11, 'lb') / 3600;
  collector.assembly.bin.diameter = inches(22.5);
  collector.assembly.bin.height = inches(34);
  collector.assembly.separator.hungAt = inches(37.4);
  collector.assembly.coupling = { kind: 'hose', length: inches(60) };
  collector.assembly.mount = { kind: 'wall', height: inches(104) };
  collector.assembly.emptying = { kind: 'lower', travel: inches(1.5) };
  collector.assembly.people = 3;
  collector.place = { x: ft(48.6), y: ft(25.1), z: 0 };
  condition.filterLoading = { value: 2.8, origin: { kind: 'assumed' } };
  condition.sealing.usual = 9;
  return shop;
}

function eventsOfYear(newId: () => string) {
  const event = (
    day: string,
    kind: Parameters<typeof recordWith<'events'>>[1]['kind'],
    more: Partial<Parameters<typeof recordWith<'events'>>[1]> = {},
  ) =>
    recordWith('events', {
      ...{ id: newId(), at: `${day}T16:00:00Z`, kind, note: '', cost: null },
      ...more,
    });
  const emptied = ['01-23', '02-13', '03-06', '03-27', '04-24', '05-15', '06-05'];
  const inFall = ['09-11', '10-02', '10-23', '11-13'];
  return [
    event('2026-01-17', 'hand test', {
      ...{ place: 'Slip joints of the main', found: true, note: 'Every one of them draws in.' },
    }),
    event('2026-01-30', 'sealed', {
      ...{ cost: 46, hours: 6, note: 'Foil tape around every joint, by the second-year class.' },
    }),
    ...[...emptied, ...inFall].map((day) => event(`2026-${day}`, 'emptied')),
    event('2026-06-20', 'cleaned', { hours: 1.5 }),
    event('2026-08-28', 'checked', { note: 'Before the term: belts, gaskets, hose clamps.' }),
  ];
}
