import { boxAround } from '../../assembly/box-around';
import {
  BLOWER_CLASS_IDS,
  BLOWER_CLASSES,
  type BlowerClassId,
  blowerOfClass,
} from '../../collector/blower-classes';
import { filterResistance, MEDIA, workingLoading } from '../../collector/filter';
import { SEPARATORS } from '../../collector/separator';
import { swapIn } from '../../design/edit-candidates';
import type { Candidate, Shop } from '../../design/schema';
import { toSI } from '../../quantity/units';
import type { Improvement, Purchase } from '../improvement';

/** A filter is worth cleaning from so many times its cleaned resistance on. */
const DIRTY = 1.15;
/** A cartridge is offered where it takes less than this share of what the filter takes cleaned. */
const WORTH_CHANGING = 0.8;
/** Blowers of the next classes that are offered. */
const CLASSES_UP = 2;
/** Work, h: estimates. */
const HOURS = {
  ...{ cleaning: 0.75, cartridge: 1.5, blower: 6, outdoors: 5, enclosure: 12, impeller: 3 },
  separator: { none: 1, baffle: 4, cyclone: 6 },
};
/** A way outdoors as it starts: its length and its fittings together. */
const OUTDOORS = { length: toSI(10, 'ft'), lossCoefficient: 0.5 };
/** A return filter as it starts: m², Pa at m/s. */
const RETURN = { area: 0.5, velocity: 1.5, pressure: 60 };
/** How much larger an impeller may be that fits its housing; a modelling estimate. */
const LARGER_WHEEL = 1.08;
/** A wheel that has grown by less than this is the one it was. */
const ALREADY = 1.04;

/** Filter cleaned or replaced, another separator or blower, and the candidates the shop has. */
export function collectorImprovements(shop: Shop): Improvement[] {
  return [
    ...filterImprovements(shop),
    ...separators(shop),
    ...waysOut(shop),
    ...impellers(shop),
    ...blowers(shop),
    ...candidates(shop),
  ];
}

