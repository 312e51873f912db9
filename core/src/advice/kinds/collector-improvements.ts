import { airAtSite } from '../../air/air-at-site';
import { wayBackOf } from '../../analysis/collector-load';
import { LIMITS } from '../../analysis/findings/limits';
import { boxAround } from '../../assembly/box-around';
import { makeUpOpening } from '../../collector/air-outdoors';
import { filterResistance, MEDIA, workingLoading } from '../../collector/filter';
import { finesLetBy } from '../../collector/filter-grade';
import { SEPARATORS } from '../../collector/separator';
import type { Exhaust, Shop } from '../../design/schema';
import { toSI } from '../../quantity/units';
import { dropEstimatesOf, type Improvement } from '../improvement';
import { blowerImprovements } from './blower-improvements';

/** A filter is worth cleaning from so many times its cleaned resistance on. */
const DIRTY = 1.15;
/** A cartridge is offered where it takes less than this share of what the filter takes cleaned, or where that one is coarse. */
const WORTH_CHANGING = 0.8;
/** Work, h: estimates. */
const HOURS = {
  ...{ cleaning: 0.75, cartridge: 1.5, outdoors: 6, enclosure: 12, otherRoom: 14, opening: 2 },
  separator: { none: 1, baffle: 4, cyclone: 6 },
};
/** A way outdoors as it starts: its length and its fittings together. */
const OUTDOORS = { length: toSI(10, 'ft'), lossCoefficient: 0.5 };
/** A return filter as it starts: m², Pa at m/s. */
const RETURN = { area: 0.5, velocity: 1.5, pressure: 60 };
/** How many times its area a larger return filter has. */
const LARGER_RETURN = 2;
/** How high a blower's shaft usually is that stands in the next room, m. */
const NEXT_ROOM_HEIGHT = 1.2;

/** Filter cleaned or replaced, another separator or blower, and the candidates the shop has. */
export function collectorImprovements(shop: Shop): Improvement[] {
  return [
    ...filterImprovements(shop),
    ...separators(shop),
    ...waysOut(shop),
    ...otherRoom(shop),
    ...waysBack(shop),
    ...blowerImprovements(shop),
  ];
}

/** An opening that lets all the air back in that a blower could ever move, m². */
function openingFor({ collector: { blower }, shop: { site } }: Shop): number {
  const free = Math.max(0, ...blower.curve.map(({ flow }) => flow));
  return makeUpOpening(free, airAtSite(site).density);
}

/** What lets the air back in, where it is too small or nobody knows of one; and a larger return filter. */
function waysBack(shop: Shop): Improvement[] {
  const { exhaust } = shop.collector;
  const wanted = openingFor(shop);
  const from = wayBackOf(shop.collector);
  const changed = (
    kind: 'makeup air' | 'way back',
    apply: (own: Exhaust) => void,
  ): Improvement => ({
    id: kind,
    work: { kind, from, to: wanted },
    change: ({ collector }) => apply(collector.exhaust),
    buys: [{ item: 'grille', quantity: 1, diameter: null }],
    price: null,
    hours: HOURS.opening,
    changes: ['way back'],
  });
  switch (exhaust.kind) {
    case 'outdoors':
      if (from !== null && from >= wanted) return [];
      return [
        changed('makeup air', (own) => {
          if (own.kind === 'outdoors') own.makeUp = wanted;
        }),
      ];
    case 'room':
      if (exhaust.opening >= wanted) return [];
      return [
        changed('way back', (own) => {
          if (own.kind === 'room') own.opening = wanted;
        }),
      ];
    case 'enclosure':
      return [largerReturn(exhaust.returnFilter.area)];
    case 'filter':
      return [];
  }
}

const largerReturn = (from: number): Improvement => ({
  id: 'return filter',
  work: { kind: 'return filter', from, to: LARGER_RETURN * from },
  change: ({ collector: { exhaust } }) => {
    if (exhaust.kind === 'enclosure') exhaust.returnFilter.area = LARGER_RETURN * from;
  },
  buys: [{ item: 'returnFilter', quantity: 1, diameter: null }],
  price: null,
  hours: HOURS.opening,
  changes: ['return filter'],
});