/** The air outdoors instead of through the filter, or the collector in a lined box with a return filter. */
function waysOut({ collector: { exhaust, separator, assembly } }: Shop): Improvement[] {
  if (exhaust.kind !== 'filter') return [];
  const diameter = separator.inletDiameter;
  const { lossCoefficient, length } = OUTDOORS;
  const outdoors: Improvement = {
    id: 'outdoors',
    work: { kind: 'outdoors', diameter },
    change: (changed) => {
      changed.collector.exhaust = {
        kind: 'outdoors',
        ...{ diameter, length, lossCoefficient, pipe: 'galvanised', end: 'cap', heating: null },
      };
    },
    buys: [
      { item: 'outlet', quantity: 1, diameter: null },
      { item: 'pipe', quantity: length, diameter },
      { item: 'elbow', quantity: 2, diameter },
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

/** A larger impeller than the blower's curve was taken with, of a size that its housing may take. */
function impellers({ collector: { blower } }: Shop): Improvement[] {
  const from = blower.wheelDiameter;
  const to = blower.measured.wheelDiameter * LARGER_WHEEL;
  if (from > to / ALREADY) return [];
  return [
    {
      id: 'impeller',
      work: { kind: 'impeller', from, to },
      change: (shop) => {
        shop.collector.blower.wheelDiameter = to;
        dropEstimatesOf(shop, 'blower');
      },
      buys: [{ item: 'impeller', quantity: 1, diameter: null }],
      price: null,
      hours: HOURS.impeller,
      changes: ['blower'],
    },
  ];
}

function filterImprovements({ collector: { exhaust }, condition }: Shop): Improvement[] {
  if (exhaust.kind === 'outdoors' || !exhaust.filter) return [];
  const { filter } = exhaust;
  const loading = condition.filterLoading.value;
  const isDirty = workingLoading(filter, loading) > DIRTY * workingLoading(filter, 1);
  const cleaned = filterResistance(filter, workingLoading(filter, 1));
  const cartridges = [1, 2].flatMap((count): Improvement[] => {
    const { name, permeability, seasoned, usualArea } = MEDIA.nanofibre;
    const area = count * usualArea;
    const media = { name, permeability, seasoned, area, grade: 15 as const };
    if (filterResistance(media, seasoned) > WORTH_CHANGING * cleaned) return [];
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

/** What readings say of a part they say of the one that was read. */
function dropEstimatesOf({ condition }: Shop, part: 'separator' | 'blower'): void {
  condition.estimates = condition.estimates.filter(({ of }) => of.kind !== part);
}

function blowers({ collector: { blower }, shop: { units } }: Shop): Improvement[] {
  const free = Math.max(...blower.curve.map(({ flow }) => flow));
  const stronger = BLOWER_CLASS_IDS.map((id) => ({ id, made: blowerOfClass(id, units) }))
    .filter(
      ({ made }) =>
        made.motor.power > blower.motor.power * 1.05 &&
        Math.max(...made.curve.map(({ flow }) => flow)) > 1.05 * free,
    )
    .sort((a, b) => a.made.motor.power - b.made.motor.power);
  return stronger.slice(0, CLASSES_UP).map(({ id, made }) => blowerUp(id, made, blower));
}

type Blower = Shop['collector']['blower'];

function blowerUp(
  id: BlowerClassId,
  made: ReturnType<typeof blowerOfClass>,
  before: Blower,
): Improvement {
  const needsCircuit = made.breaker > before.breaker || made.motor.voltage !== before.motor.voltage;
  return {
    id: `blower ${id}`,
    work: { kind: 'blower', to: id },
    change: (shop) => {
      const { inletElbow, trip } = shop.collector.blower;
      shop.collector.blower = { ...made, inletElbow, trip };
      dropEstimatesOf(shop, 'blower');
    },
    buys: [
      { item: 'blower', quantity: BLOWER_CLASSES[id].power, diameter: null },
      ...circuitIf(needsCircuit),
    ],
    price: null,
    hours: HOURS.blower,
    changes: ['blower'],
  };
}

const circuitIf = (isNeeded: boolean): Purchase[] =>
  isNeeded ? [{ item: 'circuit', quantity: 1, diameter: null }] : [];

function candidates({ candidates: all, collector }: Shop): Improvement[] {
  return all.map((candidate): Improvement => {
    const { id, blower, cost } = candidate;
    const needsCircuit = blower.breaker > collector.blower.breaker;
    return {
      id: `candidate ${id}`,
      work: { kind: 'candidate', candidate: id },
      change: (shop) => swapIn(shop, id, 'Earlier collector'),
      buys: [...partsOf(candidate, collector), ...circuitIf(needsCircuit)],
      price: cost,
      hours: HOURS.blower,
      changes: ['blower', 'separator', 'filter'],
    };
  });
}

/** What a candidate has that the collector has not. */
function partsOf({ blower, separator, exhaust }: Candidate, now: Shop['collector']): Purchase[] {
  const isNew =
    blower.motor.power !== now.blower.motor.power ||
    blower.wheelDiameter !== now.blower.wheelDiameter ||
    JSON.stringify(blower.curve) !== JSON.stringify(now.blower.curve);
  const hasNewSeparator = separator.kind !== now.separator.kind && separator.kind !== 'none';
  const filter = exhaust.kind === 'outdoors' ? null : exhaust.filter;
  const before = now.exhaust.kind === 'outdoors' ? null : now.exhaust.filter;
  const buy = (item: Purchase['item'], quantity: number): Purchase => ({
    ...{ item, quantity, diameter: null },
  });
  return [
    ...(isNew ? [buy('blower', blower.motor.power)] : []),
    ...(hasNewSeparator ? [buy(separator.kind === 'baffle' ? 'baffle' : 'cyclone', 1)] : []),
    ...(filter && filter.area !== before?.area ? [buy('cartridge', 1)] : []),
  ];
}