/** The air outdoors instead of through the filter, or the collector in a lined box with a return filter. */
function waysOut(shop: Shop): Improvement[] {
  const { exhaust, separator, assembly } = shop.collector;
  if (exhaust.kind !== 'filter') return [];
  const diameter = separator.inletDiameter;
  const { lossCoefficient, length } = OUTDOORS;
  const makeUp = openingFor(shop);
  const outdoors: Improvement = {
    id: 'outdoors',
    work: { kind: 'outdoors', diameter, opening: makeUp },
    change: (changed) => {
      changed.collector.exhaust = {
        kind: 'outdoors',
        ...{ diameter, length, lossCoefficient, pipe: 'galvanised', end: 'cap', heating: null },
        makeUp,
      };
    },
    buys: [
      { item: 'outlet', quantity: 1, diameter: null },
      { item: 'pipe', quantity: length, diameter },
      { item: 'elbow', quantity: 2, diameter },
      { item: 'grille', quantity: 1, diameter: null },
    ],
    price: null,
    hours: HOURS.outdoors,
    changes: ['filter', 'way out'],
  };
  const { filter } = exhaust;
  const { mount } = assembly;
  const isElsewhere = mount.kind === 'attic' || mount.kind === 'nextRoom';
  const enclosure: Improvement = {
    id: 'enclosure',
    work: { kind: 'enclosure' },
    change: (changed) => {
      changed.collector.exhaust = {
        kind: 'enclosure',
        filter: { ...filter },
        returnFilter: { ...RETURN },
        box: boxAround(changed.collector),
      };
    },
    buys: [{ item: 'enclosure', quantity: 1, diameter: null }],
    price: null,
    hours: HOURS.enclosure,
    changes: ['way out'],
  };
  return [outdoors, ...(isElsewhere ? [] : [enclosure])];
}

/** Blower and filter behind a partition: a hole and its duct, an outlet there, and the air has to come back. */
function otherRoom({ collector: { assembly, separator, exhaust } }: Shop): Improvement[] {
  const { kind } = assembly.mount;
  if (exhaust.kind !== 'filter' || kind === 'attic' || kind === 'nextRoom') return [];
  const diameter = separator.inletDiameter;
  return [
    {
      id: 'other room',
      work: { kind: 'other room' },
      change: (shop) => {
        shop.collector.assembly.mount = { kind: 'nextRoom', height: NEXT_ROOM_HEIGHT };
      },
      buys: [
        { item: 'outlet', quantity: 2, diameter: null },
        { item: 'circuit', quantity: 1, diameter: null },
        { item: 'elbow', quantity: 1, diameter },
      ],
      price: null,
      hours: HOURS.otherRoom,
      changes: ['way out', 'place'],
    },
  ];
}

function filterImprovements({ collector: { exhaust }, condition }: Shop): Improvement[] {
  if (exhaust.kind === 'outdoors' || !exhaust.filter) return [];
  const { filter } = exhaust;
  const loading = condition.filterLoading.value;
  const isDirty = workingLoading(filter, loading) > DIRTY * workingLoading(filter, 1);
  const cleaned = filterResistance(filter, workingLoading(filter, 1));
  const isCoarse = filter.grade !== null && finesLetBy(filter.grade)[0] > LIMITS.finesBy.value;
  const cartridges = [1, 2].flatMap((count): Improvement[] => {
    const { name, permeability, seasoned, usualArea } = MEDIA.nanofibre;
    const area = count * usualArea;
    const media = { name, permeability, seasoned, area, grade: 15 as const };
    if (!isCoarse && filterResistance(media, seasoned) > WORTH_CHANGING * cleaned) return [];
    return [
      {
        id: `cartridge ${count}`,
        work: { kind: 'cartridge', area },
        change: (changed) => {
          const { exhaust: own } = changed.collector;
          if (own.kind === 'outdoors') return;
          own.filter = media;
          changed.condition.filterLoading = { value: 1, origin: { kind: 'assumed' } };
        },
        buys: [{ item: 'cartridge', quantity: count, diameter: null }],
        price: null,
        hours: HOURS.cartridge,
        changes: ['filter'],
      },
    ];
  });
  return [...(isDirty ? [cleaning] : []), ...cartridges];
}

const cleaning: Improvement = {
  id: 'clean the filter',
  work: { kind: 'clean the filter' },
  change: ({ condition }) => {
    condition.filterLoading = { value: 1, origin: { kind: 'assumed' } };
  },
  buys: [],
  price: null,
  hours: HOURS.cleaning,
  changes: ['filter'],
};

/** A cyclone or a baffle where there is none, a cyclone for what takes more, or none at all. */
function separators({ collector }: Shop): Improvement[] {
  switch (collector.separator.kind) {
    case 'none':
      return [separatorTo('baffle'), separatorTo('cyclone')];
    case 'baffle':
    case 'lid':
      return [separatorTo('cyclone'), separatorTo('none')];
    default:
      return [separatorTo('none')];
  }
}

function separatorTo(to: 'none' | 'baffle' | 'cyclone'): Improvement {
  const { lossCoefficient, caught } = SEPARATORS[to];
  return {
    id: `separator ${to}`,
    work: { kind: 'separator', to },
    change: (shop) => {
      Object.assign(shop.collector.separator, {
        ...{ kind: to, lossCoefficient, caught, proportions: null },
        origin: { kind: 'assumed' },
      });
      dropEstimatesOf(shop, 'separator');
    },
    buys: to === 'none' ? [] : [{ item: to, quantity: 1, diameter: null }],
    price: null,
    hours: HOURS.separator[to],
    changes: ['separator'],
  };
}
